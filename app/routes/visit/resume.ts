import { STAGES } from '../../../core/record';
import { redirect } from 'react-router';
import { findVisit } from '../../../server/db/queries/visits.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/resume';

/** Opens a visit where it stands. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const stage = STAGES.find((s) => s === visit.stage) ?? (visit.stage === 'done' ? 'record' : 'screen');
  return redirect(`/visits/${visit.id}/${stage}`);
}
