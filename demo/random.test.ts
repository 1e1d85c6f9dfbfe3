import { describe, expect, test } from 'vitest';
import { seeded } from './random.ts';

const first = (seed: number, n: number) => {
  const next = seeded(seed);
  return Array.from({ length: n }, next);
};

describe('repeatable numbers', () => {
  /** First draws of mulberry32 with seed 12345, worked out with another implementation. */
  test('are those of mulberry32', () =>
    expect(first(12_345, 3)).toEqual([0.9797282677609473, 0.3067522644996643, 0.484205421525985]));
  test('the same seed gives the same row, another seed another', () => {
    expect(first(7, 20)).toEqual(first(7, 20));
    expect(first(7, 20)).not.toEqual(first(8, 20));
  });
  test('lie between 0 and 1 and are spread', () => {
    const many = first(1, 4000);
    expect(Math.min(...many)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...many)).toBeLessThan(1);
    expect(many.reduce((a, b) => a + b) / many.length).toBeCloseTo(0.5, 1);
  });
});
