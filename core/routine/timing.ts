import { expandRoutine, WORKING, type Cue } from './cues.ts';
import type { Routine, Step } from './model.ts';

/** Seconds of a routine, read off its cue list. */
export interface Totals {
  totalSeconds: number;
  /** Whole length of each step with its lead-in and changes, in step order. */
  stepSeconds: number[];
  /** Hands-on work that reaches each side; work on both sides at once counts for both, the midline for neither. */
  workSeconds: { left: number; right: number; midline: number };
  /** Length with every open dose and "up to" count at its least and its most. */
  rangeSeconds: { least: number; most: number };
}

export function totalsOf(steps: readonly Step[], cues: readonly Cue[]): Totals {
  const stepMs = new Array<number>(steps.length).fill(0);
  const work = { left: 0, right: 0, midline: 0 };
  let least = 0;
  let most = 0;
  for (const cue of cues) {
    const ms = cue.endMs - cue.startMs;
    if (cue.kind === 'done') continue;
    stepMs[cue.stepIndex]! += ms;
    least += cue.open ? cue.open.leastMs : ms;
    most += cue.open ? cue.open.mostMs : ms + upToMs(steps[cue.stepIndex]!, cue);
    if (!WORKING.has(cue.kind)) continue;
    if (cue.side === 'midline') work.midline += ms;
    else if (cue.side === 'both') {
      work.left += ms;
      work.right += ms;
    } else work[cue.side] += ms;
  }
  return {
    totalSeconds: (cues[cues.length - 1]?.endMs ?? 0) / 1000,
    stepSeconds: stepMs.map((ms) => ms / 1000),
    workSeconds: { left: work.left / 1000, right: work.right / 1000, midline: work.midline / 1000 },
    rangeSeconds: { least: least / 1000, most: most / 1000 },
  };
}

/** Milliseconds that an "up to" count could add to a beats cue. */
function upToMs(step: Step, cue: Cue): number {
  if (!cue.beats) return 0;
  const part = step.dose.parts.find(
    (p) => p.kind === 'beats' && p.count === cue.beats!.count && p.unit === cue.beats!.unit,
  );
  return part?.kind === 'beats' && part.countMost ? (part.countMost - part.count) * cue.beats.intervalMs : 0;
}

/** Total of a routine in seconds. */
export const routineSeconds = (routine: Pick<Routine, 'steps'>): number =>
  totalsOf(routine.steps, expandRoutine(routine)).totalSeconds;

/** Length of one step on its own, in seconds. */
export const stepSeconds = (step: Step): number => routineSeconds({ steps: [step] });
