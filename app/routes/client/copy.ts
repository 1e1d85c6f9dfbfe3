import { Readable } from 'node:stream';
import { clientCopy, copyFile } from '../../../server/access/client-copy.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { noteInTrail } from '../../../server/db/queries/audit.server';
import type { Route } from './+types/copy';

/** The whole record of a client as one file, for the client to take along. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'care');
  const copy = await clientCopy(who, params.clientId, new Date());
  if (!copy) notFound('client');
  await noteInTrail(who, 'client-copy-taken', { client: params.clientId });
  return new Response(Readable.toWeb(await copyFile(who, copy)) as ReadableStream, {
    headers: {
      'Content-Type': 'application/zip',
      'Content-Disposition': 'attachment; filename="record.zip"',
      'Cache-Control': 'no-store',
    },
  });
}
