import { findClients } from '../../../server/db/queries/clients.server';
import { permitted } from '../../../server/access/session.server';
import { queryText } from '../../schemas/read';
import type { Route } from './+types/names';

/** Clients of a name, for who books. */
export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'people');
  const text = queryText(new URL(request.url).searchParams, 'q', 80).trim();
  const found = text ? await findClients(practiceId, text, 8, { namesOnly: true }) : [];
  return Response.json({ names: found.map(({ id, name }) => ({ id, name })) });
}
