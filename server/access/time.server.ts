import { TZDate } from '@date-fns/tz';
import { addDays, startOfDay } from 'date-fns';
import { momentOfLocal } from '../../core/schedule/index.ts';

/** The span of a calendar day of the practice's zone, as moments in UTC. */
export function dayIn(timeZone: string, at: Date): { from: Date; to: Date } {
  const from = startOfDay(new TZDate(at.getTime(), timeZone));
  return { from: new Date(from.getTime()), to: new Date(addDays(from, 1).getTime()) };
}

/**
 * A day YYYY-MM-DD and a time HH:MM of a zone as a moment: the first of two as clocks go back, and an hour later where
 * they go forward over it.
 */
export function momentIn(timeZone: string, day: string, time: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  return (
    momentOfLocal(timeZone, [year, month, date, hour, minute]) ??
    new Date(new TZDate(year, month - 1, date, hour, minute, timeZone).getTime())
  );
}

/** The span of a calendar day YYYY-MM-DD of a zone. */
export const calendarDayIn = (timeZone: string, day: string): { from: Date; to: Date } =>
  dayIn(timeZone, momentIn(timeZone, day, '12:00'));

/** A course is never looked at over less than a week. */
const LEAST_MS = 7 * 86_400_000;

/** From the beginning of one calendar day YYYY-MM-DD of a zone to the end of another, at least a week. */
export function daysBetween(timeZone: string, from: string, to: string): { from: Date; to: Date } {
  const begin = momentIn(timeZone, from, '00:00');
  const end = calendarDayIn(timeZone, to).to;
  return { from: begin, to: new Date(Math.max(end.getTime(), begin.getTime() + LEAST_MS)) };
}

/** The hour, 0 to 23, of a zone at a moment. */
export const hourIn = (timeZone: string, at: Date): number => new TZDate(at.getTime(), timeZone).getHours();
