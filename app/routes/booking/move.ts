import { data } from 'react-router';
import { bookingAsks } from '../../../server/access/booking-asks.server';
import { momentIn } from '../../../server/access/time.server';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import { findBooking, moveBooking } from '../../../server/db/queries/bookings.server';
import { moveSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/move';

/** Moves a booking to another day, time or length. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await readJson(request, moveSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const booking = await findBooking(who.practiceId, params.visitId);
  if (!booking) notFound('visit');
  const { day, time, minutes, sure } = input.value;
  const startsAt = momentIn(who.timeZone, day, time);
  const asks = await bookingAsks(who, { ...booking, startsAt, minutes }, sure);
  if (asks) return { asks, booking: null };
  const moved = await moveBooking(who, params.visitId, startsAt, minutes);
  return moved === 'done'
    ? { asks: null, booking: await findBooking(who.practiceId, params.visitId) }
    : data({ message: 'This visit has begun: it is not moved any more.' }, { status: 409 });
}
export const loader = () => notFound('page');
