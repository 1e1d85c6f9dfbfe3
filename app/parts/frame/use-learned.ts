import { asYours, type Learned } from '../../../core/guide';
import { routineSeconds, type Routine } from '../../../core/routine';
import { useMemo } from 'react';
import { useRouteLoaderData } from 'react-router';

const NOTHING: Learned = { hands: {}, open: {} };
/** What the own runs of whoever is signed in tell of how long things take. */
export function useLearned(): Learned {
  const frame = useRouteLoaderData('routes/frame') as { learned: Learned } | undefined;
  const paper = useRouteLoaderData('routes/paper/frame') as { learned: Learned } | undefined;
  return (frame ?? paper)?.learned ?? NOTHING;
}

/** Seconds of a routine as the signed-in practitioner really takes; null where own runs say nothing else than the plan. */
export function useYourSeconds(routine: Routine | null): number | null {
  const learned = useLearned();
  return useMemo(() => {
    if (!routine) return null;
    const yours = routineSeconds(asYours(routine, learned));
    return Math.abs(yours - routineSeconds(routine)) < 1 ? null : yours;
  }, [routine, learned]);
}
