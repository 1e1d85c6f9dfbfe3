import { randomUUID } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, test } from 'vitest';
import { fromBufferPromise } from 'yauzl';
import { COPY_KINDS, type ClientCopy, limitedCopy } from '../../core/exchange/index.ts';
import { seedDemo } from '../../demo/seed.ts';
import { clientCopy, copyFile, keptFile } from '../../server/access/client-copy.server.ts';
import { checkTrail } from '../../server/db/queries/audit.server.ts';
import {
  COPIED_TABLES,
  eraseKept,
  keptRecords,
  letClientGo,
  NO_FACTS,
  openKept,
  wholeRecord,
} from '../../server/db/queries/client-record.server.ts';
import { findClient, listClients } from '../../server/db/queries/clients.server.ts';
import { giveConsent, withdrawConsent } from '../../server/db/queries/consents.server.ts';
import { makeLink, openLink } from '../../server/db/queries/links.server.ts';
import { inRequest } from '../../server/db/scope.ts';
import { asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

ownPractice();
let practiceId: string;
let who: Tenant & { practiceName: string; timeZone: string };
const idOf = async (name: string): Promise<string> =>
  (
    await asOwner<{ id: string }>('select id from clients where practice_id = :practiceId and name = :name', {
      practiceId,
      name,
    })
  )[0]!.id;

/** Tables of the database with a column of this name. */
const tablesWith = async (column: string): Promise<string[]> =>
  (
    await asOwner<{ name: string }>(
      `select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = :column where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition order by 1`,
      { column },
    )
  ).map((r) => r.name);
/** Every row of the database in which a text stands, by table. */
async function rowsWith(text: string): Promise<string[]> {
  const tables = await asOwner<{ name: string }>(
    `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and not relispartition`,
  );
  const found: string[] = [];
  for (const { name } of tables) {
    const [row] = await asOwner<{ n: number }>(`select count(*)::int as n from "${name}" t where t::text ilike :text`, {
      text: `%${text}%`,
    });
    if (row!.n) found.push(name);
  }
  return found.sort();
}
const filesIn = async (zip: Buffer): Promise<Map<string, Buffer>> => {
  const opened = await fromBufferPromise(zip, { lazyEntries: true });
  const files = new Map<string, Buffer>();
  for await (const entry of opened.eachEntry())
    files.set(entry.fileName, await buffer(await opened.openReadStreamPromise(entry)));
  return files;
};

beforeAll(async () => {
  ({ practiceId } = await seedDemo(new Date('2026-11-26T09:00:00Z')));
  const [imke] = await asOwner<{ id: string }>(
    `select id from practitioners where practice_id = :practiceId and role = 'owner'`,
    { practiceId },
  );
  who = { practiceId, practitionerId: imke!.id, practiceName: 'Harbour Row Face Studio', timeZone: 'Europe/Lisbon' };
}, 120_000);

describe('the whole record of a client', () => {
  test('every table that holds something of a client is in it, or known to hold no fact', async () => {
    const holding = new Set([
      ...(await tablesWith('client_id')),
      ...(await tablesWith('visit_id')),
      ...(await tablesWith('run_id')),
      ...(await tablesWith('complaint_id')),
      'clients',
    ]);
    expect([...holding].sort()).toEqual([...COPIED_TABLES, ...NO_FACTS].sort());
  });
  test('tells every row and every column but secrets, is as its schema says, and reads as a page', async () => {
    const id = await idOf('Noor Halvorsen');
    await makeLink(who, id);
    const copy = (await clientCopy(who, id, new Date()))!;
    for (const kind of [
      'visits',
      'readings',
      'runs',
      'run-events',
      'photos',
      'home-plans',
      'home-runs',
      'consents',
      'links',
    ] as const)
      expect(copy.kinds[kind].length, kind).toBeGreaterThan(0);
    const [{ n }] = (await asOwner<{ n: number }>('select count(*)::int as n from readings where client_id = :id', {
      id,
    })) as [{ n: number }];
    expect(copy.kinds.readings).toHaveLength(n);
    const schema = JSON.parse(readFileSync('docs/formats/client-copy.schema.json', 'utf8')) as object;
    const valid = new Ajv2020({ strict: true }).compile(schema);
    expect(valid(JSON.parse(JSON.stringify(copy))), JSON.stringify(valid.errors)).toBe(true);
    expect(valid({ ...copy, kinds: { ...copy.kinds, visits: undefined } })).toBe(false);
    const [link] = await asOwner<{ hash: string }>(
      'select token_hash as hash from client_links where client_id = :id',
      { id },
    );
    const text = JSON.stringify(copy);
    expect(text).not.toContain(link!.hash);
    expect(text).not.toContain(practiceId);
    const files = await filesIn(await buffer(await copyFile(who, copy)));
    expect([...files.keys()].filter((f) => f.startsWith('photos/'))).toHaveLength(copy.kinds.photos.length);
    expect(files.get(`photos/${String(copy.kinds.photos[0]!.id)}.jpg`)!.length).toBeGreaterThan(1000);
    const page = files.get('record.html')!.toString();
    for (const told of [
      'Noor Halvorsen',
      'Imke Dahl',
      'Visit 4',
      'A neck strain in the past year',
      'Opening, comfortable',
      'Plan 1, 2026-11-06 to 2026-12-03, 2 times a day',
      'Home plans',
    ])
      expect(page, told).toContain(told);
    // Nothing in it is fetched from anywhere, and nothing in it runs.
    expect(page).not.toMatch(/<script|src=|https?:\/\//);
  });
  test('what somebody typed stands in the page as text', async () => {
    const id = await idOf('Lena Marchetti');
    await asOwner(`update clients set note = '<img src=x onerror=alert(1)>' where id = :id`, { id });
    const files = await filesIn(await buffer(await copyFile(who, (await clientCopy(who, id, new Date()))!)));
    expect(files.get('record.html')!.toString()).toContain('&lt;img src=x onerror=alert(1)&gt;');
  });
  test('is nobody else’s', async () => {
    expect(await wholeRecord((await openPractice()).practiceId, await idOf('Noor Halvorsen'))).toBeNull();
    expect(await wholeRecord(practiceId, randomUUID())).toBeNull();
    expect(await wholeRecord(practiceId, 'no id')).toBeNull();
  });
});

describe('a client who is let go', () => {
  test('is nowhere any more, and the trail still fits and names nobody', async () => {
    const id = await idOf('Noor Halvorsen');
    const secret = (await makeLink(who, id))!;
    const visits = await asOwner<{ id: string }>('select id from visits where client_id = :id', { id });
    const others = (await listClients(practiceId, { find: '', sort: 'name', descending: false, page: 1, pageSize: 50 }))
      .total;
    expect(await letClientGo(await openPractice(), id, null)).toBe(false);
    expect(await findClient(practiceId, id)).not.toBeNull();
    expect(await letClientGo(who, id, null)).toBe(true);
    expect(await letClientGo(who, id, null)).toBe(false);
    expect(await rowsWith('Halvorsen')).toEqual([]);
    expect(await rowsWith('noor@post.example')).toEqual([]);
    // The trail tells what was done by number; whose number it was is known to nobody any more.
    expect((await rowsWith(id)).filter((t) => t !== 'audit')).toEqual([]);
    for (const v of visits)
      expect(
        (await rowsWith(v.id)).filter((t) => t !== 'audit'),
        v.id,
      ).toEqual([]);
    expect(await inRequest(() => openLink(secret, 'a-phone'))).toEqual({ refused: 'unknown' });
    expect(
      (await listClients(practiceId, { find: '', sort: 'name', descending: false, page: 1, pageSize: 50 })).total,
    ).toBe(others - 1);
    expect(
      (await listClients(practiceId, { find: 'Noor', sort: 'name', descending: false, page: 1, pageSize: 50 })).total,
    ).toBe(0);
    let check = await checkTrail(practiceId, 0);
    while (!check.whole) check = await checkTrail(practiceId, check.upTo);
    expect(check).toMatchObject({ brokenAt: null, headFits: true });
    const [last] = await asOwner<{ what: string; about: object }>(
      'select what, about from audit where practice_id = :practiceId order by seq desc limit 1',
      { practiceId },
    );
    expect(last).toEqual({ what: 'client-erased', about: {} });
  });
  test('with what must be kept: one closed file without address, picture or message, until it is erased', async () => {
    const id = await idOf('Odile Brandt');
    const copy = (await clientCopy(who, id, new Date()))!;
    const limited = limitedCopy(copy);
    for (const kind of COPY_KINDS) {
      const gone = /^(photos|links|reminders|said-before|run-events|body-measures|home-)/.test(kind);
      expect(limited.kinds[kind].length, kind).toBe(gone ? 0 : copy.kinds[kind].length);
    }
    expect(JSON.stringify(limited)).not.toContain('odile@post.example');
    const file = await keptFile(who, copy);
    expect(
      await letClientGo(who, id, {
        name: 'Odile Brandt',
        reason: 'Local code, seven years',
        until: '2033-11-26',
        file,
      }),
    ).toBe(true);
    expect(await findClient(practiceId, id)).toBeNull();
    expect(await rowsWith('Odile')).toEqual(['kept_records']);
    const [record] = await keptRecords(practiceId);
    expect(record).toMatchObject({ name: 'Odile Brandt', until: '2033-11-26', by: 'Imke Dahl' });
    const stranger = await openPractice();
    expect(await openKept(stranger, record!.id)).toBeNull();
    expect(await eraseKept(stranger, record!.id)).toBe(false);
    const files = await filesIn((await openKept(who, record!.id))!);
    const kept = JSON.parse(files.get('record.json')!.toString()) as ClientCopy;
    expect(kept.kinds.visits).toHaveLength(copy.kinds.visits.length);
    expect([...files.keys()]).toEqual(['record.json', 'record.fhir.json', 'record.html']);
    expect(await eraseKept(who, record!.id)).toBe(true);
    expect(await rowsWith('Odile')).toEqual([]);
  });
});

describe('a consent that is taken back takes along what it covered', () => {
  test('photos at once', async () => {
    const id = await idOf('Tobias Achterberg');
    await giveConsent(who, id, 'photo', 0);
    const [visit] = await asOwner<{ id: string }>('select id from visits where client_id = :id limit 1', { id });
    await asOwner(
      `insert into photos (id, practice_id, client_id, visit_id, phase, bytes, width_px, height_px, landmarks, version, taken_by, taken_at)
       values (gen_random_uuid(), :practiceId, :id, :visit, 'before', '\\x00', 1, 1, '{}', 1, :by, now())`,
      { practiceId, id, visit: visit!.id, by: who.practitionerId },
    );
    await withdrawConsent(who, id, 'work');
    expect(await asOwner('select 1 from photos where client_id = :id', { id })).toHaveLength(1);
    await withdrawConsent(who, id, 'photo');
    expect(await asOwner('select 1 from photos where client_id = :id', { id })).toEqual([]);
  });
  test('reminders that have not gone out', async () => {
    const id = await idOf('Wilma Okonjo');
    await giveConsent(who, id, 'reminders', 0);
    const letter = (about: string, sent: string) =>
      asOwner(
        `insert into reminders (practice_id, client_id, kind, about, due_on, address, subject, body, sent_at) values (:practiceId, :id, 'visit', :about, current_date, 'w@post.example', 's', 'b', ${sent})`,
        { practiceId, id, about },
      );
    await letter('one', 'null');
    await letter('two', 'now()');
    await withdrawConsent(who, id, 'reminders');
    expect(await asOwner('select about from reminders where client_id = :id', { id })).toEqual([{ about: 'two' }]);
  });
});
