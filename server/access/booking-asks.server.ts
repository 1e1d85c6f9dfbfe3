import type { BookingAsks } from '../../core/record/index.ts';
import { bookingsOver } from '../db/queries/bookings.server.ts';
import { dayIn } from './time.server.ts';

/** Null where nothing looks like a slip, or it is meant. */
export async function bookingAsks(
  { practiceId, timeZone }: { practiceId: string; timeZone: string },
  wanted: { visitId: string; clientId: string; practitionerId: string; startsAt: Date; minutes: number },
  isSure: boolean,
): Promise<BookingAsks | null> {
  if (isSure) return null;
  const over = await bookingsOver(practiceId, wanted);
  const isPast = wanted.startsAt < dayIn(timeZone, new Date()).from;
  return isPast || over.length ? { isPast, over } : null;
}
