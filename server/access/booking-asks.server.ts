import type { HowBooked } from '../db/queries/bookings.server.ts';
import { dayIn } from './time.server.ts';

/** Whether a booking is meant as it stands, and whether its day is past in the zone of the practice. */
export const howMeant = (timeZone: string, startsAt: Date, isSure: boolean): HowBooked => ({
  isSure,
  isPast: startsAt < dayIn(timeZone, new Date()).from,
});
