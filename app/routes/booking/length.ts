import { usualLength } from '../../../server/access/day.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/length';

/** How long a client's visit usually takes, with whom and where it was. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'book');
  const usual = await usualLength(practiceId, params.clientId, new URL(request.url).searchParams.get('with'));
  if (!usual) notFound('client');
  return Response.json(usual);
}
