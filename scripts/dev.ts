/** Development: private cluster with the demo practice, React Router's own server with reloading. */
import { join } from 'node:path';
import { DEMO_SIGN_IN } from '../demo/sign-in.ts';
import { readPort } from '../server/settings.ts';
import { command, onEnd, options } from './lib/command.ts';
import { DATA, ROOT } from './lib/paths.ts';
import type { PrivateCluster } from './lib/postgres.ts';
import { show } from './lib/run.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

await command(async () => {
  const values = options('npm run dev -- [--port N]\n\nServes the demo practice and reloads what is changed.', {
    port: { type: 'string' },
  });
  const port = readPort('--port', values.port, 5173);
  let cluster: PrivateCluster | null = null;
  // The server below ends with the same signal; what comes after it stops the cluster.
  onEnd(() => {});
  const folder = join(DATA, 'demo');
  ensureTrailKey(folder);
  const { openDatabase } = await import('./lib/open-database.ts');
  const { closeDatabase } = await import('../server/db/connection.ts');
  try {
    cluster = await openDatabase({ given: null, folder, withDemo: true, started: (c) => (cluster = c) });
    await closeDatabase();
    const at = `http://127.0.0.1:${port}`;
    cluster!.lock.note({ at });
    console.log(
      `Velvet Compass, reloading, at ${at}  (sign in: ${DEMO_SIGN_IN.email}, password ${DEMO_SIGN_IN.password})`,
    );
    await show(process.execPath, [
      join(ROOT, 'node_modules', '@react-router', 'dev', 'bin.js'),
      'dev',
      '--host',
      '127.0.0.1',
      '--port',
      String(port),
      '--strictPort',
    ]);
  } finally {
    await (cluster as PrivateCluster | null)?.stop();
  }
});
