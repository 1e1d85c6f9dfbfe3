/** A calendar day YYYY-MM-DD; days are counted without any zone. */
export type Day = string;
const DAY_MS = 86_400_000;

const numberOf = (day: Day): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS;
const dayOf = (number: number): Day => new Date(number * DAY_MS).toISOString().slice(0, 10);

export const addDays = (day: Day, days: number): Day => dayOf(numberOf(day) + days);
/** Days from one to another; negative where the other is earlier. */
export const daysFrom = (from: Day, to: Day): number => numberOf(to) - numberOf(from);
/** 1 = Monday … 7 = Sunday, as ISO 8601 counts. */
export const weekdayOf = (day: Day): number => ((((numberOf(day) + 3) % 7) + 7) % 7) + 1;

/** Each day of a span, both ends counted in; none where it ends before it begins. */
export const daysOf = (from: Day, until: Day): Day[] =>
  Array.from({ length: Math.max(0, daysFrom(from, until) + 1) }, (_, i) => addDays(from, i));
