import { clock, counted, roundHalfAway } from './numbers.ts';
import { lighterOf, pressureRank, PRESSURES } from './pressure.ts';
import { describe, expect, test } from 'vitest';

describe('rounding half away from zero', () => {
  test.each([
    [1.005, 2, 1.01],
    [8.575, 2, 8.58],
    [-2.5, 0, -3],
    [2.5, 0, 3],
    [0.45, 1, 0.5],
    [-0.04, 1, -0],
  ])('%d to %i digits', (value, digits, expected) => {
    expect(roundHalfAway(value, digits)).toBe(expected);
  });
});

test('a number with its noun', () =>
  expect([
    counted(1, 'step'),
    counted(0, 'step'),
    counted(2, 'step'),
    counted(1, 'entry', 'entries'),
    counted(3, 'entry', 'entries'),
  ]).toEqual(['1 step', '0 steps', '2 steps', '1 entry', '3 entries']));

describe('clock', () => {
  test.each([
    [0, '0:00'],
    [59.4, '0:59'],
    [59.5, '1:00'],
    [1118, '18:38'],
    [7200, '120:00'],
  ])('%d s', (seconds, text) => expect(clock(seconds)).toBe(text));
});

describe('pressure', () => {
  test('ranks run from 1 to 5', () => expect(PRESSURES.map(pressureRank)).toEqual([1, 2, 3, 4, 5]));
  test('the lighter of two', () => expect(lighterOf('deep', 'light')).toBe('light'));
});
