import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { postgresBin } from './debian.ts';
import { takeFolder, type FolderLock } from './folder-lock.ts';
import { freePort, quietly } from './run.ts';

/** A PostgreSQL cluster of our own, on loopback, stopped with the command that started it. */
interface Cluster {
  /** As its owner. */
  url: string;
  stop: () => Promise<void>;
}
/** The one that keeps data, with the folder that is ours while it runs. */
export interface PrivateCluster extends Cluster {
  lock: FolderLock;
}
/** A throw-away one can also go away for a while, or stand still, as a database in trouble does. */
export interface ThrowAwayCluster extends Cluster {
  suspend: () => Promise<void>;
  resume: () => Promise<void>;
  freeze: () => void;
  thaw: () => void;
}

const DATABASE = 'velvet';
/** PostgreSQL refuses to run as root: root hands it to Debian's unprivileged user. */
const isRoot = process.getuid?.() === 0;
const ids = (): { uid: number; gid: number } | null =>
  isRoot ? { uid: Number(quietly('id', ['-u', 'postgres'])), gid: Number(quietly('id', ['-g', 'postgres'])) } : null;
/** A command as the user that the database's folders belong to. */
export const asServer = (command: string, args: readonly string[]): [string, string[]] =>
  isRoot
    ? ['setpriv', ['--reuid', 'postgres', '--regid', 'postgres', '--init-groups', command, ...args]]
    : [command, [...args]];

/** Throw-away clusters skip what protects data through a power cut. */
const THROW_AWAY = ['-c', 'fsync=off', '-c', 'synchronous_commit=off', '-c', 'full_page_writes=off'];

/** A folder that only the database's user looks into. */
export function ownFolder(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const owner = ids();
  if (owner) chownSync(folder, owner.uid, owner.gid);
}

const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));
const isAlive = (pid: number): boolean => existsSync(`/proc/${pid}`);

/**
 * A server that a killed command left behind would keep its data folder from us: it is told to stop, and waited for. A
 * note of one that is gone, whose number another program has by now, is taken away.
 */
async function endLeftBehind(folder: string): Promise<void> {
  const note = join(folder, 'postmaster.pid');
  if (!existsSync(note)) return;
  const pid = Number(readFileSync(note, 'utf8').split('\n')[0]);
  const isOurs = (): boolean => {
    try {
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').includes(folder);
    } catch {
      return false;
    }
  };
  if (isOurs()) {
    console.log('PostgreSQL was left running by an earlier start; stopping it first …');
    for (const [signal, seconds] of [
      ['SIGINT', 20],
      ['SIGQUIT', 5],
      ['SIGKILL', 5],
    ] as const) {
      process.kill(pid, signal);
      for (let i = 0; i < seconds * 10 && isOurs(); i++) await sleep(100);
      if (!isOurs()) return;
    }
  } else if (pid > 0 && isAlive(pid)) rmSync(note, { force: true });
}

/** What a server that was killed leaves for a moment: its children, or its memory. */
const CLEARING = /pre-existing shared memory block|lock file ".*" already exists/;

/** A server that runs. */
export interface RunningPostgres extends Cluster {
  /** Its own and those of its children. */
  pids: () => number[];
  /** To all of them at once; one that has just ended by itself needs none. */
  signal: (signal: NodeJS.Signals) => void;
  /** Settles when it has ended, whoever ended it. */
  ended: () => Promise<void>;
}

/** Starts a server on a folder that was made before, on loopback. */
export async function startPostgres(
  bin: string,
  folder: string,
  port: number,
  password: string | null,
  extra: readonly string[],
  restarts = false,
): Promise<RunningPostgres> {
  // Sockets have short path limits; a folder under the system's temporary place always fits.
  const sockets = mkdtempSync(join(tmpdir(), 'velvet-pg-'));
  ownFolder(sockets);
  const [command, args] = asServer(join(bin, 'postgres'), [
    '-D',
    folder,
    '-k',
    sockets,
    '-h',
    '127.0.0.1',
    '-p',
    String(port),
    ...extra,
  ]);
  const tools = { env: password ? { PGPASSWORD: password } : {}, cwd: '/' };
  let stopping = false;
  let server: ChildProcess;
  let ended: Promise<void> = Promise.resolve();
  const launch = async (tries: number): Promise<void> => {
    const log: string[] = [];
    // Detached: Ctrl-C must reach us first, so that the server is told to stop only after the last write.
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], cwd: '/', detached: true });
    server = child;
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => {
        log.push(chunk.toString());
        if (log.length > 50) log.shift();
      });
    ended = new Promise<void>((done) => child.on('exit', () => done()));
    for (let i = 0; ; i++) {
      if (child.exitCode !== null || child.signalCode !== null || i > 300) {
        const told = log.join('');
        if (stopping) return;
        if (tries > 0 && CLEARING.test(told)) {
          await sleep(1500);
          return launch(tries - 1);
        }
        throw new Error(`PostgreSQL did not start:\n${told}`);
      }
      if (spawnSync(join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)]).status === 0) break;
      await sleep(100);
    }
    if (restarts)
      child.on('exit', () => {
        if (stopping) return;
        console.log('PostgreSQL ended by itself; starting it again …');
        void sleep(500)
          .then(() => launch(5))
          .catch((error: Error) => console.error(error.message));
      });
  };
  await launch(5);
  const psql = (sql: string) =>
    quietly(
      join(bin, 'psql'),
      ['-qtA', '-h', '127.0.0.1', '-p', String(port), '-U', 'velvet', '-d', 'postgres', '-c', sql],
      tools,
    );
  if (!psql(`select 1 from pg_database where datname = '${DATABASE}'`).trim()) psql(`create database ${DATABASE}`);
  const pids = (): number[] => [
    server.pid!,
    ...spawnSync('pgrep', ['-P', String(server.pid)], { encoding: 'utf8' })
      .stdout.split('\n')
      .filter(Boolean)
      .map(Number),
  ];
  return {
    url: `postgres://velvet${password ? `:${password}` : ''}@127.0.0.1:${port}/${DATABASE}`,
    pids,
    signal: (signal) => {
      for (const pid of pids())
        try {
          process.kill(pid, signal);
        } catch (error) {
          if ((error as NodeJS.ErrnoException).code !== 'ESRCH') throw error;
        }
    },
    ended: () => ended,
    stop: async () => {
      stopping = true;
      if (server.exitCode === null && server.signalCode === null) server.kill('SIGINT');
      await ended;
      rmSync(sockets, { recursive: true, force: true });
    },
  };
}

/** Makes the folder of a server. */
export function initPostgres(bin: string, folder: string, extra: readonly string[]): void {
  ownFolder(folder);
  const [command, args] = asServer(join(bin, 'initdb'), [
    '-D',
    folder,
    '-U',
    'velvet',
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
    ...extra,
  ]);
  quietly(command, args, { cwd: '/' });
}

/** The private cluster that keeps its data under `folder`, with a generated password in a file only its owner reads. */
export async function privateCluster(folder: string): Promise<PrivateCluster> {
  const bin = postgresBin();
  const data = join(folder, 'postgres');
  const secret = join(folder, 'postgres-password');
  mkdirSync(folder, { recursive: true });
  const lock = takeFolder(folder);
  try {
    if (!existsSync(data)) initWhole(bin, data, secret);
    else await endLeftBehind(data);
    chmodSync(secret, 0o600);
    const port = await freePort();
    const cluster = await startPostgres(bin, data, port, readFileSync(secret, 'utf8'), [], true);
    lock.note({ databasePort: port });
    return {
      ...cluster,
      lock,
      stop: async () => {
        await cluster.stop();
        lock.release();
      },
    };
  } catch (error) {
    lock.release();
    throw error;
  }
}

/** Makes a cluster beside its place and moves it there when it is whole: one cut off in the middle is never taken for one. */
function initWhole(bin: string, data: string, secret: string): void {
  console.log('Preparing a private PostgreSQL cluster …');
  const begun = `${data}.new`;
  rmSync(begun, { recursive: true, force: true });
  const password = randomBytes(24).toString('base64url');
  writeFileSync(secret, password, { mode: 0o600 });
  const handed = join(mkdtempSync(join(tmpdir(), 'velvet-init-')), 'password');
  ownFolder(dirname(handed));
  writeFileSync(handed, password, { mode: 0o600 });
  const owner = ids();
  if (owner) chownSync(handed, owner.uid, owner.gid);
  try {
    initPostgres(bin, begun, ['--auth=scram-sha-256', `--pwfile=${handed}`]);
    renameSync(begun, data);
  } finally {
    rmSync(dirname(handed), { recursive: true, force: true });
  }
}

/** A cluster for one run of the tests, gone afterwards. */
export async function throwAwayCluster(): Promise<ThrowAwayCluster> {
  const bin = postgresBin();
  const folder = mkdtempSync(join(tmpdir(), 'velvet-test-'));
  chmodSync(folder, 0o755);
  const data = join(folder, 'data');
  initPostgres(bin, data, ['--auth=trust', '--no-sync']);
  const port = await freePort();
  let cluster: RunningPostgres | null = await startPostgres(bin, data, port, null, THROW_AWAY);
  const suspend = async (): Promise<void> => {
    await cluster?.stop();
    cluster = null;
  };
  const toAll = (signal: NodeJS.Signals) => cluster?.signal(signal);
  return {
    url: cluster.url,
    suspend,
    resume: async () => {
      cluster = await startPostgres(bin, data, port, null, THROW_AWAY);
    },
    freeze: () => toAll('SIGSTOP'),
    thaw: () => toAll('SIGCONT'),
    stop: async () => {
      toAll('SIGCONT');
      await suspend();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
