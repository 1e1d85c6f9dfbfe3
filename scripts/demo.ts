/** Starts the application with the demo practice. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_SIGN_IN } from '../demo/sign-in.ts';
import { startStandIns } from '../devices/stand-ins.ts';
import { type Mailbox, startMailbox } from '../devices/mailbox.ts';
import type { listen as Listen } from '../server/http/listen.ts';
import { readPort, readSettings } from '../server/settings.ts';
import { ensureBuild } from './lib/build.ts';
import { command, databaseUrl, onEnd, options, Wrong } from './lib/command.ts';
import { postgresBin } from './lib/debian.ts';
import { holderOf } from './lib/folder-lock.ts';
import { DATA } from './lib/paths.ts';
import type { PrivateCluster } from './lib/postgres.ts';
import { freePort, isFree } from './lib/run.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

const HELP = `
npm run demo -- [--reset] [--empty] [--port N]

Starts PostgreSQL on loopback, builds the application and serves it with a made-up practice.
  --reset    makes the demo anew
  --empty    starts without any data
  --port N   serves on this port (4310 when it is free)
With DATABASE_URL set it uses that database and starts none. Ctrl-C stops everything; the data stays.`;

await command(async () => {
  const values = options(HELP, { reset: { type: 'boolean' }, empty: { type: 'boolean' }, port: { type: 'string' } });
  const wanted = readPort('--port', values.port, 4310);
  readSettings(process.env);
  const given = databaseUrl(process.env.DATABASE_URL);
  if (given && values.reset) throw new Wrong('--reset works on the private cluster only; DATABASE_URL is set');
  if (values.port !== undefined && !(await isFree(wanted)))
    throw new Wrong(`--port: port ${wanted} is taken; choose another`);
  // An empty practice and the demo are two clusters, so that neither can be mistaken for the other.
  const folder = join(DATA, values.empty ? 'empty' : 'demo');
  const running = given ? null : holderOf(folder);
  if (running)
    throw new Wrong(
      `Velvet Compass runs in this folder already${running.at ? `, at ${running.at}` : ''} (process ${running.pid}); stop that one first`,
    );

  // A word that is wrong is told before the database and the pages are loaded.
  const { closeDatabase } = await import('../server/db/connection.ts');
  let cluster: PrivateCluster | null = null;
  let standIns: Awaited<ReturnType<typeof startStandIns>> | null = null;
  let mailbox: Mailbox | null = null;
  let server: Awaited<ReturnType<typeof Listen>> | null = null;
  let ending = false;
  const close = async (code: number): Promise<never> => {
    server?.closeAllConnections();
    await new Promise<void>((done) => (server ? server.close(() => done()) : done()));
    await closeDatabase().catch(() => {});
    await standIns?.close();
    await mailbox?.close();
    await cluster?.stop();
    process.exit(code);
  };
  // From the first moment: whatever runs by then is stopped, in the order in which nothing is lost.
  onEnd(() => {
    ending = true;
    console.log('\nStopping …');
    void close(0);
  });
  /** A step that was under way when the end came is not followed by another one. */
  const unlessEnding = async (): Promise<void> => (ending ? new Promise<never>(() => {}) : undefined);

  try {
    if (!given) postgresBin();
    ensureBuild();
    await unlessEnding();
    if (values.reset) rmSync(folder, { recursive: true, force: true });
    ensureTrailKey(given ? DATA : folder);
    const { openDatabase } = await import('./lib/open-database.ts');
    cluster = await openDatabase({ given, folder, withDemo: !values.empty, started: (c) => (cluster = c) });
    await unlessEnding();
    const port = (await isFree(wanted)) ? wanted : await freePort();
    // Devices of one's own are named in the environment; without them stand-ins are there to be tried.
    if (!process.env.VELVET_DEVICES) {
      standIns = await startStandIns();
      process.env.VELVET_DEVICES = standIns.setting;
    }
    // The same for a mail server: the stand-in delivers nothing, it writes letters into a folder.
    const letters = join(folder, 'mail');
    if (!process.env.VELVET_MAIL) {
      mailbox = await startMailbox({ folder: letters });
      process.env.VELVET_MAIL = mailbox.address;
    }
    const { listen } = await import('../server/http/listen.ts');
    server = await listen(port);
    await unlessEnding();
    const at = `http://127.0.0.1:${port}`;
    cluster?.lock.note({ at });
    const signIn = values.empty
      ? 'no one yet: create a practice'
      : `${DEMO_SIGN_IN.email}, password ${DEMO_SIGN_IN.password}`;
    if (mailbox) console.log(`Reminders go to a stand-in that delivers nothing and writes into ${letters}`);
    console.log(`Velvet Compass runs at ${at}  (sign in: ${signIn})`);
  } catch (error) {
    if (ending) return;
    await closeDatabase().catch(() => {});
    await (standIns as Awaited<ReturnType<typeof startStandIns>> | null)?.close();
    await (mailbox as Mailbox | null)?.close();
    await (cluster as PrivateCluster | null)?.stop();
    throw error;
  }
});
