import { handsLeft } from '../../../server/access/hands.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import type { Route } from './+types/hands';

/** What the other visits of its day leave of the hands of who works in a visit. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'care');
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) notFound('visit');
  return Response.json({ left: await handsLeft(who, visit) });
}
