import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pressedOnBoth, sideGapWords } from './index.ts';

const press = (place: string, side: 'left' | 'right', value: number) => ({ place, side, value });

describe('the sides against each other', () => {
  const pressed = [
    press('masseter', 'left', 3),
    press('temporalis', 'left', 1),
    press('masseter', 'right', 1),
    press('temporalis', 'right', 1),
    press('scm', 'right', 2),
    press('splenius', 'left', 0),
    press('splenius', 'right', 3),
    press('scalenes', 'left', 1),
    press('scalenes', 'right', 0),
  ];
  test('only muscles that were pressed on both count', () =>
    expect(pressedOnBoth(pressed).map((g) => g.place)).toEqual(['masseter', 'temporalis', 'splenius', 'scalenes']));
  test('are told side by side, the largest difference first', () =>
    expect(sideGapWords(pressedOnBoth(pressed), (p) => p)).toBe(
      'Left more tender: masseter by 2, scalenes by 1. Right more tender: splenius by 3. The same: temporalis.',
    ));
  test('with nothing on both sides nothing is said', () =>
    expect(sideGapWords(pressedOnBoth([press('masseter', 'left', 3)]), (p) => p)).toBe(''));
  test('swapping left and right swaps the words, whatever was pressed', () => {
    const value = fc.integer({ min: 0, max: 3 });
    fc.assert(
      fc.property(fc.array(fc.tuple(value, value), { maxLength: 6 }), (pairs) => {
        const gaps = pairs.map(([left, right], i) => ({ place: `m${i}`, left, right }));
        const mirrored = gaps.map((g) => ({ ...g, left: g.right, right: g.left }));
        const ofLeft = (words: string) => /Left more tender: ([^.]*)/.exec(words)?.[1];
        const ofRight = (words: string) => /Right more tender: ([^.]*)/.exec(words)?.[1];
        expect(ofLeft(sideGapWords(gaps, (p) => p))).toBe(ofRight(sideGapWords(mirrored, (p) => p)));
      }),
    );
  });
});
