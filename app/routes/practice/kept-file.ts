import { notFound, permitted } from '../../../server/access/session.server';
import { openKept } from '../../../server/db/queries/client-record.server';
import type { Route } from './+types/kept-file';

/** A closed record as the file that it is. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'records');
  const file = await openKept(who, params.recordId);
  if (!file) notFound('record');
  return new Response(new Uint8Array(file), {
    headers: {
      'Content-Type': 'application/zip',
      'Content-Disposition': 'attachment; filename="closed-record.zip"',
      'Cache-Control': 'no-store',
    },
  });
}
