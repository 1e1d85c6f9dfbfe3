import { describe, expect, test } from 'vitest';
import { caseOf, LEFT_JAW, LIBRARY } from '../../demo/proposal-cases.ts';
import { responseFactor } from './credits.ts';
import { enduranceSeconds, holdsTooLong, shareOfStrength } from './hands.ts';
import { startPressure, thresholdCap } from './pressure.ts';
import { stepOf, at } from '../../tests/support/routines.ts';

const known = (effect: number, standardError: number) => ({
  response: [{ technique: 'a', effect, standardError }],
  practiceEffect: 1,
});

describe('what helped this client before', () => {
  test('moves the worth, little when little is known, and by no more than 30 %', () => {
    expect(responseFactor('b', known(5, 0.1))).toBe(1);
    const [sure, unsure] = [responseFactor('a', known(2, 0.2)), responseFactor('a', known(2, 1.5))];
    expect(sure).toBeGreaterThan(unsure);
    expect(unsure).toBeGreaterThan(1);
    // 1 + 0.2 · (0.49 ÷ (0.49 + 0.04)) · 1, by hand.
    expect(sure).toBeCloseTo(1 + (0.2 * 0.49) / 0.53, 10);
    expect(responseFactor('a', known(10, 0))).toBe(1.3);
    expect(responseFactor('a', known(-10, 0))).toBe(0.7);
    expect(responseFactor('a', known(1, 0))).toBe(1);
  });
});

describe('what hands can bear', () => {
  test('a hold at half the strength lasts a minute, at a seventh it has no end (Rohmert 1960)', () => {
    // −1.5 + 2.1 ÷ 0.5 − 0.6 ÷ 0.25 + 0.1 ÷ 0.125 = 1.1 min.
    expect(enduranceSeconds(0.5)).toBeCloseTo(66, 6);
    expect(enduranceSeconds(0.14)).toBe(Infinity);
  });
  test('medium by thumb is 50 kPa on 2 cm², 10 N of 60', () => {
    expect(shareOfStrength({ contact: 'thumb', pressure: { there: 'medium', back: null } })).toBeCloseTo(1 / 6, 10);
    expect(shareOfStrength({ contact: 'none', pressure: null })).toBe(0);
  });
  test('a thumb does not hold firm pressure for minutes; a palm does', () => {
    const long = (contact: 'thumb' | 'palm') =>
      holdsTooLong({
        ...stepOf('masseter-warm-hold', 'x', at('firm')),
        contact,
        motion: 'hold',
        dose: { ...stepOf('masseter-warm-hold').dose, parts: [{ kind: 'hold', seconds: 70 }] },
      });
    expect([long('thumb'), long('palm')]).toEqual([true, false]);
  });
});

describe('how hard it begins', () => {
  const masseter = LIBRARY.catalogue.techniques.get('masseter-pin-open')!;
  const start = (known: Parameters<typeof caseOf>[1], gentler = false) =>
    startPressure(masseter, 'firm', caseOf('x', known, { gentler }));
  test('medium where nothing is sore, or very; firm where it is clearly sore; less under the own threshold, a strong headache or a wish', () => {
    const sore = (grade: 2 | 3) => ({
      tenderness: [{ muscle: 'masseter-superficial', side: 'left' as const, grade, theirPain: false, feltIn: [] }],
    });
    expect(start({})).toEqual({ pressure: 'medium', why: 'nothing is sore there' });
    expect(start(sore(2))).toEqual({ pressure: 'firm', why: null });
    expect(start(LEFT_JAW)).toEqual({ pressure: 'medium', why: 'sore 3 of 3' });
    expect(start(sore(2), true)).toEqual({ pressure: 'medium', why: 'gentler was wished' });
    expect(start({ ...sore(2), thresholds: [{ muscle: 'masseter-superficial', side: 'left', kpa: 60 }] })).toEqual({
      pressure: 'light',
      why: 'their threshold is 60 kPa',
    });
    expect(start({ ...sore(2), complaints: [{ kind: 'headache', side: null, score: 8 }] }).pressure).toBe('light');
  });
});

describe('the cap of a client', () => {
  const at = (muscle: string, kpa: number) => ({ muscle, side: 'left' as const, kpa });
  const masseter = { muscles: ['masseter-superficial'] };
  test('is half of the lowest threshold where the technique works', () => {
    const found = thresholdCap(masseter, [
      at('masseter-superficial', 210),
      at('masseter-superficial', 160),
      at('trapezius-upper', 90),
    ]);
    expect(found).toMatchObject({ kpa: 160, capKpa: 80 });
  });
  test('is none where no threshold was taken there', () =>
    expect(thresholdCap(masseter, [at('trapezius-upper', 90)])).toBeNull());
});
