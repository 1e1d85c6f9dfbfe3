import { array, number, object, string } from 'yup';
import { calendarDay } from './day';

const password = string().required('Type your own password to sign.').max(200);

/** How a client is let go: erased, or closed and kept until a day because something asks for it. */
export const letGoSchema = object({
  how: string()
    .oneOf(['erase', 'keep'] as const, 'Choose one of the two.')
    .required('Choose one of the two.'),
  until: calendarDay.when('how', { is: 'keep', then: (s) => s.required('Say until which day.') }),
  reason: string()
    .trim()
    .default('')
    .max(300, 'At most 300 characters are accepted.')
    .when('how', { is: 'keep', then: (s) => s.required('Say what asks for it, and where it stands.') }),
  password,
});
export const signedSchema = object({ password });

const emptyIsNull = (value: unknown, original: unknown) => (original === '' || original === undefined ? null : value);
const howLong = (most: number, words: string) =>
  number()
    .transform(emptyIsNull)
    .nullable()
    .default(null)
    .typeError(words)
    .integer(words)
    .min(1, words)
    .max(most, words);
/** How long a practice keeps what is old; empty where it says nothing. */
export const retentionSchema = object({
  visitsYears: howLong(50, 'Whole years, 1 to 50, or nothing.'),
  photosMonths: howLong(240, 'Whole months, 1 to 240, or nothing.'),
});
/** What is erased of whom: "photos:ID", "visits:ID", as it was ticked. */
export const eraseOldSchema = object({
  picked: array(
    string()
      .matches(/^(photos|visits):[0-9a-f-]{36}$/, 'This is nothing of the list.')
      .required(),
  )
    .max(1000)
    .default([])
    .min(1, 'Tick what is to be erased.'),
  password,
});
