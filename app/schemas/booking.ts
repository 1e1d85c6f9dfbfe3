import { array, boolean, number, object, string } from 'yup';
import { PARTS_OF_DAY } from '../../core/record';
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
const where = {
  /** With whom; left out, it stays, or is who books. */
  practitionerId: string().uuid('Choose somebody who works here.').optional(),
  /** In which room; null in none, left out it stays. */
  roomId: string().uuid('Choose a room.').nullable().optional(),
};
export const bookSchema = object({
  once,
  clientId: string().uuid('Choose a client.').required('Choose a client.'),
  ...when,
  ...where,
  /** Taken from the waiting list. */
  waits: boolean().default(false),
});
export const moveSchema = object({ ...when, ...where });
/** Somebody who waits no more. */
export const endWaitingSchema = object({ clientId: string().uuid('Choose a client.').required('Choose a client.') });
/** Somebody who waits for a time, and when they can come. */
export const waitingSchema = object({
  clientId: string().uuid('Choose a client.').required('Choose a client.'),
  practitionerId: string().uuid('Choose somebody who works here.').nullable().default(null),
  minutes: when.minutes,
  weekdays: array(number().integer().min(1).max(7).required()).max(7).default([]),
  partOfDay: string()
    .oneOf(PARTS_OF_DAY, 'Choose a part of the day.')
    .default('any' as const),
});
export const endBookingSchema = object({
  as: string()
    .oneOf(['cancelled', 'missed'] as const, 'cancelled or missed is accepted.')
    .required(),
});
