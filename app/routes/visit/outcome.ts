import { data } from 'react-router';
import { object, string } from 'yup';
import { noteReferralOutcome } from '../../../server/db/queries/visits.server';
import { check, formObject } from '../../schemas/read';
import { notFound, requirePractitioner } from '../../session.server';
import { dayOf } from '../../ui/time';
import type { Route } from './+types/outcome';

const outcomeSchema = object({ outcome: string().trim().required('Type what came of it.').max(300, 'At most 300 characters are accepted.') });

/** Notes what came of a referral; it then leaves Today. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, timeZone } = await requirePractitioner(request);
  const input = await check(outcomeSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  if (!(await noteReferralOutcome(practiceId, params.visitId, input.value.outcome, dayOf(new Date().toISOString(), timeZone)))) notFound('referral');
  return { errors: undefined };
}
export const loader = () => notFound('page');
