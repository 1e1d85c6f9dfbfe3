import { smallBands, type SmallBand } from '../routine/index.ts';
import { PRESSURES } from '../words/index.ts';
import type { StepRecord } from './run-record.ts';

/** What was really done in a run, as a small ribbon: right above, left below, taller the firmer. */
export interface DoneRibbon {
  bands: SmallBand[];
  /** With finding places and changes. */
  seconds: number;
}

/** In the order of the steps; what a step took besides its work lies before it. */
export function doneRibbon(steps: readonly StepRecord[]): DoneRibbon {
  let at = 0;
  const blocks = steps.flatMap((step) => {
    const worked = step.work.reduce((sum, w) => sum + w.seconds, 0);
    at += Math.max(0, step.doneSeconds - worked);
    return step.work
      .filter((w) => w.seconds > 0)
      .map((w) => {
        const rank = w.pressure ? PRESSURES.indexOf(w.pressure) + 1 : 0;
        const startSeconds = at;
        at += w.seconds;
        return {
          startSeconds,
          endSeconds: at,
          right: w.side === 'left' ? 0 : rank,
          left: w.side === 'right' ? 0 : rank,
          kind: rank ? ('pressure' as const) : ('breath' as const),
        };
      });
  });
  return { bands: smallBands({ blocks }), seconds: Math.round(at) };
}
