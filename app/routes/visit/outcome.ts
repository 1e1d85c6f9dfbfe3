import { data } from 'react-router';
import { object, string } from 'yup';
import { noteReferralOutcome } from '../../../server/db/queries/visits.server';
import { checkForm, readForm } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { dayOf } from '../../../core/schedule';
import type { Route } from './+types/outcome';

const outcomeSchema = object({
  outcome: string().trim().required('Type what came of it.').max(300, 'At most 300 characters are accepted.'),
});

/** Notes what came of a referral; it then leaves Today. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await checkForm(outcomeSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  if (
    !(await noteReferralOutcome(
      who,
      params.visitId,
      input.value.outcome,
      dayOf(new Date().toISOString(), who.timeZone),
    ))
  )
    notFound('referral');
  return { errors: undefined };
}
export const loader = () => notFound('page');
