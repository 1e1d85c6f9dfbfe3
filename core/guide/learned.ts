import { expandRoutine, mapSteps, routineSeconds, stepsOf, type Routine } from '../routine/index.ts';
import { InputError } from '../words/index.ts';
import type { GuideEvent } from './events.ts';
import { handsMove, stateAt, type HandsMove } from './machine.ts';

/** How long what ends by feel took in one run: the middle of each kind, in seconds. What did not come up is missing. */
export interface FeltLengths {
  /** Finding a place, going to the next, changing sides or hands; only where the guide waited for the hands. */
  hands: Partial<Record<HandsMove, number>>;
  /** Open doses, by technique. */
  open: Record<string, number>;
}

/** The middle of several runs. */
export interface Middle {
  seconds: number;
  /** Of the shortest run. */
  leastSeconds: number;
  /** Of the longest run. */
  mostSeconds: number;
  runs: number;
}

export interface Learned {
  hands: Partial<Record<HandsMove, Middle>>;
  /** By technique. */
  open: Record<string, Middle>;
}

/** Nothing is said from fewer runs. Our choice. */
const RUNS_TO_LEARN_FROM = 5;

function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return (sorted[Math.ceil(half) - 1]! + sorted[Math.floor(half)]!) / 2;
}

function gather(lists: Map<string, number[]>, key: string, seconds: number): void {
  const list = lists.get(key);
  if (list) list.push(seconds);
  else lists.set(key, [seconds]);
}

/** What one run tells. */
export function lengthsOf(routine: Routine, events: readonly GuideEvent[], nowMs: number): FeltLengths {
  const cues = expandRoutine(routine);
  const steps = stepsOf(routine);
  const hands = new Map<string, number[]>();
  const open = new Map<string, number[]>();
  for (const { cueIndex, ms } of stateAt(cues, events, nowMs).felt) {
    const cue = cues[cueIndex]!;
    const move = handsMove(cue);
    if (move) gather(hands, move, ms / 1000);
    else gather(open, steps[cue.stepIndex]!.technique, ms / 1000);
  }
  const middles = (lists: Map<string, number[]>) => Object.fromEntries([...lists].map(([k, v]) => [k, middleOf(v)]));
  return { hands: middles(hands), open: middles(open) };
}

/** What several runs of one practitioner tell, kind by kind, once there are enough of that kind. */
export function learnedFrom(runs: readonly FeltLengths[]): Learned {
  const over = (of: (run: FeltLengths) => Record<string, number>): Record<string, Middle> => {
    const lists = new Map<string, number[]>();
    for (const run of runs) for (const [key, seconds] of Object.entries(of(run))) gather(lists, key, seconds);
    return Object.fromEntries(
      [...lists]
        .filter(([, v]) => v.length >= RUNS_TO_LEARN_FROM)
        .map(([key, v]) => [
          key,
          { seconds: middleOf(v), leastSeconds: Math.min(...v), mostSeconds: Math.max(...v), runs: v.length },
        ]),
    );
  };
  return { hands: over((r) => r.hands as Record<string, number>), open: over((r) => r.open) };
}

/** An own estimate that differs by less says nothing of its own. Our choice. */
const WORTH_TELLING_SECONDS = 1;

/**
 * How long a routine takes this practitioner, in seconds; null where own runs say nothing else than the plan, or would
 * make it longer than any routine can be.
 */
export function yourSeconds(routine: Routine, learned: Learned): number | null {
  try {
    const yours = routineSeconds(asYours(routine, learned));
    return Math.abs(yours - routineSeconds(routine)) < WORTH_TELLING_SECONDS ? null : yours;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return null;
  }
}

/**
 * A routine with the seconds that this practitioner really takes: for estimating, never for storing. A change that the
 * routine plans without any time keeps none; an open dose stays within its own least and most.
 */
export function asYours(routine: Routine, { hands, open }: Learned): Routine {
  const own = (planned: number, move: HandsMove) => (planned > 0 ? (hands[move]?.seconds ?? planned) : planned);
  return mapSteps(routine, (step) => {
    const { pauses, parts } = step.dose;
    return {
      ...step,
      dose: {
        ...step.dose,
        pauses: {
          ...pauses,
          findPlaceSeconds: own(pauses.findPlaceSeconds, 'find-place'),
          nextPlaceSeconds: own(pauses.nextPlaceSeconds, 'next-place'),
          sideChangeSeconds: own(pauses.sideChangeSeconds, 'change-side'),
          swapSeconds: own(pauses.swapSeconds, 'swap'),
        },
        parts: parts.map((part) => {
          const yours = part.kind === 'open' ? open[step.technique]?.seconds : undefined;
          if (part.kind !== 'open' || yours === undefined) return part;
          return { ...part, usualSeconds: Math.min(part.mostSeconds, Math.max(part.leastSeconds, yours)) };
        }),
      },
    };
  });
}
