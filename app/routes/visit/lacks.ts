import { data } from 'react-router';
import { requirePractitioner } from '../../../server/access/session.server';
import { lacksBefore } from '../../../server/db/queries/runs.server';
import type { Route } from './+types/lacks';

/** What one side lacked in the run before this visit. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const lacks = await lacksBefore(practiceId, params.visitId);
  return lacks ? { lacks } : data({ lacks: [] }, { status: 404 });
}
