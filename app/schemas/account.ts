import { once } from './once';
import { object, string, type InferType } from 'yup';

const name = (what: string) =>
  string().trim().required(`Type ${what}.`).max(120, 'At most 120 characters are accepted.');
const email = string()
  .trim()
  .required('Type your e-mail address.')
  .max(200, 'At most 200 characters are accepted.')
  .email('An e-mail address such as name@example.org is accepted.');

export const signInSchema = object({
  email,
  password: string().required('Type your password.').max(200, 'At most 200 characters are accepted.'),
  to: string().optional(),
});
/** Signing in again in place, as the person whose work waits. */
export const signInHereSchema = object({
  email,
  practitionerId: string().max(64).required(),
  password: string().required('Type your password.').max(200, 'At most 200 characters are accepted.'),
});
export type SignInInput = InferType<typeof signInSchema>;

const isTimeZone = (zone: string | undefined): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return !!zone;
  } catch {
    return false;
  }
};

const newPassword = string()
  .required('Choose a password.')
  .min(10, 'At least 10 characters are accepted.')
  .max(200, 'At most 200 characters are accepted.');

/** Another password for somebody who knows the present one. */
export const changePasswordSchema = object({
  present: string().required('Type the password you have now.').max(200, 'At most 200 characters are accepted.'),
  password: newPassword,
});
export type ChangePassword = InferType<typeof changePasswordSchema>;
/** One of the own sessions to end. */
export const endSessionSchema = object({ session: string().required().uuid() });

export const newPracticeSchema = object({
  practice: name('the name of the practice'),
  timeZone: string()
    .trim()
    .required('Type the time zone.')
    .test('zone', 'A zone such as Europe/Lisbon is accepted.', isTimeZone),
  name: name('your name'),
  email,
  once,
  password: newPassword,
});
export type NewPractice = InferType<typeof newPracticeSchema>;
