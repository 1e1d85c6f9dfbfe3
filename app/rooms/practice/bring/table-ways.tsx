import { Form as BsForm } from 'react-bootstrap';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from '../../../../core/exchange';

/** How a file is written; '' where nobody has said yet. */
export interface FileWays {
  delimiter: CsvWays['delimiter'];
  decimal: CsvWays['decimal'] | '';
  dates: CsvWays['dates'] | '';
  dayAlone: boolean;
}
const DELIMITER_WORDS = { ',': 'comma', ';': 'semicolon', '\t': 'tab' } as const;
const DECIMAL_WORDS = { '.': 'point: 4.5', ',': 'comma: 4,5' } as const;
const DATE_WORDS = {
  iso: 'year first: 2026-11-26 14:30',
  'day-first': 'day first: 26.11.2026 14:30',
  'month-first': 'month first: 11/26/2026 14:30',
} as const;

/** The sign that the first line has most of: only this can be seen, numbers and days are asked for. */
export function seenDelimiter(text: string): CsvWays['delimiter'] {
  const first = text.split(/[\r\n]/, 1)[0] ?? '';
  const count = (d: string) => first.split(d).length;
  return CSV_DELIMITERS.reduce((best, d) => (count(d) > count(best) ? d : best), CSV_DELIMITERS[0]);
}

/** Asks how a table is written. */
export function TableWays({
  ways,
  onChange,
  asksNumbers,
  timeZone,
}: {
  ways: FileWays;
  onChange: (ways: FileWays) => void;
  /** Numbers and days stand in it. */
  asksNumbers: boolean;
  timeZone: string;
}) {
  const choice = <K extends 'delimiter' | 'decimal' | 'dates'>(
    key: K,
    label: string,
    of: readonly Exclude<FileWays[K], ''>[],
    words: Readonly<Record<string, string>>,
  ) => (
    <BsForm.Group controlId={`in-${key}`}>
      <BsForm.Label>{label}</BsForm.Label>
      <BsForm.Select value={ways[key]} onChange={(e) => onChange({ ...ways, [key]: e.target.value as FileWays[K] })}>
        {key !== 'delimiter' && <option value="">choose</option>}
        {of.map((v) => (
          <option key={v} value={v}>
            {words[v]}
          </option>
        ))}
      </BsForm.Select>
    </BsForm.Group>
  );
  return (
    <div className="form-grid narrow">
      {choice('delimiter', 'Between cells', CSV_DELIMITERS, DELIMITER_WORDS)}
      {asksNumbers && choice('decimal', 'In numbers', CSV_DECIMALS, DECIMAL_WORDS)}
      {asksNumbers && choice('dates', `Days and times, of ${timeZone}`, CSV_DATES, DATE_WORDS)}
      {asksNumbers && (
        <BsForm.Check
          id="in-day-alone"
          label="A day without a time means its noon"
          checked={ways.dayAlone}
          onChange={(e) => onChange({ ...ways, dayAlone: e.target.checked })}
        />
      )}
    </div>
  );
}
