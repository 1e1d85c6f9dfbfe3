/** Starts the application with the demo practice: `npm run demo -- [--reset] [--empty] [--port N]`. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { DEMO_SIGN_IN, seedDemo } from '../demo/seed.ts';
import { startAlgometer } from '../devices/algometer.ts';
import { closeDatabase, database } from '../server/db/connection.ts';
import { migrate } from '../server/db/migrate.ts';
import { PracticeModel } from '../server/db/models/index.ts';
import { listen } from '../server/http/listen.ts';
import { ensureBuild } from './lib/build.ts';
import { DATA } from './lib/paths.ts';
import { privateCluster, type Cluster } from './lib/postgres.ts';
import { freePort, isFree } from './lib/run.ts';

const { values } = parseArgs({ options: { reset: { type: 'boolean' }, empty: { type: 'boolean' }, port: { type: 'string' } } });
const wanted = values.port === undefined ? 4310 : Number(values.port);
if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535) {
  console.error('--port: a whole number from 1 to 65535 is accepted');
  process.exit(2);
}
const given = process.env.DATABASE_URL;
let cluster: Cluster | null = null;
let gauge: Awaited<ReturnType<typeof startAlgometer>> | null = null;

async function close(code: number): Promise<never> {
  await closeDatabase().catch(() => {});
  await gauge?.close();
  await cluster?.stop();
  process.exit(code);
}

try {
  ensureBuild();
  if (!given) {
    // An empty practice and the demo are two clusters, so that neither can be mistaken for the other.
    const folder = join(DATA, values.empty ? 'empty' : 'demo');
    if (values.reset) rmSync(folder, { recursive: true, force: true });
    console.log('Starting PostgreSQL …');
    cluster = await privateCluster(folder);
    process.env.DATABASE_URL = cluster.url;
  } else if (values.reset) {
    throw new Error('--reset works on the private cluster only; DATABASE_URL is set');
  }
  const done = await migrate(database());
  if (done.length) console.log(`Tables made: ${done.join(', ')}`);
  if (!values.empty && !(await PracticeModel.count())) {
    console.log('Making the demo practice …');
    await seedDemo(new Date());
  }
  let port = wanted;
  if (!(await isFree(port))) {
    if (values.port !== undefined) throw new Error(`port ${port} is taken; choose another with --port`);
    port = await freePort();
  }
  // A gauge of one's own is named in the environment; without one the stand-in is there to be tried.
  if (!process.env.VELVET_GAUGE) {
    gauge = await startAlgometer();
    process.env.VELVET_GAUGE = gauge.address;
  }
  const server = await listen(port);
  const signIn = values.empty ? 'no one yet: create a practice' : `${DEMO_SIGN_IN.email}, password ${DEMO_SIGN_IN.password}`;
  console.log(`Velvet Compass runs at http://127.0.0.1:${port}  (sign in: ${signIn})`);
  let closing = false;
  const stop = (): void => {
    if (closing) return;
    closing = true;
    console.log('\nStopping …');
    server.closeAllConnections();
    server.close(() => void close(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
} catch (error) {
  console.error((error as Error).message);
  await close(1);
}
