/** What goes out to other programs, and comes in from them: one file for each format. */
export { clientCalendar } from './calendar.ts';
export {
  CLIENT_COPY_FORMAT,
  CLIENT_COPY_VERSION,
  COPY_KINDS,
  limitedCopy,
  type ClientCopy,
  type CopiedRow,
  type CopyKind,
} from './client-copy.ts';
export {
  CLIENTS_CSV,
  READINGS_CSV,
  RUN_STEPS_CSV,
  type CsvClient,
  type CsvReading,
  type CsvRunStep,
} from './csv/tables.ts';
export { csvHead, csvRows, readCsv, writeCsv, type CsvTable } from './csv/table.ts';
export { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from './csv/cells.ts';
