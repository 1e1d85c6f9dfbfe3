import { findClientsByName } from '../../server/db/queries/clients.server';
import { findTemplatesByName } from '../../server/db/queries/templates.server';
import { queryText } from '../schemas/read';
import { requirePractitioner } from '../../server/access/session.server';
import type { Found } from '../parts/frame/find-box';
import type { Route } from './+types/find';

/** Names for the find box in the top bar. */
export async function loader({ request }: Route.LoaderArgs): Promise<{ found: Found[] }> {
  const who = await requirePractitioner(request);
  const text = queryText(new URL(request.url).searchParams, 'q', 80).trim();
  if (!text) return { found: [] };
  const [clients, templates] = await Promise.all([
    findClientsByName(who.practiceId, text, 6),
    findTemplatesByName(who.practiceId, text, 4),
  ]);
  return {
    found: [
      ...clients.map((c) => ({ to: `/clients/${c.id}`, name: c.name, what: c.about || 'client' })),
      ...templates.map((t) => ({ to: `/routines/${t.id}`, name: t.name, what: 'routine' })),
    ],
  };
}
