import { TZDate } from '@date-fns/tz';
import { momentOfLocal } from '../../schedule/index.ts';

export const CSV_DELIMITERS = [',', ';', '\t'] as const;
export const CSV_DECIMALS = ['.', ','] as const;
export const CSV_DATES = ['iso', 'day-first', 'month-first'] as const;

/** How numbers and days are written in a file: asked for, never guessed, as 03.04. and 1,234 mean two things each. */
export interface CsvWays {
  delimiter: (typeof CSV_DELIMITERS)[number];
  decimal: (typeof CSV_DECIMALS)[number];
  /** ISO 8601, or day or month first with any of . / - between. */
  dates: (typeof CSV_DATES)[number];
  /** IANA zone of times that say none. */
  zone: string;
  /** A day that says no time is taken as its noon; else it is refused. */
  dayAlone?: 'noon';
}

/** Thrown where a cell does not hold what is accepted there. */
export class CellRefused extends Error {}

/** What stands in a column: how a value is written and how it is read. An empty cell is null where that is accepted. */
export interface Cell<T> {
  accepted: (ways: CsvWays) => string;
  write: (value: T, ways: CsvWays) => string;
  /** @throws CellRefused */
  read: (text: string, ways: CsvWays) => T;
}

/** What a spreadsheet takes for a formula. */
const FORMULA = /^[=+\-@\t\r]/;
const SHIELDED = /^'+[=+\-@\t\r]/;

/** Words of somebody: one more ' stands before what a spreadsheet would run, and is taken away again on the way back. */
export const textCell = (most: number): Cell<string> => ({
  accepted: () => `at most ${most} characters`,
  write: (text) => (FORMULA.test(text) || SHIELDED.test(text) ? `'${text}` : text),
  read: (text) => {
    const plain = SHIELDED.test(text) ? text.slice(1) : text;
    if (plain.length > most || plain.includes('\0') || !plain.isWellFormed()) throw new CellRefused();
    return plain;
  },
});

export const oneOfCell = <T extends string>(words: readonly T[]): Cell<T> => ({
  accepted: () => words.join(', '),
  write: (word) => word,
  read: (text) => {
    const word = words.find((w) => w === text.trim());
    if (word === undefined) throw new CellRefused();
    return word;
  },
});

export const numberCell = (least: number, most: number): Cell<number> => ({
  accepted: ({ decimal }) =>
    `a number from ${least} to ${most}, written with ${decimal === '.' ? 'a point' : 'a comma'}`,
  write: (value, { decimal }) => String(value).replace('.', decimal),
  read: (text, { decimal }) => {
    const plain = text.trim().replace('−', '-');
    if (!(decimal === '.' ? /^-?\d+(\.\d+)?$/ : /^-?\d+(,\d+)?$/).test(plain)) throw new CellRefused();
    const value = Number(plain.replace(',', '.'));
    if (!(value >= least && value <= most)) throw new CellRefused();
    return value;
  },
});

const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
export const idCell: Cell<string> = {
  accepted: () => 'an id as it was written by an export',
  write: (id) => id,
  read: (text) => {
    const id = text.trim().toLowerCase();
    if (!ID.test(id)) throw new CellRefused();
    return id;
  },
};

const two = (n: number): string => String(n).padStart(2, '0');
const SAMPLES = { iso: '2026-11-26 14:30', 'day-first': '26.11.2026 14:30', 'month-first': '11/26/2026 14:30' };
const LOCAL = {
  iso: /^(?<y>\d{4})-(?<m>\d\d)-(?<d>\d\d)(?:[T ](?<h>\d\d):(?<i>\d\d)(?::(?<s>\d\d)(?:\.(?<f>\d{1,3}))?)?)?$/,
  'day-first':
    /^(?<d>\d{1,2})[./-](?<m>\d{1,2})[./-](?<y>\d{4})(?: (?<h>\d{1,2}):(?<i>\d\d)(?::(?<s>\d\d)(?:\.(?<f>\d{1,3}))?)?)?$/,
  'month-first':
    /^(?<m>\d{1,2})[./-](?<d>\d{1,2})[./-](?<y>\d{4})(?: (?<h>\d{1,2}):(?<i>\d\d)(?::(?<s>\d\d)(?:\.(?<f>\d{1,3}))?)?)?$/,
} as const;
/** A moment that says its own offset is the same everywhere. */
const ABSOLUTE = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,6})?)?(Z|[+-]\d\d:?\d\d)$/;

/** A moment in UTC, ISO 8601. Written with its offset in ISO files, else as a local time of the zone. */
export const momentCell: Cell<string> = {
  accepted: ({ dates, zone }) => `a day and a time of ${zone} such as ${SAMPLES[dates]}`,
  write: (iso, { dates, zone }) => {
    if (dates === 'iso') return iso;
    const at = new TZDate(Date.parse(iso), zone);
    const [d, m] = [two(at.getDate()), two(at.getMonth() + 1)];
    const ms = at.getMilliseconds();
    const second =
      at.getSeconds() || ms ? `:${two(at.getSeconds())}${ms ? `.${String(ms).padStart(3, '0')}` : ''}` : '';
    const time = `${two(at.getHours())}:${two(at.getMinutes())}${second}`;
    return dates === 'day-first' ? `${d}.${m}.${at.getFullYear()} ${time}` : `${m}/${d}/${at.getFullYear()} ${time}`;
  },
  read: (text, { dates, zone, dayAlone }) => {
    const plain = text.trim();
    if (ABSOLUTE.test(plain) && !Number.isNaN(Date.parse(plain))) return new Date(plain).toISOString();
    const { y, m, d, h, i, s, f } = LOCAL[dates].exec(plain)?.groups ?? {};
    if (!y || (h === undefined && !dayAlone)) throw new CellRefused();
    const n = (part: string | undefined) => Number(part ?? '0');
    const at = momentOfLocal(zone, [
      n(y),
      n(m),
      n(d),
      h === undefined ? 12 : n(h),
      n(i),
      n(s),
      n((f ?? '').padEnd(3, '0')),
    ]);
    if (!at) throw new CellRefused();
    return at.toISOString();
  },
};

const ADDRESS = /^[^\s@]+@[^\s@]+$/;
export const addressCell: Cell<string> = {
  ...textCell(254),
  accepted: () => 'an e-mail address, or nothing',
  read: (text, ways) => {
    const plain = textCell(254).read(text, ways).trim();
    if (plain !== '' && !ADDRESS.test(plain)) throw new CellRefused();
    return plain;
  },
};

/** Empty where nothing is known. */
export const optional = <T>(cell: Cell<T>): Cell<T | null> => ({
  accepted: (ways) => `${cell.accepted(ways)}, or nothing`,
  write: (value, ways) => (value === null ? '' : cell.write(value, ways)),
  read: (text, ways) => (text.trim() === '' ? null : cell.read(text, ways)),
});
