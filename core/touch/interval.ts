import jStat from 'jstat';

/** A figure with its 95 % interval. */
export interface Estimated {
  value: number;
  least: number;
  most: number;
}

export const averageOf = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
/** SD² with n − 1. */
export function varianceOf(values: readonly number[]): number {
  const mean = averageOf(values);
  return values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1);
}
/** What a standard error is multiplied by for a 95 % interval (Student). */
export const studentHalf = (freedom: number): number => jStat.studentt.inv(0.975, freedom);

/** The mean of some figures with its 95 % interval (Student); null under `fewest` of them, which is two or more. */
export function meanEstimate(values: readonly number[], fewest: number): Estimated | null {
  const n = values.length;
  if (n < Math.max(2, fewest)) return null;
  const value = averageOf(values);
  const half = studentHalf(n - 1) * Math.sqrt(varianceOf(values) / n);
  return { value, least: value - half, most: value + half };
}
export function middleOf(values: readonly number[]): number | null {
  if (!values.length) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return half % 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
