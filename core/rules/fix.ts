import {
  evenedSides,
  freshId,
  insertStep,
  mapSteps,
  moveStep,
  newStep,
  pressed,
  removeStep,
  replaceStep,
  routineSeconds,
  stepSeconds,
  stepsOf,
  techniqueFor,
  type Catalogue,
  type Routine,
  type Step,
} from '../routine/index.ts';
import { onOneSide } from '../limits/index.ts';
import { roundHalfAway } from '../words/index.ts';
import type { FixAction } from './types.ts';

/** Apply a fix that a rule proposes. A fix whose step is gone changes nothing. */
export function applyFix(routine: Routine, action: FixAction, catalogue: Catalogue): Routine {
  switch (action.do) {
    case 'set-pressure':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, pressure: pressed(action.pressure) }));
    case 'set-contact':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, contact: action.contact }));
    case 'insert': {
      const technique = techniqueFor(action.role, catalogue);
      return technique ? insertStep(routine, newStep(technique, freshId(routine)), action.at) : routine;
    }
    case 'move':
      return moveStep(routine, action.stepId, action.to);
    case 'remove':
      return removeStep(routine, action.stepId);
    case 'drop-place':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, path: s.path.filter((p) => p.kind !== 'keep-off') }));
    case 'each-side':
      return replaceStep(routine, action.stepId, (s) => ({ ...s, sides: { ...s.sides, mode: 'each' } }));
    case 'one-side':
      return replaceStep(routine, action.stepId, (s) => onOneSide(s, action.side));
    case 'even-sides':
      return mapSteps(routine, (s) => ({ ...s, sides: evenedSides(s.sides) }));
    case 'mirror-drainage':
      return mirrorDrainage(routine, catalogue);
    case 'shorten-to-budget':
      return shortenToBudget(routine);
  }
}

/** Close the drainage: the opened stations walked backward, after the last piece of work, the collarbone last. */
export function mirrorDrainage(routine: Routine, catalogue: Catalogue): Routine {
  const techniqueOf = (s: Step) => catalogue.techniques.get(s.technique);
  const closes = (s: Step) => techniqueOf(s)?.roles.includes('closes-collarbone');
  const opened = stepsOf(routine).filter((s) => techniqueOf(s)?.phase === 'open-drainage');
  let next = mapSteps(routine, (s) => (closes(s) ? null : s));
  let at = stepsOf(next).findLastIndex((s) => !['settle', 'compare'].includes(techniqueOf(s)?.phase ?? '')) + 1;
  for (const station of [...opened].reverse()) {
    const end = techniqueOf(station)?.roles.includes('opens-collarbone');
    const technique = end ? techniqueFor('closes-collarbone', catalogue) : techniqueOf(station);
    if (!technique) continue;
    const step: Step = { ...structuredClone(end ? newStep(technique, 'x') : station), id: freshId(next) };
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
    let longest: Step | null = null;
    let seconds = 0;
    for (const step of stepsOf(next)) {
      const length = canShorten(step) ? stepSeconds(step) : 0;
      if (length > seconds) [longest, seconds] = [step, length];
    }
    if (!longest) return next;
    next = replaceStep(next, longest.id, shorter);
  }
  return next;
}

const canShorten = (s: Step): boolean =>
  s.dose.parts.some(
    (p) =>
      (p.kind === 'hold' && p.seconds > 10) ||
      (p.kind === 'beats' && p.count > 5) ||
      (p.kind === 'open' && p.usualSeconds > p.leastSeconds) ||
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
            : p.kind === 'open' && p.usualSeconds > p.leastSeconds
              ? { ...p, usualSeconds: less(p.usualSeconds, p.leastSeconds) }
              : p.kind === 'breath' && p.cycles > 3
                ? { ...p, cycles: less(p.cycles, 3) }
                : p,
      ),
    },
  };
}
