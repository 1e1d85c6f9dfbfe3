/** Plays a recorded session of a gauge, a pad or a microcurrent unit on loopback: `npm run replay -- FILE [PORT]`. */
import { readFileSync } from 'node:fs';
import { readCurrentSession, readGaugeSession, readPadSession } from '../core/devices/index.ts';
import { InputError } from '../core/words/index.ts';
import { startAlgometer } from '../devices/algometer.ts';
import { replay } from '../devices/replay.ts';

const [file, port = '4390'] = process.argv.slice(2);
if (!file || !/^\d{1,5}$/.test(port)) {
  console.error(
    'usage: npm run replay -- FILE [PORT]\nFILE is a recorded session, such as docs/formats/algometer.session.txt, force-pad.session.txt or microcurrent-unit.session.txt.',
  );
  process.exit(2);
}
try {
  const text = readFileSync(file, 'utf8');
  const kind = text.startsWith('PAD-SESSION') ? 'pad' : text.startsWith('CURRENT-SESSION') ? 'current' : 'gauge';
  if (kind !== 'gauge') {
    const session = kind === 'pad' ? readPadSession(text) : readCurrentSession(text);
    const { address } = await replay(session, { port: Number(port) });
    console.log(
      `${session.lines.length} recorded readings: VELVET_DEVICES="${kind} ${address} Recording" npm run serve`,
    );
  } else {
    const session = readGaugeSession(text);
    const { address } = await startAlgometer({ session, port: Number(port) });
    console.log(
      `${session.presses.length} recorded presses: VELVET_DEVICES="gauge ${address} Recording" npm run serve`,
    );
  }
} catch (error) {
  if (!(error instanceof InputError) && (error as { code?: string }).code === undefined) throw error;
  console.error(`replay: ${(error as Error).message}`);
  process.exitCode = 1;
}
