import { mannKendall, normalCdf, trend } from '../../core/relief/index.ts';
import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';

/**
 * Theil–Sen and Mann–Kendall. TS-1, TS-2 and TS-4 were worked with another implementation (SciPy's theilslopes and
 * the tie-corrected normal approximation); TS-3 is the example of Sen, J Am Stat Assoc 1968;63:1379–1389.
 */
describe('trend', () => {
  test('TS-1 equal spacing with ties', () => {
    const t = trend([0, 1, 2, 3, 4, 5, 6, 7, 8, 9], [7, 7, 6, 6, 5, 6, 5, 4, 4, 3])!;
    expect(t.s).toBe(-37);
    expect(t.variance).toBeCloseTo(118.3333, 4);
    expect(t.z).toBeCloseTo(-3.3094, 4);
    expect(t.p).toBeCloseTo(0.000935, 6);
    expect(t.slopePerDay).toBeCloseTo(-0.428571, 6);
    expect([t.low, t.high]).toEqual([-0.5, expect.closeTo(-0.3333, 4)]);
    expect(t.intercept).toBeCloseTo(7.428571, 6);
  });

  test('TS-2 irregular days', () => {
    const t = trend([0, 2, 5, 7, 10, 14, 21, 28], [6, 7, 5, 6, 4, 5, 3, 4])!;
    expect(t.s).toBe(-17);
    expect(t.variance).toBeCloseTo(62.3333, 4);
    expect(t.z).toBeCloseTo(-2.0266, 4);
    expect(t.p).toBeCloseTo(0.0427, 4);
    expect(t.slopePerDay).toBeCloseTo(-0.120192, 6);
    expect(t.low).toBeCloseTo(-0.210526, 6);
    expect(t.high).toBeCloseTo(0, 10);
    expect(t.intercept).toBeCloseTo(6.021635, 6);
  });

  test('TS-3 the published example, 93 % interval', () => {
    const t = trend([1, 2, 3, 4, 10, 12, 18], [9, 15, 19, 20, 45, 55, 78], jStat.normal.inv(0.965, 0, 1))!;
    expect(t.slopePerDay).toBe(4);
    expect(t.low).toBeCloseTo(3.714, 3);
    expect(t.high).toBeCloseTo(4.375, 3);
    expect(t.intercept).toBe(4);
  });

  test('TS-4 no ties', () => {
    const t = trend([0, 1, 2, 3, 4, 5], [6.2, 5.9, 5.5, 5.8, 5.1, 4.7])!;
    expect([t.s, t.slopePerDay]).toEqual([-13, expect.closeTo(-0.3, 10)]);
    expect(t.z).toBeCloseTo(-2.2544, 4);
    expect(t.p).toBeCloseTo(0.0242, 4);
  });

  test.each([
    [4, 0.0894],
    [5, 0.0275],
  ])('TS-5 a strictly falling series of %i: normal p', (n, p) => {
    expect(mannKendall(Array.from({ length: n }, (_, i) => n - i)).p).toBeCloseTo(p, 4);
  });

  test('all values equal: no variance, p 1', () =>
    expect(mannKendall([5, 5, 5, 5])).toMatchObject({ s: 0, variance: 0, z: 0, p: 1 }));

  test('the normal distribution agrees with jStat', () => {
    for (let x = -6; x <= 6; x += 0.05) expect(normalCdf(x)).toBeCloseTo(jStat.normal.cdf(x, 0, 1), 9);
  });
});
