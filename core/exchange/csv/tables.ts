import {
  MEASURE_KEYS,
  type MeasureKey,
  READING_PHASES,
  READING_SOURCES,
  type ReadingPhase,
  type ReadingSource,
} from '../../measures/index.ts';
import { COMPLAINT_KINDS, type ComplaintKind, type Side, SIDES } from '../../words/index.ts';
import { addressCell, idCell, momentCell, numberCell, oneOfCell, optional, textCell } from './cells.ts';
import type { CsvTable } from './table.ts';

/** A rating or a measure with what it is of. */
export interface CsvReading {
  id: string;
  client_id: string;
  /** As the practice calls them: for whoever reads the file; the id says who it is. */
  client: string;
  complaint_id: string | null;
  complaint: string;
  measure: MeasureKey;
  place: string;
  side: Side;
  phase: ReadingPhase;
  value: number;
  source: ReadingSource;
  taken_at: string;
  visit_id: string | null;
}
export const READINGS_CSV: CsvTable<CsvReading> = {
  id: idCell,
  client_id: idCell,
  client: textCell(120),
  complaint_id: optional(idCell),
  complaint: textCell(60),
  measure: oneOfCell(MEASURE_KEYS),
  place: textCell(80),
  side: oneOfCell(SIDES),
  phase: oneOfCell(READING_PHASES),
  value: numberCell(-1000, 1000),
  source: oneOfCell(READING_SOURCES),
  taken_at: momentCell,
  visit_id: optional(idCell),
};

/** A client with one complaint; one row for each complaint, and one for who has none. */
export interface CsvClient {
  client_id: string;
  name: string;
  about: string;
  email: string;
  note: string;
  allergies: string;
  complaint_id: string | null;
  complaint: ComplaintKind | null;
  side: Side | null;
  called: string;
  since: string;
  set_off_by: string;
  goal: string;
}
export const CLIENTS_CSV: CsvTable<CsvClient> = {
  client_id: idCell,
  name: textCell(120),
  about: textCell(120),
  email: addressCell,
  note: textCell(2000),
  allergies: textCell(900),
  complaint_id: optional(idCell),
  complaint: optional(oneOfCell(COMPLAINT_KINDS)),
  side: optional(oneOfCell(SIDES)),
  called: textCell(60),
  since: textCell(200),
  set_off_by: textCell(300),
  goal: textCell(300),
};

/** One step of one run. */
export interface CsvRunStep {
  run_id: string;
  visit_id: string;
  client_id: string;
  client: string;
  began_at: string;
  step: number;
  technique: string;
  outcome: 'done' | 'part' | 'skipped';
  planned_seconds: number;
  done_seconds: number;
}
export const RUN_STEPS_CSV: CsvTable<CsvRunStep> = {
  run_id: idCell,
  visit_id: idCell,
  client_id: idCell,
  client: textCell(120),
  began_at: momentCell,
  step: numberCell(1, 1000),
  technique: textCell(80),
  outcome: oneOfCell(['done', 'part', 'skipped'] as const),
  planned_seconds: numberCell(0, 100_000),
  done_seconds: numberCell(0, 100_000),
};

/** What one person did within a span: days, minutes, and means of their hands in percent, empty without a run. */
export interface CsvNumbers {
  who: string;
  visits: number;
  worked_minutes: number;
  booked_minutes: number;
  did_not_come: number;
  cancelled: number;
  days_with_runs: number;
  days_past_limit: number;
  thumb_percent: number | null;
  index_percent: number | null;
  knuckle_percent: number | null;
  palm_percent: number | null;
  pinch_percent: number | null;
  tool_percent: number | null;
}
const COUNT = numberCell(0, 1_000_000);
export const NUMBERS_CSV: CsvTable<CsvNumbers> = {
  who: textCell(120),
  visits: COUNT,
  worked_minutes: COUNT,
  booked_minutes: COUNT,
  did_not_come: COUNT,
  cancelled: COUNT,
  days_with_runs: COUNT,
  days_past_limit: COUNT,
  thumb_percent: optional(COUNT),
  index_percent: optional(COUNT),
  knuckle_percent: optional(COUNT),
  palm_percent: optional(COUNT),
  pinch_percent: optional(COUNT),
  tool_percent: optional(COUNT),
};
