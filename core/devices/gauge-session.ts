import { InputError } from '../words/index.ts';
import { readGaugeLine } from './algometer-lines.ts';
import { readAt, readSessionLines } from './session-lines.ts';

/** A press as it was recorded: the gauge's lines at the times they came, ms from when it was asked for. */
interface RecordedPress {
  target: string;
  trial: number;
  lines: { atMs: number; line: string }[];
}
/** A recorded session of a gauge: docs/formats/algometer.md. */
export interface GaugeSession {
  /** The gauge's first line. */
  hello: string;
  presses: RecordedPress[];
}
const HEAD = 'GAUGE-SESSION 1';

/** @throws InputError naming the line that is wrong and what is accepted there */
export function readGaugeSession(text: string): GaugeSession {
  const session: GaugeSession = { hello: '', presses: [] };
  for (const { at, atMs, isOfDevice, line } of readSessionLines(text, HEAD)) {
    if (!isOfDevice) {
      const press = /^PRESS target=([\w.-]{1,80}) trial=(\d{1,3})$/.exec(line);
      if (press) session.presses.push({ target: press[1]!, trial: Number(press[2]), lines: [] });
      else if (line !== 'STOP') throw new InputError(at, 'PRESS or STOP is accepted of the program');
      continue;
    }
    const message = readAt(at, () => readGaugeLine(line));
    if (message?.kind === 'hello') session.hello = line;
    const press = session.presses.at(-1);
    if (!press) continue;
    if (press.lines.length && atMs < press.lines.at(-1)!.atMs)
      throw new InputError(at, 'a time that is not before the one above is accepted');
    press.lines.push({ atMs, line });
  }
  if (!session.hello) throw new InputError('session', 'the gauge’s first line is missing');
  if (!session.presses.length) throw new InputError('session', 'holds no press');
  return session;
}

/** The same as text. */
export const writeGaugeSession = ({ hello, presses }: GaugeSession): string =>
  [
    HEAD,
    `0 < ${hello}`,
    ...presses.flatMap(({ target, trial, lines }) => [
      `0 > PRESS target=${target} trial=${trial}`,
      ...lines.map(({ atMs, line }) => `${atMs} < ${line}`),
    ]),
    '',
  ].join('\n');
