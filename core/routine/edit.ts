import { PHASES, type OneSide } from '../words/index.ts';
import { stepsOf, type Item, type Routine, type SidePlan, type Step } from './model.ts';
import type { Catalogue } from './technique.ts';

/** Every edit gives a new routine and leaves the old one as it was, so that undo is a list of routines. */
const withItems = (routine: Routine, items: Item[]): Routine => ({ ...routine, items });

/** Change every step, those of blocks too; one that becomes null goes, and a block without steps goes with its last. */
export function mapSteps(routine: Routine, change: (step: Step, index: number) => Step | null): Routine {
  let index = 0;
  return withItems(
    routine,
    routine.items.flatMap((item): Item[] => {
      if (item.kind === 'step') {
        const next = change(item, index++);
        return next ? [next] : [];
      }
      const steps = item.steps.flatMap((s) => change(s, index++) ?? []);
      return steps.length ? [{ ...item, steps }] : [];
    }),
  );
}

export const replaceStep = (routine: Routine, id: string, change: (step: Step) => Step): Routine =>
  mapSteps(routine, (s) => (s.id === id ? change(s) : s));

export const removeStep = (routine: Routine, id: string): Routine => mapSteps(routine, (s) => (s.id === id ? null : s));

/**
 * Put a step in so that it stands at `at` among all steps. Between two steps of one block it joins the block; at the
 * edge of a block it stays outside.
 */
export function insertStep(routine: Routine, step: Step, at: number): Routine {
  const index = Math.min(Math.max(at, 0), stepsOf(routine).length);
  let before = 0;
  for (const [i, item] of routine.items.entries()) {
    if (before === index) return withItems(routine, [...routine.items.slice(0, i), step, ...routine.items.slice(i)]);
    const length = item.kind === 'block' ? item.steps.length : 1;
    if (item.kind === 'block' && index < before + length) {
      const steps = [...item.steps.slice(0, index - before), step, ...item.steps.slice(index - before)];
      return withItems(
        routine,
        routine.items.map((x, j) => (j === i ? { ...item, steps } : x)),
      );
    }
    before += length;
  }
  return withItems(routine, [...routine.items, step]);
}

/** Put steps in one behind the other, the first so that it stands at `at`; each gets an id that is free. */
export const insertSteps = (routine: Routine, steps: readonly Step[], at: number): Routine =>
  steps.reduce((next, step, i) => insertStep(next, { ...structuredClone(step), id: freshId(next) }, at + i), routine);

/** Move a step so that it stands at `to` among all steps. */
export function moveStep(routine: Routine, id: string, to: number): Routine {
  const step = stepsOf(routine).find((s) => s.id === id);
  return step ? insertStep(removeStep(routine, id), step, to) : routine;
}

/** An id that the routine does not use yet: s1, s2 … */
export function freshId(routine: Pick<Routine, 'items'>): string {
  const steps = stepsOf(routine);
  const used = new Set([...steps.map((s) => s.id), ...routine.items.map((i) => i.id)]);
  let n = steps.length + 1;
  while (used.has(`s${n}`)) n++;
  return `s${n}`;
}

/** Where a technique of this phase usually goes: after the last step of its own or an earlier phase. */
export function usualIndex(routine: Routine, techniqueId: string, catalogue: Catalogue): number {
  const steps = stepsOf(routine);
  const phase = catalogue.techniques.get(techniqueId)?.phase;
  if (!phase) return steps.length;
  const rank = PHASES.indexOf(phase);
  const last = steps.findLastIndex(
    (s) => PHASES.indexOf(catalogue.techniques.get(s.technique)?.phase ?? 'prepare') <= rank,
  );
  return last + 1;
}

/** Sides that get the same, but for a difference that has its reason. */
export function evenedSides(sides: SidePlan): SidePlan {
  if (sides.mode === 'left' || sides.mode === 'right') return { ...sides, mode: 'each', extra: null };
  return sides.extra && !sides.extra.reason ? { ...sides, extra: null } : sides;
}

/** The routine with every "sorer side first" settled, so that a run of it can be replayed by itself. */
export const withSides = (routine: Routine, sorer: OneSide | null): Routine =>
  withItems(
    routine,
    routine.items.map((item) =>
      item.kind === 'block' && item.sides === 'sorer-first'
        ? { ...item, sides: sorer === 'right' ? 'right-then-left' : 'left-then-right' }
        : item,
    ),
  );
