import {
  DEFAULT_ORDER,
  newStep,
  type Routine,
  ROUTINE_FORMAT,
  ROUTINE_VERSION,
  type Step,
} from '../core/routine/index.ts';
import { CATALOGUE } from '../reference/catalogue.ts';

function routine(
  name: string,
  budgetMinutes: number,
  steps: [technique: string, change?: (step: Step) => Step][],
  order: Partial<Routine['order']> = {},
): Routine {
  return {
    format: ROUTINE_FORMAT,
    schemaVersion: ROUTINE_VERSION,
    name,
    budgetMinutes,
    order: { ...DEFAULT_ORDER, ...order },
    steps: steps.map(([id, change], i) => {
      const technique = CATALOGUE.techniques.get(id);
      if (!technique) throw new Error(`demo routine "${name}": no technique "${id}"`);
      const step = newStep(technique, `s${i + 1}`);
      return change ? change(step) : step;
    }),
  };
}
const pressed =
  (pressure: Step['pressure']) =>
  (s: Step): Step => ({ ...s, pressure });
const moreLeft = (s: Step): Step => ({
  ...s,
  sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: 'The left masseter is the sorer one.' } },
});

/** Templates of the demo practice. */
export const ROUTINES = {
  jaw: routine('Left jaw, before rehearsal', 20, [
    ['slow-breaths'],
    ['spread-glide'],
    ['collarbone-pump'],
    ['neck-side-drain'],
    ['scm-pinch-walk'],
    ['skull-base-circles'],
    ['masseter-warm-hold'],
    ['temple-circles'],
    ['temporalis-knuckles', pressed('medium')],
    ['masseter-melt', pressed('medium')],
    ['masseter-pin-open', moreLeft],
    ['jaw-angle-press'],
    ['slow-opening-stretch'],
    ['temple-neck-drain'],
    ['terminus-close'],
  ]),
  headache: routine('Evening headache', 15, [
    ['slow-breaths'],
    ['collarbone-pump'],
    ['neck-side-drain'],
    ['skull-base-circles', pressed('light')],
    ['forehead-sweep', pressed('light')],
    ['temple-circles', pressed('light')],
    ['forehead-circles', pressed('light')],
    ['brow-centre-hold-pulse', pressed('light')],
    ['temple-hold-pulse', pressed('light')],
    ['forehead-drain'],
    ['temple-neck-drain'],
    ['terminus-close'],
  ]),
  eyes: routine(
    'Screen eyes, ten minutes',
    10,
    [
      ['collarbone-pump'],
      ['forehead-sweep', pressed('light')],
      ['brow-pinch-walk'],
      ['inner-brow-press', pressed('light')],
      ['temple-hold-pulse', pressed('light')],
      ['under-eye-four-points'],
      ['eye-ring-drain'],
      ['terminus-close'],
    ],
    { begin: 'any' },
  ),
  calm: routine(
    'Slow down',
    15,
    [
      ['belly-breath'],
      ['tension-scan'],
      ['masseter-warm-hold'],
      ['forehead-sweep', pressed('light')],
      ['temple-circles', pressed('light')],
      ['brow-centre-hold-pulse', pressed('light')],
      ['closing-strokes'],
    ],
    { begin: 'any' },
  ),
  drain: routine(
    'Morning puffiness',
    12,
    [
      ['collarbone-pump'],
      ['neck-side-drain'],
      ['ear-v-drain'],
      ['jaw-fan-drain'],
      ['sinus-circles', pressed('light')],
      ['nostril-hold', pressed('medium')],
      ['eye-ring-drain'],
      ['forehead-drain'],
      ['temple-neck-drain'],
      ['terminus-close'],
    ],
    { begin: 'any' },
  ),
} as const satisfies Record<string, Routine>;
export type RoutineKey = keyof typeof ROUTINES;
