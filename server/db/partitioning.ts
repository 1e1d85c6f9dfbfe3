import { QueryTypes } from 'sequelize';
import type { Migration } from './migrate.ts';

/**
 * In how many parts the rows of all practices lie: so many servers they can be spread over without moving anything but
 * whole parts. A power of two, so that a part can be halved. Our choice.
 */
export const PARTS = 8;

/**
 * Tables in which a row is looked for before anybody knows whose it is: by an address, or by the hash of a link. They
 * are small, one row a person or a link, and lie whole.
 */
export const DIRECTORY: readonly string[] = [
  'practices',
  'practitioners',
  'sessions',
  'invitations',
  'calendar_links',
  'client_links',
];

/** Everything of a table that is made anew with it. */
interface Shape {
  /** Constraints: primary key, unique, foreign keys. */
  constraints: { name: string; kind: 'p' | 'u' | 'f'; text: string }[];
  indexes: { name: string; text: string }[];
  triggers: string[];
  policies: { name: string; qual: string; with_check: string }[];
  grants: { may: string; columns: string | null; role: string }[];
}

/** Every key begins with the practice: `(id)` becomes `(practice_id, id)`. */
const led = (columns: string): string =>
  /^\(practice_id\b/.test(columns) ? columns : `(practice_id, ${columns.slice(1)}`;

/** The text of a constraint with the practice in front of each of its keys. */
export function ledConstraint(text: string): string {
  const foreign = /^FOREIGN KEY (\([^)]+\)) REFERENCES (\w+)(\([^)]+\))(.*)$/.exec(text);
  if (!foreign) return text.replace(/\([^)]+\)/, led);
  const [, from, table, to, rest] = foreign;
  // A practice is named by its id; everything else lies within one.
  return table === 'practices' ? text : `FOREIGN KEY ${led(from!)} REFERENCES ${table}${led(to!)}${rest}`;
}
/** The text of an index with the practice as its first column. */
export const ledIndex = (text: string): string =>
  text.replace(/ USING btree (\(.*)$/, (_all, rest: string) => ` USING btree ${led(rest)}`);

async function shapeOf({ sequelize, transaction }: Migration, table: string): Promise<Shape> {
  const ask = <T extends object>(sql: string) =>
    sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements: { table }, transaction });
  return {
    constraints: await ask(
      `select conname as name, contype as kind, pg_get_constraintdef(oid) as text from pg_constraint
       where conrelid = cast(:table as regclass) and contype in ('p', 'u', 'f') order by contype desc, conname`,
    ),
    indexes: await ask(
      `select c.relname as name, pg_get_indexdef(i.indexrelid) as text from pg_index i join pg_class c on c.oid = i.indexrelid
       where i.indrelid = cast(:table as regclass) and not exists (select 1 from pg_constraint k where k.conindid = i.indexrelid)`,
    ),
    triggers: (
      await ask<{ text: string }>(
        'select pg_get_triggerdef(oid) as text from pg_trigger where tgrelid = cast(:table as regclass) and not tgisinternal',
      )
    ).map((t) => t.text),
    policies: await ask(
      `select policyname as name, qual, with_check from pg_policies where schemaname = 'public' and tablename = :table`,
    ),
    grants: await ask(
      `select a.privilege_type as may, null as columns, r.rolname as role from pg_class c cross join lateral aclexplode(c.relacl) a
         join pg_roles r on r.oid = a.grantee where c.oid = cast(:table as regclass) and a.grantee <> c.relowner
       union all
       select x.privilege_type, quote_ident(t.attname), r.rolname from pg_attribute t join pg_class c on c.oid = t.attrelid
         cross join lateral aclexplode(t.attacl) x join pg_roles r on r.oid = x.grantee
         where c.oid = cast(:table as regclass) and x.grantee <> c.relowner`,
    ),
  };
}

/** The parts of a table that is partitioned by its practice. Nobody but the owner reaches a part by its own name. */
export const partsOf = (table: string): string =>
  Array.from(
    { length: PARTS },
    (_, i) =>
      `create table ${table}_part${i} partition of ${table} for values with (modulus ${PARTS}, remainder ${i});`,
  ).join('\n');

/**
 * Lays tables anew, in parts by practice, with everything that belongs to them: rows, keys, indexes, triggers, policies
 * and what the application's role may do. Every key begins with the practice afterwards, and every reference stays
 * within one. The tables of the directory lie whole; what they refer to is led by the practice as well.
 */
export async function partitionByPractice(migration: Migration, tables: readonly string[]): Promise<void> {
  const { sequelize, transaction } = migration;
  const run = (sql: string) => sequelize.query(sql, { transaction });
  const shapes = new Map<string, Shape>();
  for (const table of [...tables, ...DIRECTORY]) shapes.set(table, await shapeOf(migration, table));
  for (const table of tables)
    await run(`create table new_${table} (like ${table} including all excluding indexes) partition by hash (practice_id);
      ${partsOf(table).replaceAll(` partition of ${table} `, ` partition of new_${table} `)}
      insert into new_${table} select * from ${table};`);
  // What refers to one of them goes with it, and comes back below.
  await run(
    tables.map((table) => `drop table ${table} cascade; alter table new_${table} rename to ${table};`).join('\n'),
  );
  await run('alter table practitioners add unique (practice_id, id)');
  for (const table of tables) {
    const { constraints, indexes, triggers, policies, grants } = shapes.get(table)!;
    for (const { name, kind, text } of constraints)
      if (kind !== 'f') await run(`alter table ${table} add constraint ${name} ${ledConstraint(text)}`);
    for (const { text } of indexes) await run(ledIndex(text));
    for (const text of triggers) await run(text);
    await run(`alter table ${table} enable row level security`);
    for (const { name, qual, with_check } of policies)
      await run(`create policy ${name} on ${table} using ${qual} with check ${with_check}`);
    for (const { may, columns, role } of grants)
      await run(`grant ${may}${columns ? ` (${columns})` : ''} on ${table} to ${role}`);
  }
  for (const [table, { constraints }] of shapes)
    for (const { name, kind, text } of constraints)
      if (kind === 'f')
        await run(
          `alter table ${table} drop constraint if exists ${name}; alter table ${table} add constraint ${name} ${ledConstraint(text)}`,
        );
}
