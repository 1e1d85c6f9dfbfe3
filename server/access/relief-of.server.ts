import { REGISTRY } from '../../core/measures/index';
import {
  coursePoints,
  type CourseOf,
  drawnAfter,
  type DrawnOfCourse,
  type DrawnPoints,
  drawnPoints,
  named,
  type NamedPreceded,
  type MeasureCourse,
  measureCourses,
  type ValuePair,
} from '../../core/relief/index';
import type { CourseRating } from '../../core/record/index';
import { drawnCourses, effectSpreadOf, storedCourses } from '../db/queries/courses.server';
import { catalogueOf } from '../db/queries/techniques.server';
import { scoresOfClient } from '../db/queries/scores.server';
import { ratingsOver, seriesOfClient } from '../db/queries/readings.server';

/** The course of one complaint, ready to be drawn. */
interface DrawnCourse extends DrawnOfCourse {
  complaintId: string;
  judgement: CourseOf['judgement'];
  workBeganMs: number | null;
  /** What was done before easier days; null where nothing was. */
  cameBefore: NamedPreceded | null;
}

/** What there is to tell of a client’s relief: a course for each complaint, and what was measured first and now. */
export interface ReliefOf {
  courses: DrawnCourse[];
  /** What was measured first and now, questionnaires first. */
  pairs: ValuePair[];
  /** The same over time. */
  measured: MeasureCourse[];
  /** When anything was rated or measured over the whole course, ms since 1970. */
  moments: number[];
}

/** Ratings of some days as they are drawn. */
function closer(ratings: readonly CourseRating[]): Pick<DrawnOfCourse, keyof DrawnPoints | 'after'> {
  const before = ratings.filter((r) => !r.after);
  return {
    ...drawnPoints(coursePoints(before), before[0]?.atMs ?? 0),
    after: drawnAfter(ratings.filter((r) => r.after)),
  };
}

/** @param days Looked at closer; null = the whole course as it is kept. What is judged is the whole course always. */
export async function reliefOf(
  practiceId: string,
  clientId: string,
  days: { from: Date; to: Date } | null = null,
): Promise<ReliefOf> {
  const [stored, beside, ratings, series, scores, spread] = await Promise.all([
    storedCourses(practiceId, [clientId]),
    drawnCourses(practiceId, clientId),
    days && ratingsOver(practiceId, clientId, days),
    seriesOfClient(practiceId, clientId),
    scoresOfClient(practiceId, clientId),
    effectSpreadOf(practiceId),
  ]);
  const isNamed = [...beside.values()].some((b) => b.preceded.rows.length > 0);
  const techniques = isNamed ? (await catalogueOf(practiceId)).techniques : null;
  const nameOf = (id: string): string => techniques?.get(id)?.name ?? 'a technique that is no longer kept';
  const courses = stored.flatMap(({ complaintId, judgement, workBeganMs }): DrawnCourse[] => {
    const kept = beside.get(complaintId);
    if (!kept) return [];
    return [
      {
        complaintId,
        judgement,
        workBeganMs,
        ...kept.drawn,
        ...(ratings && closer(ratings.filter((r) => r.complaintId === complaintId))),
        cameBefore: named(kept.preceded, spread, nameOf),
      },
    ];
  });
  const rank = (p: { measure: string }) => REGISTRY.findIndex((m) => m.id === p.measure);
  const measured = measureCourses(series, scores);
  return {
    courses,
    moments: [
      ...new Set([
        ...stored.flatMap((c) => beside.get(c.complaintId)?.drawn.points.atMs ?? []),
        ...measured.courses.flatMap((m) => m.sides.flatMap((s) => s.points.map((p) => p.atMs))),
      ]),
    ],
    pairs: measured.pairs.sort(
      (a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place) || a.side.localeCompare(b.side),
    ),
    measured: measured.courses.sort((a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place)),
  };
}
