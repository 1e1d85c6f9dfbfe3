import { InputError } from '../words/index.ts';
import { describe, expect, test } from 'vitest';
import { nrsChange, nrsScore, sessionRelief } from './nrs.ts';
import { lateralMovement, openingPath, protrusion } from './jaw-movement.ts';
import {
  betweenEdges,
  fingerReadings,
  movedByOverlap,
  openingFromFingers,
  openingFromRuler,
  openingsContradict,
} from './opening.ts';
import { checkedReading, MEASURES, MEASURE_KEYS } from './reading.ts';
import { tenderness, tendernessTotal } from './tenderness.ts';

const fieldOf = (run: () => unknown): string => {
  try {
    run();
  } catch (error) {
    if (error instanceof InputError) return error.field;
    throw error;
  }
  return 'nothing was refused';
};

describe('what is out of range is refused by name, not clamped', () => {
  test.each([11, -1, 4.5, NaN, '4', null, undefined])('a rating of %s', (value) => {
    expect(() => nrsScore(value)).toThrow('rating: a whole number from 0 to 10 is accepted');
  });
  test('change of ratings names the one that is wrong', () => {
    expect(fieldOf(() => nrsChange(12, 3))).toBe('baseline');
    expect(fieldOf(() => nrsChange(3, -1))).toBe('followUp');
  });
  test('opening', () => {
    expect(fieldOf(() => openingFromRuler(91))).toBe('distanceMm');
    expect(fieldOf(() => openingFromRuler(40, 16))).toBe('overlapMm');
    expect(fieldOf(() => openingFromFingers([17, 9], 1))).toBe('widthsMm[1]');
    expect(fieldOf(() => openingFromFingers([17, 18], 3))).toBe('fits');
    expect(fieldOf(() => openingFromFingers([], 0))).toBe('widthsMm');
  });
  test.each([4, -1, 1.5, '2'])('tenderness of %s', (value) => expect(() => tenderness(value)).toThrow('0, 1, 2 or 3'));
  test('a session needs times that increase and a rating each', () => {
    expect(fieldOf(() => sessionRelief([0, 5], [4]))).toBe('ratings');
    expect(fieldOf(() => sessionRelief([0, 5, 5], [4, 3, 2]))).toBe('minutes');
  });
});

describe('tenderness total', () => {
  test('all sites tested', () => expect(tendernessTotal([0, 1, 2, 3])).toEqual({ total: 6, mean: 1.5, tested: 4 }));
  test('an untested site is missing, not 0', () =>
    expect(tendernessTotal([3, null, 1])).toEqual({ total: null, mean: 2, tested: 2 }));
  test('nothing tested', () => expect(tendernessTotal([null])).toEqual({ total: null, mean: null, tested: 0 }));
});

describe('finger test words: two schools, no single verdict', () => {
  test('three fingers with strain', () =>
    expect(fingerReadings(3, 3)).toEqual({
      countOnly: 'much tension',
      withStrain: 'work on it: strain is felt at three',
    }));
  test('three fingers without strain', () =>
    expect(fingerReadings(3, null).withStrain).toBe('fine as long as no strain is felt'));
  test('four and two', () => {
    expect(fingerReadings(4, null).countOnly).toBe('not bad');
    expect(fingerReadings(2, null).withStrain).toBe('tight, begin gently');
  });
});

describe('openings that belong together', () => {
  test('another overlap leaves what was measured between the edges', () => {
    expect(movedByOverlap(38.4, 0, 3)).toBe(41.4);
    expect(betweenEdges(41.4, 3)).toBe(38.4);
    expect(movedByOverlap(41, 3, -2)).toBe(36);
  });
  test('an overlap with which an opening could not be is refused', () =>
    expect(() => movedByOverlap(1, 0, -3)).toThrow('-1 mm or more is accepted'));
  test.each([
    [{}, false],
    [{ 'opening-mm': 40 }, false],
    [{ 'opening-mm': 40, 'opening-furthest-mm': 38 }, false],
    [{ 'opening-mm': 40, 'opening-furthest-mm': 37.5 }, true],
    [{ 'opening-mm': 40, 'opening-assisted-mm': 36 }, true],
    [{ 'opening-mm': 31, 'opening-furthest-mm': 36, 'opening-assisted-mm': 40 }, false],
  ])('%o contradict: %s', (openings, told) => expect(openingsContradict(openings)).toBe(told));
});

describe('movement of the jaw refuses', () => {
  test('with the field', () => {
    expect(fieldOf(() => lateralMovement(26, 5))).toBe('rightMm');
    expect(fieldOf(() => lateralMovement(5, -1))).toBe('leftMm');
    expect(fieldOf(() => lateralMovement(5, 5, 11))).toBe('midlineMm');
    expect(fieldOf(() => protrusion(21))).toBe('measuredMm');
    expect(fieldOf(() => protrusion(5, NaN))).toBe('overjetMm');
    expect(fieldOf(() => openingPath(-1, true))).toBe('offMm');
  });
});

describe('readings', () => {
  test('every measure knows its unit and which way is better', () => {
    for (const key of MEASURE_KEYS) {
      expect(['up', 'down', null]).toContain(MEASURES[key].better);
      expect(MEASURES[key].least).toBeLessThan(MEASURES[key].most);
    }
    expect(MEASURES['opening-mm'].better).toBe('up');
    expect(MEASURES['nrs-now'].better).toBe('down');
  });
  test.each([
    ['tenderness', 3],
    ['opening-mm', 41.5],
    ['opening-fingers', 4],
    ['nrs-now', 10],
    ['nrs-worst-week', 0],
    ['overlap-mm', -2],
    ['sideways-mm', 7.5],
    ['path-returns', 1],
    ['familiar-pain', 1],
  ] as const)('%s accepts %d', (measure, value) => expect(checkedReading(measure, value)).toBe(value));
  test.each([
    ['tenderness', 4],
    ['opening-mm', 91],
    ['opening-mm', NaN],
    ['opening-fingers', 2.5],
    ['opening-fingers', 5],
    ['nrs-now', 11],
    ['overlap-mm', -16],
    ['sideways-mm', -1],
    ['forward-mm', 21],
    ['path-returns', 2],
    ['familiar-pain', 0.5],
  ] as const)('%s refuses %d', (measure, value) => expect(() => checkedReading(measure, value)).toThrow(/accepted/));
});
