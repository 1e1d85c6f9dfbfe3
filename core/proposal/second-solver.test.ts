import GLPK, { type GLPK as Glpk } from 'glpk.js/node';
import { beforeAll, expect, test, vi } from 'vitest';

import { seeded } from '../../demo/random.ts';
import { LIBRARY, TRADE_CASES } from '../../demo/proposal-cases.ts';
import { openSolver } from '../../tests/support/solver.ts';
import { poolOf } from './candidates.ts';
import { type Model, modelOf } from './model.ts';
import { problemOf } from './problem.ts';
import { restricted } from './reduce.ts';
import type { Solve } from './solver.ts';
import { targetsOf } from './targets.ts';
import { wayOf } from './ways.ts';

// Whole programs are solved here; on a loaded machine that takes its time.
vi.setConfig({ testTimeout: 240_000 });

let solve: Solve;
let glpk: Glpk;
beforeAll(async () => {
  solve = await openSolver();
  glpk = await GLPK();
});

/** The optimum by another open solver, which shares no code with ours; null where nothing fits. */
function bySecondSolver(m: Model): number | null {
  const bound = (least: number, most: number) => {
    const [hasLeast, hasMost] = [Number.isFinite(least), Number.isFinite(most)];
    const type =
      hasLeast && hasMost ? (least === most ? glpk.GLP_FX : glpk.GLP_DB) : hasLeast ? glpk.GLP_LO : glpk.GLP_UP;
    return { type, lb: hasLeast ? least : 0, ub: hasMost ? most : 0 };
  };
  const result = glpk.solve(
    {
      name: 'choice',
      objective: {
        direction: glpk.GLP_MAX,
        name: 'worth',
        vars: m.columns.map((c) => ({ name: c.name, coef: c.cost })),
      },
      subjectTo: m.rows
        .filter((r) => r.terms.length)
        .map((r) => ({
          name: r.name,
          vars: r.terms.map(([i, coef]) => ({ name: m.columns[i]!.name, coef })),
          bnds: bound(r.least, r.most),
        })),
      bounds: m.columns.map((c) => ({ name: c.name, ...bound(c.lower, c.upper) })),
      generals: m.columns.filter((c) => c.isWhole).map((c) => c.name),
    },
    { msglev: glpk.GLP_MSG_OFF, presol: true, mipgap: 0, tmlim: 60 },
  ).result;
  return result.status === glpk.GLP_OPT ? result.z : null;
}

test('20 programs of middle size have the same optimum by a second solver', () => {
  for (let seed = 1; seed <= 20; seed++) {
    const r = seeded(seed * 31);
    const from = TRADE_CASES[seed % TRADE_CASES.length]!;
    const c = { ...from, ask: { ...from.ask, minutes: 4 + Math.round(r() * 8) } };
    const way = wayOf(LIBRARY.catalogue.schools.get(c.ask.school));
    const targets = targetsOf(c, LIBRARY);
    const whole = problemOf(c, poolOf(c, targets, way, LIBRARY), targets, way);
    const keep = new Set(whole.candidates.filter(() => r() < 0.07).map((x) => x.index));
    const { problem } = restricted(whole, keep);
    const counts = problem.counts.map((k) => (k.of.length < k.least ? { ...k, least: 0 } : k));
    const model = modelOf({ ...problem, counts }, 'worth', 0);
    const ours = solve(model, { gap: 0 });
    const theirs = bySecondSolver(model);
    expect(model.columns.length, `seed ${seed}`).toBeGreaterThan(30);
    if (theirs === null) expect(ours.status, `seed ${seed}`).toBe('infeasible');
    else expect(ours.value, `seed ${seed}`).toBeCloseTo(theirs, 5);
  }
});
