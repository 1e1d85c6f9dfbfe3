import { data } from 'react-router';
import { signInHereSchema } from '../schemas/account';
import { readJson } from '../schemas/read';
import { notFound, sessionHeaders } from '../../server/access/session.server';
import { addressOf, trySignIn } from '../../server/access/sign-in.server';
import type { Route } from './+types/sign-in-here';

const WRONG = { password: 'This is not the password.' };

/**
 * Signs the same person in again without leaving the page, so that what waits to be written goes on. Whoever it is not
 * is told no more than at the door.
 */
export async function action({ request, context }: Route.ActionArgs) {
  const input = await readJson(request, signInHereSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { practitionerId, ...typed } = input.value;
  const tried = await trySignIn(typed, addressOf(context));
  if (!('who' in tried))
    return data({ errors: tried.status === 429 || tried.errors.code ? tried.errors : WRONG }, { status: tried.status });
  if (tried.who.practitionerId !== practitionerId) return data({ errors: WRONG }, { status: 422 });
  return data({ signedIn: true }, { headers: await sessionHeaders(request, tried.who) });
}

export const loader = () => notFound('page');
