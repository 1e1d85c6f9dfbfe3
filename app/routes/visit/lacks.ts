import { data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { lacksBefore } from '../../../server/db/queries/runs.server';
import type { Route } from './+types/lacks';

/** What one side lacked in the run before this visit. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const lacks = await lacksBefore(practiceId, params.visitId);
  return lacks ? { lacks } : data({ lacks: [] }, { status: 404 });
}
