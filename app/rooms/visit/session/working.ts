import { measureOf, type Reading, scoreSoFar } from '../../../../core/measures';
import type { Routine } from '../../../../core/routine';
import { EMPTY_RECORD, type Findings, type Screen, type VisitRecord, type VisitStage } from '../../../../core/record';
import type { ReadingEntry, VisitPatch } from '../../../../server/db/queries/save-visit.server';
import type { TakenScore } from '../../../../server/db/queries/scores.server';
import type { Visit } from '../../../../server/db/queries/visits.server';

/** What of a visit is worked on. */
export interface Working {
  stage: VisitStage;
  screen: Screen;
  readings: Reading[];
  routine: Routine | null;
  record: VisitRecord;
  findings: Findings;
  /** Scored measures of this visit. */
  scores: TakenScore[];
}

export const workingOf = (visit: Visit, readings: Reading[], scores: TakenScore[]): Working => ({
  stage: visit.stage,
  screen: visit.screen,
  readings,
  routine: visit.routine,
  record: visit.record ?? EMPTY_RECORD,
  findings: visit.findings,
  scores,
});

const sameReading = (a: Omit<ReadingEntry, 'value'>, b: Omit<ReadingEntry, 'value'>): boolean =>
  a.measure === b.measure &&
  a.complaintId === b.complaintId &&
  a.place === b.place &&
  a.side === b.side &&
  a.phase === b.phase;

/** The state with one change made to it; the same change twice is the same as once. */
export function withPatch(before: Working, patch: VisitPatch, visitId: string, now: string): Working {
  switch (patch.kind) {
    case 'screen':
      return { ...before, screen: patch.screen };
    case 'routine':
      return { ...before, routine: patch.routine };
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

/** A later change that takes the place of an earlier one which nobody has seen yet; null when both are needed. */
export function joined(earlier: VisitPatch, later: VisitPatch): VisitPatch | null {
  if (earlier.kind !== later.kind || later.kind === 'stage') return null;
  if (earlier.kind === 'answers' && later.kind === 'answers') return earlier.measure === later.measure ? later : null;
  if (earlier.kind !== 'readings' || later.kind !== 'readings') return later;
  return {
    kind: 'readings',
    entries: [...earlier.entries.filter((e) => !later.entries.some((l) => sameReading(e, l))), ...later.entries],
  };
}

/** What is left of an earlier change once a later one says the same things anew; null when nothing is. */
export function leftOf(earlier: VisitPatch, later: VisitPatch): VisitPatch | null {
  if (earlier.kind !== later.kind) return earlier;
  if (earlier.kind === 'answers' && later.kind === 'answers') return earlier.measure === later.measure ? null : earlier;
  if (earlier.kind !== 'readings' || later.kind !== 'readings') return null;
  const entries = earlier.entries.filter((e) => !later.entries.some((l) => sameReading(e, l)));
  return entries.length ? { kind: 'readings', entries } : null;
}
