import { boolean, number, object, string } from 'yup';
import { calendarDay } from './day';
import { once } from './once';

const when = {
  day: calendarDay.required('Choose a day.'),
  time: string()
    .trim()
    .required('Choose a time.')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 14:30 is accepted.'),
  minutes: number()
    .typeError('5 to 480 minutes are accepted.')
    .integer('Whole minutes are accepted.')
    .min(5, '5 to 480 minutes are accepted.')
    .max(480, '5 to 480 minutes are accepted.')
    .required('Say how long.'),
  /** Asked about a day that is past, or a time that is taken, and meant. */
  sure: boolean().default(false),
};
export const bookSchema = object({ once, clientId: string().uuid().required(), ...when });
export const moveSchema = object(when);
export const endBookingSchema = object({
  as: string()
    .oneOf(['cancelled', 'missed'] as const, 'cancelled or missed is accepted.')
    .required(),
});
