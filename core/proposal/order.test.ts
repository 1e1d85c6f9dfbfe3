import { describe, expect, test, vi } from 'vitest';

import { seeded } from '../../demo/random.ts';
import { LIBRARY, TRADE_CASES } from '../../demo/proposal-cases.ts';
import { type Candidate, poolOf } from './candidates.ts';
import { change, historyCost, masksOf, precedes } from './changes.ts';
import { ordered } from './order.ts';
import { pathBound } from './path-bound.ts';
import { targetsOf } from './targets.ts';
import { wayOf, type Way } from './ways.ts';

// Whole programs are solved here; on a loaded machine that takes its time.
vi.setConfig({ testTimeout: 240_000 });

const way = wayOf(LIBRARY.catalogue.schools.get('top-down'));
const pools = TRADE_CASES.slice(0, 4).map((c) => poolOf(c, targetsOf(c, LIBRARY), way, LIBRARY).candidates);
/** Some work of one block, each technique once. */
function someOf(seed: number, many: number): Candidate[] {
  const r = seeded(seed);
  const pool = pools[seed % pools.length]!.filter((c) => ['face-warm', 'face-work', 'face-press'].includes(c.part));
  const out = new Map<string, Candidate>();
  while (out.size < many) {
    const x = pool[Math.floor(r() * pool.length)]!;
    if (!out.has(x.technique.id)) out.set(x.technique.id, x);
  }
  return [...out.values()].sort((a, b) => a.index - b.index);
}
/** Seconds of one order, straight from what changes cost; infinite where something comes too late. */
function costOf(path: readonly Candidate[], items: readonly Candidate[], along: Way): number {
  const masks = masksOf(items, []);
  let [cost, done] = [0, 0];
  for (const [k, b] of path.entries()) {
    const m = masks[items.indexOf(b)]!;
    if ((m.must & ~done) !== 0) return Infinity;
    cost += change(path[k - 1] ?? null, b, along) + historyCost(m, done, k === 0 || path[k - 1]!.area === b.area);
    done |= 1 << items.indexOf(b);
  }
  return cost;
}
function* permutations<T>(of: readonly T[]): Generator<T[]> {
  if (of.length < 2) yield [...of];
  else
    for (const [i, x] of of.entries())
      for (const rest of permutations([...of.slice(0, i), ...of.slice(i + 1)])) yield [x, ...rest];
}

describe('the order inside a block', () => {
  test('is the best of all orders, on 36 random blocks of up to seven steps', () => {
    for (let seed = 1; seed <= 36; seed++) {
      const items = someOf(seed, 2 + (seed % 6));
      let best = Infinity;
      for (const path of permutations(items)) best = Math.min(best, costOf(path, items, way));
      const found = ordered(items, way);
      expect(found.seconds, `seed ${seed}`).toBeCloseTo(best, 6);
      expect(costOf(found.path, items, way)).toBeCloseTo(best, 6);
      expect(found).toMatchObject({ exact: true, bound: found.seconds });
    }
  });
  test('a beam keeps what must come first, is never better than the best and never below its bound', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const items = someOf(seed, 9);
      const best = ordered(items, way);
      const beam = ordered(items, way, 4);
      expect(beam.exact).toBe(false);
      expect(beam.seconds).toBeGreaterThanOrEqual(best.seconds - 1e-6);
      expect(beam.bound).toBeLessThanOrEqual(best.seconds + 1e-6);
      expect(costOf(beam.path, items, way)).toBeCloseTo(beam.seconds, 6);
    }
  });
  test('the lighter touch comes before the firm one, warmth before the work of its area', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const { path } = ordered(someOf(seed, 8), way);
      path.forEach((b, i) => path.slice(i + 1).forEach((a) => expect(precedes(a, b)).toBe(false)));
    }
  });
  test('a bound of a way through points: exact on a line, never above any way', () => {
    const line = [0, 3, 7, 12].map((x) => [0, 3, 7, 12].map((y) => Math.abs(x - y)));
    expect(pathBound(line)).toBeCloseTo(12, 1);
    const r = seeded(7);
    const points = Array.from({ length: 7 }, () => [r() * 100, r() * 100] as const);
    const cost = points.map((a) => points.map((b) => Math.hypot(a[0] - b[0], a[1] - b[1])));
    let best = Infinity;
    for (const path of permutations([0, 1, 2, 3, 4, 5, 6]))
      best = Math.min(
        best,
        path.slice(1).reduce((s, j, i) => s + cost[path[i]!]![j]!, 0),
      );
    expect(pathBound(cost)).toBeLessThanOrEqual(best + 1e-9);
    expect(pathBound(cost)).toBeGreaterThan(0.8 * best);
  });
});
