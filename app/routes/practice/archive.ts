import { permitted } from '../../../server/access/session.server';
import { practiceArchive, whenRead } from '../../../server/access/practice-archive.server';
import { noteInTrail } from '../../../server/db/queries/audit.server';
import type { Route } from './+types/archive';

/** The whole practice as one file, packed as it is read. */
export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'records');
  await noteInTrail(who, 'archive-taken-out', {});
  return new Response(
    whenRead(() => practiceArchive(who.practiceId, new Date())),
    {
      headers: {
        'Content-Type': 'application/zip',
        'Content-Disposition': 'attachment; filename="practice.zip"',
        'Cache-Control': 'no-store, no-transform',
      },
    },
  );
}
