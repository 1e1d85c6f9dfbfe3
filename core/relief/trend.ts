import { normalCdf } from './normal.ts';

/**
 * Trend of one series. Formulas: Theil 1950; Sen, J Am Stat Assoc 1968;63:1379–1389; Mann 1945; Kendall. Ratings on
 * neighbouring days depend on each other, so p-values are too small: they are descriptive.
 */
export interface Trend {
  /** Median of the slopes of all pairs, units per day. */
  slopePerDay: number;
  /** Lower end of its interval. */
  low: number;
  /** Upper end of its interval. */
  high: number;
  /** At day 0. */
  intercept: number;
  /** Mann-Kendall S. */
  s: number;
  /** Of S. */
  variance: number;
  /** Standardised S. */
  z: number;
  /** Two-sided. */
  p: number;
}

const Z95 = 1.959963984540054;

const median = (sorted: ArrayLike<number>): number => {
  const m = sorted.length >> 1;
  return sorted.length % 2 ? sorted[m]! : (sorted[m - 1]! + sorted[m]!) / 2;
};
const ascending = (values: readonly number[]) => [...values].sort((a, b) => a - b);

/** Half to even, as the interval below expects. */
const roundHalfEven = (v: number): number => {
  const floor = Math.floor(v);
  const rest = v - floor;
  return rest < 0.5 ? floor : rest > 0.5 ? floor + 1 : floor % 2 === 0 ? floor : floor + 1;
};

/** Mann–Kendall count with its variance (ties corrected) and two-sided normal p. Values in order of time. */
export function mannKendall(values: readonly number[]): Pick<Trend, 's' | 'variance' | 'z' | 'p'> {
  const n = values.length;
  let s = 0;
  for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) s += Math.sign(values[j]! - values[i]!);
  const groups = new Map<number, number>();
  for (const v of values) groups.set(v, (groups.get(v) ?? 0) + 1);
  const ties = [...groups.values()].reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0);
  const variance = (n * (n - 1) * (2 * n + 5) - ties) / 18;
  const z = variance === 0 || s === 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance);
  return { s, variance, z, p: 2 * (1 - normalCdf(Math.abs(z))) };
}

/**
 * Theil–Sen slope with a 95 % interval taken from the ordered slopes (the variant without interpolation) and
 * Mann–Kendall on the same series. Times in days, not decreasing; pairs at the same time give no slope.
 * Null when there is no pair.
 */
export function trend(days: readonly number[], values: readonly number[], zForInterval = Z95): Trend | null {
  // Numbers of a fixed kind are ordered without asking a function for each pair: a year of ratings has 66 000 slopes.
  const all = new Float64Array((days.length * (days.length - 1)) / 2);
  let count = 0;
  for (let i = 0; i < days.length; i++)
    for (let j = i + 1; j < days.length; j++)
      if (days[j]! > days[i]!) all[count++] = (values[j]! - values[i]!) / (days[j]! - days[i]!);
  if (!count) return null;
  const slopes = all.subarray(0, count).sort();
  const mk = mannKendall(values);
  const n = slopes.length;
  const c = zForInterval * Math.sqrt(mk.variance);
  const low = Math.max(roundHalfEven((n - c) / 2) - 1, 0);
  const high = Math.min(roundHalfEven((n + c) / 2), n - 1);
  const slopePerDay = median(slopes);
  return {
    slopePerDay,
    low: slopes[low]!,
    high: slopes[high]!,
    intercept: median(ascending(values)) - slopePerDay * median(ascending(days)),
    ...mk,
  };
}
