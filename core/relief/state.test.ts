import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { levelsOf } from './levels.ts';
import { belowNormal, normalCdf, normalDensity } from './normal.ts';
import {
  COMPONENTS,
  type Component,
  Filter,
  type Update,
  LEVEL,
  type ModelReading,
  movedVariance,
  smoothedLevels,
  START,
} from './state.ts';

/** Solves A·X = B by elimination with the largest pivot. */
function solve(a: number[][], b: number[][]): number[][] {
  const m = a.map((row, i) => [...row, ...b[i]!]);
  const n = a.length;
  for (let c = 0; c < n; c++) {
    const pivot = m.slice(c).reduce((best, row, i) => (Math.abs(row[c]!) > Math.abs(m[best]![c]!) ? c + i : best), c);
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = m[r]![c]! / m[c]![c]!;
      for (let k = c; k < m[r]!.length; k++) m[r]![k]! -= f * m[c]![k]!;
    }
  }
  return m.map((row, i) => row.slice(n).map((v) => v / row[i]!));
}

/** The same model as one normal distribution of everything, conditioned on the readings at one go: no filter in it. */
function dense(c: Component, readings: readonly ModelReading[], workDay: number) {
  const moved = readings.map((r) => movedVariance(c, r.day, workDay));
  const before = readings.map((r) => r.day <= workDay);
  const level = START.levelSd ** 2;
  const covB = (i: number) => (void i, level);
  const covL = (i: number, j: number) => level + Math.min(moved[i]!, moved[j]!);
  const seen = (i: number, j: number) =>
    (before[i] || before[j] ? covB(i) : covL(i, j)) +
    c.slowSd ** 2 * Math.exp(-Math.abs(readings[i]!.day - readings[j]!.day) / c.slowDays) +
    (readings[i]!.other && readings[j]!.other ? START.shiftSd ** 2 : 0) +
    (i === j ? c.ratingSd ** 2 + (i === 0 ? START.firstExtraVariance : 0) : 0);
  const n = readings.length;
  const sigma = readings.map((_, i) => readings.map((__, j) => seen(i, j)));
  const off = readings.map((r, i) => [r.value - START.levelMean - (i === 0 ? START.firstHigher : 0)]);
  // What is asked for: the level at each reading, and the last level less the one before the work.
  const asked = [
    ...readings.map((_, i) => readings.map((__, j) => (before[j] ? level : covL(i, j)))),
    readings.map((_, j) => (before[j] ? 0 : covL(n - 1, j) - level)),
  ];
  const prior = [...readings.map((_, i) => covL(i, i)), moved[n - 1]!];
  const means = [...readings.map(() => START.levelMean), 0];
  const weights = solve(
    sigma,
    off.map((o, i) => [...o, ...asked.map((row) => row[i]!)]),
  );
  return asked.map((row, k) => ({
    mean: means[k]! + row.reduce((sum, v, j) => sum + v * weights[j]![0]!, 0),
    variance: prior[k]! - row.reduce((sum, v, j) => sum + v * weights[j]![k + 1]!, 0),
  }));
}

const course = fc.record({
  gaps: fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 1, maxLength: 12 }),
  values: fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 12, maxLength: 12 }),
  others: fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
  work: fc.double({ min: 0, max: 20, noNaN: true }),
  component: fc.integer({ min: 0, max: COMPONENTS.length - 1 }),
});

describe('one model', () => {
  test('filter and way back agree with one dense solution', () =>
    fc.assert(
      fc.property(course, ({ gaps, values, others, work, component }) => {
        let day = 0;
        const readings = gaps.map((gap, i): ModelReading => ({
          day: (day += i ? gap : 0),
          value: values[i]!,
          other: i > 0 && others[i]!,
        }));
        const c = COMPONENTS[component]!;
        const filter = new Filter(c, work, false);
        const updates: Update[] = readings.map((r) => filter.take(r, true)!);
        const wanted = dense(c, readings, work);
        expect(filter.change).toBeCloseTo(wanted.at(-1)!.mean, 7);
        expect(filter.changeVariance).toBeCloseTo(Math.max(0, wanted.at(-1)!.variance), 7);
        smoothedLevels(updates).forEach(({ mean, variance }, i) => {
          expect(mean).toBeCloseTo(wanted[i]!.mean, 7);
          expect(variance).toBeCloseTo(wanted[i]!.variance, 7);
        });
      }),
      { numRuns: 120 },
    ));
  test('nought and ten say less than they seem: a level below the scale is not told from nought', () => {
    const after = (value: number, censored: boolean) => {
      const filter = new Filter(COMPONENTS[0]!, 0, censored);
      for (let day = 0; day < 12; day++) filter.take({ day, value, other: false });
      return filter;
    };
    expect(after(0, true).mean[LEVEL]).toBeLessThan(after(0, false).mean[LEVEL]!);
    expect(after(0, true).variance(LEVEL)).toBeGreaterThan(after(0, false).variance(LEVEL));
    expect(after(10, true).mean[LEVEL]).toBeGreaterThan(after(10, false).mean[LEVEL]!);
    expect(after(1, true).mean[LEVEL]).toBe(after(1, false).mean[LEVEL]);
  });
  test('looking ahead leaves the filter as it is', () => {
    const filter = new Filter(COMPONENTS[3]!, 0);
    filter.take({ day: 0, value: 6, other: false });
    const [mean, cov] = [filter.mean.slice(), filter.cov.slice()];
    filter.forecast(5, true);
    const ahead = filter.copy();
    ahead.imagine(5, true);
    expect([filter.mean, filter.cov]).toEqual([mean, cov]);
    expect(ahead.cov).not.toEqual(cov);
    expect(ahead.mean[LEVEL]).toBe(filter.mean[LEVEL]);
  });
});

test('far below nought the normal distribution is still told', () => {
  for (const alpha of [-3.99, -4.01, -6, -12]) {
    const { lambda, logCdf } = belowNormal(alpha);
    if (alpha > -7) {
      expect(lambda).toBeCloseTo(normalDensity(alpha) / normalCdf(alpha), 5);
      expect(logCdf).toBeCloseTo(Math.log(normalCdf(alpha)), 6);
    }
    // Mills’ bounds: −α < λ < −α + 1/−α.
    expect(lambda).toBeGreaterThan(-alpha);
    expect(lambda).toBeLessThan(-alpha - 1 / alpha);
  }
  expect(belowNormal(-60).lambda).toBeCloseTo(60.0166, 3);
});

test('the level that is drawn follows a step, inside the scale, for the latest readings only', () => {
  const points = Array.from({ length: 20 }, (_, i) => ({ day: i * 3, value: i < 5 ? 7 : 3, setting: 'home' as const }));
  const levels = levelsOf(points, 12, 0);
  expect(levels).toHaveLength(20);
  expect(levels[2]!.level).toBeGreaterThan(6);
  expect(levels[18]!.level).toBeLessThan(4);
  for (const l of levels) expect(l.low <= l.level && l.level <= l.high && l.low >= 0 && l.high <= 10).toBe(true);
  const many = Array.from({ length: 450 }, (_, i) => ({ day: i, value: 5, setting: 'home' as const }));
  expect(levelsOf(many, 9, 86_400_000).map((l) => l.atMs)[0]).toBe(331 * 86_400_000);
  expect(levelsOf([], 0, 0)).toEqual([]);
});
