/**
 * A whole database as one file, and back: a ZIP with a manifest and PostgreSQL's own dump of the same moment. The
 * manifest tells rows and a hash of every table, so that what comes back is known to be what went in.
 */
import { spawn } from 'node:child_process';
import { createWriteStream, renameSync, rmSync } from 'node:fs';
import type { Readable } from 'node:stream';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Client } from 'pg';
import { object, number, string, array, ValidationError } from 'yup';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { ZipFile as NewZip } from 'yazl';
import { ensureAppRole } from '../../server/db/prepare.ts';
import { migrationNames } from '../../server/db/migrate.ts';
import { postgresBin } from './debian.ts';

const FORMAT = 'velvet-compass-backup';
const VERSION = 1;
const MANIFEST = 'manifest.json';
const DUMP = 'database.dump';
const LARGEST_MANIFEST_BYTES = 1_000_000;
const NONE = 'this is no backup of Velvet Compass';

/** A file that cannot be restored, or a place that it cannot be restored into. */
export class BackupError extends Error {}

interface TableSum {
  name: string;
  rows: number;
  /** Sum over all rows of both halves of the MD5 of a row as text: the same in whatever order the rows lie. */
  hash: string;
}
export interface Manifest {
  format: typeof FORMAT;
  version: number;
  /** ISO 8601. */
  madeAt: string;
  /** Steps of the shape that the database had. */
  migrations: string[];
  tables: TableSum[];
}
const manifestSchema = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().integer().required(),
  madeAt: string().required(),
  migrations: array(string().required()).required(),
  tables: array(
    object({ name: string().required(), rows: number().integer().required(), hash: string().required() }).noUnknown(),
  ).required(),
}).noUnknown();

/** How values are written as text must not depend on whoever asks. */
const AS_TEXT =
  "set datestyle = 'ISO, YMD'; set intervalstyle = 'iso_8601'; set timezone = 'UTC'; set extra_float_digits = 1; set bytea_output = 'hex'; set xmloption = 'content'";

/** Every table with its rows and their hash, as one moment sees them; one that lies in parts is summed as a whole. */
async function sumsOf(connection: Client): Promise<TableSum[]> {
  await connection.query(AS_TEXT);
  const { rows: tables } = await connection.query<{ name: string }>(
    `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and not relispartition order by relname`,
  );
  const sums: TableSum[] = [];
  for (const { name } of tables) {
    const half = (from: number) =>
      `coalesce(sum(('x' || substr(md5(t::text), ${from}, 16))::bit(64)::bigint::numeric), 0)::text`;
    const {
      rows: [sum],
    } = await connection.query<{ rows: string; a: string; b: string }>(
      `select count(*)::text as rows, ${half(1)} as a, ${half(17)} as b from public."${name}" t`,
    );
    sums.push({ name, rows: Number(sum!.rows), hash: `${sum!.a} ${sum!.b}` });
  }
  return sums;
}

/** One of PostgreSQL's programs; the address goes by the environment, where no list of processes shows it. */
function postgres(program: string, args: readonly string[], url: string) {
  const at = new URL(url);
  const env = {
    ...process.env,
    PGHOST: at.hostname,
    PGPORT: at.port || '5432',
    PGUSER: decodeURIComponent(at.username),
    PGPASSWORD: decodeURIComponent(at.password),
  };
  const child = spawn(join(postgresBin(), program), args, { env, stdio: ['pipe', 'pipe', 'pipe'] });
  let told = '';
  child.stderr.on('data', (part: Buffer) => (told = (told + part.toString()).slice(-2000)));
  const ended = new Promise<void>((done, failed) => {
    child.on('error', failed);
    child.on('close', (code) =>
      code === 0 ? done() : failed(new Error(`${program} ended with ${code}: ${told.trim().split('\n')[0]}`)),
    );
  });
  // Heard where it is waited for.
  ended.catch(() => {});
  return { child, ended };
}
const nameOf = (url: string): string => decodeURIComponent(new URL(url).pathname.slice(1));

async function connected<T>(url: string, work: (connection: Client) => Promise<T>): Promise<T> {
  const connection = new Client({ connectionString: url });
  await connection.connect();
  try {
    return await work(connection);
  } finally {
    await connection.end();
  }
}

/**
 * Writes everything that a database holds into a file, as it comes; a file of that name stands until the new one is
 * whole.
 * @param url As the owner of the database.
 */
export async function makeBackup(url: string, file: string): Promise<Manifest> {
  const part = `${file}.part`;
  const tidy = () => rmSync(part, { force: true });
  // Also where the command is ended in the middle.
  process.once('exit', tidy);
  try {
    return await connected(url, async (connection) => {
      // Sums and dump see the same moment, whatever is written meanwhile.
      await connection.query('begin isolation level repeatable read read only');
      const { rows } = await connection.query<{ id: string }>('select pg_export_snapshot() as id');
      const { rows: migrations } = await connection.query<{ name: string }>(
        'select name from migrations order by name',
      );
      const manifest: Manifest = {
        format: FORMAT,
        version: VERSION,
        madeAt: new Date().toISOString(),
        migrations: migrations.map((m) => m.name),
        tables: await sumsOf(connection),
      };
      const dump = postgres('pg_dump', ['-Fc', '--no-owner', `--snapshot=${rows[0]!.id}`, '-d', nameOf(url)], url);
      const zip = new NewZip();
      zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), MANIFEST);
      // The dump is packed already.
      zip.addReadStream(dump.child.stdout, DUMP, { compress: false });
      zip.end();
      // Health lies in it: nobody else of this machine reads it.
      await pipeline(zip.outputStream, createWriteStream(part, { mode: 0o600 }));
      // A dump that broke off ends as well: whether it is whole is what the program says.
      await dump.ended;
      await connection.query('rollback');
      renameSync(part, file);
      return manifest;
    });
  } finally {
    tidy();
    process.off('exit', tidy);
  }
}

/** What a file says of itself. @throws BackupError where it is none of ours, or of a newer version. */
function readManifest(text: string): Manifest {
  let manifest: Manifest;
  try {
    manifest = manifestSchema.validateSync(JSON.parse(text), { strict: true }) as Manifest;
  } catch (error) {
    if (!(error instanceof SyntaxError || error instanceof ValidationError)) throw error;
    throw new BackupError(NONE);
  }
  const known = new Set(migrationNames());
  if (manifest.version > VERSION || manifest.migrations.some((m) => !known.has(m)))
    throw new BackupError('this backup was made by a newer version; bring this one up to date first');
  return manifest;
}

/**
 * Brings a backup into an empty database: all of it, held against its manifest, or nothing.
 * @param url As the owner of the database.
 * @throws BackupError where the file or the database is not fit for it
 */
export async function restoreBackup(url: string, file: string): Promise<Manifest> {
  const zip = await openPromise(file, { lazyEntries: true, autoClose: false }).catch(() => {
    throw new BackupError(NONE);
  });
  try {
    const entries = new Map<string, Entry>();
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
    const [told, dump] = [entries.get(MANIFEST), entries.get(DUMP)];
    if (!told || !dump || told.uncompressedSize > LARGEST_MANIFEST_BYTES) throw new BackupError(NONE);
    const manifest = readManifest(await textOf(zip, told));
    await connected(url, async (connection) => {
      const { rows } = await connection.query(`select 1 from pg_tables where schemaname = 'public' limit 1`);
      if (rows.length) throw new BackupError('the database is not empty; a backup is restored into an empty one only');
    });
    await ensureAppRole(url);
    await bringIn(url, await zip.openReadStreamPromise(dump));
    const different = await connected(url, async (connection) => {
      const sums = new Map((await sumsOf(connection)).map((s) => [s.name, s]));
      const names = new Set([...sums.keys(), ...manifest.tables.map((t) => t.name)]);
      return [...names].filter((name) => {
        const [is, was] = [sums.get(name), manifest.tables.find((t) => t.name === name)];
        return is?.rows !== was?.rows || is?.hash !== was?.hash;
      });
    });
    if (different.length) {
      await connected(url, (c) => c.query('drop schema public cascade; create schema public'));
      throw new BackupError(
        `what came back is not what the manifest tells (${different.slice(0, 5).join(', ')}); it was taken out again`,
      );
    }
    return manifest;
  } finally {
    zip.close();
  }
}

/** All of a dump, or nothing of it. @throws BackupError */
async function bringIn(url: string, dump: Readable): Promise<void> {
  const args = ['--no-owner', '--exit-on-error', '--single-transaction', '-d', nameOf(url)];
  const restore = postgres('pg_restore', args, url);
  try {
    // Where it ends early the program says why; that what is written to it is not read any more says nothing.
    const [written] = await Promise.allSettled([pipeline(dump, restore.child.stdin)]);
    await restore.ended;
    if (written.status === 'rejected') throw written.reason;
  } catch (error) {
    throw new BackupError(`the dump in it cannot be read: ${(error as Error).message}`);
  }
}

async function textOf(zip: ZipFile, entry: Entry): Promise<string> {
  const parts: Buffer[] = [];
  for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
  return Buffer.concat(parts).toString('utf8');
}
