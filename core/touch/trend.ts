import { type Estimated, averageOf, studentHalf } from './interval.ts';

const WEEK_DAYS = 7;
/** Nothing is said of a course before it has so many days, over so long. Our choice. */
const FEWEST_DAYS = 4;
const SHORTEST_DAYS = 14;

/**
 * How a figure changes over the weeks: least squares through the means of the days, with the 95 % interval of its slope
 * (Student). Tries of one day hang together, so a day counts once.
 * @param tries each with its day, counted from any day, and its figure
 * @returns change a week; null for too few or too short a course
 */
export function weeklyTrend(tries: readonly { day: number; value: number }[]): Estimated | null {
  const days = new Map<number, number[]>();
  for (const { day, value } of tries) days.set(day, [...(days.get(day) ?? []), value]);
  const points = [...days].map(([day, values]) => ({ x: day / WEEK_DAYS, y: averageOf(values) }));
  const n = points.length;
  if (n < FEWEST_DAYS) return null;
  const xs = points.map((p) => p.x);
  if ((Math.max(...xs) - Math.min(...xs)) * WEEK_DAYS < SHORTEST_DAYS) return null;
  const midX = averageOf(xs);
  const midY = averageOf(points.map((p) => p.y));
  const sxx = points.reduce((sum, p) => sum + (p.x - midX) ** 2, 0);
  const slope = points.reduce((sum, p) => sum + (p.x - midX) * (p.y - midY), 0) / sxx;
  const rest = points.reduce((sum, p) => sum + (p.y - midY - slope * (p.x - midX)) ** 2, 0);
  const half = studentHalf(n - 2) * Math.sqrt(rest / (n - 2) / sxx);
  return { value: slope, least: slope - half, most: slope + half };
}
export type TrendVerdict = 'rises' | 'falls' | 'not-known';
/** Which way it goes, where its interval does not hold 0. */
export const trendVerdict = ({ least, most }: Estimated): TrendVerdict =>
  least > 0 ? 'rises' : most < 0 ? 'falls' : 'not-known';
