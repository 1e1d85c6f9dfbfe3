import isEqual from 'fast-deep-equal';
import { differences, type StepDifference } from './compare.ts';
import { freshId, insertStep, removeStep, replaceStep } from './edit.ts';
import { type Routine, type Step, stepsOf } from './model.ts';

/**
 * One change that a routine of the practice went through after a copy of it was taken, and how the copy stands to it:
 * `open` it can be taken over; `changed-here` the copy's step was changed by hand, taking over replaces that; `there`
 * the copy has it already; `gone` the copy no longer has the step that was changed.
 */
export interface LaterChange extends StepDifference {
  stands: 'open' | 'changed-here' | 'there' | 'gone';
}

const sameWork = ({ id: _a, ...a }: Step, { id: _b, ...b }: Step): boolean => isEqual(a, b);
/** The copy's step for one of the routine it came from: by id, as long as it is still the same technique. */
const copyOf = (copy: Routine, step: Step): Step | null =>
  stepsOf(copy).find((s) => s.id === step.id && s.technique === step.technique) ?? null;

/**
 * What changed in a routine since a copy was taken, and how the copy stands to each change.
 * @param base What the copy was taken from.
 * @param now What that routine is now.
 */
export function laterChanges(copy: Routine, base: Routine, now: Routine): LaterChange[] {
  return differences(base, now).map((change): LaterChange => {
    const { before, now: after } = change;
    if (!before) {
      const there = stepsOf(copy).some(
        (s) => sameWork(s, after!) || (s.id === after!.id && s.technique === after!.technique),
      );
      return { ...change, stands: there ? 'there' : 'open' };
    }
    const mine = copyOf(copy, before);
    if (!after) return { ...change, stands: !mine ? 'there' : sameWork(mine, before) ? 'open' : 'changed-here' };
    if (!mine) return { ...change, stands: 'gone' };
    if (sameWork(mine, after)) return { ...change, stands: 'there' };
    return { ...change, stands: sameWork(mine, before) ? 'open' : 'changed-here' };
  });
}

/**
 * The copy with one of the later changes taken over: the step as it is now, a new one behind the step it stands behind
 * there, one that was taken out taken out. What the copy has already, or lost, changes nothing.
 */
export function takeOver(copy: Routine, now: Routine, { before, now: after, stands }: LaterChange): Routine {
  if (stands === 'there' || stands === 'gone') return copy;
  if (before && after)
    return replaceStep(copy, copyOf(copy, before)!.id, (s) => ({ ...structuredClone(after), id: s.id }));
  if (before) return removeStep(copy, copyOf(copy, before)!.id);
  const there = stepsOf(now);
  const ahead = there
    .slice(
      0,
      there.findIndex((s) => s.id === after!.id),
    )
    .reverse();
  const mine = stepsOf(copy);
  const at = ahead.map((s) => mine.findIndex((m) => m.id === s.id && m.technique === s.technique)).find((i) => i >= 0);
  const isFree = !mine.some((s) => s.id === after!.id) && !copy.items.some((i) => i.id === after!.id);
  return insertStep(copy, { ...structuredClone(after!), id: isFree ? after!.id : freshId(copy) }, (at ?? -1) + 1);
}
