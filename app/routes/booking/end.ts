import { data } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { endBooking } from '../../../server/db/queries/bookings.server';
import { endBookingSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/end';

/** Cancels a booking, or notes that nobody came. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'book');
  const input = await readJson(request, endBookingSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const ended = await endBooking(who, params.visitId, input.value.as);
  if (ended === 'missing') notFound('visit');
  return ended === 'done'
    ? { ended: true }
    : data({ message: 'This visit has begun: finish it, or stop it there.' }, { status: 409 });
}
export const loader = () => notFound('page');
