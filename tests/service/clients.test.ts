import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import {
  createClient,
  findClient,
  findClients,
  listClients,
  updateClient,
} from '../../server/db/queries/clients.server.ts';
import { addClient, addVisit, closeDatabase, openFreshDatabase, openPractice, type Tenant } from './database.ts';

let tenant: Tenant;
beforeAll(async () => {
  await openFreshDatabase();
  tenant = await openPractice();
});
afterAll(closeDatabase);
const page = (over: Partial<Parameters<typeof listClients>[1]> = {}) =>
  listClients(tenant.practiceId, { find: '', sort: 'name', descending: false, page: 1, pageSize: 10, ...over });
const inputOf = (c: Awaited<ReturnType<typeof addClient>>) => ({
  name: c.name,
  about: c.about,
  email: c.email,
  note: c.note,
  pressureCap: c.pressureCap,
  fingerWidthsMm: c.fingerWidthsMm,
  habitSides: c.habitSides,
  allergies: c.allergies,
  complaints: c.complaints,
});

describe('a client', () => {
  test('is stored with complaints in their order', async () => {
    const client = await addClient(tenant, 'Caspian Holt', {
      pressureCap: 'light',
      fingerWidthsMm: [16, 17, 16.5, 14],
      habitSides: { chewing: 'right' },
      allergies: ['nuts'],
    });
    expect(client).toMatchObject({
      name: 'Caspian Holt',
      pressureCap: 'light',
      fingerWidthsMm: [16, 17, 16.5, 14],
      habitSides: { chewing: 'right' },
      allergies: ['nuts'],
      version: 1,
    });
    expect(client.complaints.map((c) => c.kind)).toEqual(['jaw', 'headache']);
  });
  test('a change raises the version; a stale one is refused and changes nothing', async () => {
    const client = await addClient(tenant);
    expect(await updateClient(tenant, client.id, 1, { ...inputOf(client), note: 'first' })).toBe('saved');
    expect(await updateClient(tenant, client.id, 1, { ...inputOf(client), note: 'second' })).toBe('stale');
    expect(await findClient(tenant.practiceId, client.id)).toMatchObject({ note: 'first', version: 2 });
  });
  test('a complaint taken off the list is closed, not lost; a new one is added', async () => {
    const client = await addClient(tenant);
    const [jaw] = client.complaints;
    await updateClient(tenant, client.id, 1, {
      ...inputOf(client),
      complaints: [jaw!, { kind: 'stress', label: '', side: 'midline', onset: '', triggers: '', goal: '' }],
    });
    const after = (await findClient(tenant.practiceId, client.id))!;
    expect(after.complaints.map((c) => [c.kind, c.closed]).sort()).toEqual([
      ['headache', true],
      ['jaw', false],
      ['stress', false],
    ]);
    expect(after.complaints.find((c) => c.kind === 'jaw')!.id).toBe(jaw!.id);
  });
  test('hostile text is stored as it was typed', async () => {
    const name = `Robert'); drop table clients; -- <img src=x onerror=alert(1)>`;
    const client = await addClient(tenant, name);
    expect(client.name).toBe(name);
    expect((await page()).total).toBeGreaterThan(0);
  });
  test('unknown ids and no ids at all are simply not found', async () => {
    expect(await findClient(tenant.practiceId, '00000000-0000-4000-8000-000000000000')).toBeNull();
    expect(await findClient(tenant.practiceId, "1' or '1'='1")).toBeNull();
    expect(await updateClient(tenant, 'nonsense', 1, {} as never)).toBe('missing');
  });
});

describe('long lists', () => {
  let large: Tenant;
  beforeAll(async () => {
    large = await openPractice('Large');
    for (let i = 0; i < 37; i++)
      await createClient(large, {
        name: `Client ${String(i).padStart(2, '0')}`,
        about: i % 2 ? 'viola' : 'oboe',
        email: '',
        note: '',
        pressureCap: null,
        fingerWidthsMm: null,
        habitSides: {},
        allergies: [],
        complaints: [],
      });
  });
  const list = (over: Partial<Parameters<typeof listClients>[1]> = {}) =>
    listClients(large.practiceId, { find: '', sort: 'name', descending: false, page: 1, pageSize: 10, ...over });

  test('page by page, nobody twice and nobody left out', async () => {
    const seen: string[] = [];
    for (let p = 1; p <= 4; p++) seen.push(...(await list({ page: p })).rows.map((r) => r.name));
    expect(seen).toEqual(Array.from({ length: 37 }, (_, i) => `Client ${String(i).padStart(2, '0')}`));
    expect((await list({ page: 9 })).rows).toEqual([]);
  });
  test('sorted the other way', async () => expect((await list({ descending: true })).rows[0]!.name).toBe('Client 36'));
  test('found by name and by what tells them apart', async () => {
    expect((await list({ find: 'client 07' })).rows.map((r) => r.name)).toEqual(['Client 07']);
    expect((await list({ find: 'VIOLA' })).total).toBe(18);
  });
  test('wildcards are letters like any other', async () => {
    expect((await list({ find: '%' })).total).toBe(0);
    expect((await list({ find: '_' })).total).toBe(0);
  });
  test('by visits and by last visit; those never seen come last', async () => {
    const [first, second] = (await list()).rows;
    await addVisit(large, second!.id, new Date(Date.now() - 86_400_000));
    await addVisit(large, second!.id, new Date(Date.now() - 2 * 86_400_000));
    await addVisit(large, first!.id, new Date(Date.now() - 3 * 86_400_000));
    await addVisit(large, first!.id, new Date(Date.now() + 86_400_000));
    expect((await list({ sort: 'visits', descending: true })).rows.slice(0, 2).map((r) => [r.id, r.visits])).toEqual([
      [second!.id, 2],
      [first!.id, 1],
    ]);
    expect((await list({ sort: 'last', descending: true })).rows[0]!.id).toBe(second!.id);
    expect((await list({ sort: 'last' })).rows[0]!.id).toBe(first!.id);
  });
  test('the find box gives a few names', async () =>
    expect((await findClients(large.practiceId, 'client', 6)).length).toBe(6));
});
