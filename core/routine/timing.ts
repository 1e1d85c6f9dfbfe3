import { expandRoutine, WORKING, type Cue } from './cues.ts';
import { stepsOf, type Routine, type Step } from './model.ts';

/** Seconds of a routine, read off its cue list. */
export interface Totals {
  /** Length of the whole. */
  totalSeconds: number;
  /** Whole length of each step with finding the place and changes, in step order. */
  stepSeconds: number[];
  /** Seconds in which hands are on each side; both at once counts for both. Breathing, looking and own movement are none. */
  handSeconds: { left: number; right: number };
  /** Work that reaches each side, by hands or by the client’s own; work on both sides at once counts for both, the midline for neither. */
  workSeconds: { left: number; right: number; midline: number };
  /** Counted repetitions that reach each side; those on both at once count for both. */
  counts: { left: number; right: number };
  /** Length with every open dose and "up to" count at its least and at its most. */
  rangeSeconds: { least: number; most: number };
}

/** @param steps How many steps the routine has. */
export function totalsOf(steps: number, cues: readonly Cue[]): Totals {
  const stepMs = new Array<number>(steps).fill(0);
  const work = { left: 0, right: 0, midline: 0 };
  const hands = { left: 0, right: 0 };
  const counts = { left: 0, right: 0 };
  let least = 0;
  let most = 0;
  for (const cue of cues) {
    if (cue.kind === 'done') continue;
    const ms = cue.endMs - cue.startMs;
    stepMs[cue.stepIndex]! += ms;
    least += cue.leastMs;
    most += cue.mostMs;
    if (!WORKING.has(cue.kind)) continue;
    if (cue.hands && (cue.side === 'both' || cue.side === 'left')) hands.left += ms;
    if (cue.hands && (cue.side === 'both' || cue.side === 'right')) hands.right += ms;
    const beats = cue.beats?.count ?? 0;
    if (cue.side === 'both' || cue.side === 'left') counts.left += beats;
    if (cue.side === 'both' || cue.side === 'right') counts.right += beats;
    if (cue.side === 'both') {
      work.left += ms;
      work.right += ms;
    } else work[cue.side] += ms;
  }
  return {
    totalSeconds: (cues[cues.length - 1]?.endMs ?? 0) / 1000,
    stepSeconds: stepMs.map((ms) => ms / 1000),
    handSeconds: { left: hands.left / 1000, right: hands.right / 1000 },
    workSeconds: { left: work.left / 1000, right: work.right / 1000, midline: work.midline / 1000 },
    counts,
    rangeSeconds: { least: least / 1000, most: most / 1000 },
  };
}

/** Total of a routine in seconds. */
export const routineSeconds = (routine: Pick<Routine, 'items'>): number =>
  totalsOf(stepsOf(routine).length, expandRoutine(routine)).totalSeconds;

/** Length of one step on its own, in seconds. */
export const stepSeconds = (step: Step): number => routineSeconds({ items: [step] });
