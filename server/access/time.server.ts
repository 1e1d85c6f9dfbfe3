import { TZDate } from '@date-fns/tz';
import { addDays, startOfDay } from 'date-fns';

/** The span of a calendar day of the practice's zone, as moments in UTC. */
export function dayIn(timeZone: string, at: Date): { from: Date; to: Date } {
  const from = startOfDay(new TZDate(at.getTime(), timeZone));
  return { from: new Date(from.getTime()), to: new Date(addDays(from, 1).getTime()) };
}

/** A day YYYY-MM-DD and a time HH:MM of a zone as a moment. */
export const momentIn = (timeZone: string, day: string, time: string): Date =>
  new Date(
    new TZDate(
      Number(day.slice(0, 4)),
      Number(day.slice(5, 7)) - 1,
      Number(day.slice(8, 10)),
      Number(time.slice(0, 2)),
      Number(time.slice(3, 5)),
      timeZone,
    ).getTime(),
  );
