import { data } from 'react-router';
import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import { takeTry } from '../../../server/db/queries/attempts.server';
import { takeFromHome } from '../../../server/db/queries/home-arrivals.server';
import { readJson } from '../../schemas/read';
import { type Sending, sendingSchema } from '../../schemas/home-items';
import type { Route } from './+types/keep';

/** The plan as it is now; null once it has ended. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder } = await holderOf(params.secret, context);
  if (!holder.planId) throw data('', { status: 404 });
  return data({ packet: await homePacket(holder, new Date()) }, { headers: { 'Cache-Control': 'no-store' } });
}

/** Takes what a phone has kept, and answers with what is kept now and the plan as it is. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const { holder, zone } = await holderOf(params.secret, context);
  if (!holder.planId) throw data('', { status: 404 });
  const wait = await takeTry('sendings', holder.id);
  if (wait) throw data({ message: 'Too many sendings; later ones are taken again.' }, { status: 429 });
  const input = await readJson(request, sendingSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { items, sentAt } = input.value as unknown as Sending;
  const now = new Date();
  const kept = await takeFromHome(holder, zone, items, new Date(sentAt), now);
  return data({ kept, packet: await homePacket(holder, now) }, { headers: { 'Cache-Control': 'no-store' } });
}
