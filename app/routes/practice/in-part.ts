import { data } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { keepPiece } from '../../../server/db/queries/brought-files.server';
import type { Route } from './+types/in-part';

/** A piece of a file that is brought in. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const n = Number(params.n);
  const bytes = Buffer.from(await request.arrayBuffer());
  if (!Number.isSafeInteger(n) || n < 0 || n > 10_000)
    return data({ message: 'Pieces are numbered from 0.' }, { status: 422 });
  if (!(await keepPiece(who, params.fileId, n, bytes)))
    return data({ message: 'This piece belongs to no file that is being sent.' }, { status: 422 });
  return data({ kept: n });
}

export const loader = () => notFound('page');
