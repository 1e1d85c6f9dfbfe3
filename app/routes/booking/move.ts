import { data } from 'react-router';
import { howMeant } from '../../../server/access/booking-asks.server';
import { momentIn } from '../../../server/access/time.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { findBooking, moveBooking } from '../../../server/db/queries/bookings.server';
import { moveSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/move';

/** Moves a booking to another day, time, length, person or room. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'book');
  const input = await readJson(request, moveSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { day, time, sure, ...to } = input.value;
  const startsAt = momentIn(who.timeZone, day, time);
  const moved = await moveBooking(who, params.visitId, { ...to, startsAt }, howMeant(who.timeZone, startsAt, sure));
  if (moved === 'missing') notFound('visit');
  if (moved === 'begun') return data({ message: 'This visit has begun: it is not moved any more.' }, { status: 409 });
  if (moved !== 'done') return { asks: moved.asks, booking: null };
  return { asks: null, booking: await findBooking(who.practiceId, params.visitId) };
}
export const loader = () => notFound('page');
