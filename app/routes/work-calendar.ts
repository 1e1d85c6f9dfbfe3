import { workCalendar } from '../../core/exchange';
import { addressOf } from '../../server/access/sign-in.server';
import { takeTry } from '../../server/db/queries/attempts.server';
import { calendarOfSecret, workVisits } from '../../server/db/queries/calendar-links.server';
import type { Route } from './+types/work-calendar';

/** A practitioner's own visits, read again and again by their calendar. What opens nothing counts as a try. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const holder = await calendarOfSecret(params.secret);
  if (!holder) {
    const wait = await takeTry('links', addressOf(context));
    throw new Response('', { status: wait ? 429 : 404 });
  }
  const now = new Date();
  const text = workCalendar({ name: `${holder.name}, ${holder.practice}`, visits: await workVisits(holder, now) }, now);
  return new Response(text, {
    headers: { 'Content-Type': 'text/calendar; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
