import type { ComplaintKind, Side } from '../words/index.ts';
import { type Columns, toColumns } from './columns.ts';
import { type AfterWork, drawnAfter, type DrawnPoints, drawnPoints } from './drawn.ts';
import { judgeCourse, RED_FLAG, type CourseFacts, type KeptJudgement, type Judgement } from './judgement.ts';
import { levelsOf, type LevelAt } from './levels.ts';
import { type Preceded, precededOf, type RunDone } from './preceded.ts';
import { coursePoints, type CoursePoint, DAY_MS, firstRatedMs, type RatedAt } from './ratings.ts';
import { secondOpinions } from './second-opinions.ts';

/** One complaint's ratings with what they say. */
export interface Course {
  /** Oldest first. */
  ratings: readonly RatedAt[];
  /** Those of one moment as one, in days since the first. */
  points: CoursePoint[];
  /** What they say. */
  judgement: Judgement;
}

/**
 * Courses by complaint out of ratings in any order: the one way in which page, command line and database build them.
 * @param factsOf When the work on a complaint began, and what else is known of it.
 * @example coursesOf([{ complaint: 'Jaw', atMs: 0, value: 7, source: 'studio' }], () => ({ workStartMs: null })).get('Jaw')!
 */
export function coursesOf(
  ratings: readonly (RatedAt & { complaint: string })[],
  factsOf: (complaint: string) => CourseFacts,
): Map<string, Course> {
  const series = new Map<string, RatedAt[]>();
  for (const { complaint, ...rating } of ratings) {
    const so = series.get(complaint);
    if (so) so.push(rating);
    else series.set(complaint, [rating]);
  }
  return new Map(
    [...series].map(([complaint, unordered]) => [
      complaint,
      {
        ratings: [...unordered].sort((a, b) => a.atMs - b.atMs),
        points: coursePoints(unordered),
        judgement: judgeCourse(unordered, factsOf(complaint)),
      },
    ]),
  );
}

/** Raised when judging or what is kept of it changes, so that states kept under an older rule are worked out anew. */
export const COURSE_RULE_VERSION = 3;
/** Latest ratings that a small line shows. */
const RECENT = 12;

/** What a course shows beside its ratings; kept apart, because only its own page needs it. */
export interface DrawnOfCourse extends DrawnPoints {
  /** Smoothed, of the latest readings. */
  levels: Columns<LevelAt>;
  /** Right after the work. */
  after: Columns<AfterWork>;
  /** Null before the work. */
  opinions: ReturnType<typeof secondOpinions> | null;
}

/** How one complaint's ratings stand, worked out once when one is written; nothing in it depends on the day it is read. */
export interface CourseState {
  /** What the ratings say, without what was said after each of them. */
  judgement: KeptJudgement;
  /** What is drawn of them, and what simpler methods say. */
  drawn: DrawnOfCourse;
  /** What was done before easier days. */
  preceded: Preceded;
  /** How many. */
  ratings: number;
  /** The latest values, oldest first. */
  recent: number[];
  /** Milliseconds since 1970. */
  lastAtMs: number | null;
  /** The same, of the last one rated at home. */
  lastHomeAtMs: number | null;
}

/**
 * @param ratings of one complaint before the work of a visit or between visits, in any order.
 * @param runs of the client, at visits and at home, in any order.
 * @param after Ratings right after the work, in any order.
 */
export function courseState(
  ratings: readonly RatedAt[],
  facts: CourseFacts,
  runs: readonly RunDone[] = [],
  after: readonly AfterWork[] = [],
): CourseState {
  const { verdicts: _verdicts, ...judgement } = judgeCourse(ratings, facts);
  const points = coursePoints(ratings);
  const firstMs = firstRatedMs(ratings) ?? 0;
  const startDay = facts.workStartMs === null ? null : (facts.workStartMs - firstMs) / DAY_MS;
  const ordered = [...ratings].sort((a, b) => a.atMs - b.atMs);
  return {
    judgement,
    drawn: {
      ...drawnPoints(points, firstMs),
      after: drawnAfter(after),
      levels: toColumns(levelsOf(points, startDay, firstMs), ['atMs', 'level', 'low', 'high']),
      opinions: startDay === null || !points.length ? null : secondOpinions(points, Math.max(0, startDay)),
    },
    preceded: precededOf(points, startDay, firstMs, runs),
    ratings: ordered.length,
    recent: ordered.slice(-RECENT).map((r) => r.value),
    lastAtMs: ordered[ordered.length - 1]?.atMs ?? null,
    lastHomeAtMs: ordered.findLast((r) => r.source === 'home')?.atMs ?? null,
  };
}

export interface CourseOf extends Omit<CourseState, 'drawn' | 'preceded'> {
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
  /** End of the first run that worked on it, ms since 1970; null while none has. */
  workBeganMs: number | null;
  /** When somebody last decided what to do next for this client, ms since 1970; null where nobody has. */
  decidedMs: number | null;
}

/** Days without a home rating after which somebody who used to rate at home is asked about. Our choice. */
export const SILENT_AFTER_DAYS = 7;
/** A course that ended long ago asks for nothing. Our choice. */
export const FORGET_AFTER_DAYS = 90;

/** Refer and worse come first; then a review that is due; then those who rated at home and no longer do. */
export type Attention =
  { why: 'refer' | 'review' | 'adjust'; course: CourseOf } | { why: 'silent'; course: CourseOf; days: number };

/** Courses that somebody should look at, the most pressing first. */
export function needsAttention(courses: readonly CourseOf[], nowMs: number): Attention[] {
  const found: Record<'refer' | 'review' | 'adjust' | 'silent', Attention[]> = {
    refer: [],
    review: [],
    adjust: [],
    silent: [],
  };
  for (const course of courses) {
    if (course.lastAtMs === null || (nowMs - course.lastAtMs) / DAY_MS > FORGET_AFTER_DAYS) continue;
    const { advice, because } = course.judgement;
    // A red flag stands with the referrals already.
    const isTold = because.length === 1 && because[0] === RED_FLAG;
    // What was decided since the last rating is not asked again; licensed care is never put aside.
    const isDecided = advice !== 'refer' && course.decidedMs !== null && course.decidedMs >= course.lastAtMs;
    if (advice !== 'go-on' && !isTold && !isDecided) found[advice].push({ why: advice, course });
    const days = course.lastHomeAtMs === null ? 0 : Math.floor((nowMs - course.lastHomeAtMs) / DAY_MS);
    if (days >= SILENT_AFTER_DAYS && !found.silent.some((s) => s.course.clientId === course.clientId))
      found.silent.push({ why: 'silent', course, days });
  }
  return [...found.refer, ...found.review, ...found.adjust, ...found.silent];
}
