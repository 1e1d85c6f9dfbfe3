import { stepsOf } from '../../../core/routine';
import { checkedAnswers, measureOf } from '../../../core/measures';
import { newlyBanned, type Screening } from '../../../core/limits';
import type { Referral, Visit, VisitPatch } from '../../../core/record';
import { data } from 'react-router';
import { CATALOGUE } from '../../../reference/catalogue';
import { saveVisit } from '../../../server/db/queries/save-visit.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { readJson } from '../../schemas/read';
import { screeningOf } from '../../../server/access/screening.server';
import { readFindings, saveSchema } from '../../schemas/visit';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import type { Route } from './+types/save';

const STATUS = { saved: 200, stale: 409, ended: 409, missing: 404, refused: 422 } as const;

/** The one door for every write of a visit. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await readJson(request, saveSchema);
  if (!input.ok) {
    const [field, message] = Object.entries(input.errors)[0] ?? ['', 'This cannot be read.'];
    return data({ result: 'invalid', field, message } as const, { status: 422 });
  }
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) return data({ result: 'missing' } as const, { status: 404 });
  const screened = await screeningOf(who.practiceId, visit);
  const given = cleaned(input.value.patch as VisitPatch);
  const patch: VisitPatch =
    given.kind === 'stage' && given.stage === 'stopped' ? { ...given, referral: referralOf(screened(visit)) } : given;
  const result = await saveVisit(
    who,
    visit.id,
    { saveId: input.value.saveId, expectedVersion: input.value.expectedVersion, patch },
    (locked) => refusal(locked, screened(locked), patch),
  );
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

function referralOf({ hits }: Screening): Referral {
  const cautions = hits['refer-out'];
  return {
    cautions: cautions.map((c) => c.key),
    seeWho: [...new Set(cautions.map((c) => c.seeWho))].join(' '),
    outcome: null,
    outcomeOn: null,
  };
}

/** What the screening forbids is forbidden here too, whatever the screen let through. */
function refusal(visit: Visit, screening: Screening, patch: VisitPatch): string | null {
  if (patch.kind === 'stage') {
    if (patch.stage === 'stopped') return screening.mustStop ? null : 'Only a red flag stops a visit.';
    if (patch.stage !== 'screen' && patch.stage !== 'postponed' && screening.mustStop)
      return 'A red flag was answered yes: this visit does not go on.';
    return null;
  }
  if (patch.kind !== 'routine') return null;
  const unknown = stepsOf(patch.routine).find((s) => !CATALOGUE.techniques.has(s.technique));
  if (unknown) return `The technique "${unknown.technique}" is not known.`;
  const banned = newlyBanned(patch.routine, visit.routine, screening, CATALOGUE);
  return banned && `${CATALOGUE.techniques.get(banned.step.technique)!.name} cannot be added. ${banned.reason}`;
}
