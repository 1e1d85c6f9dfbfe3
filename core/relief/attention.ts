import type { ComplaintKind, Side } from '../words/index.ts';
import { judgeCourse, type Advice, type CoursePoint, type Judgement, type Verdict } from './judgement.ts';

/** A dated rating of one complaint. */
export interface RatedAt {
  /** Milliseconds since 1970. */
  atMs: number;
  /** 0–10. */
  value: number;
  /** Who took it. */
  source: 'studio' | 'home' | 'imported';
}
const DAY_MS = 86_400_000;

/** Days since the first rating; imported ratings count as the studio's. */
function coursePoints(ratings: readonly RatedAt[]): CoursePoint[] {
  const first = ratings[0]?.atMs ?? 0;
  return ratings.map((r) => ({
    day: (r.atMs - first) / DAY_MS,
    value: r.value,
    source: r.source === 'home' ? 'home' : 'studio',
  }));
}

/** One complaint's ratings with what they say. */
export interface Course {
  /** Oldest first. */
  ratings: readonly RatedAt[];
  /** The same in days since the first. */
  points: CoursePoint[];
  /** What they say. */
  judgement: Judgement;
}

/**
 * Courses by complaint out of ratings in any order: the one way in which page, command line and database build them.
 * @example coursesOf([{ complaint: 'Jaw', atMs: 0, value: 7, source: 'studio' }]).get('Jaw')!.judgement.verdict
 */
export function coursesOf(ratings: readonly (RatedAt & { complaint: string })[]): Map<string, Course> {
  const series = new Map<string, RatedAt[]>();
  for (const { complaint, ...rating } of ratings) {
    const so = series.get(complaint);
    if (so) so.push(rating);
    else series.set(complaint, [rating]);
  }
  return new Map(
    [...series].map(([complaint, unordered]) => {
      const ordered = [...unordered].sort((a, b) => a.atMs - b.atMs);
      const points = coursePoints(ordered);
      return [complaint, { ratings: ordered, points, judgement: judgeCourse(points) }];
    }),
  );
}

/** Raised when judging or what is kept of it changes, so that states kept under an older rule are worked out anew. */
export const COURSE_RULE_VERSION = 1;
/** Latest ratings that a small line shows. */
const RECENT = 12;

/** How one complaint's ratings stand, worked out once when one is written; nothing in it depends on the day it is read. */
export interface CourseState {
  /** What the course says. */
  verdict: Verdict;
  /** What to do. */
  advice: Advice;
  /** 0–10; null without a rating. */
  baseline: number | null;
  /** Middle of the last three; null without a rating. */
  current: number | null;
  /** From first to last. */
  days: number;
  /** How many. */
  ratings: number;
  /** The latest values, oldest first. */
  recent: number[];
  /** Milliseconds since 1970. */
  lastAtMs: number | null;
  /** The same, of the last one rated at home. */
  lastHomeAtMs: number | null;
}

/** @param ratings of one complaint before the work, oldest first. */
export function courseState(ratings: readonly RatedAt[]): CourseState {
  const course = coursesOf(ratings.map((r) => ({ ...r, complaint: '' }))).get('');
  const { verdict, advice, baseline, current, days } = course?.judgement ?? judgeCourse([]);
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
  /** Whose. */
  clientId: string;
  /** Whose. */
  clientName: string;
  /** Of which complaint. */
  complaintId: string;
  /** What it is. */
  kind: ComplaintKind;
  /** Own name; empty when the kind says it. */
  label: string;
  /** The client’s. */
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
