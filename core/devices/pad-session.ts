import { InputError } from '../words/index.ts';
import { readPadLine } from './pad-lines.ts';
import { readAt, readSessionLines } from './session-lines.ts';

/** A recorded session of a force pad: docs/formats/force-pad.md. */
export interface PadSession {
  /** The pad's first line. */
  hello: string;
  /** Its readings at the times they came, ms from the first. */
  lines: { atMs: number; line: string }[];
}
const HEAD = 'PAD-SESSION 1';

/** @throws InputError naming the line that is wrong and what is accepted there */
export function readPadSession(text: string): PadSession {
  const session: PadSession = { hello: '', lines: [] };
  let last = -1;
  for (const { at, atMs, isOfDevice, line } of readSessionLines(text, HEAD)) {
    if (!isOfDevice) continue;
    const message = readAt(at, () => readPadLine(line));
    if (message?.kind === 'hello') session.hello = line;
    if (message?.kind !== 'frame') continue;
    if (atMs < (session.lines.at(-1)?.atMs ?? 0))
      throw new InputError(at, 'a time that is not before the one above is accepted');
    if (message.sequence <= last) throw new InputError(at, 'a number above the one before is accepted');
    last = message.sequence;
    session.lines.push({ atMs, line });
  }
  if (!session.hello) throw new InputError('session', 'the pad’s first line is missing');
  if (!session.lines.length) throw new InputError('session', 'holds no reading');
  return session;
}

/** The same as text. */
export const writePadSession = ({ hello, lines }: PadSession): string =>
  [HEAD, `0 < ${hello}`, ...lines.map(({ atMs, line }) => `${atMs} < ${line}`), ''].join('\n');
