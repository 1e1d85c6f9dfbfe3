import { object, string } from 'yup';
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
