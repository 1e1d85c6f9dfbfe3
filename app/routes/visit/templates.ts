import { routineSeconds, stepCount } from '../../../core/routine';
import { admitRoutine } from '../../../core/limits';
import { notFound, permitted } from '../../../server/access/session.server';
import { screeningOf } from '../../../server/access/screening.server';
import { templatesInUse } from '../../../server/db/queries/templates.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import type { Route } from './+types/templates';

/** Of a long list the first so many; the rest is found by name. */
const AT_A_TIME = 40;

/** Templates to begin this visit's routine with, each with what today's screening takes out of it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const text = new URL(request.url).searchParams.get('q')?.slice(0, 80) ?? '';
  const [found, screened, catalogue] = await Promise.all([
    templatesInUse(practiceId, text, AT_A_TIME + 1),
    screeningOf(practiceId, visit),
    catalogueOf(practiceId),
  ]);
  const screening = screened(visit);
  return {
    more: found.length > AT_A_TIME,
    templates: found.slice(0, AT_A_TIME).map(({ id, name, body }) => {
      const { routine, leftOut, lowered } = admitRoutine(body, screening, catalogue);
      return {
        id,
        name,
        isPart: body.budgetMinutes === null,
        school: catalogue.schools.get(body.school)?.name ?? '',
        steps: stepCount(routine),
        of: stepCount(body),
        seconds: routineSeconds(routine),
        leftOut,
        lowered,
      };
    }),
  };
}
