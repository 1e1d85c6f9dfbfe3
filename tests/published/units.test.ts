import { PRESSURE_KPA, PRESSURES } from '../../core/words/index.ts';
import { describe, expect, test } from 'vitest';

/** Exact constants: 1 kgf = 9.80665 N (CGPM 1901), 1 mmHg = 133.322387415 Pa (BS 350). 1 N on 1 cm² = 10 kPa. */
const KGF_N = 9.80665;
const MMHG_KPA = 0.133322387415;

describe('the five pressure words', () => {
  test('light covers 30–45 mmHg, the taught pressure of manual drainage', () => {
    expect(30 * MMHG_KPA).toBeCloseTo(3.99967, 5);
    expect(45 * MMHG_KPA).toBeCloseTo(5.99951, 5);
    expect(PRESSURE_KPA.light.least).toBeLessThanOrEqual(30 * MMHG_KPA + 0.001);
    expect(PRESSURE_KPA.light.most).toBeGreaterThan(45 * MMHG_KPA);
  });
  test('medium holds 0.5 kgf on 1 cm² and firm holds 1.0 kgf on 1 cm² (DC/TMD palpation)', () => {
    const half = 0.5 * KGF_N * 10;
    const one = KGF_N * 10;
    expect(PRESSURE_KPA.medium.least < half && half < PRESSURE_KPA.medium.most).toBe(true);
    expect(PRESSURE_KPA.firm.least < one && one < PRESSURE_KPA.firm.most).toBe(true);
  });
  test('each word is harder than the one before, without a gap', () => {
    for (let i = 1; i < PRESSURES.length; i++) {
      const [a, b] = [PRESSURE_KPA[PRESSURES[i - 1]!], PRESSURE_KPA[PRESSURES[i]!]];
      expect(b.nominal).toBeGreaterThan(a.nominal);
      expect(b.least).toBeLessThanOrEqual(a.most + 1);
    }
  });
});
