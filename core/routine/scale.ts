import { mapSteps } from './edit.ts';
import { BOUNDS, type DosePart, type Routine, type Step } from './model.ts';
import { routineSeconds } from './timing.ts';
import { doseWords } from './words.ts';

/** Nothing is held or counted less than this by scaling. Our choice: less is no work. */
const LEAST = { holdSeconds: 3, count: 3, cycles: 2 } as const;
/** How far a dose is stretched or cut at most. Our choice. */
const FACTORS = { least: 0.3, most: 3 } as const;
const ROUNDS = 24;

interface DoseChange {
  stepId: string;
  /** In words. */
  before: string;
  after: string;
}
export interface Scaled {
  routine: Routine;
  /** What it runs then; as near to what was asked for as the doses let it come. */
  totalSeconds: number;
  /** Doses that give or get, in step order. */
  changes: DoseChange[];
}

function scaledPart(part: DosePart, by: number): DosePart {
  const whole = (value: number, least: number, [low, high]: readonly [number, number]): number =>
    Math.min(Math.max(Math.round(value * by), Math.min(value, least), low), high);
  switch (part.kind) {
    case 'hold':
      return { ...part, seconds: whole(part.seconds, LEAST.holdSeconds, BOUNDS.holdSeconds) };
    case 'beats': {
      const count = whole(part.count, LEAST.count, BOUNDS.count);
      return { ...part, count, most: part.most === null ? null : Math.max(part.most, count) };
    }
    case 'breath':
      return { ...part, cycles: whole(part.cycles, LEAST.cycles, BOUNDS.cycles) };
    case 'open':
      return {
        ...part,
        usualSeconds: Math.min(Math.max(Math.round(part.usualSeconds * by), part.leastSeconds), part.mostSeconds),
      };
    // A look and a reading take what they take.
    default:
      return part;
  }
}

const scaledBy = (routine: Routine, by: number): Routine =>
  mapSteps(routine, (s): Step => ({ ...s, dose: { ...s.dose, parts: s.dose.parts.map((p) => scaledPart(p, by)) } }));

/**
 * The routine so that it fills the minutes and does not pass them: every dose gives or gets by the same share, as far as
 * its own bounds let it. Steps, places, sets and sides stay.
 */
export function scaleTo(routine: Routine, minutes: number): Scaled {
  const wanted = minutes * 60;
  let [low, high]: [number, number] = [FACTORS.least, FACTORS.most];
  for (let i = 0; i < ROUNDS; i++) {
    const by = (low + high) / 2;
    if (routineSeconds(scaledBy(routine, by)) <= wanted) low = by;
    else high = by;
  }
  const scaled = { ...scaledBy(routine, low), budgetMinutes: minutes };
  const changes: DoseChange[] = [];
  const after = new Map<string, string>();
  mapSteps(scaled, (s) => (after.set(s.id, doseWords(s)), s));
  mapSteps(routine, (s) => {
    const before = doseWords(s);
    if (before !== after.get(s.id)) changes.push({ stepId: s.id, before, after: after.get(s.id)! });
    return s;
  });
  return { routine: scaled, totalSeconds: routineSeconds(scaled), changes };
}
