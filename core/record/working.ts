import { measureOf, type Reading, scoreSoFar } from '../measures/index.ts';
import type { Routine } from '../routine/index.ts';
import type { Findings } from './findings.ts';
import { type ReadingEntry, sameReading, type VisitPatch } from './patch.ts';
import type { TakenScore } from './score.ts';
import {
  EMPTY_RECORD,
  type RoutineOrigin,
  type Screen,
  type Visit,
  type VisitRecord,
  type VisitStage,
} from './visit.ts';

/** What of a visit is worked on. */
export interface Working {
  /** How far the visit has come. */
  stage: VisitStage;
  /** Answers and preparation. */
  screen: Screen;
  /** Of this visit. */
  readings: Reading[];
  /** Null until one is composed. */
  routine: Routine | null;
  /** Where it was copied from. */
  origin: RoutineOrigin | null;
  /** What is recorded at the end. */
  record: VisitRecord;
  /** What Assess found that is no number. */
  findings: Findings;
  /** Scored measures of this visit. */
  scores: TakenScore[];
}

export const workingOf = (visit: Visit, readings: Reading[], scores: TakenScore[]): Working => ({
  stage: visit.stage,
  screen: visit.screen,
  readings,
  routine: visit.routine,
  origin: visit.origin,
  record: visit.record ?? EMPTY_RECORD,
  findings: visit.findings,
  scores,
});

/** The state with one change made to it; the same change twice is the same as once. */
export function withPatch(before: Working, patch: VisitPatch, visitId: string, now: string): Working {
  switch (patch.kind) {
    case 'screen':
      return { ...before, screen: patch.screen };
    case 'routine':
      return {
        ...before,
        routine: patch.routine,
        origin: patch.origin === undefined ? before.origin : patch.origin,
      };
    case 'record':
      return { ...before, record: patch.record };
    case 'findings':
      return { ...before, findings: patch.findings };
    case 'stage':
      return { ...before, stage: patch.stage };
    case 'readings':
      return {
        ...before,
        readings: patch.entries.reduce((all, e) => withEntry(all, e, visitId, now), before.readings),
      };
    case 'answers': {
      const others = before.scores.filter((s) => s.measure !== patch.measure);
      const def = measureOf(patch.measure);
      if (!patch.answers || !def) return { ...before, scores: others };
      const { value, words } = scoreSoFar(def, patch.answers);
      return {
        ...before,
        scores: [...others, { visitId, measure: patch.measure, answers: patch.answers, value, words, takenAt: now }],
      };
    }
  }
}

function withEntry(readings: Reading[], entry: ReadingEntry, visitId: string, now: string): Reading[] {
  const rest = readings.filter((r) => !sameReading(r, entry));
  return entry.value === null
    ? rest
    : [...rest, { ...entry, value: entry.value, source: 'studio', takenAt: now, visitId }];
}
