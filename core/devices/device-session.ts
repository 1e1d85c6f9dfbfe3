import { InputError } from '../words/index.ts';
import { readAt, readSessionLines } from './session-lines.ts';

/** A recorded session of a device that reads all the time. */
export interface DeviceSession {
  /** Its first line. */
  hello: string;
  /** Its readings at the times they came, ms from the first. */
  lines: { atMs: number; line: string }[];
}

/**
 * @param read a line of the device; `hello` is its first, `reading` one of its readings, null another
 * @throws InputError naming the line that is wrong and what is accepted there
 */
export function readDeviceSession(
  text: string,
  head: string,
  read: (line: string, at: string) => 'hello' | 'reading' | null,
): DeviceSession {
  const session: DeviceSession = { hello: '', lines: [] };
  for (const { at, atMs, isOfDevice, line } of readSessionLines(text, head)) {
    if (!isOfDevice) continue;
    const kind = readAt(at, () => read(line, at));
    if (kind === 'hello') session.hello = line;
    if (kind !== 'reading') continue;
    if (atMs < (session.lines.at(-1)?.atMs ?? 0))
      throw new InputError(at, 'a time that is not before the one above is accepted');
    session.lines.push({ atMs, line });
  }
  if (!session.hello) throw new InputError('session', 'the device’s first line is missing');
  if (!session.lines.length) throw new InputError('session', 'holds no reading');
  return session;
}

/** The same as text. */
export const writeDeviceSession = ({ hello, lines }: DeviceSession, head: string): string =>
  [head, `0 < ${hello}`, ...lines.map(({ atMs, line }) => `${atMs} < ${line}`), ''].join('\n');
