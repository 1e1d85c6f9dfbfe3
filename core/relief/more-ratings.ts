import { normalCdf } from './normal.ts';
import type { Mixture } from './mixture.ts';
import type { CoursePoint } from './ratings.ts';
import { movedVariance } from './state.ts';

const MOST_AHEAD = 20;
/** Gaps between ratings that tell how often they come. */
const LATEST_GAPS = 6;
const LEAST_GAP_DAYS = 0.5;
/** 85 and 95 % of a normal distribution lie below so many standard deviations. */
const [Z85, Z95] = [1.0364, 1.6449];

/** The middle of the latest gaps: how often ratings come. */
export function usualGapDays(points: readonly CoursePoint[]): number {
  const gaps = points
    .slice(1)
    .map((p, i) => p.day - points[i]!.day)
    .slice(-LATEST_GAPS)
    .sort((a, b) => a - b);
  const half = gaps.length >> 1;
  const gap = gaps.length % 2 ? gaps[half]! : gaps.length ? (gaps[half - 1]! + gaps[half]!) / 2 : 0;
  return Math.max(gap, LEAST_GAP_DAYS);
}

/**
 * How many more ratings, at the usual gap and in the setting of the last, give a verdict with an even chance; null when
 * so many alone would not. Asked only of what cannot be told yet, which has ratings and days enough for any verdict. The
 * covariances are carried forward by themselves: what the ratings will say is not known.
 * @param margin Points inside which a course is about the same.
 */
export function ratingsForVerdict(
  mixture: Mixture,
  points: readonly CoursePoint[],
  workDay: number,
  margin: number,
): number | null {
  const last = points[points.length - 1]!;
  const gap = usualGapDays(points);
  const other = last.setting !== points[0]!.setting;
  const { weights } = mixture;
  const { mean: d } = mixture.change;
  const ahead = mixture.filters.map((f) => f.copy());
  const weighted = (of: (k: number) => number) => weights.reduce((sum, w, k) => sum + w * of(k), 0);
  const within = weighted((k) => mixture.filters[k]!.changeVariance);
  const between = weighted((k) => (mixture.filters[k]!.change - d) ** 2);
  for (let n = 1; n <= MOST_AHEAD; n++) {
    const day = last.day + n * gap;
    for (const f of ahead) f.imagine(day, other);
    const left = weighted((k) => ahead[k]!.changeVariance) * (1 + between / within);
    const moved = weighted(
      (k) => movedVariance(ahead[k]!.component, day, workDay) - movedVariance(ahead[k]!.component, last.day, workDay),
    );
    const u = Math.sqrt(Math.max(within + between + moved - left, 1e-9));
    const c = Math.max(1, Z85 * Math.sqrt(left));
    const e = margin - Z95 * Math.sqrt(left);
    const chance =
      normalCdf((-c - d) / u) + normalCdf((d - c) / u) + (e > 0 ? normalCdf((e - d) / u) - normalCdf((-e - d) / u) : 0);
    if (chance >= 0.5) return n;
  }
  return null;
}
