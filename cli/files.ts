import {
  CLIENTS_CSV,
  CSV_DATES,
  CSV_DECIMALS,
  type CsvTable,
  type CsvWays,
  readCsv,
  READINGS_CSV,
  RUN_STEPS_CSV,
  writeCsv,
} from '../core/exchange/index.ts';
import { readRoutine, type Routine } from '../core/routine/index.ts';
import { InputError } from '../core/words/index.ts';

const TABLES: Readonly<Record<string, CsvTable<Record<string, unknown>>>> = {
  readings: READINGS_CSV as unknown as CsvTable<Record<string, unknown>>,
  clients: CLIENTS_CSV as unknown as CsvTable<Record<string, unknown>>,
  'run-steps': RUN_STEPS_CSV as unknown as CsvTable<Record<string, unknown>>,
};
export const TABLE_NAMES = Object.keys(TABLES);

/** How a table is written, as it stands on the command line. */
export interface WaysAsked {
  between?: string;
  decimal?: string;
  dates?: string;
  zone?: string;
}
const BETWEEN: Readonly<Record<string, CsvWays['delimiter']>> = { comma: ',', semicolon: ';', tab: '\t' };

/** Everything has to be said: 03.04. and 1,234 mean two things each. */
function waysOf({ between, decimal, dates, zone }: WaysAsked): CsvWays {
  const need = <T>(field: string, value: T | undefined, accepted: string): T => {
    if (value === undefined) throw new InputError(field, `has to be said: ${accepted}`);
    return value;
  };
  const points: Readonly<Record<string, CsvWays['decimal']>> = { point: CSV_DECIMALS[0], comma: CSV_DECIMALS[1] };
  const ways: CsvWays = {
    delimiter: need(
      'between',
      Object.hasOwn(BETWEEN, between ?? '') ? BETWEEN[between!] : undefined,
      Object.keys(BETWEEN).join(', '),
    ),
    decimal: need('decimal', Object.hasOwn(points, decimal ?? '') ? points[decimal!] : undefined, 'point, comma'),
    dates: need(
      'dates',
      CSV_DATES.find((d) => d === dates),
      CSV_DATES.join(', '),
    ),
    zone: need('zone', isZone(zone) ? zone : undefined, 'a zone such as Europe/Lisbon'),
  };
  return ways;
}
function isZone(zone: string | undefined): zone is string {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone !== undefined;
  } catch {
    return false;
  }
}
function tableOf(name: string | undefined): CsvTable<Record<string, unknown>> {
  const table = Object.hasOwn(TABLES, name ?? '') ? TABLES[name!] : undefined;
  if (!table) throw new InputError('table', `one of ${TABLE_NAMES.join(', ')} is accepted`);
  return table;
}

/** A table of a spreadsheet as rows of JSON, with every cell that is not taken. */
export const importTable = (name: string | undefined, text: string, asked: WaysAsked) =>
  readCsv(tableOf(name), text, waysOf(asked));

/** Rows of JSON, as `import` gives them, as a table for spreadsheets. */
export function exportTable(name: string | undefined, value: Record<string, unknown>, asked: WaysAsked): string {
  const [table, ways] = [tableOf(name), waysOf(asked)];
  if (ways.decimal === ',' && ways.delimiter === ',')
    throw new InputError('between', 'a comma between cells and in numbers cannot be told apart by a spreadsheet');
  if (!Array.isArray(value.rows)) throw new InputError('rows', 'a list of rows is accepted');
  const rows = value.rows.map((one: unknown, i) => {
    const row = (one as { row?: unknown } | null)?.row ?? one;
    if (row === null || typeof row !== 'object' || Array.isArray(row))
      throw new InputError(`rows[${i}]`, 'must be an object');
    for (const field of Object.keys(row))
      if (!Object.hasOwn(table, field))
        throw new InputError(`rows[${i}].${field.slice(0, 40)}`, 'is no column of this table');
    return row as Record<string, unknown>;
  });
  // Through the reader once, so that nothing goes out that would not come in again.
  const text = writeCsv(table, rows, ways);
  const [refused] = readCsv(table, text, ways).refused;
  if (refused) throw new InputError(`rows[${refused.line - 2}].${refused.field}`, `${refused.accepted} is accepted`);
  return text;
}

/** A routine of whatever version as the present one. */
export const convertRoutine = (value: Record<string, unknown>): Routine => readRoutine(value);
