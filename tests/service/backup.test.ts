import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client as Connection } from 'pg';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { fromBufferPromise } from 'yauzl';
import { ZipFile as NewZip } from 'yazl';
import { buffer } from 'node:stream/consumers';
import { PEOPLE } from '../../demo/people.ts';
import { seedDemo } from '../../demo/seed.ts';
import { BackupError, makeBackup, type Manifest, restoreBackup } from '../../scripts/lib/backup.ts';
import { prepareDatabase } from '../../server/db/prepare.ts';
import { checkTrail } from '../../server/db/queries/audit.server.ts';
import { findClient, listClients } from '../../server/db/queries/clients.server.ts';
import { freshDatabase } from '../support/serving.ts';
import { closeDatabase, openFreshDatabase } from './database.ts';

const folder = mkdtempSync(join(tmpdir(), 'velvet-backups-'));
const file = join(folder, 'one.backup');
const emptyDatabase = (): Promise<string> => freshDatabase(inject('clusterUrl'));
const tablesOf = async (url: string): Promise<number> => {
  const connection = new Connection({ connectionString: url });
  await connection.connect();
  const { rows } = await connection.query(`select 1 from pg_tables where schemaname = 'public'`);
  await connection.end();
  return rows.length;
};

/** The parts of a backup, to be put together otherwise. */
async function partsOf(path: string): Promise<Map<string, Buffer>> {
  const zip = await fromBufferPromise(readFileSync(path), { lazyEntries: true });
  const parts = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry())
    parts.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  return parts;
}
async function put(name: string, parts: ReadonlyMap<string, Buffer>): Promise<string> {
  const zip = new NewZip();
  for (const [part, content] of parts) zip.addBuffer(content, part, { compress: false });
  zip.end();
  const path = join(folder, name);
  writeFileSync(path, await buffer(zip.outputStream));
  return path;
}
async function changed(name: string, change: (manifest: Manifest) => void): Promise<string> {
  const parts = await partsOf(file);
  const manifest = JSON.parse(parts.get('manifest.json')!.toString()) as Manifest;
  change(manifest);
  return put(name, parts.set('manifest.json', Buffer.from(JSON.stringify(manifest))));
}

let practiceId: string;
let manifest: Manifest;
beforeAll(async () => {
  await openFreshDatabase();
  ({ practiceId } = await seedDemo(new Date('2026-11-26T09:00:00Z')));
  manifest = await makeBackup(process.env.VELVET_OWNER_FOR_TESTS!, file);
}, 120_000);
afterAll(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

describe('a backup of the demo', () => {
  test('tells rows and a hash of every table, is for nobody else to read, and leaves nothing beside it', () => {
    const rows = (name: string) => manifest.tables.find((t) => t.name === name)!.rows;
    expect(rows('clients')).toBe(PEOPLE.length);
    for (const full of ['visits', 'readings', 'run_events', 'photos', 'audit', 'home_plans', 'consents'])
      expect(rows(full), full).toBeGreaterThan(0);
    expect(new Set(manifest.tables.filter((t) => t.rows > 0).map((t) => t.hash)).size).toBe(
      manifest.tables.filter((t) => t.rows > 0).length,
    );
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(readdirSync(folder)).toEqual(['one.backup']);
  });
  test('destroyed and restored it is the same: every hash, the people, the trail under its key', async () => {
    await closeDatabase();
    const url = await emptyDatabase();
    await restoreBackup(url, file);
    // The same again, out of what was restored: nothing was lost, nothing was added.
    const again = await makeBackup(url, join(folder, 'again.backup'));
    expect(again.tables).toEqual(manifest.tables);
    expect(again.migrations).toEqual(manifest.migrations);
    process.env.VELVET_DATABASE = (await prepareDatabase(url)).url;
    const { rows, total } = await listClients(practiceId, {
      find: '',
      sort: 'name',
      descending: false,
      page: 1,
      pageSize: 20,
    });
    expect(total).toBe(PEOPLE.length);
    expect((await findClient(practiceId, rows[0]!.id))!.complaints.length).toBeGreaterThan(0);
    let check = await checkTrail(practiceId, 0);
    while (!check.whole) check = await checkTrail(practiceId, check.upTo);
    expect(check.brokenAt).toBeNull();
    expect(check.headFits).toBe(true);
    expect(check.upTo).toBe(manifest.tables.find((t) => t.name === 'audit')!.rows);
  });
});

describe('what is refused, with nothing left behind', () => {
  const refused = async (path: string, words: RegExp, url?: string) => {
    const into = url ?? (await emptyDatabase());
    const before = await tablesOf(into);
    const error = await restoreBackup(into, path).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(BackupError);
    expect((error as Error).message).toMatch(words);
    expect(await tablesOf(into)).toBe(before);
  };
  test('a database that is not empty', () => refused(file, /not empty/, process.env.VELVET_OWNER_FOR_TESTS!));
  test('a newer version, by its number or by a step of the shape that is not known', async () => {
    await refused(await changed('newer.backup', (m) => (m.version = 2)), /newer version/);
    await refused(await changed('later.backup', (m) => m.migrations.push('9999-later.ts')), /newer version/);
  });
  test('a row more, and a hash that is another one', async () => {
    await refused(await changed('more.backup', (m) => m.tables.find((t) => t.name === 'clients')!.rows++), /clients/);
    await refused(
      await changed('other.backup', (m) => (m.tables.find((t) => t.name === 'readings')!.hash = '1 2')),
      /readings/,
    );
    await refused(
      await changed('lacks.backup', (m) => (m.tables = m.tables.filter((t) => t.name !== 'visits'))),
      /visits/,
    );
  });
  test('a dump that is cut off, a file that is no backup, and one that lacks a part', async () => {
    const parts = await partsOf(file);
    const dump = parts.get('database.dump')!;
    await refused(
      await put('cut.backup', new Map(parts).set('database.dump', dump.subarray(0, dump.length / 2))),
      /cannot be read/,
    );
    const noZip = join(folder, 'none.backup');
    writeFileSync(noZip, 'nothing of the kind');
    await refused(noZip, /no backup/);
    const half = join(folder, 'half.backup');
    writeFileSync(half, readFileSync(file).subarray(0, 20_000));
    await refused(half, /no backup/);
    await refused(await put('bare.backup', new Map([['manifest.json', parts.get('manifest.json')!]])), /no backup/);
    await refused(await put('words.backup', new Map(parts).set('manifest.json', Buffer.from('{}'))), /no backup/);
  });
});
