import { routineSeconds, stepCount } from '../../../core/routine';
import { notFound, permitted } from '../../../server/access/session.server';
import { earlierRoutines } from '../../../server/db/queries/visits.server';
import type { Route } from './+types/earlier';

/** The routines of this client's earlier visits, the latest first. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'care');
  const earlier = await earlierRoutines(practiceId, params.visitId);
  if (!earlier) notFound('visit');
  return {
    timeZone,
    earlier: earlier.map((e) => ({ ...e, steps: stepCount(e.routine), seconds: routineSeconds(e.routine) })),
  };
}
