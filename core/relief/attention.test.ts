import { describe, expect, test } from 'vitest';
import { coursesOf, courseState, needsAttention, type CourseOf } from './attention.ts';
import { adviceOfAll } from './decision.ts';
import { judgeCourse } from './judgement.ts';
import type { RatedAt } from './ratings.ts';

const DAY = 86_400_000;
const NOW = 1000 * DAY;
const rated = (...values: [daysAgo: number, value: number, at?: 'h'][]): RatedAt[] =>
  values.map(([d, value, h]) => ({ atMs: NOW - d * DAY, value, source: h ? 'home' : 'studio' }));
const of = (name: string, ...values: [daysAgo: number, value: number, at?: 'h'][]): CourseOf => ({
  clientId: name,
  clientName: name,
  complaintId: `${name}-1`,
  kind: 'jaw',
  label: '',
  side: 'both',
  workBeganMs: null,
  decidedMs: null,
  ...courseState(rated(...values), { workStartMs: NOW - values[0]![0] * DAY }),
});
/** Every fourth day, the latest today. */
const every4 = (...values: number[]): [number, number][] => values.map((v, i) => [(values.length - 1 - i) * 4, v]);

describe('what was decided', () => {
  const review = of('review', ...every4(5, 5, 6, 5, 5, 4, 5, 5, 5, 5, 6, 5, 5, 4));
  test('since the last rating is not asked again; a rating after it asks anew', () => {
    expect(needsAttention([{ ...review, decidedMs: NOW }], NOW)).toEqual([]);
    expect(needsAttention([{ ...review, decidedMs: NOW - 1 }], NOW)).toMatchObject([{ why: 'review' }]);
  });
  test('never puts licensed care aside', () => {
    const refer = of('refer', [6, 4], [3, 8], [0, 9]);
    expect(needsAttention([{ ...refer, decidedMs: NOW }], NOW)).toMatchObject([{ why: 'refer' }]);
  });
  test('the most pressing of all courses is proposed for the client', () => {
    expect(adviceOfAll([])).toBe('go-on');
    expect(adviceOfAll([{ advice: 'adjust' }, { advice: 'refer' }, { advice: 'review' }])).toBe('refer');
    expect(adviceOfAll([{ advice: 'go-on' }, { advice: 'adjust' }])).toBe('adjust');
  });
});

describe('who needs a look', () => {
  test('licensed care comes first, then a review, what may be adjusted, then the silent', () => {
    const found = needsAttention(
      [
        of('adjust', ...every4(5, 5, 6, 5, 5, 4, 5, 5, 5, 5)),
        of('silent', [30, 5], [20, 5, 'h']),
        of('review', ...every4(5, 5, 6, 5, 5, 4, 5, 5, 5, 5, 6, 5, 5, 4)),
        of('refer', [6, 4], [3, 8], [0, 9]),
      ],
      NOW,
    );
    expect(found.map((a) => [a.why, a.course.clientName])).toEqual([
      ['refer', 'refer'],
      ['review', 'review'],
      ['adjust', 'adjust'],
      ['silent', 'silent'],
    ]);
    expect(found[3]).toMatchObject({ days: 20 });
  });
  test('a red flag alone is told where referrals are', () => {
    const course = of('x', [3, 4], [0, 4]);
    const flagged = courseState(rated([3, 4], [0, 4]), { workStartMs: null, redFlag: true });
    expect(flagged.judgement.advice).toBe('refer');
    expect(needsAttention([{ ...course, ...flagged }], NOW)).toEqual([]);
    const worse = courseState(rated([6, 4], [3, 8], [0, 9]), { workStartMs: NOW - 6 * DAY, redFlag: true });
    expect(needsAttention([{ ...course, ...worse }], NOW)).toHaveLength(1);
  });
  test('somebody who never rated at home is not silent', () =>
    expect(needsAttention([of('studio', [30, 5], [20, 4])], NOW)).toEqual([]));
  test('six days are not silence', () => expect(needsAttention([of('x', [30, 5], [6, 5, 'h'])], NOW)).toEqual([]));
  test('what ended long ago is forgotten', () =>
    expect(needsAttention([of('old', [200, 4], [190, 8], [180, 8])], NOW)).toEqual([]));
  test('two silent complaints of one client are one entry', () => {
    const a = of('x', [30, 5, 'h']);
    expect(needsAttention([a, { ...a, complaintId: 'x-2' }], NOW).length).toBe(1);
  });
});

test('courses are built out of ratings in any order, by complaint, with days from the first', () => {
  const facts = { workStartMs: DAY };
  const courses = coursesOf(
    [
      { complaint: 'a', atMs: 3.5 * DAY, value: 4, source: 'imported' },
      { complaint: 'b', atMs: 2 * DAY, value: 6, source: 'home' },
      { complaint: 'a', atMs: DAY, value: 5, source: 'studio' },
    ],
    () => facts,
  );
  expect([...courses.keys()]).toEqual(['a', 'b']);
  expect(courses.get('a')!.points).toEqual([
    { day: 0, value: 5, setting: 'studio' },
    { day: 2.5, value: 4, setting: 'studio' },
  ]);
  expect(courses.get('b')!.judgement).toEqual(judgeCourse([{ atMs: 2 * DAY, value: 6, source: 'home' }], facts));
  expect(coursesOf([], () => facts).size).toBe(0);
});
test('what is kept of a course does not depend on the order of its rows', () => {
  const rows = rated([12, 7], [9, 6, 'h'], [6, 5], [3, 4, 'h'], [0, 4]);
  const facts = { workStartMs: NOW - 12 * DAY };
  expect(courseState([...rows].reverse(), facts)).toEqual(courseState(rows, facts));
});
