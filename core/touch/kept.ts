import type { Pressure } from '../words/index.ts';
import { aimOf, middleKpa, type PadContact } from './aim.ts';
import { beatOf } from './beat.ts';
import { evennessOf } from './hands.ts';
import type { Estimated } from './interval.ts';
import type { PadKind } from './pace.ts';
import { scoreTry, type TryPlan, type TryScore } from './score.ts';
import type { Touch } from './touch.ts';
import { roundsOf, strokesOf, type Rounds, type PadStroke } from './way.ts';

/** What is kept of how a try went. */
export interface KeptScore extends Omit<TryScore, 'presses'> {
  /** Mean of each press, kPa, in order. */
  pressesKpa: number[];
  /** How many were asked for. */
  asked: number;
  /** Of strokes: the middle one by how far it left its line. */
  stroke: PadStroke | null;
  rounds: Rounds | null;
  /** Middle of what was aimed at; tries of before it was kept aimed at the middle of their word. */
  aimKpa?: number;
  /** What its spectrum says it was pressed at, a minute: also where presses ran into each other. */
  beatPerMinute?: number | null;
  /** Where both hands worked: what the left hand bore, 0 to 1. */
  leftShare?: Estimated | null;
}
/** A try as it is kept. */
export interface KeptTry {
  id: string;
  /** ISO 8601. */
  at: string;
  technique: string;
  kind: PadKind;
  contact: PadContact;
  pressure: Pressure;
  perMinute: number;
  sensor: string;
  isStandIn: boolean;
  isBlind: boolean;
  score: KeptScore;
}

/** Tries on one kind of sensor: what a stand-in made up is never put together with what a pad measured. */
export const triesOn = (tries: readonly KeptTry[], isStandIn: boolean): KeptTry[] =>
  tries.filter((t) => t.isStandIn === isStandIn);

/** A week of tries: shares of the wanted pressing time in the aim, 0 to 1. */
export interface PadWeek {
  /** Its Monday, yyyy-mm-dd. */
  monday: string;
  tries: number;
  median: number;
  /** Half of the tries lie between these. */
  lower: number;
  upper: number;
}
const at = (sorted: readonly number[], q: number): number => {
  const place = q * (sorted.length - 1);
  const [low, high] = [sorted[Math.floor(place)]!, sorted[Math.ceil(place)]!];
  return low + (high - low) * (place % 1);
};
/**
 * Tries by week, oldest first. Hand in those of one kind of sensor.
 * @param mondayOf the Monday of the week in which a moment lies where the practice is
 */
export function padWeeks(tries: readonly Pick<KeptTry, 'at' | 'score'>[], mondayOf: (at: string) => string): PadWeek[] {
  const weeks = new Map<string, number[]>();
  for (const { at: when, score } of tries) {
    if (score.inAimShare === null) continue;
    const monday = mondayOf(when);
    weeks.set(monday, [...(weeks.get(monday) ?? []), score.inAimShare]);
  }
  return [...weeks]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([monday, shares]) => {
      const sorted = shares.sort((a, b) => a - b);
      return {
        monday,
        tries: sorted.length,
        median: at(sorted, 0.5),
        lower: at(sorted, 0.25),
        upper: at(sorted, 0.75),
      };
    });
}

/** Of how many of the latest tries hardness is told: enough for a hand that is a fifth off. */
export const TOLD_OF_TRIES = 5;

/** How hard each press of some tries was against the middle of what its try aimed at. */
export const pressRatios = (tries: readonly Pick<KeptTry, 'pressure' | 'score'>[]): number[] =>
  tries.flatMap(({ pressure, score }) =>
    score.pressesKpa.map((kpa) => kpa / (score.aimKpa ?? middleKpa(aimOf(pressure)))),
  );

/** The middle of some strokes by how straight they were. */
const middleStroke = (strokes: readonly PadStroke[]): PadStroke | null =>
  [...strokes].sort((a, b) => a.offLineMm - b.offLineMm)[Math.floor((strokes.length - 1) / 2)] ?? null;

/** What is kept of a try that is over. */
export function keptScore(
  kind: PadKind,
  plan: TryPlan,
  trace: readonly Touch[],
  { bothHands = false }: { bothHands?: boolean } = {},
): KeptScore {
  const { presses, ...score } = scoreTry(trace, plan);
  return {
    ...score,
    pressesKpa: presses.map((p) => p.meanKpa),
    asked: plan.wanted.length,
    stroke: kind === 'glide' ? middleStroke(strokesOf(trace, plan.aim.leastKpa)) : null,
    rounds: kind === 'circle' ? roundsOf(trace, plan.aim.leastKpa) : null,
    aimKpa: middleKpa(plan.aim),
    beatPerMinute: beatOf(trace.filter((t) => t.atMs >= 0))?.perMinute ?? null,
    ...(bothHands ? { leftShare: evennessOf(trace, plan.aim.leastKpa) } : {}),
  };
}
