import {
  readingKey,
  type MeasureAnswers,
  type MeasureKey,
  type Reading,
  type ReadingPhase,
} from '../measures/index.ts';
import { readRoutine, type Routine } from '../routine/index.ts';
import type { Side } from '../words/index.ts';
import type { Findings } from './findings.ts';
import type { TakenScore } from './score.ts';
import type { Referral, RoutineOrigin, Screen, Visit, VisitRecord, VisitStage } from './visit.ts';

/** One reading as it is written; its value apart, it says what is read. */
export interface ReadingEntry {
  /** Id in the registry. */
  measure: MeasureKey;
  /** Null unless the measure belongs to a complaint. */
  complaintId: string | null;
  /** Muscle or region; empty where the measure has none. */
  place: string;
  /** The client’s. */
  side: Side;
  /** Before or after the work. */
  phase: ReadingPhase;
  /** null takes the entry away. */
  value: number | null;
}

/** One change to a visit. Everything the five stages write goes through here; `because`: it corrects an ended one. */
export type VisitPatch =
  | { kind: 'screen'; screen: Screen; because?: string }
  | { kind: 'readings'; entries: ReadingEntry[]; because?: string }
  /** Without an origin it keeps the one it has. */
  | { kind: 'routine'; routine: Routine; origin?: RoutineOrigin | null }
  | { kind: 'record'; record: VisitRecord; because?: string }
  | { kind: 'findings'; findings: Findings; because?: string }
  /** Answers of a scored measure so far; null takes it back. */
  | { kind: 'answers'; measure: string; answers: MeasureAnswers | null; because?: string }
  | { kind: 'stage'; stage: VisitStage; referral?: Referral };

/** What a visit holds, as it is stored. */
export interface StoredVisit {
  visit: Visit;
  readings: Reading[];
  scores: TakenScore[];
}
export type SaveResult =
  | { result: 'saved'; version: number }
  | ({ result: 'stale' | 'ended' } & StoredVisit)
  | { result: 'missing' }
  | { result: 'refused'; message: string };

/** Written twice, it is the same entry: one thing, read before or after the work. */
export const sameReading = (a: Omit<ReadingEntry, 'value'>, b: Omit<ReadingEntry, 'value'>): boolean =>
  a.phase === b.phase && readingKey(a) === readingKey(b);

/** Why an ended visit is corrected; undefined for what is written while it goes on. */
export const becauseOf = (patch: VisitPatch): string | undefined => ('because' in patch ? patch.because : undefined);

/** A later change that takes the place of an earlier one which nobody has seen yet; null when both are needed. */
export function joined(earlier: VisitPatch, later: VisitPatch): VisitPatch | null {
  if (earlier.kind !== later.kind || later.kind === 'stage') return null;
  // Each reason for a correction stands beside what it corrected.
  if (becauseOf(earlier) !== becauseOf(later)) return null;
  if (earlier.kind === 'answers' && later.kind === 'answers') return earlier.measure === later.measure ? later : null;
  if (earlier.kind !== 'readings' || later.kind !== 'readings') return later;
  return {
    ...later,
    entries: [...earlier.entries.filter((e) => !later.entries.some((l) => sameReading(e, l))), ...later.entries],
  };
}

/** What is left of an earlier change once a later one says the same things anew; null when nothing is. */
export function leftOf(earlier: VisitPatch, later: VisitPatch): VisitPatch | null {
  if (earlier.kind !== later.kind) return earlier;
  if (earlier.kind === 'answers' && later.kind === 'answers') return earlier.measure === later.measure ? null : earlier;
  if (earlier.kind !== 'readings' || later.kind !== 'readings') return null;
  const entries = earlier.entries.filter((e) => !later.entries.some((l) => sameReading(e, l)));
  return entries.length ? { ...earlier, entries } : null;
}

/**
 * A change as an earlier form of the application may have left it on a device, in the present form.
 * @throws InputError when it holds a routine that cannot be read.
 */
export const readPatch = (patch: VisitPatch): VisitPatch =>
  patch.kind === 'routine' ? { ...patch, routine: readRoutine(patch.routine) } : patch;
