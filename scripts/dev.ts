/** Development: private cluster with the demo practice, React Router's own server with reloading. */
import { join } from 'node:path';
import { seedDemo } from '../demo/seed.ts';
import { closeDatabase, database } from '../server/db/connection.ts';
import { migrate } from '../server/db/migrate.ts';
import { PracticeModel } from '../server/db/models/index.ts';
import { DATA, ROOT } from './lib/paths.ts';
import { privateCluster } from './lib/postgres.ts';
import { show } from './lib/run.ts';

const cluster = await privateCluster(join(DATA, 'demo'));
process.env.DATABASE_URL = cluster.url;
process.on('SIGINT', () => {});
try {
  await migrate(database());
  if (!(await PracticeModel.count())) await seedDemo(new Date());
  await closeDatabase();
  await show(process.execPath, [join(ROOT, 'node_modules', '@react-router', 'dev', 'bin.js'), 'dev', '--host', '127.0.0.1']);
} finally {
  await cluster.stop();
}
