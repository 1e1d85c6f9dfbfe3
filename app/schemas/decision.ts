import { object, string } from 'yup';
import { type Advice, ADVICE } from '../../core/relief';
import { once } from './once';

const advice = string()
  .oneOf(ADVICE, 'Go on, adjust, review or refer is accepted.')
  .required('Choose what to do next.');

/** What a practitioner decides on seeing how a client fares; another choice than the proposed one says why. */
export const decisionSchema = object({
  once,
  choice: advice,
  /** What was proposed on the screen. */
  seen: advice,
  reason: string()
    .trim()
    .max(320, 'At most 320 characters are accepted.')
    .default('')
    .when(['choice', 'seen'], ([choice, seen]: (Advice | undefined)[], schema) =>
      choice === seen ? schema : schema.required('Say why another way is chosen than the one proposed.'),
    ),
});
