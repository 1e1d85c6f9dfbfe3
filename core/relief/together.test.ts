import { expect, test } from 'vitest';
import { together, togetherWords } from './together.ts';

const HOUR = 3_600_000;
const at = (...values: [hours: number, value: number][]) =>
  values.map(([hours, value]) => ({ atMs: hours * HOUR, value }));

test('ratings of half a day are paired, each once, the nearest first', () => {
  // Counted by hand: (5,4), (3,3), (2,5); the rating at hour 100 has no other within twelve hours.
  const t = together(at([0, 5], [24, 3], [48, 2], [100, 9]), at([1, 4], [11, 0], [24, 3], [55, 5], [113, 1]));
  expect(t).toEqual({ times: 3, firstHigher: 1, secondHigher: 1, same: 1, bothMoved: 2, sameWay: 1 });
});
test('one rating is never taken for two', () =>
  expect(together(at([0, 5], [6, 6]), at([3, 2]))).toMatchObject({ times: 1, firstHigher: 1 }));
test('exactly half a day counts, a minute more does not', () => {
  expect(together(at([0, 5]), at([12, 5])).times).toBe(1);
  expect(together(at([0, 5]), [{ atMs: 12 * HOUR + 60_000, value: 5 }]).times).toBe(0);
  expect(together(at([12, 5]), at([0, 5])).times).toBe(1);
});
test('too few are said to be too few', () => {
  const days = (n: number) => Array.from({ length: n }, (_, i): [number, number] => [i * 24, i % 3]);
  const words = (n: number) => togetherWords('jaw', 'headache', together(at(...days(n)), at(...days(n))));
  expect(words(3)).toBe('Rated within half a day of each other 3 times: too few to compare.');
  expect(words(1)).toMatch('other once: too few');
  expect(words(4)).toBe(
    'Rated within half a day of each other 4 times: jaw higher in 0, headache in 0, the same in 4. Of 3 times that both moved, 3 the same way.',
  );
  const still = at([0, 5], [24, 5], [48, 5], [72, 5]);
  expect(togetherWords('jaw', 'headache', together(still, still))).toMatch(/At no time did both move\.$/);
});
