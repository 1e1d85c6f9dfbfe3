import { MEMBER_ROLES } from '../../core/record';
import { array, boolean, object, string, type InferType } from 'yup';
import { once } from './once';

const name = (what: string) =>
  string().trim().required(`Type ${what}.`).max(120, 'At most 120 characters are accepted.');
const email = string()
  .trim()
  .required('Type your e-mail address.')
  .max(200, 'At most 200 characters are accepted.')
  .email('An e-mail address such as name@example.org is accepted.');

/** Of the second factor, or a spare code; empty where none is asked for. */
const code = string().trim().default('').max(20, 'At most 20 characters are accepted.');
export const signInSchema = object({
  email,
  password: string().required('Type your password.').max(200, 'At most 200 characters are accepted.'),
  code,
  to: string().optional(),
});
/** Signing in again in place, as the person whose work waits. */
export const signInHereSchema = object({
  email,
  practitionerId: string().max(64).required(),
  password: string().required('Type your password.').max(200, 'At most 200 characters are accepted.'),
  code,
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
/** Somebody new, as the owner asks them in. */
export const inviteSchema = object({
  name: name('their name'),
  role: string().oneOf(MEMBER_ROLES, 'Assistant, practitioner or owner is accepted.').required(),
});
export type Invite = InferType<typeof inviteSchema>;
/** What an owner does with a colleague or a link. */
export const colleagueSchema = object({
  id: string().required().uuid(),
  what: string()
    .oneOf(['link', 'leave', 'return', 'take-back', ...MEMBER_ROLES] as const)
    .required(),
});
/** Clients that somebody else takes over. */
export const handOverSchema = object({
  to: string().required('Choose who takes over.').uuid('Choose who takes over.'),
  clients: array(string().required().uuid())
    .min(1, 'Choose whom to hand over.')
    .max(5000, 'At most 5000 at once.')
    .required(),
});
/** Who comes in by a link; the address of somebody known here stays as it is. */
export const joinSchema = object({ email, password: newPassword });
export type Join = InferType<typeof joinSchema>;
/** The own password under a change of how one comes in. */
export const ownPasswordSchema = object({
  present: string().required('Type the password you have now.').max(200, 'At most 200 characters are accepted.'),
});
/** The first code of a second factor. */
export const firstCodeSchema = object({
  code: string()
    .required('Type the six digits that the app shows.')
    .transform((v: string) => v.replace(/\s/g, ''))
    .matches(/^\d{6}$/, 'Six digits are accepted.'),
});
/** A link to the own calendar, made or ended. */
export const calendarLinkSchema = object({
  what: string()
    .oneOf(['make', 'end'] as const, 'make or end is accepted.')
    .required(),
  withNames: boolean().default(false),
});
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
