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
/** So many rounds. */
const rounds =
  (sets: number) =>
  (s: Step): Step => ({ ...s, sides: { ...s.sides, sets } });
const moreLeft = (s: Step): Step => ({
  ...s,
  sides: { ...s.sides, mode: 'each', extra: { side: 'left', sets: 1, reason: 'The left masseter is the sorer one.' } },
});

/** Templates of the demo practice. */
export const ROUTINES = {
  jaw: routine('Left jaw, before rehearsal', 20, [
    ['slow-deep-breaths', rounds(2)],
    ['glide-apply'],
    ['collarbone-pump', rounds(2)],
    ['neck-side-drain-pads', rounds(3)],
    ['scm-between-fingers-glide', rounds(2)],
    ['skull-base-thumb-circles'],
    ['masseter-warm-hold'],
    ['temple-circles', rounds(2)],
    ['temporalis-knuckle-circles', (s) => rounds(3)(at('medium')(s))],
    ['stay-masseter-superficial', (s) => rounds(3)(at('medium')(s))],
    ['masseter-pin-open', moreLeft],
    ['pulse-ST6', rounds(3)],
    ['slow-opening-stretch', rounds(3)],
    ['temple-to-neck-drain'],
    ['terminus-close', rounds(2)],
  ]),
  headache: routine('Evening headache', 15, [
    ['slow-deep-breaths', rounds(3)],
    ['glide-apply'],
    ['collarbone-pump', rounds(2)],
    ['neck-side-drain-pads', rounds(3)],
    ['skull-base-thumb-circles', at('light')],
    ['forehead-sweep-to-temples', (s) => rounds(3)(at('light')(s))],
    ['temple-circles', (s) => rounds(2)(at('light')(s))],
    ['forehead-two-finger-massage', (s) => rounds(4)(at('light')(s))],
    ['brow-center-hold-pulse', (s) => rounds(2)(at('light')(s))],
    ['temple-hold-pulse', (s) => rounds(2)(at('light')(s))],
    ['forehead-to-temple-drain', rounds(2)],
    ['temple-to-neck-drain'],
    ['terminus-close'],
  ]),
  eyes: routine(
    'Screen eyes, ten minutes',
    10,
    [
      ['glide-apply'],
      ['collarbone-pump', rounds(2)],
      ['forehead-sweep-to-temples', (s) => rounds(2)(at('light')(s))],
      ['brow-pinch-walk', rounds(2)],
      ['inner-brow-thumb-press', (s) => rounds(2)(at('light')(s))],
      ['temple-hold-pulse', (s) => rounds(2)(at('light')(s))],
      ['under-eye-four-point-hold', rounds(2)],
      ['orbit-ring-finger-drain'],
      ['terminus-close'],
    ],
    FACE_ONLY,
  ),
  calm: routine(
    'Slow down',
    15,
    [
      ['belly-breath-two-hands', rounds(3)],
      ['face-tension-scan'],
      ['glide-apply'],
      ['masseter-warm-hold', rounds(2)],
      ['forehead-sweep-to-temples', (s) => rounds(3)(at('light')(s))],
      ['temple-circles', (s) => rounds(2)(at('light')(s))],
      ['brow-center-hold-pulse', (s) => rounds(2)(at('light')(s))],
      ['closing-face-swipes', rounds(3)],
    ],
    FACE_ONLY,
  ),
  drain: routine(
    'Morning puffiness',
    10,
    [
      ['collarbone-pump', rounds(3)],
      ['neck-side-drain-pads', rounds(3)],
      ['ear-v-drain', rounds(3)],
      ['jaw-l-finger-wipe', rounds(3)],
      ['nose-out-cheek-circles', (s) => rounds(2)(at('light')(s))],
      ['nostril-knuckle-hold', (s) => rounds(2)(at('medium')(s))],
      ['orbit-ring-finger-drain', rounds(2)],
      ['forehead-to-temple-drain', rounds(3)],
      ['temple-to-neck-drain', rounds(2)],
      ['terminus-close', rounds(2)],
    ],
    FACE_ONLY,
  ),
} as const satisfies Record<string, Routine>;
export type RoutineKey = keyof typeof ROUTINES;
