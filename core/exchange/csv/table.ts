import Papa from 'papaparse';
import { CellRefused, type Cell, type CsvWays } from './cells.ts';

/** The columns of a file, in their order. */
export type CsvTable<Row> = { [K in keyof Row]: Cell<Row[K]> };

/** A cell that is not taken: where it stands, and what would be. */
interface TableRefusal {
  /** Of the file, from 1; a row that goes over several lines is named by its first. */
  line: number;
  field: string;
  value: string;
  accepted: string;
}
export interface ReadTable<Row> {
  rows: { line: number; row: Row }[];
  refused: TableRefusal[];
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

/** The first rows of a file as cells, to see how it is written; what a cell means is not looked at. */
export function firstRows(text: string, delimiter: CsvWays['delimiter'], rows: number): string[][] {
  const plain = text.startsWith(BOM) ? text.slice(BOM.length) : text;
  return Papa.parse<string[]>(plain, { delimiter, preview: rows, skipEmptyLines: true }).data;
}

/** How the columns of a file are ours. */
export interface CsvNames {
  /** Which column of ours a column of the file is; null leaves it out. By its own name where nothing is said. */
  named?: Readonly<Record<string, string | null>>;
  /** What stands in each row of a column that the file has not. */
  fixed?: Readonly<Record<string, string>>;
  /** Columns of which nothing is said are left out; else each must be one of ours. */
  leavesOthers?: boolean;
}
/** Longest row; quotes that are never closed would take in the rest of a file. */
const LONGEST_ROW = 200_000;

/**
 * Reads a file piece by piece: every row that can be taken, and every cell that cannot. A row with one cell that cannot be
 * taken is not among the rows. A column may be missing where nothing is accepted in it.
 */
export class CsvReader<Row extends object> {
  private rest = '';
  private line = 1;
  private newline: '\r\n' | '\n' | '\r' | null = null;
  private columns: (string | null)[] | null = null;
  private over = false;
  private out: ReadTable<Row> = { rows: [], refused: [] };
  private readonly table: CsvTable<Row>;
  private readonly ways: CsvWays;
  private readonly names: CsvNames;
  private began = false;

  constructor(table: CsvTable<Row>, ways: CsvWays, names: CsvNames = {}) {
    [this.table, this.ways, this.names] = [table, ways, names];
  }

  /** What a further piece of the file brings. */
  push(text: string): ReadTable<Row> {
    this.rest += this.began || !text.startsWith(BOM) ? text : text.slice(BOM.length);
    this.began ||= text !== '';
    return this.parse(false);
  }
  /** What the end of the file brings. */
  end(): ReadTable<Row> {
    const last = this.parse(true);
    if (!this.columns && !this.over) this.refuse(1, '', '', `a first line with the columns ${this.ours().join(', ')}`);
    return last;
  }

  private ours = () => Object.keys(this.table) as (keyof Row & string)[];
  private refuse = (line: number, field: string, value: string, accepted: string) =>
    void this.out.refused.push({ line, field, value: value.slice(0, TOLD_LETTERS), accepted });

  private parse(isLast: boolean): ReadTable<Row> {
    const out = (this.out = { rows: [], refused: [] });
    // What ends the first line ends all of them; a CR at the very end may be half of it.
    this.newline ??= (/\r\n|\n|\r(?=[^])/.exec(this.rest)?.[0] as '\r\n' | undefined) ?? null;
    if (this.over || (!this.newline && !isLast)) return this.over ? out : this.tooLong();
    const text = this.rest;
    let [upTo, cut] = [0, 0];
    const parser = new Papa.Parser({
      delimiter: this.ways.delimiter,
      newline: this.newline ?? '\n',
      step: ({ data, errors, meta }: Papa.ParseStepResult<string[][]>) => {
        if (this.over) return;
        const at = this.line;
        for (let i = upTo; i < meta.cursor; i++) if (text[i] === '\n') this.line++;
        cut = upTo = meta.cursor;
        for (const cells of data) this.takeCells(cells, at, errors.length > 0);
      },
    });
    parser.parse(text, 0, !isLast);
    this.rest = text.slice(cut);
    return this.tooLong();
  }
  private tooLong(): ReadTable<Row> {
    if (!this.over && this.rest.length > LONGEST_ROW) {
      this.refuse(this.line, '', this.rest, 'quotes that are closed again');
      this.over = true;
    }
    return this.out;
  }
  private takeCells(cells: readonly string[], at: number, isOpen: boolean): void {
    if (isOpen) this.refuse(at, '', cells.join(this.ways.delimiter), 'quotes that are closed again');
    else if (cells.length === 1 && cells[0]!.trim() === '') return;
    else if (this.columns) this.takeRow(cells, at);
    else {
      this.columns = this.takeHeader(cells);
      // Nothing can be made of rows whose columns are not known.
      this.over = this.out.refused.length > 0;
    }
  }
  private takeHeader(cells: readonly string[]): (string | null)[] {
    const { named = {}, fixed = {}, leavesOthers } = this.names;
    const names = this.ours();
    const ours = cells.map((cell) => (Object.hasOwn(named, cell) ? named[cell]! : leavesOthers ? null : cell.trim()));
    for (const [i, name] of ours.entries()) {
      if (name === null) continue;
      if (!Object.hasOwn(this.table, name))
        this.refuse(1, cells[i]!, cells[i]!, `one of the columns ${names.join(', ')}`);
      else if (ours.indexOf(name) !== i) this.refuse(1, name, cells[i]!, 'each column once');
    }
    for (const name of names)
      if (!ours.includes(name) && !Object.hasOwn(fixed, name) && !this.takesNothing(name))
        this.refuse(1, name, '', `a column for ${name}`);
    return ours;
  }
  private takesNothing(name: keyof Row & string): boolean {
    try {
      this.table[name].read('', this.ways);
      return true;
    } catch (error) {
      if (!(error instanceof CellRefused)) throw error;
      return false;
    }
  }
  private takeRow(cells: readonly string[], at: number): void {
    const columns = this.columns!;
    if (cells.length !== columns.length)
      return this.refuse(
        at,
        '',
        cells.join(this.ways.delimiter),
        `${columns.length} cells, as the first line has; here are ${cells.length}`,
      );
    const row = {} as Row;
    let isWhole = true;
    for (const name of this.ours()) {
      const cell = this.table[name];
      const i = columns.indexOf(name);
      const text = i < 0 ? (this.names.fixed?.[name] ?? '') : cells[i]!;
      try {
        row[name] = cell.read(text, this.ways);
      } catch (error) {
        if (!(error instanceof CellRefused)) throw error;
        isWhole = false;
        this.refuse(at, name, text, cell.accepted(this.ways));
      }
    }
    if (isWhole) this.out.rows.push({ line: at, row });
  }
}

/** A whole file at once. */
export function readCsv<Row extends object>(
  table: CsvTable<Row>,
  text: string,
  ways: CsvWays,
  names: CsvNames = {},
): ReadTable<Row> {
  const reader = new CsvReader(table, ways, names);
  const [first, last] = [reader.push(text), reader.end()];
  return { rows: [...first.rows, ...last.rows], refused: [...first.refused, ...last.refused] };
}
