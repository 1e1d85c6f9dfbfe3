import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, chownSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { postgresBin } from './debian.ts';
import { freePort, quietly } from './run.ts';

/** A PostgreSQL cluster of our own, on loopback, stopped with the command that started it. */
export interface Cluster {
  url: string;
  stop: () => Promise<void>;
}
/** A throw-away one can also go away for a while, as a database in trouble does. */
export interface ThrowAwayCluster extends Cluster {
  suspend: () => Promise<void>;
  resume: () => Promise<void>;
}

const DATABASE = 'velvet';
/** PostgreSQL refuses to run as root: root hands it to Debian's unprivileged user. */
const isRoot = process.getuid?.() === 0;
const ids = (): { uid: number; gid: number } | null => (isRoot ? { uid: Number(quietly('id', ['-u', 'postgres'])), gid: Number(quietly('id', ['-g', 'postgres'])) } : null);
const asServer = (command: string, args: readonly string[]): [string, string[]] => (isRoot ? ['setpriv', ['--reuid', 'postgres', '--regid', 'postgres', '--init-groups', command, ...args]] : [command, [...args]]);

/** Throw-away clusters skip what protects data through a power cut. */
const THROW_AWAY = ['-c', 'fsync=off', '-c', 'synchronous_commit=off', '-c', 'full_page_writes=off'];

function ownFolder(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const owner = ids();
  if (owner) chownSync(folder, owner.uid, owner.gid);
}

async function start(bin: string, folder: string, port: number, password: string | null, extra: readonly string[]): Promise<Cluster> {
  // Sockets have short path limits; a folder under the system's temporary place always fits.
  const sockets = mkdtempSync(join(tmpdir(), 'velvet-pg-'));
  ownFolder(sockets);
  const [command, args] = asServer(join(bin, 'postgres'), ['-D', folder, '-k', sockets, '-h', '127.0.0.1', '-p', String(port), ...extra]);
  const log: string[] = [];
  // Detached: Ctrl-C must reach us first, so that the server is told to stop only after the last write.
  const server = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], cwd: '/', detached: true });
  const keep = (chunk: Buffer) => log.push(chunk.toString());
  server.stdout.on('data', keep);
  server.stderr.on('data', keep);
  const ended = new Promise<void>((done) => server.on('exit', () => done()));
  const url = `postgres://velvet${password ? `:${password}` : ''}@127.0.0.1:${port}`;
  for (let i = 0; ; i++) {
    if (server.exitCode !== null || i > 300) throw new Error(`PostgreSQL did not start:\n${log.join('')}`);
    if (spawnSync(join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)]).status === 0) break;
    await new Promise((r) => setTimeout(r, 100));
  }
  const psql = (sql: string) => quietly(join(bin, 'psql'), ['-qtA', '-h', '127.0.0.1', '-p', String(port), '-U', 'velvet', '-d', 'postgres', '-c', sql], { env: password ? { PGPASSWORD: password } : {}, cwd: '/' });
  if (!psql(`select 1 from pg_database where datname = '${DATABASE}'`).trim()) psql(`create database ${DATABASE}`);
  return {
    url: `${url}/${DATABASE}`,
    stop: async () => {
      if (server.exitCode === null) server.kill('SIGINT');
      await ended;
      rmSync(sockets, { recursive: true, force: true });
    },
  };
}

function init(bin: string, folder: string, extra: readonly string[]): void {
  ownFolder(folder);
  const [command, args] = asServer(join(bin, 'initdb'), ['-D', folder, '-U', 'velvet', '-E', 'UTF8', '--locale=C.UTF-8', ...extra]);
  quietly(command, args, { cwd: '/' });
}

/** The private cluster that keeps its data under `folder`, with a generated password in a file only its owner reads. */
export async function privateCluster(folder: string): Promise<Cluster> {
  const bin = postgresBin();
  const data = join(folder, 'postgres');
  const secret = join(folder, 'postgres-password');
  mkdirSync(folder, { recursive: true });
  if (!existsSync(join(data, 'PG_VERSION'))) {
    // A start that was cut off in the middle leaves half a cluster; nothing in it was ever acknowledged.
    rmSync(data, { recursive: true, force: true });
    console.log('Preparing a private PostgreSQL cluster …');
    const password = randomBytes(24).toString('base64url');
    writeFileSync(secret, password, { mode: 0o600 });
    const handed = join(mkdtempSync(join(tmpdir(), 'velvet-init-')), 'password');
    ownFolder(dirname(handed));
    writeFileSync(handed, password, { mode: 0o600 });
    const owner = ids();
    if (owner) chownSync(handed, owner.uid, owner.gid);
    try {
      init(bin, data, ['--auth=scram-sha-256', `--pwfile=${handed}`]);
    } finally {
      rmSync(dirname(handed), { recursive: true, force: true });
    }
  }
  chmodSync(secret, 0o600);
  return start(bin, data, await freePort(), readFileSync(secret, 'utf8'), []);
}

/** A cluster for one run of the tests, gone afterwards. */
export async function throwAwayCluster(): Promise<ThrowAwayCluster> {
  const bin = postgresBin();
  const folder = mkdtempSync(join(tmpdir(), 'velvet-test-'));
  chmodSync(folder, 0o755);
  const data = join(folder, 'data');
  init(bin, data, ['--auth=trust', '--no-sync']);
  const port = await freePort();
  let cluster: Cluster | null = await start(bin, data, port, null, THROW_AWAY);
  const suspend = async (): Promise<void> => {
    await cluster?.stop();
    cluster = null;
  };
  return {
    url: cluster.url,
    suspend,
    resume: async () => {
      cluster = await start(bin, data, port, null, THROW_AWAY);
    },
    stop: async () => {
      await suspend();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
