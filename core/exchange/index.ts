/** What goes out to other programs, and comes in from them: one file for each format. */
export { readLines, writeLines } from './lines.ts';
export { clientCalendar, workCalendar, type WorkVisit } from './calendar.ts';
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
  NUMBERS_CSV,
  RUN_STEPS_CSV,
  type CsvClient,
  type CsvReading,
  type CsvRunStep,
} from './csv/tables.ts';
export {
  csvHead,
  firstRows,
  CsvReader,
  csvRows,
  readCsv,
  writeCsv,
  type CsvNames,
  type CsvTable,
} from './csv/table.ts';
export { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from './csv/cells.ts';
export {
  ARCHIVE_FORMAT,
  ARCHIVE_JSON_SCHEMA,
  ARCHIVE_LINE_LETTERS,
  ARCHIVE_VERSION,
  readArchiveLine,
  readArchiveManifest,
  type ArchiveManifest,
  type ArchiveRow,
} from './archive/archive.ts';
export { ARCHIVE_KINDS, ARCHIVE_ROWS, type ArchiveKind } from './archive/kinds.ts';
export {
  allergiesOf,
  complaintInRow,
  INCOMING_CLIENTS,
  INCOMING_READINGS,
  type IncomingClient,
  type IncomingReading,
  KnownPeople,
  type KnownPerson,
  personInRow,
  type ResolvedReading,
  resolveReading,
  RowNotTaken,
  sameName,
} from './csv/incoming.ts';
export { fhirBundle, readFhirReadings } from './fhir/bundle.ts';
