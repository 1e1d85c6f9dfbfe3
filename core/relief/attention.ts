import type { Side } from '../units.ts';
import type { ComplaintKind } from '../routine/technique.ts';
import { judgeCourse, type CoursePoint, type Judgement } from './judgement.ts';

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
  return ratings.map((r) => ({ day: (r.atMs - first) / DAY_MS, value: r.value, source: r.source === 'home' ? 'home' : 'studio' }));
}

export interface CourseOf {
  clientId: string;
  clientName: string;
  complaintId: string;
  kind: ComplaintKind;
  label: string;
  side: Side;
  ratings: RatedAt[];
}

/** Days without a home rating after which somebody who used to rate at home is asked about. Our choice. */
export const SILENT_AFTER_DAYS = 7;
/** A course that ended long ago asks for nothing. Our choice. */
const FORGET_AFTER_DAYS = 90;

export type Attention =
  | { why: 'worse'; course: CourseOf; judgement: Judgement }
  | { why: 'no-change'; course: CourseOf; judgement: Judgement }
  | { why: 'silent'; course: CourseOf; days: number };

/** Courses that somebody should look at: worse first, then those without change past their review, then the silent. */
export function needsAttention(courses: readonly CourseOf[], nowMs: number): Attention[] {
  const worse: Attention[] = [];
  const still: Attention[] = [];
  const silent: Attention[] = [];
  for (const course of courses) {
    const last = course.ratings[course.ratings.length - 1];
    if (!last || (nowMs - last.atMs) / DAY_MS > FORGET_AFTER_DAYS) continue;
    const judgement = judgeCourse(coursePoints(course.ratings));
    if (judgement.verdict === 'worse') worse.push({ why: 'worse', course, judgement });
    else if (judgement.verdict === 'no-clear-change' && judgement.advice === 'review') still.push({ why: 'no-change', course, judgement });
    const lastHome = course.ratings.findLast((r) => r.source === 'home');
    const days = lastHome ? Math.floor((nowMs - lastHome.atMs) / DAY_MS) : 0;
    if (days >= SILENT_AFTER_DAYS && !silent.some((s) => s.course.clientId === course.clientId)) silent.push({ why: 'silent', course, days });
  }
  return [...worse, ...still, ...silent];
}
