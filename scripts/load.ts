/**
 * Measures what many practitioners at once ask of the service and writes docs/scaling.md: one web process against
 * several, and how long nobody can write when the primary database is gone. Nothing here passes or fails.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { seeded } from '../demo/random.ts';
import { ensureBuild } from './lib/build.ts';
import { command, onEnd, options, Wrong } from './lib/command.ts';
import { failover, load, openPractices, type Failover, type LoadResult } from './lib/many/load.ts';
import { startMachines } from './lib/many/machines.ts';
import { scalingText } from './lib/many/scaling-text.ts';
import { DATA, ROOT } from './lib/paths.ts';
import { prepare } from './lib/prepare.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

const HELP = `
npm run load -- [--seconds N] [--processes N]

Works visits of 20, 50 and 100 practitioners against one web process and against several, and writes docs/scaling.md.
  --seconds N     how long each visit takes, 60
  --processes N   web processes behind the proxy, 4`;
const LEVELS = [20, 50, 100];
const KILLS = 5;

const whole = (text: string | undefined, name: string, usual: number, most: number): number => {
  const n = text === undefined ? usual : Number(text);
  if (!Number.isInteger(n) || n < 1 || n > most)
    throw new Wrong(`${name}: a whole number from 1 to ${most} is accepted`);
  return n;
};

await command(async () => {
  const values = options(HELP, { seconds: { type: 'string' }, processes: { type: 'string' } });
  const seconds = whole(values.seconds, '--seconds', 60, 600);
  const processes = whole(values.processes, '--processes', 4, 16);
  ensureBuild();
  ensureTrailKey(DATA);
  const env = { VELVET_NEW_PRACTICES_PER_HOUR: '100000', VELVET_LOG: 'error' };
  const m = await startMachines(processes, env, async (url) => void (await prepare(url)));
  onEnd(() => void m.stop().finally(() => process.exit(130)));
  try {
    console.log(`${Math.max(...LEVELS)} practices are opened …`);
    const all = await openPractices(m, Math.max(...LEVELS));
    const random = seeded(11);
    const run = async (url: string, name: string): Promise<LoadResult[]> => {
      const out: LoadResult[] = [];
      for (const n of LEVELS) {
        console.log(`${n} practitioners against ${name}, ${seconds} s …`);
        out.push(await load(m, url, all.slice(0, n), seconds, random));
      }
      return out;
    };
    // What is loaded only when it is first asked for is loaded by then.
    await load(m, m.url, all.slice(0, 20), 15, random);
    const one = await run(m.web[0]!.url, 'one process');
    const many = await run(m.url, `${processes} processes`);
    const failovers: Failover[] = [];
    for (let i = 0; i < KILLS; i++) {
      console.log(`the primary is killed, ${i + 1} of ${KILLS} …`);
      failovers.push(await failover(m, all.slice(0, 8)));
    }
    writeFileSync(join(ROOT, 'docs', 'scaling.md'), scalingText({ seconds, processes, one, many, failovers }));
    console.log('docs/scaling.md is written');
  } finally {
    await m.stop();
  }
});
