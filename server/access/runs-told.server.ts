import { sideCompareWords, type StepRecord } from '../../core/guide/index';
import { stepNames } from '../../core/routine/index';
import { runsOfVisit } from '../db/queries/runs.server';
import { catalogueOf } from '../db/queries/techniques.server';

/** One run of a visit with the names of its steps and what was noted on the way. */
export interface RunTold {
  id: string;
  status: 'open' | 'done' | 'stopped';
  createdAt: string;
  notes: string[];
  /** Looks from side to side, in words. */
  compares: string[];
  steps: (StepRecord & { name: string })[];
}

export async function runsTold(practiceId: string, visitId: string): Promise<RunTold[]> {
  const [runs, catalogue] = await Promise.all([runsOfVisit(practiceId, visitId), catalogueOf(practiceId)]);
  return runs.map((r) => {
    const names = stepNames(r.routine, catalogue);
    return {
      id: r.id,
      status: r.status,
      createdAt: r.createdAt,
      notes: r.events.flatMap((e) => (e.kind === 'note' ? [e.words] : [])),
      compares: r.events.flatMap((e) => (e.kind === 'compare' ? [sideCompareWords(e.compare)] : [])),
      steps: (r.steps ?? []).map((s) => ({ ...s, name: names.get(s.stepId) ?? s.stepId })),
    };
  });
}
