import { REGISTRY } from '../../core/measures/index';
import {
  coursePoints,
  type CourseOf,
  type DrawnOfCourse,
  named,
  type NamedPreceded,
  type RatedAt,
  type MeasureCourse,
  measureCourses,
  type ValuePair,
} from '../../core/relief/index';
import type { CourseRatings } from '../../core/record/index';
import { drawnCourses, effectSpreadOf, storedCourses } from '../db/queries/courses.server';
import { catalogueOf } from '../db/queries/techniques.server';
import { scoresOfClient } from '../db/queries/scores.server';
import { ratingsOfClient, seriesOfClient } from '../db/queries/readings.server';

/** The course of one complaint, ready to be drawn. */
interface DrawnCourse {
  complaintId: string;
  judgement: CourseOf['judgement'];
  workBeganMs: number | null;
  /** Those of one moment as one, oldest first. */
  points: { atMs: number; value: number; setting: 'studio' | 'home' }[];
  drawn: DrawnOfCourse;
  /** What was done before easier days; null where nothing was. */
  cameBefore: NamedPreceded | null;
  /** Ratings right after the work of a visit. */
  after: { atMs: number; value: number }[];
}

/** What there is to tell of a client’s relief: a course for each complaint, and what was measured first and now. */
export interface ReliefOf {
  courses: DrawnCourse[];
  /** What was measured first and now, questionnaires first. */
  pairs: ValuePair[];
  /** The same over time. */
  measured: MeasureCourse[];
}

const DAY_MS = 86_400_000;
const SOURCES: Readonly<Record<string, RatedAt['source']>> = {
  s: 'studio',
  h: 'home',
  t: 'telephone',
  i: 'imported',
};
const ratingsIn = (course: CourseRatings | undefined): RatedAt[] =>
  course?.values.map((value, i) => ({ value, atMs: course.atMs[i]!, source: SOURCES[course.sources[i]!]! })) ?? [];

export async function reliefOf(practiceId: string, clientId: string): Promise<ReliefOf> {
  const [ratings, stored, drawn, series, scores, spread, catalogue] = await Promise.all([
    ratingsOfClient(practiceId, clientId),
    storedCourses(practiceId, [clientId]),
    drawnCourses(practiceId, clientId),
    seriesOfClient(practiceId, clientId),
    scoresOfClient(practiceId, clientId),
    effectSpreadOf(practiceId),
    catalogueOf(practiceId),
  ]);
  const nameOf = (id: string): string => catalogue.techniques.get(id)?.name ?? 'a technique that is no longer kept';
  const courses = stored.map(({ complaintId, judgement, workBeganMs }): DrawnCourse => {
    const of = (all: readonly CourseRatings[]) => ratingsIn(all.find((c) => c.complaintId === complaintId));
    const rated = of(ratings.before);
    const points = coursePoints(rated);
    const firstMs = rated[0]?.atMs ?? 0;
    const at = (day: number) => firstMs + day * DAY_MS;
    return {
      complaintId,
      judgement,
      workBeganMs,
      drawn: drawn.get(complaintId)?.drawn ?? { levels: [], opinions: null },
      cameBefore: named(drawn.get(complaintId)?.preceded ?? null, spread, nameOf),
      points: points.map(({ day, value, setting }) => ({ atMs: at(day), value, setting })),
      after: of(ratings.after).map(({ atMs, value }) => ({ atMs, value })),
    };
  });
  const rank = (p: { measure: string }) => REGISTRY.findIndex((m) => m.id === p.measure);
  const measured = measureCourses(series, scores);
  return {
    courses,
    pairs: measured.pairs.sort(
      (a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place) || a.side.localeCompare(b.side),
    ),
    measured: measured.courses.sort((a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place)),
  };
}
