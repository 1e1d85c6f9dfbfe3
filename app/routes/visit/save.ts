import { referralOf, refusalOf, type VisitPatch } from '../../../core/record';
import { checkedAnswers, measureOf } from '../../../core/measures';
import { data } from 'react-router';
import { saveVisit } from '../../../server/db/queries/save-visit.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { signalVisit } from '../../../server/live/signals.server';
import { readJson } from '../../schemas/read';
import { screeningOf } from '../../../server/access/screening.server';
import { readFindings, saveSchema } from '../../schemas/visit';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/save';

const STATUS = { saved: 200, stale: 409, ended: 409, missing: 404, refused: 422 } as const;

/** The one door for every write of a visit. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await readJson(request, saveSchema);
  if (!input.ok) {
    const [field, message] = Object.entries(input.errors)[0] ?? ['', 'This cannot be read.'];
    return data({ result: 'invalid', field, message } as const, { status: 422 });
  }
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) return data({ result: 'missing' } as const, { status: 404 });
  const [screened, catalogue] = await Promise.all([screeningOf(who.practiceId, visit), catalogueOf(who.practiceId)]);
  const given = cleaned(input.value.patch as VisitPatch);
  const patch: VisitPatch =
    given.kind === 'stage' && given.stage === 'stopped' ? { ...given, referral: referralOf(screened(visit)) } : given;
  const result = await saveVisit(
    who,
    visit.id,
    { saveId: input.value.saveId, expectedVersion: input.value.expectedVersion, patch },
    (locked) => refusalOf(locked, patch, screened(locked), catalogue),
  );
  if (result.result === 'saved') signalVisit(who.practiceId, visit.id);
  return data(result, { status: STATUS[result.result] });
}

/** A visit has no page of its own at this address. */
export const loader = () => notFound('page');

/** Only what is known is stored, each in its own shape. */
function cleaned(patch: VisitPatch): VisitPatch {
  if (patch.kind === 'findings') return { ...patch, findings: readFindings(patch.findings) };
  if (patch.kind === 'answers' && patch.answers)
    return { ...patch, answers: checkedAnswers(measureOf(patch.measure)!, patch.answers) };
  return patch;
}
