import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { wilson } from '../../core/measures/index.ts';
import { mannKendall, overlap, secondOpinions, trend } from '../../core/relief/index.ts';

interface Opinion {
  what: string;
  source: string;
  a?: number[];
  b?: number[];
  NAP?: number;
  Tau?: number;
  trendBefore?: number;
  TauU?: number;
  x: number[] | number;
  y?: number[];
  slope?: number;
  S?: number;
  varianceS?: number;
  interval93scipy?: [number, number];
  n?: number;
  low?: number;
  high?: number;
  published?: [number, number];
}
/** Worked examples; each names its publication and what is from memory. */
const { secondOpinions: examples } = JSON.parse(
  readFileSync(new URL('./relief-check.json', import.meta.url), 'utf8'),
) as {
  secondOpinions: Opinion[];
};
const of = (what: string) => examples.filter((o) => o.what === what);

describe('second opinions, against worked examples', () => {
  test('the examples are there', () => expect(examples).toHaveLength(8));
  test.each(of('NAP, Tau, Tau-U').map((o) => [o.source, o] as const))('overlap of two phases: %s', (_, o) => {
    const told = overlap(o.a!, o.b!, 'up')!;
    expect(told.nap).toBeCloseTo(o.NAP!, 7);
    expect(told.tau).toBeCloseTo(o.Tau!, 7);
    expect(told.trendBefore).toBe(o.trendBefore);
    expect(told.tauU).toBeCloseTo(o.TauU!, 7);
    // The other way round it is the mirror image.
    const down = overlap(o.a!, o.b!, 'down')!;
    expect(down.nap).toBeCloseTo(1 - told.nap, 12);
    expect(down.tauU).toBeCloseTo(-told.tauU, 12);
  });
  test.each(of('Wilson interval').map((o) => [`${o.x as number} of ${o.n}: ${o.source}`, o] as const))(
    'Wilson: %s',
    (_, o) => {
      const { low, high } = wilson(o.x as number, o.n!)!;
      expect(low).toBeCloseTo(o.low!, 9);
      expect(high).toBeCloseTo(o.high!, 9);
      if (!o.published) return;
      expect(low).toBeCloseTo(o.published[0], 4);
      expect(high).toBeCloseTo(o.published[1], 4);
    },
  );
  test.each(of('Theil–Sen').map((o) => [o.source, o] as const))('Theil–Sen: %s', (_, o) => {
    const t = trend(o.x as number[], o.y!, 1.8119106729525978)!;
    expect(t.slopePerDay).toBeCloseTo(o.slope!, 9);
    expect(t.low).toBeCloseTo(o.interval93scipy![0], 9);
    expect(t.high).toBeCloseTo(o.interval93scipy![1], 9);
  });
  test.each(of('Theil–Sen and Mann–Kendall').map((o) => [o.source, o] as const))('Mann–Kendall: %s', (_, o) => {
    expect(trend(o.x as number[], o.y!)!.slopePerDay).toBeCloseTo(o.slope!, 9);
    expect(mannKendall(o.y!)).toMatchObject({ s: o.S, variance: expect.closeTo(o.varianceS!, 9) as number });
  });
  test('of a course the ratings up to the work are one phase and those since the other', () => {
    const points = [7, 6, 7, 3, 2, 3].map((value, i) => ({ day: i * 7, value }));
    expect(secondOpinions(points, 14).overlap).toEqual(overlap([7, 6, 7], [3, 2, 3], 'down'));
    expect(secondOpinions(points, 14).overlap!.nap).toBe(1);
    expect(secondOpinions(points, 14).slopePerWeek).toBeCloseTo(
      trend(
        points.map((p) => p.day),
        points.map((p) => p.value),
      )!.slopePerDay * 7,
      12,
    );
    expect(secondOpinions(points, 99).overlap).toBeNull();
  });
  test('nothing is told of nothing', () => {
    expect(overlap([], [1], 'up')).toBeNull();
    expect(wilson(0, 0)).toBeNull();
  });
});
