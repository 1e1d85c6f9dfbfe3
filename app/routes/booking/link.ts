import { data } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { makeBeforeLink } from '../../../server/db/queries/links.server';
import type { Route } from './+types/link';

/** A private link to rate and to answer before a first visit; its secret is told this once. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'book');
  const secret = await makeBeforeLink(who, params.visitId);
  if (secret === null) notFound('visit');
  return secret === 'late'
    ? data({ message: 'This is for a first visit that nobody has begun.' }, { status: 409 })
    : data({ secret }, { headers: { 'Cache-Control': 'no-store' } });
}
export const loader = () => notFound('page');
