import type { Reading } from '../measures/index.ts';
import type { TakenScore } from '../record/index.ts';
import type { Side } from '../words/index.ts';
import { readingPairs, scorePairs, type ValuePair } from './pairs.ts';

/** One measure at one place over the visits, its sides together. */
export interface MeasureCourse {
  /** Id in the registry. */
  measure: string;
  /** Muscle or region; empty where the measure has no place. */
  place: string;
  /** The client’s sides, or midline alone. */
  sides: {
    side: Side;
    /** Oldest first. */
    points: { atMs: number; value: number }[];
    /** First and now, and what the difference is worth. */
    pair: ValuePair;
  }[];
}

/** Everything that was measured twice before the work, with its values over time; each thing once, as `pairs` orders them. */
export function measureCourses(
  readings: readonly Reading[],
  scores: readonly TakenScore[],
): { courses: MeasureCourse[]; pairs: ValuePair[] } {
  const pairs = [...scorePairs(scores), ...readingPairs(readings)];
  const valuesOf = (p: ValuePair) => {
    const scored = scores.flatMap((s) =>
      s.measure === p.measure && s.value !== null ? [{ atMs: Date.parse(s.takenAt), value: s.value }] : [],
    );
    if (scored.length) return scored;
    return readings.flatMap((r) =>
      r.measure === p.measure && r.place === p.place && r.side === p.side && r.phase !== 'after'
        ? [{ atMs: Date.parse(r.takenAt), value: r.value }]
        : [],
    );
  };
  const courses = new Map<string, MeasureCourse>();
  for (const pair of pairs) {
    const key = `${pair.measure} ${pair.place}`;
    const course = courses.get(key) ?? { measure: pair.measure, place: pair.place, sides: [] };
    courses.set(key, course);
    course.sides.push({ side: pair.side, points: valuesOf(pair), pair });
  }
  return { courses: [...courses.values()], pairs };
}
