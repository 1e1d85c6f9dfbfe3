import { number, object, string } from 'yup';
import { RATING_SOURCES } from '../../core/record';
import { calendarDay } from './day';
import { once } from './once';

const said = {
  value: number()
    .typeError('A whole number from 0 to 10 is accepted.')
    .integer('A whole number from 0 to 10 is accepted.')
    .min(0, 'A whole number from 0 to 10 is accepted.')
    .max(10, 'A whole number from 0 to 10 is accepted.')
    .required('A whole number from 0 to 10 is accepted.'),
  day: calendarDay.required('Choose a day.'),
  time: string()
    .trim()
    .required('Choose a time.')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 14:30 is accepted.'),
  source: string()
    .oneOf(RATING_SOURCES, 'At home, by telephone or in the studio is accepted.')
    .required('Choose where it was said.'),
};

/** A rating between visits as the practitioner writes it down, corrects it or takes it away. */
export const ratingSchemas = {
  keep: object({ once, complaintId: string().uuid().required(), ...said }),
  correct: object({ id: string().uuid().required(), ...said }),
  remove: object({ id: string().uuid().required() }),
};
export type RatingAct = keyof typeof ratingSchemas;
