import { data } from 'react-router';
import { giveConsent, withdrawConsent } from '../../../server/db/queries/consents.server';
import { practiceTexts } from '../../../server/db/queries/practice.server';
import { consentSchema } from '../../schemas/practice';
import { readJson } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/consent';

/** Consent to the very wording that was shown, or its withdrawal. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await readJson(request, consentSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { kind, textVersion } = input.value;
  if (input.value.do === 'withdraw')
    return (await withdrawConsent(who, params.clientId, kind))
      ? { withdrawn: true }
      : data({ message: 'There is no consent to take back.' }, { status: 404 });
  const now = (await practiceTexts(who.practiceId))[`consent-${kind}`].version;
  if (now !== textVersion)
    return data(
      { message: 'The wording was changed meanwhile. Load the page again and read the new one.' },
      { status: 409 },
    );
  const consent = await giveConsent(who, params.clientId, kind, textVersion);
  return consent ? { consent } : data({ message: 'This client is not here.' }, { status: 404 });
}

export const loader = () => notFound('page');
