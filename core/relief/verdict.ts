import type { Mixture } from './mixture.ts';
import type { CoursePoint } from './ratings.ts';

export type Verdict =
  | 'no-readings'
  | 'before-work'
  | 'too-early'
  | 'cannot-tell'
  | 'about-same'
  | 'leaning-better'
  | 'leaning-worse'
  | 'better'
  | 'worse'
  | 'low-steady';

/** Ratings and days before better or worse is told. Our choice, by simulation. */
export const LEAST = { ratings: 6, days: 14 } as const;
/** Worse is told early: from this rating on. */
const WORSE_FROM = 3;

/** Points that count as better for a usual level before the work: two or 30 % (Farrar et al. 2001), at low levels a half. */
export const neededFor = (before: number): number => (before > 3 ? Math.max(2, 0.3 * before) : Math.max(1, before / 2));
/** Points on either side inside which a course is about the same. Our choice. */
export const marginFor = (before: number): number => (before > 3 ? 2 : 1);

/** Low and steady looks back so far, and asks for so many ratings over so many days. Our choice. */
const LOOK_BACK = { days: 14, ratings: 3, overDays: 7 } as const;

/** Of the readings of the last fortnight: enough of them, far enough apart, and all so. */
export function allLately(points: readonly CoursePoint[], so: (value: number) => boolean): boolean {
  const now = points[points.length - 1]!.day;
  let first = points.length;
  while (first > 0 && now - points[first - 1]!.day <= LOOK_BACK.days) first--;
  if (points.length - first < LOOK_BACK.ratings || now - points[first]!.day < LOOK_BACK.overDays) return false;
  for (let i = first; i < points.length; i++) if (!so(points[i]!.value)) return false;
  return true;
}

/** What a verdict asks of the models. */
type Chances = Pick<Mixture, 'changeMean' | 'before' | 'changeBelow'>;

/**
 * What a course says after its latest reading.
 * @param points Up to and with that reading, in the working phase or before.
 * @param earlier What it said at the reading before: better and worse are kept unless much less speaks for them.
 */
export function verdictOf(
  mixture: Chances,
  points: readonly CoursePoint[],
  isBefore: boolean,
  earlier: Verdict | null,
): Verdict {
  if (isBefore) return 'before-work';
  const d = mixture.changeMean;
  const b = mixture.before;
  const above = () => 1 - mixture.changeBelow(0);
  if (points.length >= WORSE_FROM && d >= 1.08) {
    const sure = above();
    if ((d >= 1.8 && sure > (b > 6.5 ? 0.975 : 0.964)) || (earlier === 'worse' && sure > 0.8)) return 'worse';
  }
  const days = points[points.length - 1]!.day - points[0]!.day;
  if (points.length < LEAST.ratings || days < LEAST.days) return 'too-early';
  if (b <= 2 && allLately(points, (v) => v <= 1)) return 'low-steady';
  const need = neededFor(b);
  // Neither better nor worse can be told of so little.
  if (Math.abs(d) < 0.6) return isSame(mixture, b) ? 'about-same' : 'cannot-tell';
  const below = mixture.changeBelow(0);
  if (d <= -need && below > (b > 3 ? 0.96 : 0.972)) return 'better';
  if (earlier === 'better' && d <= -0.6 * need && below > 0.8) return 'better';
  if (d <= -1 && below > 0.85) return 'leaning-better';
  if (d >= 1 && 1 - below > 0.85) return 'leaning-worse';
  return isSame(mixture, b) ? 'about-same' : 'cannot-tell';
}

/** 95 % sure on either side that the change lies inside of the margin. */
function isSame(mixture: Chances, before: number): boolean {
  const margin = marginFor(before);
  return mixture.changeBelow(-margin) <= 0.05 && 1 - mixture.changeBelow(margin) <= 0.05;
}
