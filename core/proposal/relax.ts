import { clock } from '../words/index.ts';
import type { Relaxation } from './case.ts';
import { DOSE_SHARE } from './constants.ts';
import { atShare, totalsOfSteps } from './doses.ts';
import { type ModelGoal, modelOf } from './model.ts';
import type { Problem } from './problem.ts';
import { chosenOf, type Solve } from './solver.ts';
import { valueOf } from './value.ts';

/** Every single requirement that could give way, and by how little: each is the optimum of its own small program. */
export function relaxations(p: Problem, solve: Solve): Relaxation[] {
  const out: Relaxation[] = [];
  const best = (goal: ModelGoal) => {
    const model = modelOf(p, goal, 0);
    const solved = solve(model, { gap: 0 });
    return solved.status === 'infeasible' ? null : { model, solved, chosen: chosenOf(model, solved) };
  };
  const kept = p.fixed.map((i) => p.candidates[i]!);
  const shortest = best('least-seconds');
  const over = shortest ? valueOf(p, shortest.chosen).seconds - p.budgetSeconds : 0;
  if (over > 0) {
    const missing = Math.ceil(over - 1e-6);
    out.push({
      what: 'time',
      text: `${clock(missing)} more time (${clock(missing + p.budgetSeconds)} in all).`,
      amount: missing,
    });
    const saved = kept.reduce(
      (s, x) => s + x.seconds - totalsOfSteps(x.steps.map((step) => atShare(step, DOSE_SHARE.least))).totalSeconds,
      0,
    );
    if (saved >= over)
      out.push({
        what: 'kept-dose',
        text: `Shorten the kept steps by ${clock(missing)}; at their least doses they would give ${clock(saved)}.`,
        amount: missing,
      });
  }
  const fewest = best('fewest-kept-dropped');
  const gone = fewest ? p.fixed.filter((i) => !fewest.chosen.includes(i)).map((i) => p.candidates[i]!) : [];
  if (gone.length)
    out.push({
      what: 'kept-step',
      text: `Let go of ${gone.map((x) => x.technique.name).join(' and ')}.`,
      amount: gone.length,
    });
  const frames = best('fewest-frames-dropped');
  const dropped = frames
    ? [...frames.model.droppedAt]
        .filter(([, column]) => frames.solved.columns[column]! > 0.5)
        .map(([i]) => p.counts[i]!)
    : [];
  if (dropped.length)
    out.push({
      what: 'frame',
      text: `Go without ${dropped.map((k) => k.name).join(' and ')}.`,
      amount: dropped.length,
    });
  return out;
}
