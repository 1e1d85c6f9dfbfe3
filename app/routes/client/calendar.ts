import { calendarFile, calendarOf } from '../../../server/access/calendar.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/calendar';

/** Plan and visits of a client for their calendar. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, practiceName, timeZone } = await permitted(request, 'see', 'care');
  const whose = { practiceId, clientId: params.clientId, practice: practiceName, zone: timeZone };
  const text = await calendarOf(whose, new Date(), { visits: true });
  return text ? calendarFile(text) : notFound('calendar');
}
