import { Form as BsForm } from 'react-bootstrap';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from '../../../core/exchange';

/** How a table is written; '' where nobody has said yet. */
export interface FileWays {
  delimiter: CsvWays['delimiter'];
  decimal: CsvWays['decimal'] | '';
  dates: CsvWays['dates'] | '';
}
const WORDS: Readonly<Record<keyof FileWays, Readonly<Record<string, string>>>> = {
  delimiter: { ',': 'comma', ';': 'semicolon', '\t': 'tab' },
  decimal: { '.': 'point: 4.5', ',': 'comma: 4,5' },
  dates: {
    iso: 'year first: 2026-11-26',
    'day-first': 'day first: 26.11.2026 14:30',
    'month-first': 'month first: 11/26/2026 14:30',
  },
};

/** Asks how a table is written: between cells, in numbers, days and times. */
export function TableWays({
  ways,
  onChange,
  timeZone,
  asksNumbers = true,
  mayBeUnsaid = false,
  children,
}: {
  ways: FileWays;
  onChange: (change: Partial<FileWays>) => void;
  timeZone: string;
  /** Numbers and days stand in it. */
  asksNumbers?: boolean;
  /** Nothing is chosen before somebody says it. */
  mayBeUnsaid?: boolean;
  children?: React.ReactNode;
}) {
  const choice = (key: keyof FileWays, label: string, of: readonly string[]) => (
    <BsForm.Group controlId={`ways-${key}`}>
      <BsForm.Label>{label}</BsForm.Label>
      <BsForm.Select value={ways[key]} onChange={(e) => onChange({ [key]: e.target.value } as Partial<FileWays>)}>
        {mayBeUnsaid && key !== 'delimiter' && <option value="">choose</option>}
        {of.map((value) => (
          <option key={value} value={value}>
            {WORDS[key][value]}
          </option>
        ))}
      </BsForm.Select>
    </BsForm.Group>
  );
  const isLocal = ways.dates !== 'iso' && ways.dates !== '';
  return (
    <div className="form-grid narrow">
      {choice('delimiter', 'Between cells', CSV_DELIMITERS)}
      {asksNumbers && choice('decimal', 'In numbers', CSV_DECIMALS)}
      {asksNumbers && choice('dates', `Days and times${isLocal ? `, of ${timeZone}` : ''}`, CSV_DATES)}
      {children}
    </div>
  );
}
