import { beforePacket } from '../../../server/access/before-packet.server';
import { calendarFile, calendarOf } from '../../../server/access/calendar.server';
import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import type { Route } from './+types/calendar';

/**
 * What a link is for, for the phone’s calendar: the plan, or the first visit. The visits of somebody with a plan are no
 * part of it.
 */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder, zone } = await holderOf(params.secret, context);
  const now = new Date();
  const packet = await homePacket(holder, now);
  const { practice } = packet ?? (await beforePacket(holder, now)) ?? {};
  const text = practice && (await calendarOf({ ...holder, practice, zone }, now, { visits: !packet }));
  if (!text) throw new Response('', { status: 404 });
  return calendarFile(text);
}
