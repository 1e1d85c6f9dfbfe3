import { data } from 'react-router';
import { howMeant } from '../../../server/access/booking-asks.server';
import { momentIn } from '../../../server/access/time.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { book, findBooking } from '../../../server/db/queries/bookings.server';
import { bookSchema } from '../../schemas/booking';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/book';

/** Puts a visit into the book; what looks like a slip is asked about first. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'book');
  const input = await readJson(request, bookSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { day, time, sure, waits, practitionerId, ...own } = input.value;
  const startsAt = momentIn(who.timeZone, day, time);
  const wanted = { ...own, practitionerId: practitionerId ?? who.practitionerId, startsAt, isFromWaiting: waits };
  const made = await book(who, wanted, howMeant(who.timeZone, startsAt, sure));
  if (!made) notFound('client');
  if (made.asks) return { asks: made.asks, booking: null };
  return { asks: null, booking: await findBooking(who.practiceId, made.visitId) };
}
export const loader = () => notFound('page');
