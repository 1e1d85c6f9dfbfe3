import { describe, expect, test } from 'vitest';
import { judgeMark, progressByDay } from './trainer.ts';

describe('judging a mark', () => {
  test.each([
    [3, 'easy'],
    [4, 'easy'],
    [7, 'good'],
    [12, 'hard'],
    [15.1, 'again'],
  ] as const)('%s mm off: %s', (errorMm, grade) =>
    expect(judgeMark({ a: errorMm, b: 40 }, 'a')).toEqual({ errorMm, grade, takenFor: null }),
  );
  test('a neighbour that lies nearer is named, and the answer is hard at best', () => {
    expect(judgeMark({ a: 14, b: 6, c: 62 }, 'a')).toEqual({ errorMm: 14, grade: 'hard', takenFor: 'b' });
    expect(judgeMark({ a: 5.5, b: 0.5 }, 'a')).toMatchObject({ grade: 'hard', takenFor: 'b' });
    // As good as equal is no mistake.
    expect(judgeMark({ a: 5.5, b: 5.2 }, 'a')).toEqual({ errorMm: 5.5, grade: 'good', takenFor: null });
  });
  test('a place that is not on the sheet cannot be asked for', () =>
    expect(() => judgeMark({ a: 0 }, 'z')).toThrow(RangeError));
});

test('progress: answers and median error of each day', () => {
  const answers = [
    { at: '2026-03-01T08:00:00Z', errorMm: 10 },
    { at: '2026-03-01T09:00:00Z', errorMm: 4 },
    { at: '2026-03-02T09:00:00Z', errorMm: null },
    { at: '2026-03-03T09:00:00Z', errorMm: 5 },
    { at: '2026-03-03T09:01:00Z', errorMm: 3 },
    { at: '2026-03-03T09:02:00Z', errorMm: 40 },
  ];
  expect(progressByDay(answers, (at) => at.slice(0, 10))).toEqual([
    { day: '2026-03-01', asked: 2, medianErrorMm: 7 },
    { day: '2026-03-02', asked: 1, medianErrorMm: null },
    { day: '2026-03-03', asked: 3, medianErrorMm: 5 },
  ]);
});
