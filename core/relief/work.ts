import type { StepRecord } from '../guide/index.ts';
import { type Catalogue, type Routine, stepsOf } from '../routine/index.ts';
import type { ComplaintKind } from '../words/index.ts';

/** Ids of the techniques that a run worked, each once, in their order: steps that it left out did nothing. */
export function techniquesWorked(
  routine: Routine,
  steps: readonly Pick<StepRecord, 'stepId' | 'outcome'>[] | null,
): string[] {
  const skipped = new Set(steps?.filter((s) => s.outcome === 'skipped').map((s) => s.stepId));
  return [...new Set(stepsOf(routine).flatMap((s) => (skipped.has(s.id) ? [] : [s.technique])))];
}

/**
 * Whether a routine worked on a kind of complaint: one of its steps serves it. Steps that the run left out did nothing;
 * without a record of a run the routine counts as it stands. What has no kind of its own is worked on by anything.
 */
export function workedOn(
  kind: ComplaintKind,
  routine: Routine,
  steps: readonly Pick<StepRecord, 'stepId' | 'outcome'>[] | null,
  catalogue: Catalogue,
): boolean {
  return techniquesWorked(routine, steps).some(
    (id) => kind === 'other' || !!catalogue.techniques.get(id)?.serves.includes(kind),
  );
}
