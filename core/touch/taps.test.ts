import { describe, expect, test } from 'vitest';
import { traceOf } from '../../tests/support/pad-trace.ts';
import {
  beatOf,
  breathRound,
  breathScore,
  evennessOf,
  handsVerdict,
  harderBy,
  tapRound,
  tapScore,
  trendVerdict,
  weeklyTrend,
} from './index.ts';

describe('tapping along', () => {
  test('a tenth too quick, and early', () => {
    const taps = [0, 1, 2, 3, 4, 5].map((n) => n * 900 - 80);
    const score = tapScore(taps, 1000, [0, 900, 1800, 2700, 3600, 4500])!;
    expect(score.tempoError.value).toBeCloseTo(1 / 9, 10);
    expect(score.offBeatS).toBeCloseTo(-0.08, 10);
    expect(score.unevenness).toBeCloseTo(0, 10);
  });
  test('nothing before four taps; nothing of a beat that did not sound', () => {
    expect(tapScore([0, 900, 1800], 1000, [])).toBeNull();
    expect(tapScore([0, 900, 1800, 2700], 1000, [])!.offBeatS).toBeNull();
  });
});

describe('a breath that is led', () => {
  const holds = (inMs: number, everyMs: number, n: number) =>
    Array.from({ length: n }, (_, i) => ({ startMs: i * everyMs, endMs: i * everyMs + inMs }));
  test('too long in, too quick a whole', () => {
    const score = breathScore(holds(5000, 9000, 5), { inSeconds: 4, cycleSeconds: 10 })!;
    expect(score).toMatchObject({ breaths: 5, inError: 0.25, cycleError: expect.closeTo(-0.1, 10) });
    expect(score.perMinute).toBeCloseTo(60 / 9, 10);
    expect(breathScore(holds(4000, 10_000, 2), { inSeconds: 4, cycleSeconds: 10 })).toBeNull();
  });
});

describe('a round of tempo', () => {
  const tapped = (aloneEveryMs: number, alone = 12) => [
    ...Array.from({ length: 8 }, (_, i) => i * 1000),
    ...Array.from({ length: alone }, (_, i) => 8000 + i * aloneEveryMs),
  ];
  test('what is tapped alone is told apart from what was tapped along', () => {
    const { led, alone } = tapRound(tapped(950), 60)!;
    expect(led).toMatchObject({ taps: 8, offBeatS: 0 });
    expect(alone).toMatchObject({ taps: 12, offBeatS: null });
    expect(led.tempoError.value).toBeCloseTo(0, 10);
    expect(alone.tempoError.value).toBeCloseTo(1 / 0.95 - 1, 10);
    expect(tapRound(tapped(950, 3), 60)).toBeNull();
  });
  test('breaths that were led do not count', () => {
    const holds = [9000, 9000, 4000, 4000, 4000, 4000].map((inMs, i) => ({
      startMs: i * 10_000,
      endMs: i * 10_000 + inMs,
    }));
    expect(breathRound(holds, { inSeconds: 4, cycleSeconds: 10 })).toMatchObject({ breaths: 4, inError: 0 });
  });
});

describe('a beat', () => {
  const pulse = (perMinute: number, floor: number) => (ms: number) => [
    {
      ...{ xMm: 40, yMm: 40, areaCm2: 2 },
      kpa: floor + (((ms * perMinute) / 60_000) % 1) < 0.5 ? 50 : floor + 20,
    },
  ];
  test('is found where the hand never lets go', () => {
    const trace = traceOf(
      (ms) => [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: 40 + 12 * Math.sin((2 * Math.PI * ms * 50) / 60_000) }],
      30_000,
    );
    expect(beatOf(trace)!.perMinute).toBeCloseTo(50, 0);
  });
  test('is none where nothing goes up and down, nor in a trace of two beats', () => {
    expect(beatOf(traceOf(() => [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: 50 }], 20_000))).toBeNull();
    expect(beatOf(traceOf(() => [], 20_000))).toBeNull();
    expect(beatOf(traceOf(pulse(20, 0), 5000))?.perMinute ?? 0).not.toBeCloseTo(20, 0);
  });
});

describe('two hands', () => {
  const both = (leftKpa: number, rightKpa: number) =>
    traceOf((ms) => {
      const isDown = ms % 2000 < 1200;
      return isDown
        ? [
            { xMm: 20, yMm: 40, areaCm2: 2, kpa: leftKpa },
            { xMm: 60, yMm: 40, areaCm2: 2, kpa: rightKpa },
          ]
        : [];
    }, 12_000);
  test.each([
    [50, 50, 'even'],
    [60, 45, 'left'],
    [45, 60, 'right'],
  ] as const)('of %d and %d kPa: %s', (left, right, verdict) => {
    const share = evennessOf(both(left, right), 15)!;
    expect(share.value).toBeCloseTo(left / (left + right), 1);
    expect(handsVerdict(share)).toBe(verdict);
  });
  test('one hand alone is no pair, and nothing is said of it', () => {
    const one = traceOf((ms) => (ms % 2000 < 1200 ? [{ xMm: 20, yMm: 40, areaCm2: 2, kpa: 50 }] : []), 12_000);
    expect(evennessOf(one, 15)).toBeNull();
    expect(handsVerdict(null)).toBe('not-known');
  });
  test('a difference that its interval does not hold is none', () => {
    expect(handsVerdict({ value: 0.56, least: 0.48, most: 0.64 })).toBe('not-known');
    expect(handsVerdict({ value: 0.56, least: 0.53, most: 0.59 })).toBe('left');
    expect(harderBy(0.6)).toBeCloseTo(0.5, 10);
    expect(harderBy(0.4)).toBeCloseTo(0.5, 10);
  });
});

describe('weeks', () => {
  const course = (...values: number[]) => weeklyTrend(values.map((value, i) => ({ day: i * 4, value })));
  test('that rise, fall, and that say nothing', () => {
    expect(trendVerdict(course(0.4, 0.46, 0.5, 0.57, 0.6)!)).toBe('rises');
    expect(trendVerdict(course(0.6, 0.57, 0.5, 0.46, 0.4)!)).toBe('falls');
    expect(trendVerdict(course(0.4, 0.6, 0.5, 0.42, 0.58)!)).toBe('not-known');
  });
  test('too few days, or too short: nothing', () => {
    expect(course(0.4, 0.5, 0.6)).toBeNull();
    expect(weeklyTrend([0, 10, 20].map((day) => ({ day, value: day })))).toBeNull();
    expect(weeklyTrend([1, 2, 3, 4, 5].map((day) => ({ day, value: day })))).toBeNull();
    // Ten tries of one day count once.
    expect(weeklyTrend([...Array(10).fill({ day: 0, value: 1 }), { day: 20, value: 2 }])).toBeNull();
  });
});
