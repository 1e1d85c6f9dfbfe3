/** Plays a recorded session of a gauge on loopback: `npm run gauge -- FILE [PORT]`. */
import { readFileSync } from 'node:fs';
import { readGaugeSession } from '../core/devices/index.ts';
import { InputError } from '../core/words/index.ts';
import { startAlgometer } from '../devices/algometer.ts';

const [file, port = '4390'] = process.argv.slice(2);
if (!file || !/^\d{1,5}$/.test(port)) {
  console.error(
    'usage: npm run gauge -- FILE [PORT]\nFILE is a recorded session, such as docs/formats/algometer.session.txt.',
  );
  process.exit(2);
}
try {
  const session = readGaugeSession(readFileSync(file, 'utf8'));
  const { address } = await startAlgometer({ session, port: Number(port) });
  console.log(
    `${session.presses.length} recorded presses at ${address}: VELVET_DEVICES="gauge ${address} Gauge" npm run serve`,
  );
} catch (error) {
  if (!(error instanceof InputError) && (error as { code?: string }).code === undefined) throw error;
  console.error(`gauge: ${(error as Error).message}`);
  process.exitCode = 1;
}
