import { Mixture } from './mixture.ts';
import { ratingsForVerdict } from './more-ratings.ts';
import { coursePoints, type CoursePoint, DAY_MS, firstRatedMs, type RatedAt } from './ratings.ts';
import { allLately, marginFor, type Verdict, verdictOf } from './verdict.ts';

/** What to do next, the least pressing first. */
export const ADVICE = ['go-on', 'adjust', 'review', 'refer'] as const;
export type Advice = (typeof ADVICE)[number];

/** Days of work after which a course without change is reviewed, unless the practice says otherwise. Common practice. */
export const REVIEW_DAYS = 21;
/** The shift between settings is told once each has so many readings and its interval leaves out nought. */
const SHIFT_NEEDS = 4;
const Z975 = 1.959963984540054;

/** What is known of a course beside its ratings. */
export interface CourseFacts {
  /** End of the first run that worked on the complaint, ms since 1970; null while none has. */
  workStartMs: number | null;
  /** The latest screening found a red flag. */
  redFlag?: boolean;
  /** Days of work before a review. */
  reviewDays?: number;
}

export interface Judgement {
  verdict: Verdict;
  advice: Advice;
  /** The numbers that led to the advice, in words. */
  because: string[];
  /** Readings, those of one moment counted once; how many of them lie before the work. */
  readings: number;
  readingsBefore: number;
  /** Those before the work that lie half a day and more apart: several of one day tell little more than one. */
  apartBefore: number;
  /** From the first reading to the last. */
  days: number;
  /** Days worked up to the last reading; null before the work. */
  workedDays: number | null;
  /** Usual level before the work and now, 0–10; null without readings. */
  before: number | null;
  level: number | null;
  /** The estimate itself and its standard deviation, not cut to the scale. */
  change: number | null;
  changeSd: number | null;
  /** The change as it is shown: what a level on 0–10 can do. Null before the work. */
  shown: number | null;
  /** Bounds of the change as they are shown; 90 % for about the same, else 95 %. */
  interval: { low: number; high: number } | null;
  /** More ratings that would give a verdict with an even chance; null where that is not asked or none would. */
  moreRatings: number | null;
  /** How much higher the other setting is rated, where that is sure; null else. */
  shift: { points: number; low: number; high: number; of: 'studio' | 'home' } | null;
  /** What was said after each reading. */
  verdicts: Verdict[];
}

/** What is kept of a judgement: all but what was said after each reading. */
export type KeptJudgement = Omit<Judgement, 'verdicts'>;

const NOTHING: Judgement = {
  verdict: 'no-readings',
  advice: 'go-on',
  because: [],
  readings: 0,
  readingsBefore: 0,
  apartBefore: 0,
  days: 0,
  workedDays: null,
  before: null,
  level: null,
  change: null,
  changeSd: null,
  shown: null,
  interval: null,
  moreRatings: null,
  shift: null,
  verdicts: [],
};

const clamp = (v: number): number => Math.min(10, Math.max(0, v));

/** Day of the course on which the work began: the first reading stands for the time before where nothing was rated then. */
const workDayOf = (points: readonly CoursePoint[], startDay: number | null): number =>
  startDay === null ? Infinity : Math.max(startDay, points[0]!.day);

/**
 * Judges a course of 0–10 ratings by a model of one person: a usual level before the work, one now, noise that depends
 * on its neighbours, and the shift between studio and home; 24 such models are mixed by how well they foretold the
 * ratings. docs/relief.md holds the method and how often it errs.
 */
export function judgeCourse(ratings: readonly RatedAt[], facts: CourseFacts): Judgement {
  const first = firstRatedMs(ratings);
  if (first === null) return facts.redFlag ? { ...NOTHING, advice: 'refer', because: [RED_FLAG] } : NOTHING;
  const points = coursePoints(ratings);
  return judgePoints(points, facts.workStartMs === null ? null : (facts.workStartMs - first) / DAY_MS, facts);
}

/** The same of points already brought together. @param startDay Day of the course on which the work began. */
export function judgePoints(
  points: readonly CoursePoint[],
  startDay: number | null,
  { redFlag = false, reviewDays = REVIEW_DAYS }: Pick<CourseFacts, 'redFlag' | 'reviewDays'> = {},
): Judgement {
  const workDay = workDayOf(points, startDay);
  const reference = points[0]!.setting;
  const mixture = new Mixture(workDay);
  const verdicts: Verdict[] = [];
  const so: CoursePoint[] = [];
  for (const p of points) {
    mixture.take({ day: p.day, value: p.value, other: p.setting !== reference });
    so.push(p);
    verdicts.push(verdictOf(mixture, so, p.day <= workDay, verdicts[verdicts.length - 1] ?? null));
  }
  const verdict = verdicts[verdicts.length - 1]!;
  const earlier = points.filter((p) => p.day <= workDay);
  const last = points[points.length - 1]!;
  const { mean: change, sd: changeSd } = mixture.change;
  const b = mixture.before;
  const shown = (x: number): number => clamp(b + x) - clamp(b);
  const worked = last.day > workDay ? last.day - workDay : null;
  const bounds = worked === null ? null : mixture.changeInterval(verdict === 'about-same' ? 0.9 : 0.95);
  const common = {
    verdict,
    readings: points.length,
    readingsBefore: earlier.length,
    apartBefore: farApart(earlier),
    days: last.day - points[0]!.day,
    workedDays: worked,
    before: b,
    level: mixture.level,
    change,
    changeSd,
    shown: worked === null ? null : shown(change),
    interval: bounds && { low: shown(bounds.low), high: shown(bounds.high) },
    moreRatings: verdict === 'cannot-tell' ? ratingsForVerdict(mixture, points, workDay, marginFor(b)) : null,
    shift: shiftOf(mixture, points),
    verdicts,
  };
  return { ...common, ...adviceFor(common, points, redFlag, reviewDays) };
}

/** Readings counted from the first on, each half a day and more after the one counted before. */
function farApart(points: readonly CoursePoint[]): number {
  let [count, last] = [0, -Infinity];
  for (const { day } of points)
    if (day - last >= 0.5) {
      count++;
      last = day;
    }
  return count;
}

function shiftOf(mixture: Mixture, points: readonly CoursePoint[]): Judgement['shift'] {
  const reference = points[0]!.setting;
  const others = points.filter((p) => p.setting !== reference).length;
  if (Math.min(others, points.length - others) < SHIFT_NEEDS) return null;
  const { mean, sd } = mixture.shift;
  const [low, high] = [mean - Z975 * sd, mean + Z975 * sd];
  return low > 0 || high < 0 ? { points: mean, low, high, of: reference === 'studio' ? 'home' : 'studio' } : null;
}

/** The one reason that is no matter of ratings. */
export const RED_FLAG = 'a red flag was answered yes';
const days = (n: number): string => `${Math.floor(n)} days of work`;

/** What to do, the first that fits, with the numbers that led there. */
function adviceFor(
  j: Pick<Judgement, 'verdict' | 'change' | 'workedDays'>,
  points: readonly CoursePoint[],
  redFlag: boolean,
  reviewDays: number,
): Pick<Judgement, 'advice' | 'because'> {
  const { verdict, change, workedDays } = j;
  const now = points[points.length - 1]!.day;
  const highLately = points.filter((p) => now - p.day <= 7 && p.value >= 8).length;
  const refer = [
    redFlag ? RED_FLAG : '',
    verdict === 'worse' && change! >= 3 ? 'up by 3 points or more' : '',
    highLately >= 2 ? `${highLately} ratings of 8 or more in the last 7 days` : '',
    workedDays !== null && workedDays >= 14 && allLately(points, (v) => v >= 7)
      ? 'every rating of the last 14 days at 7 or more'
      : '',
  ].filter(Boolean);
  if (refer.length) return { advice: 'refer', because: refer };
  const worked = workedDays ?? 0;
  if (verdict === 'worse' || verdict === 'leaning-worse')
    return { advice: 'review', because: [verdict === 'worse' ? 'worse than before the work' : 'it leans to worse'] };
  if ((verdict === 'about-same' || verdict === 'cannot-tell') && worked >= 2 * reviewDays)
    return { advice: 'review', because: [`${days(worked)}, twice the review time of ${reviewDays}`] };
  if ((verdict === 'about-same' || verdict === 'leaning-better') && worked >= reviewDays)
    return { advice: 'adjust', because: [`${days(worked)}, past the review time of ${reviewDays}`] };
  return { advice: 'go-on', because: [] };
}
