const formatters = new Map<string, Intl.DateTimeFormat>();
function format(timeZone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = timeZone + JSON.stringify(options);
  let made = formatters.get(key);
  if (!made) formatters.set(key, (made = new Intl.DateTimeFormat('en-GB', { timeZone, ...options })));
  return made;
}

/** Times and days in the practice's zone, the same on server and browser. */
export const timeOfDay = (iso: string, timeZone: string): string =>
  format(timeZone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(new Date(iso));
export const longDay = (iso: string, timeZone: string): string =>
  format(timeZone, { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date(iso)).replace(',', '');
export const shortDay = (iso: string, timeZone: string): string =>
  format(timeZone, { day: 'numeric', month: 'short', year: 'numeric' }).format(new Date(iso));
/** A calendar day YYYY-MM-DD in words; it has no zone of its own. */
export const dayWords = (day: string): string => shortDay(`${day}T12:00:00Z`, 'UTC');
/** The calendar day of a moment in a zone, YYYY-MM-DD. */
export const dayOf = (iso: string, timeZone: string): string => {
  const parts = Object.fromEntries(
    format(timeZone, { year: 'numeric', month: '2-digit', day: '2-digit' })
      .formatToParts(new Date(iso))
      .map((p) => [p.type, p.value]),
  );
  return `${parts.year}-${parts.month}-${parts.day}`;
};
