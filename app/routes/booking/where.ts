import { handsOf } from '../../../server/db/queries/hand-over.server';
import { roomsOf, workingHoursOf } from '../../../server/db/queries/rooms.server';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/where';

/** With whom and where a visit can be, and what goes around a routine. */
export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'see', 'book');
  const [people, rooms, around] = await Promise.all([
    handsOf(practiceId),
    roomsOf(practiceId),
    workingHoursOf(practiceId),
  ]);
  return Response.json({ own: practitionerId, people, rooms, around });
}
