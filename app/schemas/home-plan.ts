import { array, number, object, string } from 'yup';
import { HOME_STEPS_MOST, HOME_WORDS_LETTERS, TIMES_A_DAY_MOST } from '../../core/schedule';
import { TECHNIQUE_TOOLS } from '../../core/words';
import { calendarDay } from './day';
import { once } from './once';

const TIMES = `A whole number from 1 to ${TIMES_A_DAY_MOST} is accepted.`;

/** What is asked of a home plan; which steps it may hold is looked up, never sent. */
export const homePlanSchema = object({
  once,
  steps: array(
    object({
      /** Id of a technique of the latest routine, or of the plan before. */
      technique: string().required().max(64),
      words: string()
        .trim()
        .max(HOME_WORDS_LETTERS, `At most ${HOME_WORDS_LETTERS} characters are accepted.`)
        .default(''),
    }).noUnknown(),
  )
    .min(1, 'Choose one to four steps.')
    .max(HOME_STEPS_MOST, `At most ${HOME_STEPS_MOST} steps are kept up at home.`)
    .required('Choose one to four steps.')
    .test('once', 'Each step once.', (steps) => new Set(steps.map((s) => s.technique)).size === steps.length),
  timesADay: number().typeError(TIMES).integer(TIMES).min(1, TIMES).max(TIMES_A_DAY_MOST, TIMES).required(TIMES),
  weekdays: array(number().integer().min(1).max(7).required())
    .min(1, 'Choose at least one day of the week.')
    .max(7)
    .required('Choose at least one day of the week.')
    .test('once', 'Each day of the week once.', (days) => new Set(days).size === days.length),
  from: calendarDay.required('Choose the first day.'),
  until: calendarDay.required('Choose the last day.'),
  reviewOn: calendarDay.required('Choose when you look at it together.'),
  shown: array(string().oneOf(TECHNIQUE_TOOLS).required()).max(TECHNIQUE_TOOLS.length).default([]),
});

/** What the client tells of one day of a plan. */
export const homeRunsSchema = object({
  planId: string().uuid().required(),
  day: calendarDay.required('Choose a day.'),
  times: number()
    .typeError('A whole number from 0 to 9 is accepted.')
    .integer('A whole number from 0 to 9 is accepted.')
    .min(0, 'A whole number from 0 to 9 is accepted.')
    .max(9, 'A whole number from 0 to 9 is accepted.')
    .required('A whole number from 0 to 9 is accepted.'),
});

/** A yes from home that somebody has seen to. */
export const flagSeenSchema = object({ id: string().uuid().required() });
