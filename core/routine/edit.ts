import type { FixAction } from '../rules/index.ts';
import { PHASES, roundHalfAway } from '../words/index.ts';
import type { Routine, SidePlan, Step } from './model.ts';
import { newStep, type Catalogue } from './technique.ts';
import { routineSeconds } from './timing.ts';

/** Every edit gives a new routine and leaves the old one as it was, so that undo is a list of routines. */
const withSteps = (routine: Routine, steps: Step[]): Routine => ({ ...routine, steps });

export const replaceStep = (routine: Routine, id: string, change: (step: Step) => Step): Routine =>
  withSteps(
    routine,
    routine.steps.map((s) => (s.id === id ? change(s) : s)),
  );

export const removeStep = (routine: Routine, id: string): Routine =>
  withSteps(
    routine,
    routine.steps.filter((s) => s.id !== id),
  );

/** Move a step so that it stands at index `to`. */
export function moveStep(routine: Routine, id: string, to: number): Routine {
  const from = routine.steps.findIndex((s) => s.id === id);
  if (from < 0) return routine;
  const rest = routine.steps.filter((s) => s.id !== id);
  const at = Math.min(Math.max(to, 0), rest.length);
  return withSteps(routine, [...rest.slice(0, at), routine.steps[from]!, ...rest.slice(at)]);
}

/** An id that the routine does not use yet: s1, s2 … */
export function freshId(routine: Pick<Routine, 'steps'>): string {
  const used = new Set(routine.steps.map((s) => s.id));
  let n = routine.steps.length + 1;
  while (used.has(`s${n}`)) n++;
  return `s${n}`;
}

export function insertStep(routine: Routine, step: Step, at: number): Routine {
  const index = Math.min(Math.max(at, 0), routine.steps.length);
  return withSteps(routine, [...routine.steps.slice(0, index), step, ...routine.steps.slice(index)]);
}

/** Where a technique of this phase usually goes: after the last step of its own or an earlier phase. */
export function usualIndex(routine: Routine, techniqueId: string, catalogue: Catalogue): number {
  const phase = catalogue.techniques.get(techniqueId)?.phase;
  if (!phase) return routine.steps.length;
  const rank = PHASES.indexOf(phase);
  const last = routine.steps.findLastIndex(
    (s) => PHASES.indexOf(catalogue.techniques.get(s.technique)?.phase ?? 'prepare') <= rank,
  );
  return last + 1;
}

/** Apply a fix that a rule proposes. A fix whose step is gone changes nothing. */
export function applyFix(routine: Routine, action: FixAction, catalogue: Catalogue): Routine {
  switch (action.do) {
    case 'set-pressure':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, pressure: action.pressure, returnPressure: null }));
    case 'set-contact':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, contact: action.contact }));
    case 'insert': {
      const technique = catalogue.techniques.get(action.technique);
      return technique ? insertStep(routine, newStep(technique, freshId(routine)), action.at) : routine;
    }
    case 'move':
      return moveStep(routine, action.stepId, action.to);
    case 'remove':
      return removeStep(routine, action.stepId);
    case 'drop-place':
      return replaceStep(routine, action.stepId, (s) => ({
        ...s,
        places: s.places.filter((p) => p.kind !== 'keep-off'),
      }));
    case 'each-side':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, sides: { ...s.sides, mode: 'each' } }));
    case 'even-sides':
      return withSteps(
        routine,
        routine.steps.map((s) => ({ ...s, sides: evened(s.sides) })),
      );
    case 'mirror-drainage':
      return mirrorDrainage(routine, catalogue);
    case 'shorten-to-budget':
      return shortenToBudget(routine);
  }
}

function evened(sides: SidePlan): SidePlan {
  if (sides.mode === 'left' || sides.mode === 'right') return { ...sides, mode: 'each', extra: null };
  return sides.extra && !sides.extra.reason ? { ...sides, extra: null } : sides;
}

/** Close the drainage: the opened stations walked backward, after the last piece of work, the collarbone last. */
export function mirrorDrainage(routine: Routine, catalogue: Catalogue): Routine {
  const phaseOf = (s: Step) => catalogue.techniques.get(s.technique)?.phase;
  const opened = routine.steps.filter((s) => phaseOf(s) === 'open-drainage');
  const kept = routine.steps.filter((s) => s.technique !== 'terminus-close');
  const lastWork = kept.findLastIndex((s) => !['settle', 'compare'].includes(phaseOf(s) ?? ''));
  let next = withSteps(routine, kept);
  let at = lastWork + 1;
  for (const station of [...opened].reverse()) {
    const isTerminus = station.technique === 'collarbone-pump';
    const technique = catalogue.techniques.get(isTerminus ? 'terminus-close' : station.technique);
    if (!technique) continue;
    const step: Step = { ...structuredClone(isTerminus ? newStep(technique, 'x') : station), id: freshId(next) };
    next = insertStep(next, step, at++);
  }
  return next;
}

/** Take seconds off the longest holds, counts and open doses until the routine fits; what cannot be shortened stays. */
function shortenToBudget(routine: Routine): Routine {
  if (routine.budgetMinutes === null) return routine;
  const budget = routine.budgetMinutes * 60;
  let next = routine;
  for (let round = 0; round < 400; round++) {
    if (routineSeconds(next) <= budget) return next;
    const lengths = next.steps.map((s) => (canShorten(s) ? routineSeconds({ steps: [s] }) : 0));
    const longest = lengths.indexOf(Math.max(...lengths));
    if (longest < 0 || lengths[longest] === 0) return next;
    next = withSteps(
      next,
      next.steps.map((s, i) => (i === longest ? shorter(s) : s)),
    );
  }
  return next;
}

const canShorten = (s: Step): boolean =>
  s.dose.parts.some(
    (p) =>
      (p.kind === 'hold' && p.seconds > 10) ||
      (p.kind === 'beats' && p.count > 5) ||
      (p.kind === 'open' && p.estimateSeconds > p.leastSeconds) ||
      (p.kind === 'breath' && p.cycles > 3),
  );

/** One notch less: about a tenth of each part. */
function shorter(s: Step): Step {
  const less = (v: number, floor: number) =>
    Math.max(floor, roundHalfAway(v * 0.9) === v ? v - 1 : roundHalfAway(v * 0.9));
  return {
    ...s,
    dose: {
      ...s.dose,
      parts: s.dose.parts.map((p) =>
        p.kind === 'hold' && p.seconds > 10
          ? { ...p, seconds: less(p.seconds, 10) }
          : p.kind === 'beats' && p.count > 5
            ? { ...p, count: less(p.count, 5) }
            : p.kind === 'open' && p.estimateSeconds > p.leastSeconds
              ? { ...p, estimateSeconds: less(p.estimateSeconds, p.leastSeconds) }
              : p.kind === 'breath' && p.cycles > 3
                ? { ...p, cycles: less(p.cycles, 3) }
                : p,
      ),
    },
  };
}
