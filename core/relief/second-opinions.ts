import { mannKendall, trend } from './trend.ts';

/** How the readings of two phases overlap. */
export interface Overlap {
  /** Share of pairs, one of each phase, of which the later one is better; ties count half. Parker and Vannest 2009. */
  nap: number;
  /** The same from −1 to 1. */
  tau: number;
  /** Kendall’s S of the phase before by itself, in the direction of better. */
  trendBefore: number;
  /** Tau with the trend before the work taken off. Parker, Vannest, Davis and Sauber 2011. */
  tauU: number;
}

/** @param better Which way a reading gets better. Null without readings in both phases. */
export function overlap(before: readonly number[], since: readonly number[], better: 'up' | 'down'): Overlap | null {
  const pairs = before.length * since.length;
  if (!pairs) return null;
  const sign = better === 'up' ? 1 : -1;
  let s = 0;
  for (const a of before) for (const b of since) s += Math.sign(b - a) * sign;
  const trendBefore = mannKendall(before).s * sign;
  return { nap: (s / pairs + 1) / 2, tau: s / pairs, trendBefore, tauU: (s - trendBefore) / pairs };
}

/** A trend over hundreds of ratings compares each with each: so many of the latest are taken. */
const LATEST = 400;

/** What simpler methods say of the same course; told beside it and deciding nothing. Null before the work. */
export function secondOpinions(
  points: readonly { day: number; value: number }[],
  workDay: number,
): { overlap: Overlap | null; slopePerWeek: number | null } {
  const of = (isBefore: boolean) => points.filter((p) => p.day <= workDay === isBefore).map((p) => p.value);
  const latest = points.slice(-LATEST);
  const slope = trend(
    latest.map((p) => p.day),
    latest.map((p) => p.value),
  );
  return {
    overlap: overlap(of(true).slice(-LATEST), of(false).slice(-LATEST), 'down'),
    slopePerWeek: slope && slope.slopePerDay * 7,
  };
}
