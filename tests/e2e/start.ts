import { spawnSync } from 'node:child_process';
import { startStandIns } from '../../devices/stand-ins.ts';
import { throwAwayCluster } from '../../scripts/lib/postgres.ts';
import { serve } from '../../scripts/lib/server.ts';

/** One database and one server for the whole run; the demo practice is in it. */
export default async function start(): Promise<() => Promise<void>> {
  const cluster = await throwAwayCluster();
  // Three times as fast as a hand, so that a test need not wait for it.
  const standIns = await startStandIns({ gaugeSpeed: 3 });
  process.env.VELVET_TRAIL_KEY ??= 'a key that is only used by these tests';
  const served = await serve(cluster.url, {
    VELVET_DEVICES: standIns.setting,
    VELVET_NEW_PRACTICES_PER_HOUR: '100000',
  });
  const seeded = spawnSync(process.execPath, ['--import', 'tsx', 'tests/e2e/seed.ts'], {
    env: { ...process.env, DATABASE_URL: cluster.url },
    encoding: 'utf8',
  });
  if (seeded.status !== 0) throw new Error(seeded.stderr);
  process.env.VELVET_URL = served.url;
  return async () => {
    await served.stop();
    await standIns.close();
    await cluster.stop();
  };
}
