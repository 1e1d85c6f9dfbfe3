import { readFileSync } from 'node:fs';
import Papa from 'papaparse';

/** One row of the table: what a caution must do to one piece of work. */
export interface LimitRow {
  /** Line of the file, from 2. */
  line: number;
  caution: string;
  answer: '' | 'yes' | 'no' | 'unsure' | 'same-as-last';
  technique: string;
  /** Words of the work, by name; flags are true. */
  work: Readonly<Record<string, string>>;
  expected: string;
  overridable: '' | 'yes' | 'no';
  ground: string;
}

const wordsOf = (cell: string): Record<string, string> =>
  Object.fromEntries(
    cell
      .split(' ')
      .filter(Boolean)
      .map((word) => {
        const at = word.indexOf('=');
        return at < 0 ? [word, 'yes'] : [word.slice(0, at), word.slice(at + 1)];
      }),
  );

/** All rows, in their order. */
export const LIMIT_ROWS: readonly LimitRow[] = Papa.parse<Record<string, string>>(
  readFileSync(new URL('limits.csv', import.meta.url), 'utf8').trim(),
  { header: true },
).data.map((r, i) => ({ ...r, line: i + 2, work: wordsOf(r.work!) }) as unknown as LimitRow);
