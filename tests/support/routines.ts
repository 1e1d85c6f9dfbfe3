import {
  DEFAULT_ORDER,
  type DosePart,
  newStep,
  type Routine,
  ROUTINE_FORMAT,
  ROUTINE_VERSION,
  type Step,
} from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';

const NO_PAUSES = {
  leadInSeconds: 0,
  restSeconds: 0,
  sideChangeSeconds: 0,
  directionChangeSeconds: 0,
  nextSpotSeconds: 0,
};

/** A bare step whose time is nothing but its dose. */
export function bareStep(
  id: string,
  parts: DosePart[],
  change: Partial<Step> & {
    spots?: number;
    pauses?: Partial<typeof NO_PAUSES>;
    sets?: number;
    mode?: Step['sides']['mode'];
  } = {},
): Step {
  const { spots = 1, pauses = {}, sets = 1, mode = 'together', ...rest } = change;
  return {
    id,
    technique: 'masseter-warm-hold',
    label: null,
    places: [{ kind: 'muscle', id: 'masseter-superficial' }],
    contact: 'palm',
    stillContact: null,
    motion: 'hold',
    pressure: 'light',
    returnPressure: null,
    sides: { mode, first: 'left', sets, extra: null, sequence: 'side-complete' },
    dose: { parts, spots, pauses: { ...NO_PAUSES, ...pauses } },
    swapHands: false,
    breath: null,
    head: 'still',
    jaw: 'loose',
    eyes: 'any',
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
): DosePart => ({
  kind: 'beats',
  count,
  countMost: null,
  perMinute,
  unit: 'circles',
  directions: 1,
  per: 'spot',
  ...change,
});

export const routineOf = (steps: Step[], change: Partial<Routine> = {}): Routine => ({
  format: ROUTINE_FORMAT,
  schemaVersion: ROUTINE_VERSION,
  name: 'Test',
  budgetMinutes: null,
  order: DEFAULT_ORDER,
  steps,
  ...change,
});

/** A step of a technique of the catalogue. */
export function stepOf(technique: string, id = technique, change: (step: Step) => Step = (s) => s): Step {
  const found = CATALOGUE.techniques.get(technique);
  if (!found) throw new Error(`no technique ${technique}`);
  return change(newStep(found, id));
}
export const routineFrom = (techniques: string[], change: Partial<Routine> = {}): Routine =>
  routineOf(
    techniques.map((t, i) => stepOf(t, `s${i + 1}`)),
    change,
  );
