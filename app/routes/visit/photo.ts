import { consentState, hasEnded } from '../../../core/record';
import { InputError } from '../../../core/words';
import { data } from 'react-router';
import { consentsOf } from '../../../server/db/queries/consents.server';
import { keepPhoto } from '../../../server/db/queries/photos.server';
import { practiceTexts } from '../../../server/db/queries/practice.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { cleanPhoto, photoBody } from '../../../server/photo-file.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/photo';

/** Takes a front photo, as the bare file. Nothing is stored unless it is a whole picture and the client consents. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const phase = new URL(request.url).searchParams.get('phase');
  const visit = await findVisit(who.practiceId, params.visitId);
  if (!visit) return data({ message: 'This visit is not here.' }, { status: 404 });
  if (hasEnded(visit.stage)) return data({ message: 'This visit has ended.' }, { status: 409 });
  if (phase !== 'before' && phase !== 'after')
    return data({ message: 'A photo is taken before or after the work.' }, { status: 422 });
  const [consents, texts] = await Promise.all([
    consentsOf(who.practiceId, visit.clientId),
    practiceTexts(who.practiceId),
  ]);
  if (consentState(consents, 'photo', texts['consent-photo'].version).state !== 'given')
    return data({ message: 'Photos need the client’s consent first.' }, { status: 422 });
  try {
    const kept = await keepPhoto(who, visit.id, phase, await cleanPhoto(await photoBody(request)));
    if (kept === 'missing' || kept === 'ended') return data({ message: 'This visit has ended.' }, { status: 409 });
    return { photo: kept };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ message: `Not kept: ${error.message.replace(/^photo: /, '')}.` }, { status: 422 });
  }
}

export const loader = () => notFound('page');
