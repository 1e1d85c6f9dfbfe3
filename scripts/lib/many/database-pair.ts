import { mkdtempSync, chmodSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { postgresBin } from '../debian.ts';
import { asServer, initPostgres, ownFolder, type RunningPostgres, startPostgres } from '../postgres.ts';
import { freePort, inQuiet } from '../run.ts';

/** One of the two database servers. */
interface DatabaseServer {
  name: string;
  port: number;
  folder: string;
  running: RunningPostgres | null;
}

/**
 * A primary and its copy, which follows by streaming. A write is told as done when the copy has it on disk as well; so
 * nothing that was told is lost when the primary goes.
 */
export interface DatabasePair {
  primary: () => DatabaseServer;
  /** The copy; null while there is none that follows. */
  copy: () => DatabaseServer | null;
  servers: readonly DatabaseServer[];
  /**
   * The primary is gone in the middle of whatever it did, as with its machine. The copy takes its place by itself.
   * @returns ms until it had.
   */
  killPrimary: () => Promise<number>;
  /** The copy stands still, and goes on: what is written meanwhile waits for it. */
  freezeCopy: () => void;
  thawCopy: () => void;
  /** A new copy in the place of the server that is gone; writes wait for it from then on. */
  copyAnew: () => Promise<void>;
  stop: () => Promise<void>;
}

/** For a trial: nothing has to outlive the power, everything has to outlive the processes. */
const TRIAL = ['-c', 'fsync=off', '-c', 'full_page_writes=off'];
const SETTINGS = [
  ...['-c', 'wal_level=replica', '-c', 'max_wal_senders=4', '-c', 'hot_standby=on', '-c', 'synchronous_commit=on'],
  ...['-c', 'wal_keep_size=128MB', '-c', 'wal_receiver_status_interval=1s', '-c', 'max_connections=200'],
];
const OWNER = 'velvet';
const told = (error: unknown) => console.error((error as Error).message);
const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

export async function databasePair(): Promise<DatabasePair> {
  const bin = postgresBin();
  const root = mkdtempSync(join(tmpdir(), 'velvet-pair-'));
  chmodSync(root, 0o755);
  const servers: DatabaseServer[] = [];
  for (const name of ['one', 'two'])
    servers.push({ name, port: await freePort(), folder: join(root, name), running: null });
  let [primary, copy] = servers as [DatabaseServer, DatabaseServer | null];
  let stopping = false;
  let onPromoted: (ms: number) => void = () => {};

  const psql = async (server: DatabaseServer, sql: string): Promise<string> =>
    (
      await inQuiet(
        join(bin, 'psql'),
        ['-qtA', '-h', '127.0.0.1', '-p', String(server.port), '-U', OWNER, '-d', 'postgres', '-c', sql],
        { cwd: '/' },
      )
    ).trim();
  /** Whether a write waits until the copy has it. */
  const waitForCopy = async (does: boolean): Promise<void> => {
    await psql(primary, `alter system set synchronous_standby_names = '${does ? '*' : ''}'`);
    await psql(primary, 'select pg_reload_conf()');
  };

  const start = async (server: DatabaseServer): Promise<void> => {
    const running = await startPostgres(bin, server.folder, server.port, null, [...SETTINGS, ...TRIAL]);
    server.running = running;
    void running.ended().then(() => {
      server.running = null;
      if (stopping) return;
      if (server === primary) void promote(performance.now()).then(onPromoted, told);
      else if (server === copy) {
        // Alone is better than standing still; who looks after it is told, and makes a new copy.
        copy = null;
        console.log(`The copy ${server.name} is gone; ${primary.name} goes on alone`);
        waitForCopy(false).catch(told);
      }
    });
  };

  /** The copy becomes the primary. The one that is gone is never offered again: it comes back as a copy, made anew. */
  async function promote(sinceMs: number): Promise<number> {
    if (!copy) throw new Error('the primary is gone, and there is no copy');
    const next = copy;
    copy = null;
    await psql(next, 'select pg_promote(true, 30)');
    primary = next;
    const ms = performance.now() - sinceMs;
    console.log(`${next.name} is the primary now, after ${ms.toFixed(0)} ms`);
    return ms;
  }

  async function copyAnew(): Promise<void> {
    const server = servers.find((s) => s !== primary)!;
    if (server.running) throw new Error(`${server.name} still runs`);
    rmSync(server.folder, { recursive: true, force: true });
    ownFolder(server.folder);
    const [command, args] = asServer(join(bin, 'pg_basebackup'), [
      ...['-h', '127.0.0.1', '-p', String(primary.port), '-U', OWNER, '-D', server.folder],
      ...['-R', '-X', 'stream', '--checkpoint=fast', '--no-sync'],
    ]);
    await inQuiet(command, args, { cwd: '/' });
    await start(server);
    for (
      let i = 0;
      (await psql(primary, `select count(*) from pg_stat_replication where state = 'streaming'`)) !== '1';
      i++
    ) {
      if (i > 300) throw new Error('the copy does not follow');
      await sleep(100);
    }
    copy = server;
    await waitForCopy(true);
  }

  initPostgres(bin, primary.folder, ['--auth=trust', '--no-sync']);
  await start(primary);
  await copyAnew();
  return {
    primary: () => primary,
    copy: () => copy,
    servers,
    killPrimary: () =>
      new Promise((done) => {
        onPromoted = done;
        primary.running?.signal('SIGKILL');
      }),
    freezeCopy: () => copy?.running?.signal('SIGSTOP'),
    thawCopy: () => copy?.running?.signal('SIGCONT'),
    copyAnew,
    stop: async () => {
      stopping = true;
      // The one that follows first, or the other waits for it.
      for (const server of [copy, primary]) await server?.running?.stop();
      for (const server of servers) await server.running?.stop();
      rmSync(root, { recursive: true, force: true });
    },
  };
}
