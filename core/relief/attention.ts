import type { ComplaintKind, Side } from '../words/index.ts';
import { judgeCourse, type Advice, type CoursePoint, type Verdict } from './judgement.ts';

/** A dated rating of one complaint. */
export interface RatedAt {
  atMs: number;
  value: number;
  source: 'studio' | 'home' | 'imported';
}
const DAY_MS = 86_400_000;

/** Days since the first rating; imported ratings count as the studio's. */
export function coursePoints(ratings: readonly RatedAt[]): CoursePoint[] {
  const first = ratings[0]?.atMs ?? 0;
  return ratings.map((r) => ({
    day: (r.atMs - first) / DAY_MS,
    value: r.value,
    source: r.source === 'home' ? 'home' : 'studio',
  }));
}

/** Raised when judging or what is kept of it changes, so that states kept under an older rule are worked out anew. */
export const COURSE_RULE_VERSION = 1;
/** Latest ratings that a small line shows. */
const RECENT = 12;

/** How one complaint's ratings stand, worked out once when one is written; nothing in it depends on the day it is read. */
export interface CourseState {
  verdict: Verdict;
  advice: Advice;
  baseline: number | null;
  current: number | null;
  days: number;
  ratings: number;
  /** The latest values, oldest first. */
  recent: number[];
  /** Milliseconds since 1970. */
  lastAtMs: number | null;
  lastHomeAtMs: number | null;
}

/** @param ratings of one complaint before the work, oldest first. */
export function courseState(ratings: readonly RatedAt[]): CourseState {
  const { verdict, advice, baseline, current, days } = judgeCourse(coursePoints(ratings));
  return {
    verdict,
    advice,
    baseline,
    current,
    days,
    ratings: ratings.length,
    recent: ratings.slice(-RECENT).map((r) => r.value),
    lastAtMs: ratings[ratings.length - 1]?.atMs ?? null,
    lastHomeAtMs: ratings.findLast((r) => r.source === 'home')?.atMs ?? null,
  };
}

export interface CourseOf extends CourseState {
  clientId: string;
  clientName: string;
  complaintId: string;
  kind: ComplaintKind;
  label: string;
  side: Side;
}

/** Days without a home rating after which somebody who used to rate at home is asked about. Our choice. */
export const SILENT_AFTER_DAYS = 7;
/** A course that ended long ago asks for nothing. Our choice. */
export const FORGET_AFTER_DAYS = 90;

export type Attention =
  { why: 'worse' | 'no-change'; course: CourseOf } | { why: 'silent'; course: CourseOf; days: number };

/** Courses that somebody should look at: worse first, then those without change past their review, then the silent. */
export function needsAttention(courses: readonly CourseOf[], nowMs: number): Attention[] {
  const worse: Attention[] = [];
  const still: Attention[] = [];
  const silent: Attention[] = [];
  for (const course of courses) {
    if (course.lastAtMs === null || (nowMs - course.lastAtMs) / DAY_MS > FORGET_AFTER_DAYS) continue;
    if (course.verdict === 'worse') worse.push({ why: 'worse', course });
    else if (course.verdict === 'no-clear-change' && course.advice === 'review')
      still.push({ why: 'no-change', course });
    const days = course.lastHomeAtMs === null ? 0 : Math.floor((nowMs - course.lastHomeAtMs) / DAY_MS);
    if (days >= SILENT_AFTER_DAYS && !silent.some((s) => s.course.clientId === course.clientId))
      silent.push({ why: 'silent', course, days });
  }
  return [...worse, ...still, ...silent];
}
