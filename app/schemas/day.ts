import { isValid, parseISO } from 'date-fns';
import { string } from 'yup';

/** A calendar day YYYY-MM-DD, or nothing. */
export const calendarDay = string()
  .trim()
  .default('')
  .test(
    'day',
    'A day such as 2027-03-09 is accepted.',
    (v) => !v || (/^\d{4}-\d{2}-\d{2}$/.test(v) && isValid(parseISO(v)) && v > '1900' && v < '2200'),
  );
