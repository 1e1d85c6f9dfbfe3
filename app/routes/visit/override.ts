import { isYes, mayBeOverridden } from '../../../core/limits';
import { data } from 'react-router';
import { whyUnsigned } from '../../../server/access/signature.server';
import { signOverride } from '../../../server/db/queries/overrides.server';
import { cautionsOf } from '../../../server/db/queries/practice.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { signalVisit } from '../../../server/live/signals.server';
import { overrideSchema } from '../../schemas/practice';
import { readJson } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/override';

/** Signs the override of one caution for one visit: a reason, and the own password under it. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) return data({ errors: { reason: 'This visit is not here.' } }, { status: 404 });
  const input = await readJson(request, overrideSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { caution: key, reason, password } = input.value;
  const caution = (await cautionsOf(who.practiceId)).find((c) => c.key === key);
  if (!caution || !mayBeOverridden(caution))
    return data({ errors: { reason: 'This caution cannot be overridden.' } }, { status: 422 });
  if (!isYes(visit.screen.answers[key]))
    return data(
      { errors: { reason: 'This caution was not answered with yes, so there is nothing to override.' } },
      { status: 422 },
    );
  const unsigned = await whyUnsigned(who, password);
  if (unsigned) return data({ errors: { password: unsigned.message } }, { status: unsigned.status });
  const signed = await signOverride(who, visit.id, key, reason);
  if (signed === 'missing') return data({ errors: { reason: 'This visit is not here.' } }, { status: 404 });
  if (signed === 'ended') return data({ errors: { reason: 'This visit has ended.' } }, { status: 409 });
  if (signed === 'signed-before')
    return data({ errors: { reason: 'It was signed before. Load the page again to see it.' } }, { status: 409 });
  signalVisit(who.practiceId, visit.id);
  return { override: signed };
}

export const loader = () => notFound('page');
