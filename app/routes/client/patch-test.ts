import { data } from 'react-router';
import { notePatchTest } from '../../../server/db/queries/consents.server';
import { patchTestSchema } from '../../schemas/practice';
import { readJson } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { dayOf } from '../../../core/schedule';
import type { Route } from './+types/patch-test';

/** Notes how the skin took a product on a small place. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await readJson(request, patchTestSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { productId, testedOn, reacted } = input.value;
  if (!testedOn || testedOn > dayOf(new Date().toISOString(), who.timeZone))
    return data({ message: 'A day up to today is accepted.' }, { status: 422 });
  return (await notePatchTest(who, params.clientId, productId, { testedOn, reacted }))
    ? { testedOn, reacted }
    : data({ message: 'This client or product is not here.' }, { status: 404 });
}

export const loader = () => notFound('page');
