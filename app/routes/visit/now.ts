import { notFound, permitted } from '../../../server/access/session.server';
import { storedVisit } from '../../../server/db/queries/save-visit.server';
import type { Route } from './+types/now';

/** A visit as it is stored now, for a screen on which it was changed elsewhere. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  return (await storedVisit(practiceId, params.visitId)) ?? notFound('visit');
}
