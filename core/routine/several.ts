import { otherSide, type Pressure, pressureRank, PRESSURES } from '../words/index.ts';
import { insertStep, insertSteps, mapSteps } from './edit.ts';
import { stepsOf, type Routine, type SidePlan, type Step } from './model.ts';
import type { Catalogue } from './technique.ts';

/** What is done to several steps at once; each of these is one edit. */
type Ids = ReadonlySet<string>;

export const removeSteps = (routine: Routine, ids: Ids): Routine =>
  mapSteps(routine, (s) => (ids.has(s.id) ? null : s));

/** Moves steps, in their order, so that the first of them stands after step `after` of those that stay (0 = first). */
export function moveSteps(routine: Routine, ids: Ids, after: number): Routine {
  const moved = stepsOf(routine).filter((s) => ids.has(s.id));
  const staying = stepsOf(routine)
    .slice(0, after)
    .filter((s) => !ids.has(s.id)).length;
  return moved.reduce((next, step, i) => insertStep(next, step, staying + i), removeSteps(routine, ids));
}

/** Copies behind the last of them. */
export function copySteps(routine: Routine, ids: Ids): Routine {
  const steps = stepsOf(routine);
  const at = steps.findLastIndex((s) => ids.has(s.id)) + 1;
  return insertSteps(
    routine,
    steps.filter((s) => ids.has(s.id)),
    at,
  );
}

/** What was on the client’s left is on the right, and the other way round. */
function mirroredSides(sides: SidePlan): SidePlan {
  const mode = sides.mode === 'left' || sides.mode === 'right' ? otherSide(sides.mode) : sides.mode;
  return {
    ...sides,
    mode,
    first: otherSide(sides.first),
    extra: sides.extra && { ...sides.extra, side: otherSide(sides.extra.side) },
  };
}
export const mirrorSteps = (routine: Routine, ids: Ids): Routine =>
  mapSteps(routine, (s) => (ids.has(s.id) ? { ...s, sides: mirroredSides(s.sides) } : s));

const shifted = (pressure: Pressure, by: -1 | 1, least: Pressure, most: Pressure): Pressure => {
  const rank = Math.min(Math.max(pressureRank(pressure) + by, pressureRank(least)), pressureRank(most));
  return PRESSURES[rank - 1]!;
};

/**
 * Softer or firmer by one word, within what each technique takes.
 * @returns The routine, and how many of the steps stayed as they are: nothing presses, or their technique ends there.
 */
export function shiftPressure(
  routine: Routine,
  ids: Ids,
  by: -1 | 1,
  catalogue: Pick<Catalogue, 'techniques'>,
): { routine: Routine; stayed: number } {
  let stayed = 0;
  const next = mapSteps(routine, (step): Step => {
    if (!ids.has(step.id)) return step;
    const range = catalogue.techniques.get(step.technique)?.pressure;
    const there = step.pressure && range ? shifted(step.pressure.there, by, range.least, range.most) : null;
    if (!there || there === step.pressure!.there) {
      stayed++;
      return step;
    }
    const back = step.pressure!.back && shifted(step.pressure!.back, by, 'feather', range!.most);
    return { ...step, pressure: { there, back: back === there ? null : back } };
  });
  return { routine: next, stayed };
}
