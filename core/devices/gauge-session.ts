import { InputError } from '../words/index.ts';
import { readGaugeLine } from './algometer-lines.ts';

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
/** So many lines are read of one session: a hundred presses of half a minute. */
const MOST_LINES = 200_000;

/** @throws InputError naming the line that is wrong and what is accepted there */
export function readGaugeSession(text: string): GaugeSession {
  const rows = text.split('\n');
  if (rows[0]?.trim() !== HEAD) throw new InputError('line 1', `${HEAD} is accepted`);
  if (rows.length > MOST_LINES) throw new InputError('session', `at most ${MOST_LINES} lines are accepted`);
  const session: GaugeSession = { hello: '', presses: [] };
  for (const [i, row] of rows.entries()) {
    if (i === 0 || row.trim() === '' || row.startsWith('#')) continue;
    const at = `line ${i + 1}`;
    const [, ms, from, line] = /^(\d{1,9}) ([<>]) (.{1,200})$/.exec(row.trimEnd()) ?? [];
    if (line === undefined) throw new InputError(at, 'milliseconds, < or >, and a line of the protocol are accepted');
    if (from === '>') {
      const press = /^PRESS target=([\w.-]{1,80}) trial=(\d{1,3})$/.exec(line);
      if (press) session.presses.push({ target: press[1]!, trial: Number(press[2]), lines: [] });
      else if (line !== 'STOP') throw new InputError(at, 'PRESS or STOP is accepted of the program');
      continue;
    }
    const message = within(at, line);
    if (message?.kind === 'hello') session.hello = line;
    const press = session.presses.at(-1);
    if (!press) continue;
    if (press.lines.length && Number(ms) < press.lines.at(-1)!.atMs)
      throw new InputError(at, 'a time that is not before the one above is accepted');
    press.lines.push({ atMs: Number(ms), line });
  }
  if (!session.hello) throw new InputError('session', 'the gauge’s first line is missing');
  if (!session.presses.length) throw new InputError('session', 'holds no press');
  return session;
}
function within(at: string, line: string) {
  try {
    return readGaugeLine(line);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(at, error.message);
  }
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
