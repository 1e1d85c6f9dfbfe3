import type { DateFormat } from '../record/index.ts';

const formatters = new Map<string, Intl.DateTimeFormat>();
function format(locale: string, timeZone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = locale + timeZone + JSON.stringify(options);
  let made = formatters.get(key);
  if (!made) formatters.set(key, (made = new Intl.DateTimeFormat(locale, { timeZone, ...options })));
  return made;
}

/** A time as a field takes it, HH:MM, whatever the practice reads. */
export const clockValue = (iso: string, timeZone: string): string =>
  format('en-GB', timeZone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(new Date(iso));
/** The calendar day of a moment in a zone, YYYY-MM-DD. */
export const dayOf = (iso: string, timeZone: string): string => {
  const parts = Object.fromEntries(
    format('en-GB', timeZone, { year: 'numeric', month: '2-digit', day: '2-digit' })
      .formatToParts(new Date(iso))
      .map((p) => [p.type, p.value]),
  );
  return `${parts.year}-${parts.month}-${parts.day}`;
};

/** Days and times in the zone and the way of a practice, the same on server and browser. */
export interface Dates {
  /** IANA, in which days begin and end. */
  timeZone: string;
  /** Of a moment, ISO 8601: "14:30", "2:30 PM". */
  timeOfDay: (iso: string) => string;
  /** Of a moment, ISO 8601: "29 Nov 2026", "Nov 29, 2026", "2026-11-29". */
  shortDay: (iso: string) => string;
  /** Of a calendar day, YYYY-MM-DD, which has no zone of its own. */
  dayWords: (day: string) => string;
  /** Of a calendar day with its weekday. */
  longDay: (day: string) => string;
  /** The same, short: "Thu 26". */
  weekdayDay: (day: string) => string;
}
const LOCALES: Record<DateFormat, string> = { 'day-first': 'en-GB', 'month-first': 'en-US', 'year-first': 'en-GB' };

export function datesIn(timeZone: string, way: DateFormat): Dates {
  const locale = LOCALES[way];
  const short = (at: Date, zone: string) =>
    way === 'year-first'
      ? dayOf(at.toISOString(), zone)
      : format(locale, zone, { day: 'numeric', month: 'short', year: 'numeric' }).format(at);
  const noonOf = (day: string) => new Date(`${day}T12:00:00Z`);
  const hours: Intl.DateTimeFormatOptions =
    way === 'month-first'
      ? { hour: 'numeric', minute: '2-digit' }
      : { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };
  return {
    timeZone,
    timeOfDay: (iso) =>
      format(locale, timeZone, hours)
        .format(new Date(iso))
        .replace(/\u202f/g, ' '),
    shortDay: (iso) => short(new Date(iso), timeZone),
    dayWords: (day) => short(noonOf(day), 'UTC'),
    weekdayDay: (day) =>
      `${format('en-GB', 'UTC', { weekday: 'short' }).format(noonOf(day))} ${format('en-GB', 'UTC', { day: 'numeric' }).format(noonOf(day))}`,
    longDay: (day) =>
      format(locale, 'UTC', { weekday: 'long', day: 'numeric', month: 'long' })
        .format(noonOf(day))
        .replace(way === 'month-first' ? '' : ',', ''),
  };
}
