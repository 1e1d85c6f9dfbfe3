import { linearRegression } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { leastSquares } from './least-squares.ts';

const ones = (n: number) => Array.from({ length: n }, () => 1);

describe('weighted least squares on 0/1 columns', () => {
  test('one column with equal weights is the difference of two means, with its error', () => {
    const column = [0, 0, 0, 1, 1];
    const fit = leastSquares([column], [1, 2, 3, 6, 8], ones(5));
    expect(fit.effects[0]).toBeCloseTo(5, 12);
    // Residuals −1, 0, 1, −1, 1; the variance of a difference of means is 1/3 + 1/2.
    expect(fit.residual).toBeCloseTo(4, 12);
    expect(fit.inverse[0]).toBeCloseTo(5 / 6, 12);
    expect(fit.rank).toBe(2);
  });
  test('agrees with simple-statistics on one column', () => {
    const [column, y] = [
      [0, 1, 1, 0, 1, 0, 0],
      [2.5, 1, 0.5, 3, 2, 2, 4],
    ];
    const { m } = linearRegression(column!.map((x, i) => [x, y![i]!]));
    expect(leastSquares([column!], y!, ones(7)).effects[0]).toBeCloseTo(m, 12);
  });
  test('a weight of two counts as the row written twice', () => {
    const twice = leastSquares([[0, 1, 1, 0, 0]], [1, 2, 4, 0, 0], ones(5));
    const weighted = leastSquares([[0, 1, 1, 0]], [1, 2, 4, 0], [1, 1, 1, 2]);
    expect(weighted.effects[0]).toBeCloseTo(twice.effects[0]!, 12);
    expect(weighted.inverse[0]).toBeCloseTo(twice.inverse[0]!, 12);
  });
  test('columns that repeat each other are named, the others keep their effect', () => {
    const a = [1, 0, 1, 0, 1, 0, 1, 0];
    const b = [0, 1, 1, 0, 0, 1, 1, 0];
    const neither = a.map((_, i) => 1 - a[i]!);
    const y = a.map((_, i) => 3 * a[i]! - 2 * b[i]!);
    const fit = leastSquares([a, b, neither], y, ones(8));
    expect([...fit.repeated].sort()).toEqual([0, 2]);
    expect(fit.effects[1]).toBeCloseTo(-2, 12);
    expect(fit.rank).toBe(3);
    expect(leastSquares([a, b], y, ones(8)).repeated.size).toBe(0);
  });
  test('a column that is always one is the constant again', () =>
    expect([...leastSquares([[1, 1, 1]], [1, 2, 3], ones(3)).repeated]).toEqual([0]));
});
