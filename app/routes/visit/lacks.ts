import { requirePractitioner } from '../../../server/access/session.server';
import { lacksBefore } from '../../../server/db/queries/runs.server';
import type { Route } from './+types/lacks';

/** What one side lacked in the run before this visit. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  return { lacks: await lacksBefore(practiceId, params.visitId) };
}
