import { yourSeconds, type Learned } from '../../../core/guide';
import type { Routine } from '../../../core/routine';
import { createContext, use, useMemo } from 'react';

/** What the own runs of whoever is signed in tell of how long things take. */
export const OwnRuns = createContext<Learned>({ hands: {}, open: {} });
export const useLearned = (): Learned => use(OwnRuns);

/** Seconds of a routine as the signed-in practitioner really takes; null where own runs say nothing else than the plan. */
export function useYourSeconds(routine: Routine | null): number | null {
  const learned = useLearned();
  return useMemo(() => routine && yourSeconds(routine, learned), [routine, learned]);
}
