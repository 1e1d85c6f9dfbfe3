import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { QueryTypes, type Sequelize } from 'sequelize';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import { connect } from '../../server/db/connection.ts';
import { type Migration, migrate, migrationNames } from '../../server/db/migrate.ts';
import { ensureAppRole } from '../../server/db/prepare.ts';
import { freshDatabase } from '../support/serving.ts';

/** A database of before its tables lay in parts, with the rows of two practices. */
const PARTS = '0028-parts.ts';
const [A, B] = [randomUUID(), randomUUID()];
let owner: Sequelize;
beforeAll(async () => {
  const url = await freshDatabase(inject('clusterUrl'));
  await ensureAppRole(url);
  owner = connect(url, null);
  const folder = join(import.meta.dirname, '../../server/db/migrations');
  await owner.query('create table migrations (name varchar(255) primary key)');
  for (const name of migrationNames().filter((n) => n < PARTS)) {
    const { up } = (await import(join(folder, name))) as { up: (m: Migration) => Promise<void> };
    await owner.transaction((transaction) => up({ sequelize: owner, transaction }));
    await owner.query('insert into migrations (name) values (:name)', { replacements: { name } });
  }
  for (const practice of [A, B])
    await owner.query(
      `insert into practices (id, name, time_zone) values ('${practice}', 'Quay', 'Europe/Lisbon');
       with p as (insert into practitioners (id, practice_id, name, email, password_hash, role) values (gen_random_uuid(), '${practice}', 'Imke Dahl', '${practice}@quay.example', 'x', 'owner') returning id),
         c as (insert into clients (id, practice_id, name) select gen_random_uuid(), '${practice}', 'Client ' || i from generate_series(1, 40) i returning id),
         v as (insert into visits (id, practice_id, client_id, practitioner_id, starts_at, stage, screen) select gen_random_uuid(), '${practice}', c.id, p.id, now(), 'screen', '{"answers": {}, "preparation": []}' from c, p returning id, client_id)
       insert into readings (id, practice_id, client_id, visit_id, measure, place, side, phase, value, source, taken_at)
         select gen_random_uuid(), '${practice}', v.client_id, v.id, 'opening-mm', '', 'midline', 'before', 41, 'measured', now() from v;`,
    );
});
afterAll(() => owner.close());

const TABLES = ['practices', 'practitioners', 'clients', 'visits', 'readings'];
/** The columns that a table has now: later migrations add some. */
const columnsOf = async (table: string): Promise<string> => {
  const rows = await owner.query<{ name: string }>(
    `select quote_ident(column_name) as name from information_schema.columns
     where table_schema = 'public' and table_name = :table order by ordinal_position`,
    { replacements: { table }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => r.name).join(', ');
};
const sums = async (columns: ReadonlyMap<string, string>) =>
  Object.fromEntries(
    await Promise.all(
      TABLES.map(async (table) => {
        const [row] = await owner.query<{ n: number; hash: string }>(
          `select count(*)::int as n, md5(string_agg(t::text, '|' order by t::text)) as hash
           from (select ${columns.get(table)!} from ${table}) t`,
          { type: QueryTypes.SELECT },
        );
        return [table, row!] as const;
      }),
    ),
  );

test('laid into parts, every row is there as it was, each practice within one part', async () => {
  const columns = new Map(await Promise.all(TABLES.map(async (t) => [t, await columnsOf(t)] as const)));
  const before = await sums(columns);
  expect(before.readings!.n).toBe(80);
  expect(await migrate(owner)).toContain(PARTS);
  expect(await sums(columns)).toEqual(before);
  const spread = await owner.query<{ parts: number }>(
    'select count(distinct tableoid)::int as parts from readings group by practice_id',
    { type: QueryTypes.SELECT },
  );
  expect(spread.map((s) => s.parts)).toEqual([1, 1]);
  // Letting a whole practice go still takes everything of it, and nothing else.
  await owner.query(`delete from practices where id = '${A}'`);
  expect((await sums(columns)).readings!.n).toBe(40);
});
