import { spawnSync } from 'node:child_process';
import { throwAwayCluster } from '../../scripts/lib/postgres.ts';
import { serve } from '../../scripts/lib/server.ts';

/** One database and one server for the whole run; the demo practice is in it. */
export default async function start(): Promise<() => Promise<void>> {
  const cluster = await throwAwayCluster();
  const served = await serve(cluster.url);
  const seeded = spawnSync(process.execPath, ['--import', 'tsx', 'tests/e2e/seed.ts'], { env: { ...process.env, DATABASE_URL: cluster.url }, encoding: 'utf8' });
  if (seeded.status !== 0) throw new Error(seeded.stderr);
  process.env.VELVET_URL = served.url;
  return async () => {
    await served.stop();
    await cluster.stop();
  };
}
