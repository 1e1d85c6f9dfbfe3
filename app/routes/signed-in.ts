import { whoIs } from '../../server/access/session.server';
import type { Route } from './+types/signed-in';

/** Whether the session still lives: 204, or 401. */
export async function loader({ request }: Route.LoaderArgs) {
  return new Response(null, { status: (await whoIs(request)) ? 204 : 401 });
}
