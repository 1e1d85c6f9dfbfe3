import { refusalOf } from '../../../core/record';
import { data } from 'react-router';
import { swappedRoutine } from '../../../server/access/hands.server';
import { screeningOf } from '../../../server/access/screening.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { saveVisit } from '../../../server/db/queries/save-visit.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { readJson } from '../../schemas/read';
import { swapSchema } from '../../schemas/hands';
import type { Route } from './+types/swap';

const TOLD: Record<string, string> = {
  stale: 'This visit was changed in another window meanwhile. Load the page again.',
  ended: 'This visit has ended.',
  missing: 'This visit is not here.',
};

/** Spares a part of the hand in the routine of one visit; the routine as it was can be put back. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await readJson(request, swapSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) notFound('visit');
  const routine =
    input.value.back !== null ? input.value.back : (await swappedRoutine(who, visit, input.value.part))?.routine;
  if (!routine) return data({ message: 'There is nothing to swap any more. Load the page again.' }, { status: 409 });
  const patch = { kind: 'routine' as const, routine };
  const [screened, catalogue] = await Promise.all([screeningOf(who.practiceId, visit), catalogueOf(who.practiceId)]);
  const result = await saveVisit(
    who,
    visit.id,
    { saveId: crypto.randomUUID(), expectedVersion: visit.version, patch },
    (locked) => refusalOf(locked, patch, screened(locked), catalogue),
  );
  if (result.result !== 'saved')
    return data(
      { message: 'message' in result ? String(result.message) : (TOLD[result.result] ?? 'This was not kept.') },
      { status: 409 },
    );
  return { before: visit.routine };
}
export const loader = () => notFound('page');
