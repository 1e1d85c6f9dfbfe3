import {
  emptyRoutine,
  newStep,
  pressed,
  type DosePart,
  type Routine,
  type Step,
  type Stroke,
} from '../../core/routine/index.ts';
import type { PlaceRef, Pressure } from '../../core/words/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';

const NO_PAUSES: Step['dose']['pauses'] = {
  findPlaceSeconds: 0,
  nextPlaceSeconds: 0,
  directionChangeSeconds: 0,
  restSeconds: 0,
  sideChangeSeconds: 0,
  swapSeconds: 0,
};
const MASSETER: PlaceRef = { kind: 'muscle', id: 'masseter-superficial' };

interface Bare extends Partial<Omit<Step, 'pressure'>> {
  pressure?: Pressure | null;
  /** Places, worked one after the other. */
  places?: number;
  pauses?: Partial<typeof NO_PAUSES>;
  sets?: number;
  mode?: Step['sides']['mode'];
  stroke?: Stroke;
}

/** A bare step whose time is nothing but its dose. */
export function bareStep(id: string, parts: DosePart[], change: Bare = {}): Step {
  const { places = 1, pauses = {}, sets = 1, mode = 'together', pressure = 'light', ...rest } = change;
  return {
    kind: 'step',
    id,
    technique: 'masseter-warm-hold',
    label: null,
    path: Array.from({ length: places }, () => MASSETER),
    contact: 'palm',
    still: null,
    motion: 'hold',
    stroke: 'in-place',
    pressure: pressed(pressure),
    sides: { mode, first: 'left', sets, extra: null, sequence: 'side-complete' },
    dose: { parts, perPlace: places > 1, pauses: { ...NO_PAUSES, ...pauses } },
    swap: 'none',
    body: { head: 'still', jaw: 'loose', eyes: 'any', tongue: 'rest' },
    breath: null,
    glide: 'either',
    note: '',
    ...rest,
  };
}

export const hold = (seconds: number): DosePart => ({ kind: 'hold', seconds });
export const beats = (
  count: number,
  perMinute: number,
  change: Partial<Extract<DosePart, { kind: 'beats' }>> = {},
): DosePart => ({ kind: 'beats', count, most: null, perMinute, unit: 'circles', ...change });
/** In and out, with a hold between where there is one. */
export const breath = (cycles: number, inSeconds: number, outSeconds: number, holdSeconds = 0): DosePart => ({
  kind: 'breath',
  cycles,
  phases: [
    { what: 'in', seconds: inSeconds },
    ...(holdSeconds ? [{ what: 'hold' as const, seconds: holdSeconds }] : []),
    { what: 'out', seconds: outSeconds },
  ],
});

export const routineOf = (items: Routine['items'], change: Partial<Routine> = {}): Routine => ({
  ...emptyRoutine('Test'),
  budgetMinutes: null,
  items,
  ...change,
});

/** A step of a technique of the catalogue. */
export function stepOf(technique: string, id = technique, change: (step: Step) => Step = (s) => s): Step {
  const found = CATALOGUE.techniques.get(technique);
  if (!found) throw new Error(`no technique ${technique}`);
  return change(newStep(found, id));
}
/** The same step, pressed so hard. */
export const at =
  (there: Pressure, back: Pressure | null = null) =>
  (s: Step): Step => ({ ...s, pressure: { there, back } });
export const routineFrom = (techniques: string[], change: Partial<Routine> = {}): Routine =>
  routineOf(
    techniques.map((t, i) => stepOf(t, `s${i + 1}`)),
    change,
  );
