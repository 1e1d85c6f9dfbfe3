import { useEffect, useEffectEvent } from 'react';
import type { useRun } from './use-run';

/** A run that somebody does on themselves. */
export interface Alone {
  /** Reasons to stop that are offered. */
  reasons: readonly string[];
  /** Told once when it has ended and what it was is kept; with why it was stopped. */
  onEnded: (runId: string, stopped: string | null) => void;
}

/** Begins at once, as the page before has a start of its own, and tells when it has ended and that is kept. */
export function useAlone(
  alone: Alone | undefined,
  { run, state, ending }: ReturnType<typeof useRun>,
  begin: () => void,
) {
  const startAlone = useEffectEvent(begin);
  const isAlone = !!alone;
  useEffect(() => {
    if (isAlone) startAlone();
    // Once: what is asked for later is asked for by hand.
  }, [isAlone]);
  const endAlone = useEffectEvent(() => {
    const { status } = state;
    if (run && (status === 'done' || status === 'stopped'))
      alone?.onEnded(run.id, status === 'done' ? null : (state.stopReason ?? ''));
  });
  const isKept = ending === 'kept';
  useEffect(() => {
    if (isKept) endAlone();
  }, [isKept]);
}
