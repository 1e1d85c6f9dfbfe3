import { data } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { beginFile } from '../../../server/db/queries/brought-files.server';
import { bringFileSchema } from '../../schemas/bring';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/in-file';

/** Begins a file that is brought in; its pieces come after. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const input = await readJson(request, bringFileSchema);
  if (!input.ok) return data({ errors: input.errors, id: '' }, { status: 422 });
  return data({ errors: {}, id: await beginFile(who, input.value) });
}

export const loader = () => notFound('page');
