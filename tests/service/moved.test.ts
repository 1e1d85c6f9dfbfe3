import { v5 } from 'uuid';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import { DEMO_SIGN_IN } from '../../demo/sign-in.ts';
import { seedDemo } from '../../demo/seed.ts';
import type { Served } from '../../scripts/lib/server.ts';
import type { Brought } from '../../server/access/brought.ts';
import { freshDatabase, SHAPE, serveForTests, Visitor } from '../support/serving.ts';
import { asOwner, closeDatabase, openFreshDatabase } from './database.ts';

/**
 * The demo practice leaves one installation as a file and comes into another one that begins empty: every page there
 * shows the same.
 */
const PIECE = 900_000;
let [from, to]: Served[] = [];
let [there, here]: Visitor[] = [];
let practiceId: string;

beforeAll(async () => {
  await openFreshDatabase();
  ({ practiceId } = await seedDemo(new Date()));
  from = await serveForTests(process.env.VELVET_OWNER_FOR_TESTS!);
  to = await serveForTests(await freshDatabase(inject('clusterUrl'), SHAPE));
  there = new Visitor(from.url);
  await there.form('/sign-in', { ...DEMO_SIGN_IN, to: '/today' });
  here = new Visitor(to.url);
  await here.form('/new-practice', {
    practice: 'New rooms',
    timeZone: 'Europe/Madrid',
    name: 'Imke Dahl',
    email: DEMO_SIGN_IN.email,
    password: DEMO_SIGN_IN.password,
  });
}, 180_000);
afterAll(async () => {
  await from?.stop();
  await to?.stop();
  await closeDatabase();
});

const archiveOf = async (visitor: Visitor): Promise<Buffer> =>
  Buffer.from(await (await visitor.send('/practice/archive')).arrayBuffer());
/** Sends a file as the page does. */
async function sent(visitor: Visitor, name: string, kind: string, bytes: Buffer): Promise<string> {
  const { id } = (await (await visitor.json('/practice/in/file', { name, kind, bytes: bytes.length })).json()) as {
    id: string;
  };
  for (let n = 0; n * PIECE < bytes.length; n++) {
    const kept = await visitor.send(`/practice/in/${id}/part/${n}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: new Uint8Array(bytes.subarray(n * PIECE, (n + 1) * PIECE)),
    });
    expect(kept.status).toBe(200);
  }
  return id;
}
type Told = { done?: number; of?: number; brought?: Brought; failed?: { field: string; message: string } };
const worked = async (visitor: Visitor, id: string, ask: object): Promise<Told[]> =>
  (await (await visitor.json(`/practice/in/${id}/work`, ask)).text())
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Told);

/** What somebody sees: no scripts, no ids. */
const seen = (html: string): string =>
  html
    .replace(/<script[^]*?<\/script>/g, '')
    .replace(/<!--[^]*?-->/g, '')
    .replace(/ nonce="[^"]*"/g, '')
    .replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, 'ID')
    .replaceAll(from!.url, 'HOST')
    .replaceAll(to!.url, 'HOST');
const page = async (visitor: Visitor, path: string) => {
  const answer = await visitor.send(path);
  return { status: answer.status, html: seen(await answer.text()) };
};

test('taken out, brought in: every page shows the same', async () => {
  const file = await archiveOf(there!);
  const id = await sent(here!, 'practice.zip', 'archive', file);
  const looked = await worked(here!, id, { keeps: false, what: 'archive' });
  expect(looked.at(-1)!.brought!.refusals).toEqual([]);
  // How far it has come is told on the way.
  expect(looked.filter((l) => l.done !== undefined).length).toBeGreaterThan(10);
  const kept = await worked(here!, id, { keeps: true, what: 'archive' });
  expect(kept.at(-1)!.brought).toEqual(looked.at(-1)!.brought);
  // What was kept does not lie there any longer.
  expect((await here!.json(`/practice/in/${id}/work`, { keeps: true, what: 'archive' })).status).toBe(404);

  // Whoever came along has no access until the owner gives it.
  const [before, after] = (await (await here!.send('/practice/colleagues')).text()).split(
    'Give access back: Rafe Oyelaran',
  );
  expect(after).toBeDefined();
  const rafe = before!.match(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g)!.at(-1)!;
  await here!.form('/practice/colleagues', { do: 'change', id: rafe, what: 'return' });

  const { fromBufferPromise } = await import('yauzl');
  const { text } = await import('node:stream/consumers');
  const zip = await fromBufferPromise(await archiveOf(here!), { lazyEntries: true });
  let own = '';
  for await (const entry of zip.eachEntry())
    if (entry.fileName === 'manifest.json')
      own = (JSON.parse(await text(await zip.openReadStreamPromise(entry))) as { practice_id: string }).practice_id;
  expect(own).not.toBe(practiceId);

  const rows = (sql: string) => asOwner<{ id: string }>(sql, { practiceId }).then((r) => r.map((x) => x.id));
  const clients = await rows('select id from clients where practice_id = :practiceId');
  const visits = await rows('select id from visits where practice_id = :practiceId');
  const templates = await rows('select id from templates where practice_id = :practiceId');
  const paths: [string, string?][] = [
    ...[
      '/today',
      '/clients',
      '/clients?sort=last',
      '/routines',
      '/practice',
      '/practice/techniques',
      '/practice/school',
    ],
    ...['/practice/texts', '/practice/products', '/practice/across', '/practice/kept', '/atlas', '/atlas/find-it'],
  ].map((p): [string] => [p]);
  for (const c of clients)
    for (const of of ['', '/visits', '/relief', '/details', '/home-plan', '/measure'])
      paths.push([`/clients/ID${of}`, c]);
  for (const v of visits)
    for (const of of ['screen', 'assess', 'compose', 'record']) paths.push([`/visits/ID/${of}`, v]);
  for (const t of templates) paths.push(['/routines/ID', t]);
  const different: string[] = [];
  for (const [path, of] of paths) {
    const both = () =>
      Promise.all([page(there!, path.replace('ID', of ?? '')), page(here!, path.replace('ID', of ? v5(of, own) : ''))]);
    let [a, b] = await both();
    // A minute may have gone by between the two.
    if (a.html !== b.html) [a, b] = await both();
    if (a.status !== b.status || a.html !== b.html) {
      let at = 0;
      while (at < a.html.length && a.html[at] === b.html[at]) at++;
      different.push(
        `${path} ${of ?? ''} ${a.status} ${b.status}\n  ${a.html.slice(at - 60, at + 80)}\n  ${b.html.slice(at - 60, at + 80)}`,
      );
    }
  }
  expect(different.slice(0, 10)).toEqual([]);
  expect(paths.length).toBeGreaterThan(200);
}, 240_000);

test('asked for headers alone, an archive is not begun: pages are answered as before', async () => {
  // More than there are connections to the database.
  const heads = await Promise.all(
    Array.from({ length: 15 }, () => there!.send('/practice/archive', { method: 'HEAD' })),
  );
  expect(new Set(heads.map((h) => h.status))).toEqual(new Set([200]));
  expect((await there!.send('/today')).status).toBe(200);
  // One who stops taking in the middle leaves nothing behind either.
  for (let i = 0; i < 12; i++) {
    const reader = (await there!.send('/practice/archive')).body!.getReader();
    await reader.read();
    await reader.cancel();
  }
  expect((await there!.send('/today')).status).toBe(200);
});

test('only the owner brings in and takes out; a file of another is nobody’s; pieces that do not belong are refused', async () => {
  const stranger = new Visitor(to!.url);
  await stranger.openPractice();
  const id = await sent(here!, 'x.csv', 'table', Buffer.from('a,b\n'));
  const ask = { keeps: false, what: 'readings', columns: [] };
  expect((await stranger.json(`/practice/in/${id}/work`, ask)).status).toBe(404);
  const piece = (visitor: Visitor, n: number, bytes: string) =>
    visitor
      .send(`/practice/in/${id}/part/${n}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/octet-stream' },
        body: bytes,
      })
      .then((r) => r.status);
  expect(await piece(stranger, 0, 'a,b\n')).toBe(422);
  expect(await piece(here!, 0, 'a,b')).toBe(422);
  expect(await piece(here!, 1, 'a,b\n')).toBe(422);
  expect((await here!.json(`/practice/in/${id}/work`, { ...ask, what: 'archive' })).status).toBe(422);
  // A file of which a piece never came.
  const { id: half } = (await (
    await here!.json('/practice/in/file', { name: 'x.csv', kind: 'table', bytes: 10 })
  ).json()) as { id: string };
  expect((await worked(here!, half, ask)).at(-1)!.failed).toMatchObject({ field: 'file' });
  const latin = await sent(here!, 'x.csv', 'table', Buffer.from([0x6e, 0xe4, 0x0a]));
  expect((await worked(here!, latin, ask)).at(-1)!.failed!.message).toContain('UTF-8');
  for (const [name, bytes] of [
    ['x.csv', 0],
    ['', 4],
    ['x.csv', 3e9],
  ])
    expect((await here!.json('/practice/in/file', { name, kind: 'table', bytes })).status).toBe(422);
});
