import { calendarFile, calendarOf } from '../../../server/access/calendar.server';
import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import type { Route } from './+types/calendar';

/** The plan of a link for the phone’s calendar; visits are not in it, as they are no part of the plan. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder, zone } = await holderOf(params.secret, context);
  const now = new Date();
  const packet = await homePacket(holder, now);
  const text = packet && (await calendarOf({ ...holder, practice: packet.practice, zone }, now, { visits: false }));
  if (!text) throw new Response('', { status: 404 });
  return calendarFile(text);
}
