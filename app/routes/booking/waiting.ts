import { data } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { endWaiting, letWait } from '../../../server/db/queries/waiting.server';
import { endWaitingSchema, waitingSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/waiting';

/** Puts a client on the waiting list, or takes one off it. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'book');
  if (new URL(request.url).searchParams.get('do') === 'end') {
    const input = await readJson(request, endWaitingSchema);
    if (!input.ok) return data({ errors: input.errors }, { status: 422 });
    if (!(await endWaiting(who, input.value.clientId))) notFound('client');
    return { waits: false };
  }
  const input = await readJson(request, waitingSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  if (!(await letWait(who, input.value))) notFound('client');
  return { waits: true };
}
export const loader = () => notFound('page');
