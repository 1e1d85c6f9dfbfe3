import { type Aim, middleKpa } from './aim.ts';
import { type Estimated, meanEstimate, averageOf, middleOf } from './interval.ts';
import { type Press, pressesOf, standsMs } from './presses.ts';
import type { Touch } from './touch.ts';

/** A stretch of a try, ms from its beginning. */
export interface Wanted {
  startMs: number;
  endMs: number;
}
/** What a try asks for: presses as long and as often as a technique has them. */
export interface TryPlan {
  aim: Aim;
  /** When it is to be pressed, in order; between them it is let go. */
  wanted: readonly Wanted[];
}

export interface TryScore {
  presses: readonly Press[];
  /** Of the wanted pressing time that was seen, how much of it was pressed within the aim: 0 to 1; null while none is over. */
  inAimShare: number | null;
  meanKpa: number | null;
  wobbleKpa: number | null;
  riseKpaPerSecond: number | null;
  /** Median of the presses' beginnings against what was wanted, s; minus is early. */
  offBeatS: number | null;
  /** How much quicker (more than 0) or slower the presses followed each other, of what was wanted. */
  tempoError: number | null;
  /** How hard the presses are against what was asked: 1.2 is a fifth harder. */
  hardness: Estimated | null;
  /** Wanted pressing time of which no reading came. */
  lostMs: number;
}

const mean = (values: readonly number[]): number | null => (values.length ? averageOf(values) : null);

/**
 * How hard presses are against what was asked, from three on: the mean with its 95 % interval.
 * @param ratios each press against the middle of its aim
 */
export const hardnessOf = (ratios: readonly number[]): Estimated | null => meanEstimate(ratios, 3);

/** A hand tells forces apart from about a tenth on (Jones 1989, from memory): less than that is not called harder or softer. */
const TELLS_APART = 0.1;
export type HandVerdict = 'harder' | 'softer' | 'as-asked' | 'not-known';
/** What may be said of it: nothing that its interval does not hold. */
export function handVerdict(hardness: Estimated | null): HandVerdict {
  if (!hardness) return 'not-known';
  if (hardness.value > 1 + TELLS_APART && hardness.least > 1) return 'harder';
  if (hardness.value < 1 - TELLS_APART && hardness.most < 1) return 'softer';
  return hardness.least > 1 - 2 * TELLS_APART && hardness.most < 1 + 2 * TELLS_APART ? 'as-asked' : 'not-known';
}

/** The word for a pressure at this moment; null while nothing is to be pressed and nothing is. */
export function wordNow(kpa: number, aim: Aim): 'softer' | 'harder' | 'good' {
  return kpa > aim.mostKpa ? 'softer' : kpa < aim.leastKpa ? 'harder' : 'good';
}

/**
 * What a try was, as far as it has come.
 * @param trace readings, ms from its beginning
 * @param untilMs how far it has come: what is wanted later is not missed yet
 */
export function scoreTry(trace: readonly Touch[], { aim, wanted }: TryPlan, untilMs = Infinity): TryScore {
  const presses = pressesOf(trace, aim.leastKpa);
  let seenMs = 0;
  let inAimMs = 0;
  let wantedMs = 0;
  for (const { startMs, endMs } of wanted) wantedMs += Math.max(0, Math.min(endMs, untilMs) - startMs);
  let w = 0;
  trace.forEach(({ atMs, kpa }, i) => {
    while (w < wanted.length && wanted[w]!.endMs <= atMs) w++;
    const now = wanted[w];
    if (!now || atMs < now.startMs || atMs > untilMs) return;
    const ms = Math.min(standsMs(trace, i), now.endMs - atMs);
    seenMs += ms;
    if (kpa >= aim.leastKpa && kpa <= aim.mostKpa) inAimMs += ms;
  });
  const near = presses.flatMap(({ startMs }) => {
    const closest = wanted.reduce(
      (best, { startMs: at }) => (Math.abs(startMs - at) < Math.abs(startMs - best) ? at : best),
      Infinity,
    );
    return Number.isFinite(closest) ? [startMs - closest] : [];
  });
  const apart = (starts: readonly number[]) => middleOf(starts.slice(1).map((at, i) => at - starts[i]!));
  const every = apart(wanted.map((x) => x.startMs));
  const was = apart(presses.map((p) => p.startMs));
  const offMs = middleOf(near);
  return {
    presses,
    inAimShare: seenMs > 0 ? inAimMs / seenMs : null,
    meanKpa: mean(presses.map((p) => p.meanKpa)),
    wobbleKpa: mean(presses.map((p) => p.wobbleKpa)),
    riseKpaPerSecond: middleOf(presses.map((p) => p.riseKpaPerSecond)),
    offBeatS: offMs === null ? null : offMs / 1000,
    tempoError: every && was ? every / was - 1 : null,
    hardness: hardnessOf(presses.map((p) => p.meanKpa / middleKpa(aim))),
    lostMs: Math.max(0, wantedMs - seenMs),
  };
}
