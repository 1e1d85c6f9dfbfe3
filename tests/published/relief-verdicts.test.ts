import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { courseTitle, judgeCourse, type RatedAt, type Verdict } from '../../core/relief/index.ts';

interface Course {
  title: string;
  ratings: [day: number, value: number, source: 'studio' | 'home'][];
  workStart: number | null;
  options: { red_flag?: boolean; review_days?: number };
  expected: {
    verdict: string;
    verdicts: string[];
    advice: string;
    before: number;
    change: number | null;
    changeSd: number | null;
    shownChange: number | null;
    low: number | null;
    high: number | null;
    moreRatings: number | null;
    level: number;
    sentence: string;
  };
}
/** Courses judged elsewhere by the same method, with censoring and all rules; tolerance 1e-6. */
const { courses } = JSON.parse(readFileSync(new URL('./relief-check.json', import.meta.url), 'utf8')) as {
  courses: Course[];
};
const DAY_MS = 86_400_000;
/** Any day will do; the courses count from it. */
const ORIGIN_MS = Date.UTC(2026, 0, 5);
const WORDS: Record<string, Verdict> = {
  'before the work': 'before-work',
  'too early': 'too-early',
  'cannot tell yet': 'cannot-tell',
  'about the same': 'about-same',
  'leaning better': 'leaning-better',
  'leaning worse': 'leaning-worse',
  better: 'better',
  worse: 'worse',
  'low and steady': 'low-steady',
};

describe('a course is judged as the method says', () => {
  test.each(courses.map((c) => [c.title, c] as const))('%s', (_, { ratings, workStart, options, expected }) => {
    const rated = ratings.map(([day, value, source]): RatedAt => ({ atMs: ORIGIN_MS + day * DAY_MS, value, source }));
    const j = judgeCourse(rated, {
      workStartMs: workStart === null ? null : ORIGIN_MS + workStart * DAY_MS,
      ...(options.red_flag === undefined ? {} : { redFlag: options.red_flag }),
      ...(options.review_days === undefined ? {} : { reviewDays: options.review_days }),
    });
    expect(j.verdicts).toEqual(expected.verdicts.map((v) => WORDS[v]));
    expect(j.verdict).toBe(WORDS[expected.verdict]);
    expect(j.advice.replace('-', ' ')).toBe(expected.advice);
    expect(j.moreRatings).toBe(expected.moreRatings);
    expect(courseTitle('Jaw, left', j)).toBe(expected.sentence);
    expect(j.before).toBeCloseTo(expected.before, 6);
    expect(j.level).toBeCloseTo(expected.level, 6);
    if (expected.shownChange === null || j.workedDays === null) return;
    expect(j.change).toBeCloseTo(expected.change!, 6);
    expect(j.changeSd).toBeCloseTo(expected.changeSd!, 6);
    expect(j.shown).toBeCloseTo(expected.shownChange, 6);
    expect(j.interval!.low).toBeCloseTo(expected.low!, 6);
    expect(j.interval!.high).toBeCloseTo(expected.high!, 6);
  });
});
