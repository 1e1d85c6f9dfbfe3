import { ownFileOf } from '../../../core/routine';
import { noteInTrail } from '../../../server/db/queries/audit.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/techniques-file';

/** The practice's techniques in use as a document of docs/formats/techniques.schema.json. */
export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'stock');
  const inUse = (await ownTechniques(who.practiceId)).filter((t) => !t.retired);
  await noteInTrail(who, 'techniques-taken-out', { techniques: inUse.length });
  return new Response(`${JSON.stringify(ownFileOf(inUse.map((t) => t.own)), null, 2)}\n`, {
    headers: {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': 'attachment; filename="techniques.json"',
    },
  });
}
