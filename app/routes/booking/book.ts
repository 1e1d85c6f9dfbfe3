import { data } from 'react-router';
import { bookingAsks } from '../../../server/access/booking-asks.server';
import { momentIn } from '../../../server/access/time.server';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import { book, findBooking } from '../../../server/db/queries/bookings.server';
import { bookSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/book';

/** Puts a visit into the book; what looks like a slip is asked about first. */
export async function action({ request }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await readJson(request, bookSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { day, time, sure, ...own } = input.value;
  const startsAt = momentIn(who.timeZone, day, time);
  const wanted = { ...own, practitionerId: who.practitionerId, startsAt };
  const asks = await bookingAsks(who, { ...wanted, visitId: '' }, sure);
  if (asks) return { asks, booking: null };
  const made = await book(who, wanted);
  if (!made) notFound('client');
  return { asks: null, booking: await findBooking(who.practiceId, made) };
}
export const loader = () => notFound('page');
