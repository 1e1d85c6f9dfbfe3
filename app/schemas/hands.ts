import { HAND_PARTS, type HandPart } from '../../core/proposal';
import { readRoutine, type Routine } from '../../core/routine';
import { InputError } from '../../core/words';
import { mixed, number, object, string, type InferType } from 'yup';

/** A swap that is taken, or put back as the routine was. */
export const swapSchema = object({
  part: string().oneOf(HAND_PARTS, 'A part of the hand is accepted.').required(),
  back: mixed<Routine>()
    .nullable()
    .default(null)
    .test('routine', 'A routine is accepted.', (value) => {
      try {
        return value === null || value === undefined || !!readRoutine(value);
      } catch (error) {
        if (error instanceof InputError) return false;
        throw error;
      }
    }),
});

const newtons = number()
  .transform((v: number, typed: unknown) => (typed === '' || typed === null ? undefined : v))
  .typeError('10 to 600 N are accepted, or nothing.')
  .min(10, '10 to 600 N are accepted, or nothing.')
  .max(600, '10 to 600 N are accepted, or nothing.')
  .optional();
/** Own strength of each part of the hand in N; what was not measured is left out. */
export const strengthSchema = object(
  Object.fromEntries(HAND_PARTS.map((part) => [part, newtons])) as Record<HandPart, typeof newtons>,
);
export type Strength = InferType<typeof strengthSchema>;
