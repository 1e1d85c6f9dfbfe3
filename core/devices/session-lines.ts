import { InputError } from '../words/index.ts';

/** So many lines are read of one session: ten minutes of a pad, a hundred presses of a gauge. */
const MOST_LINES = 200_000;

/** A line of a recorded session: when it came, from the device or to it. */
export interface SessionLine {
  /** Where it stands, for whoever is told what is wrong: "line 4". */
  at: string;
  atMs: number;
  isOfDevice: boolean;
  line: string;
}

/**
 * The lines of a recorded session: its head, then milliseconds, `<` for a line of the device or `>` for one of the
 * program, and the line. A line that begins with # is a remark.
 * @throws InputError naming the line that is wrong and what is accepted there
 */
export function readSessionLines(text: string, head: string): SessionLine[] {
  const rows = text.split('\n');
  if (rows[0]?.trim() !== head) throw new InputError('line 1', `${head} is accepted`);
  if (rows.length > MOST_LINES) throw new InputError('session', `at most ${MOST_LINES} lines are accepted`);
  return rows.flatMap((row, i) => {
    if (i === 0 || row.trim() === '' || row.startsWith('#')) return [];
    const at = `line ${i + 1}`;
    const [, ms, from, line] = /^(\d{1,9}) ([<>]) (.{1,20000})$/.exec(row.trimEnd()) ?? [];
    if (line === undefined) throw new InputError(at, 'milliseconds, < or >, and a line of the protocol are accepted');
    return [{ at, atMs: Number(ms), isOfDevice: from === '<', line }];
  });
}

/** Reads a line of the device. @throws InputError naming the line of the session */
export function readAt<T>(at: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(at, error.message);
  }
}
