import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { database } from '../../server/db/connection.ts';
import { ClientModel } from '../../server/db/models/index.ts';
import { DIRECTORY, PARTS } from '../../server/db/partitioning.ts';
import { APP_ROLE } from '../../server/db/prepare.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { findClient } from '../../server/db/queries/clients.server.ts';
import { byPractice, inPractice, inRequest, requestBelongsTo } from '../../server/db/scope.ts';
import { addClient, addVisit, asOwner, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

/** The second wall: what the database itself refuses, whatever a query of ours asks. */
let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
  await addClient(mine, 'Jun Castellan');
  const foreign = await addClient(theirs, 'Petr Lindqvist');
  const visit = await addVisit(theirs, foreign.id);
  await saveVisit(theirs, visit, {
    saveId: randomUUID(),
    expectedVersion: 1,
    patch: {
      kind: 'readings',
      entries: [{ measure: 'opening-mm', complaintId: null, place: '', side: 'midline', phase: 'before', value: 41 }],
    },
  });
});
afterAll(closeDatabase);

const select = <T extends object>(sql: string) => database().query<T>(sql, { type: QueryTypes.SELECT });
const OUTSIDE = ['migrations', 'sign_in_attempts'];

describe('every table of the work', () => {
  test('is behind a policy', async () => {
    const open = await asOwner<{ relname: string }>(
      `select c.relname from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition and not (c.relrowsecurity and exists (select 1 from pg_policy p where p.polrelid = c.oid))`,
    );
    expect(open.map((r) => r.relname).sort()).toEqual(OUTSIDE);
  });
  test('has a policy that lets nothing in or out but the practice that is set', async () => {
    const policies = await asOwner<{ qual: string; with_check: string }>(
      'select distinct qual, with_check from pg_policies',
    );
    expect(policies.map((p) => [p.qual, p.with_check]).sort()).toEqual([
      ['(id = current_practice())', '(id = current_practice())'],
      ['(practice_id = current_practice())', '(practice_id = current_practice())'],
    ]);
  });
});

describe('the rows of a practice lie together', () => {
  test('every table of the work lies in parts by practice, but for those that are asked before anybody is known', async () => {
    const whole = await asOwner<{ relname: string }>(
      `select c.relname from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and not c.relispartition`,
    );
    expect(whole.map((r) => r.relname).sort()).toEqual([...DIRECTORY, ...OUTSIDE].sort());
    const parts = await asOwner<{ parts: number; by: string }>(
      `select count(*)::int as parts, pg_get_partkeydef(p.oid) as by from pg_class p join pg_inherits i on i.inhparent = p.oid where p.relkind = 'p' group by p.oid`,
    );
    expect(parts.length).toBeGreaterThan(35);
    expect(new Set(parts.map((p) => `${p.parts} ${p.by}`))).toEqual(new Set([`${PARTS} HASH (practice_id)`]));
  });
  test('every key of them begins with the practice, and every reference stays within one', async () => {
    const keys = await asOwner<{ of: string; text: string }>(
      `select conrelid::regclass::text as of, pg_get_constraintdef(k.oid) as text from pg_constraint k join pg_class c on c.oid = k.conrelid
       where c.relkind = 'p' and not c.relispartition and k.contype in ('p', 'u', 'f') and k.conparentid = 0`,
    );
    expect(keys.length).toBeGreaterThan(100);
    expect(keys.filter((k) => !/^(PRIMARY KEY|UNIQUE|FOREIGN KEY) \(practice_id\b/.test(k.text))).toEqual([]);
    const indexes = await asOwner<{ text: string }>(
      `select pg_get_indexdef(i.indexrelid) as text from pg_index i join pg_class c on c.oid = i.indrelid where c.relkind = 'p'`,
    );
    expect(indexes.filter((i) => !i.text.includes('(practice_id'))).toEqual([]);
  });
  test('nobody but the owner reaches a part by its own name', async () => {
    const open = await asOwner(
      `select c.relname from pg_class c cross join unnest(array['select', 'insert', 'update', 'delete', 'truncate']) may
       where c.relispartition and c.relkind = 'r' and has_table_privilege('${APP_ROLE}', c.oid, may)`,
    );
    expect(open).toEqual([]);
    await expect(inPractice(mine.practiceId, () => select('select * from clients_part0'))).rejects.toThrow(
      /permission denied/,
    );
  });
  test('a row that refers to another practice is refused, also by its owner', async () => {
    const [foreign] = await asOwner<{ id: string }>(
      `select id from clients where practice_id = '${theirs.practiceId}'`,
    );
    await expect(
      asOwner(
        `insert into complaints (id, practice_id, client_id, kind, side, label, onset, triggers, goal, position)
         values (gen_random_uuid(), '${mine.practiceId}', '${foreign!.id}', 'jaw', 'left', '', '', '', '', 0)`,
      ),
    ).rejects.toThrow(/foreign key/);
  });
});

describe('a query that forgets its where', () => {
  const names = async (rows: Promise<{ name: string }[]>) => (await rows).map((r) => r.name);
  test('reaches no foreign row, as SQL', async () => {
    const forgetful = byPractice((_practiceId: string) => select<{ name: string }>('select name from clients'));
    expect([await names(forgetful(mine.practiceId)), await names(forgetful(theirs.practiceId))]).toEqual([
      ['Jun Castellan'],
      ['Petr Lindqvist'],
    ]);
  });
  test('reaches no foreign row, through a model, inside a transaction', async () => {
    const forgetful = byPractice(async (_practiceId: string) =>
      database().transaction((transaction) => ClientModel.findAll({ transaction })),
    );
    expect(await names(forgetful(mine.practiceId))).toEqual(['Jun Castellan']);
  });
  test('changes and deletes no foreign row', async () => {
    await inPractice(mine.practiceId, async () => (database(), ClientModel.update({ note: 'mine' }, { where: {} })));
    await inPractice(mine.practiceId, () => database().query('delete from readings'));
    expect(await asOwner('select value::float8 as value from readings')).toEqual([{ value: 41 }]);
    expect(
      (await asOwner<{ note: string }>(`select note from clients where practice_id = '${theirs.practiceId}'`)).map(
        (r) => r.note,
      ),
    ).toEqual(['']);
  });
  test('puts nothing into another practice', async () => {
    await expect(
      inPractice(mine.practiceId, () =>
        database().query(
          `insert into clients (id, practice_id, name) values ('${randomUUID()}', '${theirs.practiceId}', 'Smuggled')`,
        ),
      ),
    ).rejects.toThrow(/row-level security/);
    await expect(
      inPractice(mine.practiceId, () => database().query(`update clients set practice_id = '${theirs.practiceId}'`)),
    ).rejects.toThrow(/row-level security/);
  });
  test('outside of a practice it reaches nothing at all', async () =>
    expect(await select('select name from clients')).toEqual([]));
  test('and what was set for one query is not set for the next on the same connection', async () => {
    for (let i = 0; i < 12; i++) await inPractice(mine.practiceId, () => select('select 1'));
    expect(await select('select name from clients')).toEqual([]);
  });
});

describe('a request that belongs to one practice', () => {
  test('cannot ask for another one’s rows', async () => {
    await inRequest(async () => {
      requestBelongsTo(mine.practiceId);
      expect(() => findClient(theirs.practiceId, randomUUID())).toThrow('belongs to another practice');
      expect(await findClient(mine.practiceId, randomUUID())).toBeNull();
    });
  });
  test('a practice is named by its id, whatever else is handed in', () =>
    expect(() => inPractice(`${mine.practiceId}'; drop table clients; --`, async () => 1)).toThrow('named by its id'));
});

describe('the role of the application', () => {
  test('is no superuser, owns nothing, passes by no policy', async () => {
    const [role] = await asOwner<Record<string, boolean>>(
      `select rolsuper, rolcreaterole, rolcreatedb, rolbypassrls, rolreplication from pg_roles where rolname = '${APP_ROLE}'`,
    );
    expect(Object.values(role!)).toEqual([false, false, false, false, false]);
    expect(await asOwner(`select relname from pg_class where relowner = '${APP_ROLE}'::regrole`)).toEqual([]);
    expect(await select('select current_user::text as name')).toEqual([{ name: APP_ROLE }]);
  });
  test.each([
    ['change the trail', "update audit set what = 'nothing'"],
    ['delete from it', 'delete from audit'],
    ['empty it', 'truncate audit'],
    ['switch off its trigger', 'alter table audit disable trigger audit_append_only'],
    ['switch off triggers for a session', 'set session_replication_role = replica'],
    ['drop a table', 'drop table clients'],
    ['empty a table', 'truncate clients'],
    ['take down a policy', 'alter table clients disable row level security'],
    ['pass by the policies', 'set row_security = off; select * from clients'],
    ['become the owner', 'set role velvet'],
    ['delete a client', 'delete from clients'],
    ['delete a practice', 'delete from practices'],
    ['rewrite what happened in a run', 'update run_events set at_ms = 0'],
    ['rewrite an override', "update overrides set reason = ''"],
    ['make a table', 'create table mine (id int)'],
  ])('may not %s', async (_what, sql) => {
    await expect(inPractice(mine.practiceId, () => database().query(sql))).rejects.toThrow(
      /permission denied|must be owner|query would be affected/,
    );
  });
});
