import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { migrate } from '../../server/db/migrate.ts';
import {
  checkPassword,
  closeSession,
  createPractice,
  findSession,
  openSession,
} from '../../server/db/queries/accounts.server.ts';
import { LIMITS, signInWasRight, takeSignIn, takeTry } from '../../server/db/queries/attempts.server.ts';
import { asOwner, closeDatabase, openFreshDatabase, openPractice, owner } from './database.ts';

beforeAll(openFreshDatabase);
afterAll(closeDatabase);
const query = <T extends object>(sql: string): Promise<T[]> => asOwner<T>(sql);

describe('tables', () => {
  test('making them twice changes nothing', async () => expect(await migrate(owner())).toEqual([]));
  test('every table of the work belongs to a practice', async () => {
    const rows = await query<{ table_name: string; has: boolean }>(
      `select t.table_name, exists (select 1 from information_schema.columns c where c.table_schema = 'public' and c.table_name = t.table_name and c.column_name = 'practice_id' and c.is_nullable = 'NO') as has
       from information_schema.tables t where t.table_schema = 'public'`,
    );
    const without = rows
      .filter((r) => !r.has)
      .map((r) => r.table_name)
      .sort();
    expect(without).toEqual(['migrations', 'practices', 'sign_in_attempts']);
  });
});

describe('accounts', () => {
  test('the password is kept as argon2id and opens the door', async () => {
    const made = await createPractice({
      practice: 'A',
      timeZone: 'UTC',
      name: 'Rafe',
      email: 'Rafe@Harbour-Row.example',
      password: 'velvet-harbour',
    });
    expect(made).not.toBe('email-taken');
    const [row] = await query<{ password_hash: string; email: string }>(
      `select password_hash, email from practitioners where email = 'rafe@harbour-row.example'`,
    );
    expect(row!.password_hash).toMatch(/^\$argon2id\$/);
    expect(await checkPassword('RAFE@harbour-row.example', 'velvet-harbour')).toEqual(made);
    expect(await checkPassword('rafe@harbour-row.example', 'velvet-harbor')).toBe('wrong');
    expect(await checkPassword('nobody@harbour-row.example', 'velvet-harbour')).toBe('wrong');
  });
  test('an address opens one practice only, and nothing is half-written', async () => {
    const before = (await query<{ n: number }>('select count(*)::int as n from practices'))[0]!.n;
    expect(
      await createPractice({
        practice: 'B',
        timeZone: 'UTC',
        name: 'X',
        email: 'rafe@harbour-row.example',
        password: 'velvet-harbour',
      }),
    ).toBe('email-taken');
    expect((await query<{ n: number }>('select count(*)::int as n from practices'))[0]!.n).toBe(before);
  });
});

describe('sessions', () => {
  test('open, find, close; the token itself is not stored', async () => {
    const tenant = await openPractice('Quay Street');
    const { token } = await openSession(tenant);
    expect(await findSession(token)).toMatchObject({
      ...tenant,
      practiceName: 'Quay Street',
      timeZone: 'Europe/Lisbon',
      role: 'owner',
    });
    expect(await query(`select 1 from sessions where token_hash = '${token}'`)).toEqual([]);
    await closeSession(token);
    expect(await findSession(token)).toBeNull();
  });
  test('one that has run out opens nothing', async () => {
    const { token } = await openSession(await openPractice());
    await asOwner(`update sessions set expires_at = now() - interval '1 second'`);
    expect(await findSession(token)).toBeNull();
  });
  test('a token that never was', async () => expect(await findSession("' or 1=1 --")).toBeNull());
});

describe('a session', () => {
  test('lives from its last use', async () => {
    const { token } = await openSession(await openPractice());
    await asOwner(`update sessions set expires_at = now() + interval '2 hours'`);
    expect(await findSession(token)).not.toBeNull();
    const [row] = await asOwner<{ days: number }>(
      `select extract(epoch from max(expires_at) - now()) / 86400 as days from sessions`,
    );
    expect(Number(row!.days)).toBeGreaterThan(13.9);
  });
});

describe('wrong passwords', () => {
  test('after five from one address the account waits there, and a right one forgets', async () => {
    for (let i = 0; i < LIMITS.account.points; i++) expect(await takeSignIn('A@x.example', '10.0.0.1')).toBe(0);
    expect(await takeSignIn('a@X.example', '10.0.0.1')).toBeGreaterThan(0);
    expect(await takeSignIn('a@x.example', '10.0.0.1')).toBeLessThanOrEqual(LIMITS.account.minutes);
    await signInWasRight('a@x.example', '10.0.0.1');
    expect(await takeSignIn('a@x.example', '10.0.0.1')).toBe(0);
  });
  test('a stranger elsewhere cannot lock the owner out', async () => {
    for (let i = 0; i < 20; i++) await takeSignIn('owner@x.example', '10.0.0.2');
    expect(await takeSignIn('owner@x.example', '10.0.0.2')).toBeGreaterThan(0);
    expect(await takeSignIn('owner@x.example', '10.0.0.3')).toBe(0);
  });
  test('many accounts from one address are stopped', async () => {
    const waits = [];
    for (let i = 0; i < LIMITS.address.points + 1; i++)
      waits.push(await takeSignIn(`somebody${i}@x.example`, '10.0.0.4'));
    expect(waits.filter((w) => w === 0)).toHaveLength(LIMITS.address.points);
    expect(waits.at(-1)).toBeGreaterThan(0);
  });
  test('of forty at once no more get through than one after the other', async () => {
    const waits = await Promise.all(Array.from({ length: 40 }, () => takeSignIn('many@x.example', '10.0.0.5')));
    expect(waits.filter((w) => w === 0)).toHaveLength(LIMITS.account.points);
  });
  test('practices opened from one address are limited too', async () => {
    const waits = await Promise.all(
      Array.from({ length: LIMITS.practices.points + 5 }, () => takeTry('practices', '10.0.0.6')),
    );
    expect(waits.filter((w) => w === 0)).toHaveLength(LIMITS.practices.points);
  });
  test('who tried is not kept', async () =>
    expect(JSON.stringify(await query('select key from sign_in_attempts'))).not.toContain('x.example'));
});
