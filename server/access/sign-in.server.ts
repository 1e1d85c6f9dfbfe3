import { checkPassword, type Member, type NotIn } from '../db/queries/accounts.server';
import { signInWasRight, takeSignIn } from '../db/queries/attempts.server';
import type { FieldErrors } from '../../app/schemas/read';

export type SignInTry = { who: Member } | { errors: FieldErrors; status: 422 | 429 };
const minutes = (n: number): string => `${n} minute${n === 1 ? '' : 's'}`;

const WHY: Record<NotIn, FieldErrors> = {
  wrong: { password: 'This e-mail address and password do not belong together.' },
  'code-needed': { code: 'Type the six digits that your authenticator app shows now, or one of your spare codes.' },
  'code-wrong': { code: 'This code does not open, or did once already. Wait for the next one.' },
};

/** One try at a password and code, counted before it is looked at. */
export async function trySignIn(
  { email, password, code }: { email: string; password: string; code: string },
  address: string,
): Promise<SignInTry> {
  const wait = await takeSignIn(email, address);
  if (wait)
    return { errors: { password: `Too many wrong tries from here. Try again in ${minutes(wait)}.` }, status: 429 };
  const who = await checkPassword(email, password, code);
  if (typeof who === 'string') return { errors: WHY[who], status: 422 };
  await signInWasRight(email, address);
  return { who };
}

/** Address of the visitor, as the server saw it. */
export const addressOf = (context: unknown): string => (context as { address?: string }).address ?? '';
