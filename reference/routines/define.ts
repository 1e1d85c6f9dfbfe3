import {
  emptyRoutine,
  newStep,
  type Block,
  type Item,
  type OrderProfile,
  type Routine,
  type Step,
} from '../../core/routine/index.ts';
import type { ComplaintKind, Pressure } from '../../core/words/index.ts';
import { CATALOGUE } from '../catalogue.ts';

/** A routine of the trade that a new practice begins with. */
export interface StartingRoutine {
  /** Kept for good: a practice that hid or changed it does not get it twice. */
  id: string;
  /** Complaints it is made for. */
  serves: readonly ComplaintKind[];
  /** Minutes of work its practitioners state, without the talk around it; of one side where `statedFor` says so. */
  statedMinutes: number;
  statedFor: 'whole' | 'one side';
  /** Why it takes longer or shorter here, where it does; empty where it does not. */
  because: string;
  routine: Routine;
}

/** What this routine states of a step; all else is the library's. */
interface Change {
  count?: number;
  most?: number;
  sets?: number;
  side?: Step['sides']['mode'];
  pressure?: Pressure;
  /** With the bare hand in place of the technique's tool. */
  byHand?: true;
  note?: string;
}
type StepRow = string | readonly [technique: string, change: Change];
interface BlockRow {
  label: string;
  sides: Block['sides'];
  steps: readonly StepRow[];
}

interface Described {
  name: string;
  school: string;
  /** Where it departs from its school. */
  order?: OrderProfile & { reason: string };
  budgetMinutes: number;
  notes: string;
  steps: readonly (StepRow | BlockRow)[];
}

function changed(step: Step, { count, most, sets, side, pressure, byHand, note }: Change): Step {
  const parts = step.dose.parts.map((part) => {
    if (part.kind === 'beats') return { ...part, count: count ?? part.count, most: most ?? part.most };
    return part.kind === 'breath' ? { ...part, cycles: count ?? part.cycles } : part;
  });
  return {
    ...step,
    contact: byHand ? 'whole-hand' : step.contact,
    still: byHand && step.still ? { ...step.still, contact: 'whole-hand' } : step.still,
    dose: { ...step.dose, parts },
    sides: { ...step.sides, mode: side ?? step.sides.mode, sets: sets ?? step.sides.sets },
    pressure: pressure ? { there: pressure, back: null } : step.pressure,
    note: note ?? '',
  };
}

/** A routine from its rows: ids "s1", "s2" … in order, "b1" … for blocks. */
export function routineFrom({ name, school, order, budgetMinutes, notes, steps }: Described): Routine {
  let made = 0;
  const stepFrom = (row: StepRow): Step => {
    const [id, change] = typeof row === 'string' ? [row, {}] : row;
    const technique = CATALOGUE.techniques.get(id);
    if (!technique) throw new Error(`starting routine "${name}": no technique "${id}"`);
    return changed(newStep(technique, `s${++made}`), change);
  };
  let blocks = 0;
  const items = steps.map((row): Item =>
    typeof row === 'object' && 'steps' in row
      ? {
          kind: 'block',
          id: `b${++blocks}`,
          label: row.label,
          sides: row.sides,
          steps: row.steps.map(stepFrom),
        }
      : stepFrom(row),
  );
  return { ...emptyRoutine(name), school, order: order ?? null, budgetMinutes, notes, items };
}
