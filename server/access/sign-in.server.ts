import { checkPassword, type Member } from '../db/queries/accounts.server';
import { signInWasRight, takeSignIn } from '../db/queries/attempts.server';
import type { FieldErrors } from '../../app/schemas/read';

export type SignInTry = { who: Member } | { errors: FieldErrors; status: 422 | 429 };
const minutes = (n: number): string => `${n} minute${n === 1 ? '' : 's'}`;

/** One try at a password, counted before it is looked at. */
export async function trySignIn(email: string, password: string, address: string): Promise<SignInTry> {
  const wait = await takeSignIn(email, address);
  if (wait)
    return { errors: { password: `Too many wrong tries from here. Try again in ${minutes(wait)}.` }, status: 429 };
  const who = await checkPassword(email, password);
  if (!who) return { errors: { password: 'This e-mail address and password do not belong together.' }, status: 422 };
  await signInWasRight(email, address);
  return { who };
}

/** Address of the visitor, as the server saw it. */
export const addressOf = (context: unknown): string => (context as { address?: string }).address ?? '';
