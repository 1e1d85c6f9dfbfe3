import { InputError } from '../words/index.ts';
import { freshId } from './edit.ts';
import { type Block, type Item, type Routine, type Step } from './model.ts';

/** Work on both sides at once has no side to be done first: in a block it is done one side after the other. */
const oneByOne = (step: Step): Step =>
  step.sides.mode === 'together' ? { ...step, sides: { ...step.sides, mode: 'each' } } : step;

/**
 * Neighbours become a block: all of them on one side, then all on the other.
 * @throws InputError when they are not neighbours, or some are in a block already.
 */
export function makeBlock(routine: Routine, stepIds: readonly string[], sides: Block['sides']): Routine {
  const chosen = new Set(stepIds);
  const at = routine.items.flatMap((item, i) => (chosen.has(item.id) ? [i] : []));
  if (!at.length || at.length !== chosen.size)
    throw new InputError('block', 'steps that are in a block already stay there; dissolve it first');
  if (at.at(-1)! - at[0]! !== at.length - 1) throw new InputError('block', 'only neighbours can go side by side');
  const steps = at.map((i) => oneByOne(routine.items[i] as Step));
  const block: Block = { kind: 'block', id: freshId(routine), label: null, sides, steps };
  return {
    ...routine,
    items: [...routine.items.slice(0, at[0]), block, ...routine.items.slice(at.at(-1)! + 1)],
  };
}

const mapBlock = (routine: Routine, id: string, change: (block: Block) => Item[]): Routine => ({
  ...routine,
  items: routine.items.flatMap((item) => (item.kind === 'block' && item.id === id ? change(item) : [item])),
});

/** Its steps stay where they are, each with its own change of sides. */
export const dissolveBlock = (routine: Routine, id: string): Routine => mapBlock(routine, id, (block) => block.steps);

export const setBlockSides = (routine: Routine, id: string, sides: Block['sides']): Routine =>
  mapBlock(routine, id, (block) => [{ ...block, sides }]);
