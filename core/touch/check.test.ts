import { describe, expect, test } from 'vitest';
import { traceOf } from '../../tests/support/pad-trace.ts';
import { driftBetween, offShare, padStanding, readWeights, standingN, weightN } from './index.ts';

const weight = (grams: number) => [{ xMm: 40, yMm: 40, areaCm2: 8, kpa: (weightN(grams) * 10) / 8 }];

describe('a weight on a pad', () => {
  test.each([100, 500, 1000])('%d g is read once it stands, within 3 %%', (grams) => {
    const trace = traceOf((ms) => (ms > 500 ? weight(grams) : []), 4000);
    expect(Math.abs(offShare({ grams, readN: standingN(trace)! }))).toBeLessThan(0.03);
  });
  test('nothing is read while it still moves, of an empty pad, or before two seconds', () => {
    expect(standingN(traceOf(() => [], 4000))).toBeNull();
    expect(standingN(traceOf(() => weight(500), 1500))).toBeNull();
    expect(standingN(traceOf((ms) => weight(500 + ms / 10), 4000))).toBeNull();
    // Sinks by a fiftieth a second: still enough at a glance, and no weight that stands.
    expect(standingN(traceOf((ms) => weight(500 * (1 - ms / 50_000)), 4000))).toBeNull();
    // Nearly all readings were lost.
    expect(standingN(traceOf(() => weight(500), 4000, { lost: (ms) => ms % 400 !== 0 }))).toBeNull();
    expect(standingN([])).toBeNull();
  });
  test('what is off is told of what is true', () =>
    expect(offShare({ grams: 500, readN: 4.98 })).toBeCloseTo(0.0156, 4));
});

describe('a check', () => {
  const NOW = new Date('2026-03-20T10:00:00Z');
  const check = (daysAgo: number, ...off: number[]) => ({
    at: new Date(NOW.getTime() - daysAgo * 86_400_000).toISOString(),
    weights: off.map((o, i) => ({ grams: 100 * (i + 1), readN: weightN(100 * (i + 1)) * (1 + o) })),
  });
  test.each([
    [null, 'never'],
    [check(2, 0.01, -0.049), 'good'],
    [check(2, 0.01, -0.051), 'off'],
    [check(2, 0.051), 'off'],
    [check(29.9, 0.01), 'good'],
    [check(30.1, 0.01), 'old'],
  ] as const)('%# stands %s', (of, standing) => expect(padStanding(of, NOW)).toBe(standing));
  test('drift is told by the weights that both have', () => {
    expect(driftBetween(check(9, 0.01, 0.02), check(0, 0.04, 0.04))).toBeCloseTo(0.025, 10);
    expect(driftBetween(check(9), check(0, 0.04))).toBeNull();
  });
  test('each weight once, of a weight that there is', () => {
    expect(
      readWeights([
        { grams: 500, readN: 5 },
        { grams: 100, readN: 1 },
      ]).map((w) => w.grams),
    ).toEqual([100, 500]);
    expect(() => readWeights([])).toThrow(/at least one/);
    expect(() =>
      readWeights([
        { grams: 500, readN: 5 },
        { grams: 500, readN: 5 },
      ]),
    ).toThrow(/once/);
    expect(() => readWeights([{ grams: 5, readN: 5 }])).toThrow(/20 to 5000/);
    expect(() => readWeights([{ grams: 500, readN: NaN }])).toThrow(/0 to 500/);
  });
});
