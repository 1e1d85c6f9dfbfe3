import { diaryMean } from '../../core/measures/index.ts';
import { trend } from '../../core/relief/index.ts';
import fc from 'fast-check';
import { median } from 'simple-statistics';
import { describe, expect, test } from 'vitest';

/** Our statistics against a library that we did not write, on series nobody chose. */
describe('against simple-statistics', () => {
  const series = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 3, maxLength: 25 });

  test('Theil–Sen slope is the median of all pairwise slopes', () => {
    fc.assert(
      fc.property(series, (values) => {
        const slopes = values.flatMap((v, i) => values.slice(i + 1).map((w, k) => (w - v) / (k + 1)));
        expect(
          trend(
            values.map((_, i) => i),
            values,
          )!.slopePerDay,
        ).toBeCloseTo(median(slopes), 10);
      }),
    );
  });

  test('intercept lies on the medians', () => {
    fc.assert(
      fc.property(series, (values) => {
        const days = values.map((_, i) => i);
        const t = trend(days, values)!;
        expect(t.intercept + t.slopePerDay * median(days)).toBeCloseTo(median(values), 10);
      }),
    );
  });

  test('the interval holds the slope', () => {
    fc.assert(
      fc.property(series, (values) => {
        const t = trend(
          values.map((_, i) => i),
          values,
        )!;
        expect(t.low).toBeLessThanOrEqual(t.slopePerDay + 1e-12);
        expect(t.high).toBeGreaterThanOrEqual(t.slopePerDay - 1e-12);
      }),
    );
  });

  test('a diary mean is the mean of the recorded days', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.integer({ min: 0, max: 10 }), { nil: null }), { minLength: 1, maxLength: 7 }),
        (days) => {
          const recorded = days.filter((d): d is number => d !== null);
          if (!recorded.length) expect(() => diaryMean(days)).toThrow('at least one');
          else expect(diaryMean(days)).toBeCloseTo(recorded.reduce((a, b) => a + b) / recorded.length, 12);
        },
      ),
    );
  });
});
