import { expect, test } from 'vitest';
import type { Reading } from '../measures/index.ts';
import { readingOf } from '../../tests/support/readings.ts';
import { measureCourses } from './measure-courses.ts';

const day = (n: number) => `2026-11-${String(n).padStart(2, '0')}T10:00:00.000Z`;
const reading = (measure: Reading['measure'], n: number, value: number, over: Partial<Reading> = {}): Reading =>
  readingOf(measure, value, { takenAt: day(n), ...over });
const masseter = (side: 'left' | 'right', n: number, value: number) =>
  reading('tenderness', n, value, { place: 'masseter-superficial', side });

test('a measure is one course with its sides, each with its values over time and what the change is worth', () => {
  const { courses, pairs } = measureCourses(
    [
      reading('opening-mm', 2, 31),
      masseter('left', 2, 3),
      masseter('right', 2, 1),
      reading('opening-mm', 9, 36),
      reading('opening-mm', 9, 40, { phase: 'after' }),
      masseter('left', 16, 1),
      masseter('right', 16, 1),
      reading('opening-mm', 16, 41),
      reading('forward-mm', 16, 5),
    ],
    [
      { visitId: '', measure: 'distress', answers: {}, value: 6, words: '', takenAt: day(2) },
      { visitId: '', measure: 'distress', answers: {}, value: 3, words: '', takenAt: day(16) },
    ],
  );
  expect(
    courses.map((c) => [c.measure, c.sides.map((s) => [s.side, s.points.map((p) => p.value), s.pair.told])]),
  ).toEqual([
    ['distress', [['midline', [6, 3], 'no-figure']]],
    ['opening-mm', [['midline', [31, 36, 41], 'better']]],
    [
      'tenderness',
      [
        ['left', [3, 1], 'better'],
        ['right', [1, 1], 'same'],
      ],
    ],
  ]);
  expect(courses[1]!.sides[0]!.points.map((p) => p.atMs)).toEqual([2, 9, 16].map((n) => Date.parse(day(n))));
  // What was measured once has no course.
  expect(pairs).toHaveLength(4);
});
