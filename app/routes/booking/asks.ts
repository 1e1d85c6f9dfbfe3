import { clockTimeWords } from './words';
import { bookingsOver, minutesOf } from '../../../server/db/queries/bookings.server';
import { dayIn } from '../../../server/access/time.server';

/** What is asked once before a booking is written: a day before today, and whom it lies over. */
export async function bookingAsks(
  practiceId: string,
  timeZone: string,
  wanted: { visitId: string; clientId: string; practitionerId: string; startsAt: Date; minutes: number },
): Promise<string[]> {
  const over = await bookingsOver(practiceId, wanted);
  return [
    ...(wanted.startsAt < dayIn(timeZone, new Date()).from ? ['This day is before today.'] : []),
    ...over.map(
      (b) =>
        `${b.clientId === wanted.clientId ? 'This client' : b.practitioner} has ${b.clientId === wanted.clientId ? 'a visit' : b.clientName} then already: ${clockTimeWords(b.startsAt, minutesOf(b), timeZone)}.`,
    ),
  ];
}
