import { clock, type OneSide } from '../words/index.ts';
import { replaceStep } from './edit.ts';
import { type Routine, type Step, stepsOf } from './model.ts';
import { stepSeconds } from './timing.ts';

/** What a side lacked of a technique before. */
export interface Lack {
  /** Id of the technique. */
  technique: string;
  /** The client's. */
  side: OneSide;
  /** Hands-on. */
  seconds: number;
}

const withExtra = (step: Step, { side, seconds }: Lack): Step => ({
  ...step,
  sides: {
    ...step.sides,
    extra: { side, sets: 1, reason: `The client’s ${side} got ${clock(seconds)} less of it last time.` },
  },
});

/** Seconds that one more set on a side adds. */
const setSeconds = (step: Step, lack: Lack): number => stepSeconds(withExtra(step, lack)) - stepSeconds(step);

/**
 * The lacks that a routine can make up: it has a step of that technique, done one side after the other and without an
 * extra set so far, of which one more set is no more than twice what was lacking.
 */
export function makeableUp(routine: Routine, lacks: readonly Lack[]): { lack: Lack; stepId: string }[] {
  return lacks.flatMap((lack) => {
    const step = stepsOf(routine).find(
      (s) => s.technique === lack.technique && s.sides.mode === 'each' && !s.sides.extra,
    );
    return step && setSeconds(step, lack) <= 2 * lack.seconds ? [{ lack, stepId: step.id }] : [];
  });
}

/** One more set on the side that lacked it, with its reason, wherever that makes up what was lacking. */
export const madeUp = (routine: Routine, lacks: readonly Lack[]): Routine =>
  makeableUp(routine, lacks).reduce(
    (r, { lack, stepId }) => replaceStep(r, stepId, (s) => withExtra(s, lack)),
    routine,
  );
