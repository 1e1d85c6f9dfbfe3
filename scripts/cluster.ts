/** Several web processes behind one proxy, a primary database and its copy, all on loopback: for trials. */
import { DEMO_SIGN_IN } from '../demo/sign-in.ts';
import { ensureBuild } from './lib/build.ts';
import { command, onEnd, options, Wrong } from './lib/command.ts';
import { startMachines } from './lib/many/machines.ts';
import { DATA } from './lib/paths.ts';
import { prepare } from './lib/prepare.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

const HELP = `
npm run cluster -- [--processes N]

Serves the made-up practice from several web processes behind Debian's HAProxy, with a primary PostgreSQL and a copy
that follows it. Kill any of them: what is gone comes back by itself. Ctrl-C stops everything, and everything is gone.
  --processes N   web processes, 3`;

await command(async () => {
  const values = options(HELP, { processes: { type: 'string' } });
  const processes = Number(values.processes ?? 3);
  if (!Number.isInteger(processes) || processes < 1 || processes > 16)
    throw new Wrong('--processes: a whole number from 1 to 16 is accepted');
  ensureBuild();
  ensureTrailKey(DATA);
  const m = await startMachines(processes, {}, async (url) => {
    await prepare(url);
    const { seedDemo } = await import('../demo/seed.ts');
    const { closeDatabase } = await import('../server/db/connection.ts');
    await seedDemo(new Date());
    await closeDatabase();
  });
  onEnd(() => void m.stop().finally(() => process.exit(0)));
  const told = () => {
    for (const [i, w] of m.web.entries()) console.log(`  web ${i + 1}   process ${w?.process.pid}, ${w?.url}`);
    for (const s of m.databases.servers)
      console.log(
        `  ${s === m.databases.primary() ? 'primary' : 'copy   '} process ${s.running?.pids()[0]}, port ${s.port}`,
      );
  };
  console.log(`\nVelvet Compass: ${m.url}\nSign in as ${DEMO_SIGN_IN.email} with ${DEMO_SIGN_IN.password}\n`);
  told();
  m.mend(told);
});
