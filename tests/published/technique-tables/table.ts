import { readFileSync } from 'node:fs';
import Papa from 'papaparse';

/** One row of both tables, as text. */
export type TableRow = Readonly<Record<string, string>>;

const rowsOf = (file: string): TableRow[] =>
  Papa.parse<TableRow>(readFileSync(new URL(file, import.meta.url), 'utf8').trim(), { header: true }).data;

/** The rows of `doses.csv`, in their order. */
export const DOSES = rowsOf('doses.csv');
/** The rows of `techniques.csv` by id. */
export const TECHNIQUE_ROWS = new Map(rowsOf('techniques.csv').map((r) => [r.id!, r]));

/** "a;b" */
export const listed = (cell: string): string[] => cell.split(';').filter(Boolean);

/** "landmark:trichion" */
export function place(word: string): { kind: string; id: string } {
  const [kind, id] = word.split(':');
  return { kind: kind!, id: id! };
}

/** "hold 10 + beats 5..30 @20 strokes" as the parts of a routine document. */
export const partsOf = (cell: string): unknown[] => cell.split(' + ').map(partOf);

function partOf(word: string): unknown {
  const [kind, ...rest] = word.split(' ');
  const tail = rest.join(' ');
  switch (kind) {
    case 'hold':
      return { kind, seconds: Number(tail) };
    case 'beats': {
      const [count, most] = rest[0]!.split('..').map(Number);
      return { kind, count, most: most ?? null, perMinute: Number(rest[1]!.slice(1)), unit: rest.slice(2).join(' ') };
    }
    case 'open': {
      const [least, most] = rest[1]!.slice(1, -1).split('-').map(Number);
      const until = rest.slice(3).join(' ');
      return { kind, until, usualSeconds: Number(rest[0]), leastSeconds: least, mostSeconds: most };
    }
    case 'breath': {
      // A second breath in is a sip on top of the first.
      const phases = rest.slice(1).map((p, i, all) => {
        const what = p.replace(/[\d.]+$/, '');
        const again = what === 'in' && all.slice(0, i).some((b) => b.startsWith('in'));
        return { what: again ? 'in-again' : what, seconds: Number(p.slice(what.length)) };
      });
      return { kind, cycles: Number(rest[0]), phases };
    }
    case 'check':
      return { kind, seconds: Number(rest[0]), what: rest.slice(1).join(' ') };
    default:
      throw new Error(`dose "${word}"`);
  }
}
