import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { database } from '../../server/db/connection.ts';
import { migrate } from '../../server/db/migrate.ts';
import { checkPassword, closeSession, createPractice, findSession, openSession } from '../../server/db/queries/accounts.server.ts';
import { ATTEMPTS, countFailure, forgetFailures, waitMinutes } from '../../server/db/queries/attempts.server.ts';
import { closeDatabase, openFreshDatabase, openPractice } from './database.ts';

beforeAll(openFreshDatabase);
afterAll(closeDatabase);
const query = async <T>(sql: string): Promise<T[]> => (await database().query(sql))[0] as T[];

describe('tables', () => {
  test('making them twice changes nothing', async () => expect(await migrate(database())).toEqual([]));
  test('every table of the work belongs to a practice', async () => {
    const rows = await query<{ table_name: string; has: boolean }>(
      `select t.table_name, exists (select 1 from information_schema.columns c where c.table_schema = 'public' and c.table_name = t.table_name and c.column_name = 'practice_id' and c.is_nullable = 'NO') as has
       from information_schema.tables t where t.table_schema = 'public'`,
    );
    const without = rows.filter((r) => !r.has).map((r) => r.table_name).sort();
    expect(without).toEqual(['migrations', 'practices', 'sign_in_attempts']);
  });
});

describe('accounts', () => {
  test('the password is kept as argon2id and opens the door', async () => {
    const made = await createPractice({ practice: 'A', timeZone: 'UTC', name: 'Rafe', email: 'Rafe@Harbour-Row.example', password: 'velvet-harbour' });
    expect(made).not.toBe('email-taken');
    const [row] = await query<{ password_hash: string; email: string }>(`select password_hash, email from practitioners where email = 'rafe@harbour-row.example'`);
    expect(row!.password_hash).toMatch(/^\$argon2id\$/);
    expect(await checkPassword('RAFE@harbour-row.example', 'velvet-harbour')).toEqual(made);
    expect(await checkPassword('rafe@harbour-row.example', 'velvet-harbor')).toBeNull();
    expect(await checkPassword('nobody@harbour-row.example', 'velvet-harbour')).toBeNull();
  });
  test('an address opens one practice only, and nothing is half-written', async () => {
    const before = (await query<{ n: number }>('select count(*)::int as n from practices'))[0]!.n;
    expect(await createPractice({ practice: 'B', timeZone: 'UTC', name: 'X', email: 'rafe@harbour-row.example', password: 'velvet-harbour' })).toBe('email-taken');
    expect((await query<{ n: number }>('select count(*)::int as n from practices'))[0]!.n).toBe(before);
  });
});

describe('sessions', () => {
  test('open, find, close; the token itself is not stored', async () => {
    const tenant = await openPractice('Quay Street');
    const { token } = await openSession(tenant);
    expect(await findSession(token)).toMatchObject({ ...tenant, practiceName: 'Quay Street', timeZone: 'Europe/Lisbon', role: 'owner' });
    expect(await query(`select 1 from sessions where token_hash = '${token}'`)).toEqual([]);
    await closeSession(token);
    expect(await findSession(token)).toBeNull();
  });
  test('one that has run out opens nothing', async () => {
    const { token } = await openSession(await openPractice());
    await database().query(`update sessions set expires_at = now() - interval '1 second'`);
    expect(await findSession(token)).toBeNull();
  });
  test('a token that never was', async () => expect(await findSession("' or 1=1 --")).toBeNull());
});

describe('wrong passwords', () => {
  test('after five the address waits, others do not, and a success forgets', async () => {
    for (let i = 0; i < ATTEMPTS.points; i++) {
      expect(await waitMinutes('a@x.example')).toBe(0);
      await countFailure('A@x.example');
    }
    expect(await waitMinutes('a@X.example')).toBeGreaterThan(0);
    expect(await waitMinutes('a@x.example')).toBeLessThanOrEqual(ATTEMPTS.minutes);
    expect(await waitMinutes('b@x.example')).toBe(0);
    await forgetFailures('a@x.example');
    expect(await waitMinutes('a@x.example')).toBe(0);
  });
});
