import { emptyRoutine, newStep, pressed, type OrderProfile, type Routine, type Step } from '../core/routine/index.ts';
import type { Pressure } from '../core/words/index.ts';
import { CATALOGUE } from '../reference/catalogue.ts';

function routine(
  name: string,
  budgetMinutes: number,
  steps: [technique: string, change?: (step: Step) => Step][],
  order: Routine['order'] = null,
): Routine {
  return {
    ...emptyRoutine(name),
    budgetMinutes,
    order,
    items: steps.map(([id, change], i) => {
      const technique = CATALOGUE.techniques.get(id);
      if (!technique) throw new Error(`demo routine "${name}": no technique "${id}"`);
      const step = newStep(technique, `s${i + 1}`);
      return change ? change(step) : step;
    }),
  };
}
/** For a short piece of work on the face alone. */
const FACE_ONLY: OrderProfile & { reason: string } = {
  begin: 'any',
  exercise: 'after-release',
  drainage: 'open-and-close',
  reason: 'A short piece of work on the face alone.',
};
const at =
  (pressure: Pressure) =>
  (s: Step): Step => ({ ...s, pressure: pressed(pressure) });
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
    ['temporalis-knuckles', at('medium')],
    ['masseter-melt', at('medium')],
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
    ['skull-base-circles', at('light')],
    ['forehead-sweep', at('light')],
    ['temple-circles', at('light')],
    ['forehead-circles', at('light')],
    ['brow-centre-hold-pulse', at('light')],
    ['temple-hold-pulse', at('light')],
    ['forehead-drain'],
    ['temple-neck-drain'],
    ['terminus-close'],
  ]),
  eyes: routine(
    'Screen eyes, ten minutes',
    10,
    [
      ['collarbone-pump'],
      ['forehead-sweep', at('light')],
      ['brow-pinch-walk'],
      ['inner-brow-press', at('light')],
      ['temple-hold-pulse', at('light')],
      ['under-eye-four-points'],
      ['eye-ring-drain'],
      ['terminus-close'],
    ],
    FACE_ONLY,
  ),
  calm: routine(
    'Slow down',
    15,
    [
      ['belly-breath'],
      ['tension-scan'],
      ['masseter-warm-hold'],
      ['forehead-sweep', at('light')],
      ['temple-circles', at('light')],
      ['brow-centre-hold-pulse', at('light')],
      ['closing-strokes'],
    ],
    FACE_ONLY,
  ),
  drain: routine(
    'Morning puffiness',
    12,
    [
      ['collarbone-pump'],
      ['neck-side-drain'],
      ['ear-v-drain'],
      ['jaw-fan-drain'],
      ['sinus-circles', at('light')],
      ['nostril-hold', at('medium')],
      ['eye-ring-drain'],
      ['forehead-drain'],
      ['temple-neck-drain'],
      ['terminus-close'],
    ],
    FACE_ONLY,
  ),
} as const satisfies Record<string, Routine>;
export type RoutineKey = keyof typeof ROUTINES;
