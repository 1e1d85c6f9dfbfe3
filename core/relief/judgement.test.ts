import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { judgeCourse, judgePoints } from './judgement.ts';
import { coursePoints, type CoursePoint, type RatedAt } from './ratings.ts';
import { usualGapDays } from './more-ratings.ts';
import { neededFor, type Verdict, verdictOf } from './verdict.ts';
import { courseReason, courseTitle } from './words.ts';

const DAY = 86_400_000;
const every = (days: number, ...values: number[]): CoursePoint[] =>
  values.map((value, i) => ({ day: i * days, value, setting: 'home' }));
const again = (value: number, times: number): number[] => Array.from({ length: times }, () => value);
const rated = (...rows: [minute: number, value: number, source?: RatedAt['source']][]): RatedAt[] =>
  rows.map(([minute, value, source = 'home']) => ({ atMs: minute * 60_000, value, source }));

describe('ratings of one moment', () => {
  test('of one setting within half an hour of the earliest are one, at its time, with the middle value', () => {
    expect(coursePoints(rated([0, 8], [10, 5], [30, 6], [31, 4]))).toEqual([
      { day: 0, value: 6, setting: 'home' },
      { day: 31 / 1440, value: 4, setting: 'home' },
    ]);
    expect(coursePoints(rated([0, 8], [1, 5]))[0]!.value).toBe(6.5);
    // Counted from the earliest, not from the one before: nothing grows together over a day.
    expect(coursePoints(rated([0, 8], [20, 8], [40, 8])).map((p) => p.day)).toEqual([0, 40 / 1440]);
  });
  test('of two settings stay two; imported ones are the studio’s, those by telephone the home’s', () => {
    expect(coursePoints(rated([0, 8], [0, 5, 'studio'], [5, 7, 'imported']))).toEqual([
      { day: 0, value: 6, setting: 'studio' },
      { day: 0, value: 8, setting: 'home' },
    ]);
    expect(coursePoints(rated([0, 8], [5, 6, 'telephone']))).toEqual([{ day: 0, value: 7, setting: 'home' }]);
  });
  test('the order of the rows never matters', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 2000 }),
            fc.integer({ min: 0, max: 10 }),
            fc.constantFrom('home' as const, 'studio' as const),
          ),
          { minLength: 1, maxLength: 14 },
        ),
        (rows) => {
          const facts = { workStartMs: 300 * 60_000 };
          const one = judgeCourse(rated(...rows), facts);
          expect(judgeCourse(rated(...[...rows].reverse()), facts)).toEqual(one);
        },
      ),
      { numRuns: 60 },
    ));
});

describe('what is before the work', () => {
  test('every reading up to its beginning; without any the first stands for it', () => {
    const course = every(3, 7, 6, 7, 3, 3);
    expect(judgePoints(course, 6).readingsBefore).toBe(3);
    expect(judgePoints(course, 5.9).readingsBefore).toBe(2);
    expect(judgePoints(course, -4)).toMatchObject({ readingsBefore: 1, workedDays: 12 });
    expect(judgePoints(course, null)).toMatchObject({
      readingsBefore: 5,
      verdict: 'before-work',
      workedDays: null,
      shown: null,
    });
  });
});

describe('verdicts', () => {
  const end = (points: CoursePoint[], startDay: number, more = {}) => judgePoints(points, startDay, more);
  test('a fall at once that stays is better, however flat the rest; nine zeros too', () => {
    expect(end(every(3, 7, ...again(1, 8)), 0).verdict).toBe('better');
    expect(end(every(3, 7, ...again(0, 9)), 0).verdict).toBe('better');
  });
  test('nothing is told before six ratings and fourteen days', () => {
    expect(end(every(3, 7, ...again(1, 4)), 0).verdict).toBe('too-early');
    expect(end(every(2.7, 7, ...again(1, 5)), 0).verdict).toBe('too-early');
    expect(end(every(2.8, 7, ...again(1, 5)), 0).verdict).not.toBe('too-early');
  });
  test('worse is told from the third rating on', () => {
    const course = every(2, 2, 9, 10);
    expect(judgePoints(course.slice(0, 2), 0).verdict).toBe('too-early');
    expect(judgePoints(course, 0).verdict).toBe('worse');
  });
  test('a high first rating is no relief', () => {
    const { verdicts } = end(every(3, 8, 5, 6, 4, 5, 5, 6, 4, 5, 5), 0);
    expect(verdicts).not.toContain('better');
  });
  test('a return to the old level is not better at the end', () =>
    expect(end(every(3, 7, 7, 6, 7, ...again(3, 6), ...again(7, 7)), 9).verdict).not.toBe('better'));
  test('a spike on a low level is not worse', () =>
    expect(end(every(2, 1, 1, 0, 1, 1, 0, 1, 6, 1, 0, 1, 1), 4).verdicts).not.toContain('worse'));
  test('settings that alternate are one course', () => {
    const points = Array.from({ length: 16 }, (_, i): CoursePoint => ({
      day: i * 2,
      value: i % 2 ? 4 : 6,
      setting: i % 2 ? 'home' : 'studio',
    }));
    const j = judgePoints(points, 6);
    expect(j.verdicts.filter((v) => v === 'better' || v === 'worse')).toEqual([]);
    expect(j.shift).toMatchObject({ of: 'home' });
    expect(j.shift!.high).toBeLessThan(0);
    expect(courseReason(j)).toMatch(/At home \d\.\d lower \(.*\); that is taken out\./);
    // Where both are rated alike there is no shift to tell.
    expect(
      judgePoints(
        points.map((p) => ({ ...p, value: 5 })),
        6,
      ).shift,
    ).toBeNull();
    // Fewer than four of one setting say nothing of a shift.
    expect(judgePoints(points.slice(0, 7), 6).shift).toBeNull();
  });
  test('low and steady asks for the last fortnight and a low level before', () => {
    const low = again(1, 9);
    expect(end(every(2, ...low), 4).verdict).toBe('low-steady');
    expect(end(every(2, ...low.slice(0, -1), 2), 4).verdict).not.toBe('low-steady');
    expect(end(every(2, 5, 5, 5, ...low), 4).verdict).not.toBe('low-steady');
  });
  test('what counts as better grows with the level, and is a half below three', () => {
    expect([2, 3, 3.01, 6, 10].map(neededFor)).toEqual([1, 1.5, 2, 2, 3]);
    expect(neededFor(1)).toBe(1);
  });
  test('the interval of about the same is the narrower one', () => {
    const j = end(every(3, 5, 6, 4, 5, 5, 6, 4, 5, 5, 4, 6, 5, 5, 4, 5, 6), 9);
    expect(j.verdict).toBe('about-same');
    expect(j.interval!.high - j.interval!.low).toBeLessThan(2 * 1.96 * j.changeSd!);
  });
  const course = fc.record({
    values: fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 1, maxLength: 24 }),
    days: fc.double({ min: 0.1, max: 8, noNaN: true }),
    before: fc.integer({ min: 0, max: 6 }),
  });
  test('whatever is rated: no verdict without the change it claims, nothing off the scale, words for all', () =>
    fc.assert(
      fc.property(course, ({ values, days, before }) => {
        const points = every(days, ...values);
        const j = judgePoints(points, (before - 1) * days);
        for (const v of [j.before, j.level, j.change]) expect(v).toSatisfy((n: number) => Number.isFinite(n));
        if (j.shown !== null) expect(Math.abs(j.shown)).toBeLessThanOrEqual(10);
        if (j.interval) {
          expect(j.interval.low).toBeLessThanOrEqual(j.shown! + 1e-9);
          expect(j.interval.high).toBeGreaterThanOrEqual(j.shown! - 1e-9);
        }
        if (j.verdict === 'better') {
          expect(j.change).toBeLessThanOrEqual(-0.6 * neededFor(j.before!));
          expect(points.length).toBeGreaterThanOrEqual(6);
          expect(j.days).toBeGreaterThanOrEqual(14);
        }
        if (j.verdict === 'worse') expect(j.change).toBeGreaterThanOrEqual(1.08);
        expect(courseTitle('X', j)).toMatch(/^X: /);
        expect(courseReason(j)).not.toMatch(/cure|detox|clearly|NaN|undefined|null/);
      }),
      { numRuns: 150 },
    ));
});

describe('the limits of a verdict, on chances that are given', () => {
  /** `below` tells the chance that the change lies below so many points. */
  const says = (
    {
      d,
      b = 5,
      below = () => 0.5,
      earlier = null,
    }: { d: number; b?: number; below?: (c: number) => number; earlier?: Verdict | null },
    points = every(3, ...again(5, 8)),
  ) => verdictOf({ changeMean: d, before: b, changeBelow: below }, points, false, earlier);
  const chance = (p: number) => () => p;
  test('worse: by 1.8 and 96.4 % sure, from high levels 97.5 %; kept by 1.08 and 80 %; from the third rating on', () => {
    expect(says({ d: 1.8, below: chance(0.035) })).toBe('worse');
    expect(says({ d: 1.8, below: chance(0.037) })).not.toBe('worse');
    expect(says({ d: 1.79, below: chance(0.01) })).not.toBe('worse');
    expect(says({ d: 2, b: 6.6, below: chance(0.03) })).not.toBe('worse');
    expect(says({ d: 2, b: 6.6, below: chance(0.024) })).toBe('worse');
    expect(says({ d: 1.08, below: chance(0.19), earlier: 'worse' })).toBe('worse');
    expect(says({ d: 1.08, below: chance(0.21), earlier: 'worse' })).not.toBe('worse');
    expect(says({ d: 1.07, below: chance(0.1), earlier: 'worse' })).not.toBe('worse');
    expect(says({ d: 3, below: chance(0.01) }, every(3, 4, 8, 8))).toBe('worse');
    expect(says({ d: 3, below: chance(0.01) }, every(3, 4, 8))).toBe('too-early');
  });
  test('better: by two points or 30 %, 96 % sure, at low levels 97.2 %; kept by 60 % of it and 80 %', () => {
    expect(says({ d: -2, below: chance(0.961) })).toBe('better');
    expect(says({ d: -2, below: chance(0.96) })).not.toBe('better');
    expect(says({ d: -1.99, below: chance(0.99) })).not.toBe('better');
    expect(says({ d: -2.3, b: 8, below: chance(0.99) })).not.toBe('better');
    expect(says({ d: -1.5, b: 3, below: chance(0.971) })).not.toBe('better');
    expect(says({ d: -1.5, b: 3, below: chance(0.973) })).toBe('better');
    expect(says({ d: -1.2, below: chance(0.81), earlier: 'better' })).toBe('better');
    expect(says({ d: -1.2, below: chance(0.79), earlier: 'better' })).not.toBe('better');
    expect(says({ d: -1.19, below: chance(0.9), earlier: 'better' })).not.toBe('better');
  });
  test('leaning: by a point and 85 % sure, either way', () => {
    expect(says({ d: -1, below: chance(0.86) })).toBe('leaning-better');
    expect(says({ d: -1, below: chance(0.85) })).not.toBe('leaning-better');
    expect(says({ d: -0.99, below: chance(0.99) })).not.toBe('leaning-better');
    expect(says({ d: 1, below: chance(0.14) })).toBe('leaning-worse');
    expect(says({ d: 1, below: chance(0.15) })).not.toBe('leaning-worse');
    expect(says({ d: 0.99, below: chance(0.01) })).not.toBe('leaning-worse');
  });
  test('about the same: 95 % sure on either side of the margin, two points or at low levels one', () => {
    const inside = (margin: number, left: number, right: number) => (c: number) =>
      c <= -margin ? left : c >= margin ? 1 - right : 0.5;
    expect(says({ d: 0, below: inside(2, 0.05, 0.04) })).toBe('about-same');
    expect(says({ d: 0, below: inside(2, 0.06, 0.01) })).toBe('cannot-tell');
    expect(says({ d: 0, below: inside(2, 0.01, 0.06) })).toBe('cannot-tell');
    expect(says({ d: 0, b: 3, below: inside(2, 0.01, 0.01) })).toBe('cannot-tell');
    expect(says({ d: 0, b: 3, below: inside(1, 0.01, 0.01) })).toBe('about-same');
  });
  test('low and steady: three ratings over seven days and more of the last fourteen', () => {
    const low = (...days: number[]) =>
      [0, 2, 4, ...days].map((day): CoursePoint => ({ day, value: 1, setting: 'home' }));
    expect(says({ d: 0, b: 1 }, low(23, 26, 30))).toBe('low-steady');
    expect(says({ d: 0, b: 1 }, low(23.1, 26, 30))).not.toBe('low-steady');
    expect(says({ d: 0, b: 1 }, low(10, 16, 30))).not.toBe('low-steady');
    expect(says({ d: 0, b: 2.1 }, low(23, 26, 30))).not.toBe('low-steady');
  });
});

describe('advice, the first that fits, with the numbers that led there', () => {
  const same = every(3, 5, 6, 4, 5, 5, 6, 4, 5, 5, 4, 6, 5, 5, 4, 5, 6);
  test('a red flag refers, rated or not', () => {
    expect(judgePoints(same, 9, { redFlag: true })).toMatchObject({
      advice: 'refer',
      because: ['a red flag was answered yes'],
    });
    expect(judgeCourse([], { workStartMs: null, redFlag: true })).toMatchObject({
      advice: 'refer',
      verdict: 'no-readings',
    });
    expect(judgeCourse([], { workStartMs: null })).toMatchObject({ advice: 'go-on', because: [] });
  });
  test('worse by three or more refers, by less reviews', () => {
    const by3 = judgePoints(every(3, 3, 3, 4, 3, 7, 7, 7, 7), 9);
    expect(by3.change).toBeGreaterThanOrEqual(3);
    expect(by3).toMatchObject({ verdict: 'worse', advice: 'refer', because: ['up by 3 points or more'] });
    const less = judgePoints(every(3, 4, 4, 4, 4, 6, 7, 6, 7), 9);
    expect(less.change).toBeLessThan(3);
    expect(less).toMatchObject({ verdict: 'worse', advice: 'review' });
  });
  test('two ratings of eight or more within seven days refer; one, or two further apart, do not', () => {
    const ends = (...last: [day: number, value: number][]) =>
      judgePoints(
        [...every(3, 6, 6, 6, 6), ...last.map(([day, value]): CoursePoint => ({ day, value, setting: 'home' }))],
        9,
      ).because;
    expect(ends([20, 8], [27, 8])).toContain('2 ratings of 8 or more in the last 7 days');
    expect(ends([19.9, 8], [27, 8]).join()).not.toContain('of 8 or more');
    expect(ends([20, 7], [27, 8]).join()).not.toContain('of 8 or more');
  });
  test('a fortnight of work at seven and above refers', () => {
    const high = every(2, 7, 7, 7, ...again(7, 8));
    expect(judgePoints(high, 4)).toMatchObject({
      advice: 'refer',
      because: ['every rating of the last 14 days at 7 or more'],
    });
    expect(judgePoints(high, 7).advice).not.toBe('refer');
    expect(judgePoints([...high.slice(0, -1), { ...high.at(-1)!, value: 6 }], 4).advice).not.toBe('refer');
  });
  test('about the same is adjusted from the review time on and reviewed after twice as long', () => {
    const at = (reviewDays: number) => judgePoints(same, 9, { reviewDays });
    expect(at(40)).toMatchObject({ verdict: 'about-same', advice: 'go-on' });
    expect(at(36)).toMatchObject({ advice: 'adjust', because: ['36 days of work, past the review time of 36'] });
    expect(at(18)).toMatchObject({ advice: 'review', because: ['36 days of work, twice the review time of 18'] });
    expect(at(18.5).advice).toBe('adjust');
  });
  test('what cannot be told is reviewed only after twice the review time', () => {
    const wide = every(3, 9, 3, 7, 5, 2, 8, 4, 7, 3, 8, 5, 2, 9, 4, 6, 3);
    expect(judgePoints(wide, 9, { reviewDays: 20 })).toMatchObject({ verdict: 'cannot-tell', advice: 'go-on' });
    expect(judgePoints(wide, 9, { reviewDays: 18 }).advice).toBe('review');
  });
});

describe('in words', () => {
  test('what is missing is counted', () => {
    expect(courseReason(judgePoints(every(3, 7, 6, 6), 0))).toContain('Needs 3 more ratings and 8 more days.');
    expect(courseReason(judgePoints(every(3, 6, 6), null))).toContain(
      '3 ratings on different days before the work tell most: 1 more.',
    );
    expect(courseReason(judgePoints(every(3, 6, 6, 6), null))).toContain('Enough was rated before the work.');
    // Three of one morning are one day.
    expect(courseReason(judgePoints(every(0.1, 6, 6, 6), null))).toContain('the work tell most: 2 more.');
  });
  test('leaning with little before the work says what it may be', () => {
    const leaning = judgePoints(every(3, 8, 5, 6, 4, 5, 5, 6, 4, 5, 5), 0);
    expect(leaning.verdict).toBe('leaning-better');
    expect(courseReason(leaning)).toContain('A high first rating alone can look like this.');
  });
  test('nought has no sign', () => {
    const verdicts: Verdict[] = ['better'];
    const j = {
      ...judgePoints(every(3, 6, 6, 6), 0),
      verdicts,
      verdict: 'better' as const,
      shown: -2,
      interval: { low: -4, high: -0.01 },
    };
    expect(courseTitle('Jaw', j)).toBe('Jaw: better by 2.0 (0.0 to 4.0) than before the work');
  });
});

test('how often ratings come is the middle of the latest six gaps, half a day at least', () => {
  const at = (...days: number[]) => days.map((day): CoursePoint => ({ day, value: 5, setting: 'home' }));
  expect(usualGapDays(at(0, 30, 60, 63, 66, 69, 72, 75, 78))).toBe(3);
  expect(usualGapDays(at(0, 2, 6))).toBe(3);
  expect(usualGapDays(at(0, 0.1, 0.2))).toBe(0.5);
  expect(usualGapDays(at(0))).toBe(0.5);
});

test('a long course is judged in a moment of the same size for each rating', () => {
  // No timing: the number of ratings alone may not make it fail or turn back to nothing.
  const long = Array.from({ length: 4000 }, (_, i): CoursePoint => ({
    day: i / 3,
    value: 4 + ((i * 7) % 3),
    setting: 'home',
  }));
  const j = judgePoints(long, 9);
  expect(j.readings).toBe(4000);
  expect(j.verdicts).toHaveLength(4000);
  expect(
    judgeCourse(
      long.map((p) => ({ atMs: p.day * DAY, value: p.value, source: 'home' })),
      { workStartMs: 9 * DAY },
    ).verdict,
  ).toBe(j.verdict);
});
