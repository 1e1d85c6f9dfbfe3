import { data } from 'react-router';
import { bringAndTell } from '../../../server/access/bring.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { fileOfMine } from '../../../server/db/queries/brought-files.server';
import { bringSchema } from '../../schemas/bring';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/in-work';

/** Looks at a file that has come, or keeps what is in it; how far it is comes line by line. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const input = await readJson(request, bringSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const file = await fileOfMine(who, params.fileId);
  if (!file) return data({ errors: { file: 'This file is not here any more; send it again.' } }, { status: 404 });
  const { keeps, what, delimiter, decimal, dates, dayAlone, columns } = input.value;
  if ((what === 'archive') !== (file.kind === 'archive'))
    return data({ errors: { what: 'This file is of another kind.' } }, { status: 422 });
  const ways = { delimiter, decimal, dates, zone: who.timeZone, ...(dayAlone ? { dayAlone: 'noon' as const } : {}) };
  const answer = bringAndTell(who, file, { keeps, what, ways, columns }, request.signal);
  // Unpacked, so that each line is there at once.
  return new Response(answer, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store, no-transform' },
  });
}

export const loader = () => notFound('page');
