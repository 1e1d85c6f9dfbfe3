import { nrsChange } from '../measures/index.ts';
import { roundHalfAway, counted } from '../words/index.ts';
import { trend, type Trend } from './trend.ts';

/** One rating on a course: days since the first reading, in order. */
export interface CoursePoint {
  /** Days since the first rating. */
  day: number;
  /** 0–10. */
  value: number;
  /** Where it was rated. */
  source: 'studio' | 'home';
}

/** Ratings before a trend is shown. Our choice; with four or fewer no rank test can be significant at all. */
export const READINGS_NEEDED = 8;
/** Days before a course is judged, and days without clear change after which it is reviewed. Common practice: two to four weeks. */
const DAYS_NEEDED = 14;
const REVIEW_AFTER_DAYS = 21;
/** Worse is said from as many points on 0–10 as matter when it is better (Farrar et al. 2001; sure). */
const MATTERS_POINTS = 2;

export type Verdict = 'better' | 'no-clear-change' | 'worse' | 'too-early' | 'no-readings';
export type Advice = 'continue' | 'adjust' | 'review' | 'refer' | 'keep-rating';

export interface Judgement {
  /** What the course says. */
  verdict: Verdict;
  /** What to do. */
  advice: Advice;
  /** The first rating; null without one. */
  baseline: number | null;
  /** Middle of the last three; null without one. */
  current: number | null;
  /** From first to last. */
  days: number;
  /** Readings still needed before a judgement, 0 when enough. */
  readingsNeeded: number;
  /** Band of no clear change around the baseline. */
  band: { low: number; high: number } | null;
  /** Null with too few ratings. */
  trend: Trend | null;
  /** First day from which every reading lies past the smallest change that matters; null when not so. */
  clearSinceDay: number | null;
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const m = sorted.length >> 1;
  return sorted.length % 2 ? sorted[m]! : (sorted[m - 1]! + sorted[m]!) / 2;
};

/**
 * Judge a course of 0–10 ratings. Baseline = the first reading; current = the middle of the last three. Better needs
 * the smallest change that matters by points and per cent, enough readings over enough days, and a falling trend whose
 * interval does not pass 0. Worse is said early: two readings in a row, or the middle of the last three, at least
 * 2 points up. Regression to the mean is not removed: people come when it is worst.
 */
export function judgeCourse(points: readonly CoursePoint[]): Judgement {
  const first = points[0];
  const last = points[points.length - 1];
  if (!first || !last)
    return {
      verdict: 'no-readings',
      advice: 'keep-rating',
      baseline: null,
      current: null,
      days: 0,
      readingsNeeded: READINGS_NEEDED,
      band: null,
      trend: null,
      clearSinceDay: null,
    };
  const baseline = first.value;
  const recent = points.slice(-3).map((p) => p.value);
  const current = points.length >= 4 ? middle(recent) : last.value;
  const days = last.day - first.day;
  const readingsNeeded = Math.max(0, READINGS_NEEDED - points.length);
  const slope =
    readingsNeeded === 0
      ? trend(
          points.map((p) => p.day),
          points.map((p) => p.value),
        )
      : null;
  const common = {
    baseline,
    current,
    days,
    readingsNeeded,
    band: { low: Math.max(0, baseline - MATTERS_POINTS), high: Math.min(10, baseline + MATTERS_POINTS) },
    trend: slope,
    clearSinceDay: clearSince(points, baseline),
  };
  const twoUp = points.length >= 3 && recent.slice(-2).every((v) => v - baseline >= MATTERS_POINTS);
  if (twoUp || (points.length >= 4 && current - baseline >= MATTERS_POINTS))
    return { ...common, verdict: 'worse', advice: current - baseline >= 3 ? 'refer' : 'review' };
  if (readingsNeeded > 0 || days < DAYS_NEEDED) return { ...common, verdict: 'too-early', advice: 'keep-rating' };
  if (isClearFall(baseline, current) && slope && slope.high <= 0 && slope.slopePerDay < 0)
    return { ...common, verdict: 'better', advice: 'continue' };
  return { ...common, verdict: 'no-clear-change', advice: days >= REVIEW_AFTER_DAYS ? 'review' : 'adjust' };
}

function isClearFall(baseline: number, value: number): boolean {
  const change = nrsChange(baseline, value);
  return change.twoPoints && (change.band === 'moderate' || change.band === 'substantial');
}

function clearSince(points: readonly CoursePoint[], baseline: number): number | null {
  const lastInside = points.findLastIndex((p) => !isClearFall(baseline, p.value));
  return points[lastInside + 1]?.day ?? null;
}

const whole = (v: number): string => String(roundHalfAway(v, 1));

/** The sentence that stands as the title of a course: "Jaw, left: clearly better, 7 to 3 in 24 days". */
export function courseTitle(name: string, j: Judgement): string {
  switch (j.verdict) {
    case 'no-readings':
      return `${name}: not rated yet`;
    case 'too-early':
      return `${name}: too early to tell`;
    case 'better':
      return `${name}: clearly better, ${whole(j.baseline!)} to ${whole(j.current!)} in ${Math.round(j.days)} days`;
    case 'worse':
      return `${name}: worse, ${whole(j.baseline!)} to ${whole(j.current!)} in ${Math.round(j.days)} days`;
    case 'no-clear-change':
      return `${name}: no clear change in ${Math.round(j.days)} days`;
  }
}

/** The sentence under the title: what the judgement rests on and what to do next. */
export function courseReason(j: Judgement): string {
  switch (j.verdict) {
    case 'no-readings':
      return 'Rate it 0 to 10 at the next visit.';
    case 'too-early': {
      const pair = `${whole(j.baseline!)} to ${whole(j.current!)}`;
      const needs = [
        j.readingsNeeded ? counted(j.readingsNeeded, 'more rating') : '',
        j.days < DAYS_NEEDED
          ? `${Math.ceil(DAYS_NEEDED - j.days)} more day${DAYS_NEEDED - j.days <= 1 ? '' : 's'}`
          : '',
      ].filter(Boolean);
      return `${pair} so far. Needs ${needs.join(' and ')}.`;
    }
    case 'better': {
      const perWeek = (v: number) => String(roundHalfAway(Math.abs(v) * 7, 1));
      const t = j.trend!;
      const since =
        j.clearSinceDay === null
          ? ''
          : ` Past the smallest change that matters since day ${Math.round(j.clearSinceDay)}.`;
      return `Falling ${perWeek(t.slopePerDay)} a week (${perWeek(t.high)} to ${perWeek(t.low)}).${since} Go on.`;
    }
    case 'worse':
      return j.advice === 'refer'
        ? 'Up by 3 or more: suggest licensed care before more firm work.'
        : 'Up by 2 or more: review before more firm work.';
    case 'no-clear-change':
      return j.advice === 'review'
        ? `${whole(j.baseline!)} to ${whole(j.current!)}, inside the band of ordinary ups and downs. Time to review: change the routine or refer.`
        : `${whole(j.baseline!)} to ${whole(j.current!)}, inside the band of ordinary ups and downs. Adjust the routine.`;
  }
}

/** What a course that is worse means for the work, beside every mark that says so. */
export const WORSE_MEANS = 'Firm work on it is warned of; think of licensed care.';
