import { data } from 'react-router';
import { visitStream } from '../../../server/access/live.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { pulseOf } from '../../../server/db/queries/pulse.server';
import type { Route } from './+types/live';

/** How far a visit is, each time that it changes. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'care');
  if (!(await pulseOf(who.practiceId, params.visitId))) notFound('visit');
  // Whoever asks for a page would wait for its end for ever.
  if (!request.headers.get('Accept')?.includes('text/event-stream'))
    throw data('This address is a stream of events.', { status: 406 });
  return visitStream(request, who, params.visitId);
}
