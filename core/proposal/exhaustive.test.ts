import { beforeAll, describe, expect, test, vi } from 'vitest';

import { seeded } from '../../demo/random.ts';
import { LIBRARY, TRADE_CASES } from '../../demo/proposal-cases.ts';
import { openSolver } from '../../tests/support/solver.ts';
import { poolOf } from './candidates.ts';
import { modelOf } from './model.ts';
import { problemOf, type Problem } from './problem.ts';
import { relevant, restricted, undominated } from './reduce.ts';
import { chosenOf, type Solve } from './solver.ts';
import { targetsOf } from './targets.ts';
import { valueOf } from './value.ts';
import { wayOf } from './ways.ts';

// Whole programs are solved here; on a loaded machine that takes its time.
vi.setConfig({ testTimeout: 240_000 });

let solve: Solve;
beforeAll(async () => {
  solve = await openSolver();
});

/** The best of all subsets, by the definition alone. */
function bestOfAll(p: Problem): number | null {
  const n = p.candidates.length;
  let best: number | null = null;
  for (let set = 0; set < 1 << n; set++) {
    const chosen: number[] = [];
    for (let i = 0; i < n; i++) if (set & (1 << i)) chosen.push(i);
    const { value } = valueOf(p, chosen);
    if (value > -Infinity && (best === null || value > best)) best = value;
  }
  return best;
}

/** What may be chosen in each case is worked out once. */
const POOLS = TRADE_CASES.map((c) => {
  const way = wayOf(LIBRARY.catalogue.schools.get(c.ask.school));
  const targets = targetsOf(c, LIBRARY);
  return { way, targets, pool: poolOf(c, targets, way, LIBRARY) };
});

/** A random handful of a real case; half of the time several of one area, so that the limits bind. */
function smallProblem(seed: number): Problem {
  const r = seeded(seed);
  const from = TRADE_CASES[seed % TRADE_CASES.length]!;
  const c = {
    ...from,
    ask: { ...from.ask, minutes: 1 + Math.round(r() * 8) },
    openingMm: r() < 0.3 ? from.openingMm : null,
  };
  const { way, targets, pool } = POOLS[seed % POOLS.length]!;
  const whole = problemOf(c, pool, targets, way);
  const size = seed % 40 === 0 ? 14 : 7 + Math.floor(r() * 4);
  const anchor = whole.candidates[Math.floor(r() * whole.candidates.length)]!;
  const keep = new Set<number>();
  for (let tries = 0; keep.size < size && tries < 4000; tries++) {
    const x = whole.candidates[Math.floor(r() * whole.candidates.length)]!;
    if (r() < 0.35 || x.area === anchor.area || x.technique.phase === 'settle') keep.add(x.index);
  }
  const { problem } = restricted(whole, keep);
  // Now and then a kept step, and hands that tire soon: limits that seldom bind in a whole case.
  return {
    ...problem,
    counts: problem.counts.map((k) => (k.of.length < k.least ? { ...k, least: 0 } : k)),
    lightFirst: r() < 0.4 ? [...problem.lightFirst, { of: 0, oneOf: [1, 2] }] : problem.lightFirst,
    fixed: r() < 0.15 ? [0] : [],
    hands: r() < 0.3 ? problem.hands.map((h) => ({ ...h, most: h.most * 0.05 })) : problem.hands,
    ceilings: r() < 0.2 ? problem.ceilings.map((z) => ({ ...z, most: 60 })) : problem.ceilings,
  };
}

/** How often taking one kind of limit away changes the best choice: the test is worth what its limits bind. */
const LIMITS: Record<string, (p: Problem) => Problem> = {
  time: (p) => ({ ...p, budgetSeconds: 1e9 }),
  'duplicates and doses': (p) => ({
    ...p,
    counts: p.counts.filter((k) => k.what !== 'duplicate' && k.what !== 'technique'),
  }),
  'enough there': (p) => ({ ...p, counts: p.counts.filter((k) => k.what !== 'enough-there') }),
  frame: (p) => ({ ...p, counts: p.counts.filter((k) => k.what !== 'frame') }),
  'light first': (p) => ({ ...p, lightFirst: [] }),
  hands: (p) => ({ ...p, hands: [] }),
  ceilings: (p) => ({ ...p, ceilings: [] }),
  kept: (p) => ({ ...p, fixed: [] }),
};

describe('the program means what the choice is worth', () => {
  test('200 small cases: its optimum is the best of all subsets, with and without reductions', () => {
    const binds = new Map<string, number>();
    let impossible = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const p = smallProblem(seed);
      const best = bestOfAll(p);
      const reduced = restricted(p, undominated(p, relevant(p))).problem;
      for (const q of [p, reduced]) {
        const model = modelOf(q, 'worth', 0);
        const solved = solve(model, { gap: 0 });
        if (best === null) {
          expect(solved.status, `seed ${seed}`).toBe('infeasible');
          impossible += 0.5;
          continue;
        }
        expect(solved.value, `seed ${seed}`).toBeCloseTo(best, 5);
        expect(valueOf(q, chosenOf(model, solved)).value, `seed ${seed}`).toBeCloseTo(best, 5);
      }
      if (best !== null && p.candidates.length < 9)
        for (const [name, without] of Object.entries(LIMITS))
          if (Math.abs((bestOfAll(without(p)) ?? 0) - best) > 1e-6) binds.set(name, (binds.get(name) ?? 0) + 1);
    }
    expect(impossible).toBeLessThan(40);
    // It cannot go hollow: each kind of limit changes the answer of some case.
    for (const name of Object.keys(LIMITS)) expect(binds.get(name) ?? 0, name).toBeGreaterThan(0);
  });
});
