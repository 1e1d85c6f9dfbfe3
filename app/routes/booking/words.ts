import { timeOfDay } from '../../parts/marks/time';

/** "14:00 to 15:15" */
export const clockTimeWords = (startsAt: string, minutes: number, timeZone: string): string =>
  `${timeOfDay(startsAt, timeZone)} to ${timeOfDay(new Date(Date.parse(startsAt) + minutes * 60_000).toISOString(), timeZone)}`;
