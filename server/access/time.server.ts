import { TZDate } from '@date-fns/tz';
import { addDays, format, startOfDay } from 'date-fns';

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

/** A course is never looked at over less than a week. */
const LEAST_MS = 7 * 86_400_000;

/** From the beginning of one calendar day YYYY-MM-DD of a zone to the end of another, at least a week. */
export function daysBetween(timeZone: string, from: string, to: string): { from: Date; to: Date } {
  const begin = momentIn(timeZone, from, '00:00');
  const end = dayIn(timeZone, momentIn(timeZone, to, '12:00')).to;
  return { from: begin, to: new Date(Math.max(end.getTime(), begin.getTime() + LEAST_MS)) };
}

/** The calendar day YYYY-MM-DD and the hour, 0 to 23, of a zone at a moment. */
export const todayIn = (timeZone: string, at: Date): string => format(new TZDate(at.getTime(), timeZone), 'yyyy-MM-dd');
export const hourIn = (timeZone: string, at: Date): number => new TZDate(at.getTime(), timeZone).getHours();
