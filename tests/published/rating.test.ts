import { diaryMean, type NrsBand, nrsChange, sessionRelief } from '../../core/measures/index.ts';
import { describe, expect, test } from 'vitest';

/**
 * Bands: IMMPACT, Dworkin et al., J Pain 2008;9:105–121 (10–20 % minimal, ≥ 30 % moderate, ≥ 50 % substantial; sure).
 * Two points: Farrar et al., Pain 2001;94:149–158 (sure). Each pair is worked by hand from those two rules.
 */
describe('numeric rating scale 0–10', () => {
  test.each<[string, number, number, number, number | null, NrsBand, boolean]>([
    ['NRS-1', 6, 4, -2, 33.33, 'moderate', true],
    ['NRS-2 at the 30 % edge', 10, 7, -3, 30, 'moderate', true],
    ['NRS-3 a third, one point only', 3, 2, -1, 33.33, 'moderate', false],
    ['NRS-4 two points, a quarter only', 8, 6, -2, 25, 'minimal', true],
    ['NRS-5 at the 50 % edge', 4, 2, -2, 50, 'substantial', true],
    ['NRS-6 at the 10 % edge', 10, 9, -1, 10, 'minimal', false],
    ['NRS-7 worse', 5, 6, 1, -20, 'worse', false],
    ['NRS-8 pain appeared', 0, 2, 2, null, 'undefined', false],
    ['NRS-9', 7, 3, -4, 57.14, 'substantial', true],
  ])('%s: %i → %i', (_id, before, after, delta, percent, band, twoPoints) => {
    const change = nrsChange(before, after);
    expect(change.delta).toBe(delta);
    if (percent === null) expect(change.percent).toBeNull();
    else expect(change.percent).toBeCloseTo(percent, 2);
    expect(change.band).toBe(band);
    expect(change.twoPoints).toBe(twoPoints);
  });

  test('NRS-10 diary weeks, all seven days', () => {
    const before = diaryMean([6, 7, 5, 6, 6, 7, 5]);
    const after = diaryMean([4, 4, 5, 3, 4, 4, 4]);
    expect([before, after]).toEqual([6, 4]);
    expect(nrsChange(before, after)).toMatchObject({ band: 'moderate', twoPoints: true });
  });

  test('NRS-11 diary weeks with missing days, which stay missing', () => {
    const before = diaryMean([5, 6, null, 7, 4, 6, 5]);
    const after = diaryMean([4, 3, 5, 4, null, null, 4]);
    expect(before).toBeCloseTo(5.5, 10);
    expect(after).toBe(4);
    const change = nrsChange(before, after);
    expect(change.percent).toBeCloseTo(27.27, 2);
    expect(change).toMatchObject({ band: 'minimal', twoPoints: false });
  });

  test('the two criteria part on exactly seven falling pairs', () => {
    const apart: string[] = [];
    for (let b = 1; b <= 10; b++)
      for (let f = 0; f <= b; f++) {
        const change = nrsChange(b, f);
        const thirty = change.band === 'moderate' || change.band === 'substantial';
        if (thirty !== change.twoPoints) apart.push(`${b}→${f}`);
      }
    expect(apart.sort()).toEqual(['10→8', '1→0', '2→1', '3→2', '7→5', '8→6', '9→7'].sort());
  });

  test('thresholds hold where division would miss them: 5→4 and 10→8 are 20 % exactly', () => {
    expect(nrsChange(5, 4).percent).toBe(20);
    expect(nrsChange(10, 8).percent).toBe(20);
    // (1 − 9/10)·100 is 9.999999999999998 in IEEE doubles; the integer form is not.
    expect(nrsChange(10, 9).band).toBe('minimal');
  });

  test('relief over one session by the trapezoid rule', () => {
    // Times 0, 5, 15, 30 min, ratings 6, 5, 3, 3: differences 0, 1, 3, 3 → 2.5 + 20 + 45 = 67.5 of 180.
    expect(sessionRelief([0, 5, 15, 30], [6, 5, 3, 3])).toEqual({
      spid: 67.5,
      percentOfMost: 37.5,
      area: 112.5,
      timeWeightedMean: 3.75,
    });
  });
});
