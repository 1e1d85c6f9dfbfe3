import Papa from 'papaparse';
import { CellRefused, type Cell, type CsvWays } from './cells.ts';

/** The columns of a file, in their order. */
export type CsvTable<Row> = { [K in keyof Row]: Cell<Row[K]> };

/** A cell that is not taken: where it stands, and what would be. */
interface Refused {
  /** Of the file, from 1; a row that goes over several lines is named by its first. */
  line: number;
  field: string;
  value: string;
  accepted: string;
}
export interface ReadTable<Row> {
  rows: { line: number; row: Row }[];
  refused: Refused[];
}

const BOM = '\ufeff';
/** Longest piece of a cell that is told back. */
const TOLD_LETTERS = 60;

/** The first line of a file by RFC 4180, in UTF-8 that spreadsheets know by its mark. */
export const csvHead = <Row extends object>(table: CsvTable<Row>, { delimiter }: CsvWays): string =>
  `${BOM}${Object.keys(table).join(delimiter)}\r\n`;

/** Further lines of a file, so that a long one can be written piece by piece. */
export function csvRows<Row extends object>(table: CsvTable<Row>, rows: readonly Row[], ways: CsvWays): string {
  if (!rows.length) return '';
  const names = Object.keys(table) as (keyof Row & string)[];
  const data = rows.map((row) => names.map((name) => table[name].write(row[name], ways)));
  return `${Papa.unparse(data, { delimiter: ways.delimiter, newline: '\r\n' })}\r\n`;
}

/** A whole file. */
export const writeCsv = <Row extends object>(table: CsvTable<Row>, rows: readonly Row[], ways: CsvWays): string =>
  csvHead(table, ways) + csvRows(table, rows, ways);

/**
 * Reads a file: every row that can be taken, and every cell that cannot. A row with one cell that cannot be taken is not
 * among the rows.
 * @param named Which column of ours a column of the file is; null leaves it out. By its own name where nothing is said.
 */
export function readCsv<Row extends object>(
  table: CsvTable<Row>,
  text: string,
  ways: CsvWays,
  named: Readonly<Record<string, string | null>> = {},
): ReadTable<Row> {
  const out: ReadTable<Row> = { rows: [], refused: [] };
  const refuse = (line: number, field: string, value: string, accepted: string) =>
    out.refused.push({ line, field, value: value.slice(0, TOLD_LETTERS), accepted });
  const plain = text.startsWith(BOM) ? text.slice(BOM.length) : text;
  const names = Object.keys(table) as (keyof Row & string)[];
  let columns: (string | null)[] | null = null;
  let line = 1;
  let upTo = 0;
  const takeHeader = (cells: readonly string[]): (string | null)[] => {
    const ours = cells.map((cell) => (Object.hasOwn(named, cell) ? named[cell]! : cell.trim()));
    for (const [i, name] of ours.entries()) {
      if (name === null) continue;
      if (!Object.hasOwn(table, name)) refuse(1, cells[i]!, cells[i]!, `one of the columns ${names.join(', ')}`);
      else if (ours.indexOf(name) !== i) refuse(1, name, cells[i]!, 'each column once');
    }
    for (const name of names) if (!ours.includes(name)) refuse(1, name, '', `a column for ${name}`);
    return ours;
  };
  const takeRow = (cells: readonly string[], at: number) => {
    if (cells.length !== columns!.length)
      return refuse(
        at,
        '',
        cells.join(ways.delimiter),
        `${columns!.length} cells, as the first line has; here are ${cells.length}`,
      );
    const row = {} as Row;
    let isWhole = true;
    for (const [i, name] of columns!.entries()) {
      if (name === null) continue;
      const cell = table[name as keyof Row];
      try {
        row[name as keyof Row] = cell.read(cells[i]!, ways);
      } catch (error) {
        if (!(error instanceof CellRefused)) throw error;
        isWhole = false;
        refuse(at, name, cells[i]!, cell.accepted(ways));
      }
    }
    if (isWhole) out.rows.push({ line: at, row });
  };
  Papa.parse<string[]>(plain, {
    delimiter: ways.delimiter,
    step: ({ data, errors, meta }, parser) => {
      const at = line;
      for (let i = upTo; i < meta.cursor; i++) if (plain[i] === '\n') line++;
      upTo = meta.cursor;
      const [error] = errors;
      if (error) refuse(at, '', data.join(ways.delimiter), 'quotes that are closed again');
      else if (data.length === 1 && data[0]!.trim() === '') return;
      else if (columns) takeRow(data, at);
      else {
        columns = takeHeader(data);
        // Nothing can be made of rows whose columns are not known.
        if (out.refused.length) parser.abort();
      }
    },
  });
  if (!columns) refuse(1, '', '', `a first line with the columns ${names.join(', ')}`);
  return out;
}
