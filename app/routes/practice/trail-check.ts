import { data } from 'react-router';
import { checkTrail } from '../../../server/db/queries/audit.server';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/trail-check';

/** Checks the portion of the trail after an entry; the page asks again until it is whole. */
export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'trail');
  const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
  if (!Number.isSafeInteger(after) || after < 0)
    throw data({ message: 'after: a whole number, 0 or more, is accepted.' }, { status: 422 });
  return data(await checkTrail(practiceId, after));
}
