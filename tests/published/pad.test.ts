import { describe, expect, test } from 'vitest';
import {
  beatOf,
  contactsOf,
  forceOn,
  tapScore,
  touchOf,
  weeklyTrend,
  weightN,
  wordApart,
  wordLevel,
  type Touch,
} from '../../core/touch/index.ts';
import { STAND_IN_PAD } from '../../devices/pad-cells.ts';

describe('force and pressure', () => {
  // 1 kgf = 9.80665 N exactly (CGPM 1901); 1 kgf/cm² = 98.0665 kPa; 0.5 kgf on 1, 1.5 and 2 cm² = 49.03, 32.69, 24.52 kPa.
  test.each([
    [98.0665, 1, 9.80665],
    [49.03325, 1, 4.903325],
    [32.688833333, 1.5, 4.903325],
    [24.516625, 2, 4.903325],
  ])('%d kPa on %d cm² are %d N', (kpa, areaCm2, newtons) => expect(forceOn(kpa, areaCm2)).toBeCloseTo(newtons, 6));
});

describe('the centre of pressure', () => {
  /** Middle and force of each, heaviest first: scipy.ndimage.label with a full structure, and center_of_mass (SciPy 1.17.1). */
  const SCIPY = [
    [25.543347, 8.126129, 4.1525],
    [46.353211, 64.587156, 0.545],
  ];
  /** Two contacts of odd shape. */
  const frame = {
    sequence: 0,
    atMs: 0,
    cells: [
      [3, 12.5],
      [20, 40],
      [21, 80.3],
      [37, 33.3],
      [200, 5],
      [201, 7.7],
      [217, 9.1],
    ],
  } as const;
  test('of each contact is that of SciPy', () => {
    const found = contactsOf(frame, STAND_IN_PAD).map((c) => [c.xMm, c.yMm, c.forceN]);
    SCIPY.forEach((values, i) =>
      values.forEach((value, j) => expect(found[i]![j], `contact ${i}`).toBeCloseTo(value, 5)),
    );
    expect(found).toHaveLength(SCIPY.length);
  });
  test('of both together lies between them, by their forces', () => {
    const { xMm, forceN } = touchOf(frame, STAND_IN_PAD);
    const [a, b] = [SCIPY[0]!, SCIPY[1]!];
    expect(forceN).toBeCloseTo(a[2]! + b[2]!, 5);
    expect(xMm).toBeCloseTo((a[0]! * a[2]! + b[0]! * b[2]!) / (a[2]! + b[2]!), 4);
  });
});

describe('weights', () => {
  // Standard acceleration of free fall, 9.80665 m/s² exactly (CGPM 1901).
  test.each([
    [100, 0.980665],
    [500, 4.903325],
    [1000, 9.80665],
  ])('%d g weigh %d N', (grams, newtons) => expect(weightN(grams)).toBeCloseTo(newtons, 9));
});

/** Pulses with a swell below them, a reading each 10 ms. */
function pulses(perMinute: number, pressed: number, seconds: number, floorKpa: number): Touch[] {
  return Array.from({ length: Math.round(seconds * 100) }, (_, i) => {
    const t = i / 100;
    const phase = ((t * perMinute) / 60) % 1;
    const up = phase < pressed ? Math.max(0, Math.min(1, phase / 0.1, (pressed - phase) / 0.1)) : 0;
    const kpa = floorKpa + (50 - floorKpa) * up + 4 * Math.sin(t / 3.1);
    return { atMs: i * 10, kpa, forceN: kpa / 5, areaCm2: 2, xMm: 40, yMm: 40, leftN: 0 };
  });
}
describe('the spectrum of a beat', () => {
  /** Peak of scipy.signal.periodogram (Hann window, 2²⁰ frequencies, SciPy 1.17.1), a minute. */
  test.each([
    [42.3, 0.6, 40, 0, 42.29737],
    [71.9, 0.5, 30, 25, 71.89751],
    [11.2, 0.75, 60, 0, 11.19804],
    [128, 0.4, 20, 10, 128.00217],
  ])('%d a minute, %d pressed, %d s, never under %d kPa', (perMinute, pressed, seconds, floor, scipy) =>
    expect(Math.abs(beatOf(pulses(perMinute, pressed, seconds, floor))!.perMinute - scipy)).toBeLessThan(0.05),
  );
});

describe('intervals', () => {
  // scipy.stats.linregress through the means of the days; ttest_ind(equal_var=False).confidence_interval and t.interval on logs.
  test('of a course over weeks', () => {
    const day = [0, 0, 3, 7, 8, 14, 14, 21, 27, 29];
    const value = [0.41, 0.45, 0.5, 0.47, 0.55, 0.58, 0.61, 0.66, 0.63, 0.72];
    const trend = weeklyTrend(day.map((d, i) => ({ day: d, value: value[i]! })))!;
    expect(trend.value).toBeCloseTo(0.05979188, 7);
    expect(trend.least).toBeCloseTo(0.03805784, 7);
    expect(trend.most).toBeCloseTo(0.08152592, 7);
  });
  const [imke, rafe] = [
    [41, 48, 55, 44, 52, 50],
    [60, 71, 58, 66, 75, 63, 69],
  ];
  test('of where a word lies', () => {
    const level = wordLevel(imke)!;
    expect([level.value, level.least, level.most].map((v) => v.toFixed(4))).toEqual(['48.0990', '42.9169', '53.9068']);
  });
  test('of how far two hands lie apart', () => {
    const apart = wordApart(imke, rafe)!;
    expect([apart.value, apart.least, apart.most].map((v) => v.toFixed(5))).toEqual(['1.36714', '1.20531', '1.55069']);
  });
  test('of a tempo that is tapped', () => {
    const score = tapScore([0, 1010, 1980, 3040, 3990, 5020, 6000], 1000, [])!;
    const { value, least, most } = score.tempoError;
    expect([value, least, most].map((v) => v.toFixed(6))).toEqual(['0.001389', '-0.041321', '0.044100']);
    expect(score.unevenness).toBeCloseTo(0.0409878, 6);
    expect(score.perMinute).toBeCloseTo(60, 9);
  });
});
