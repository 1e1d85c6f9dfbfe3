import { counted } from '../words/index.ts';
import { dayOf, type Dates } from './dates.ts';
import { type Day, addDays, weekdayOf } from './days.ts';
import { plannedDays, type Rhythm } from './rhythm.ts';

/** Planned days that went by without a run, after which somebody is reminded, each once. Our choice. */
const MISSED_DAYS = [1, 3, 7, 14] as const;
/** Nobody is written to before this hour of the practice. Our choice. */
export const REMINDED_FROM_HOUR = 8;

export type ReminderKind = 'visit' | 'home-plan';

/**
 * How many planned days have gone by since the last run of a home plan, where that is a number to write about today;
 * null otherwise. Days off are not counted, and nobody is written to on one, or on a day on which something was done.
 */
export function missedToTell(plan: Omit<Rhythm, 'timesADay'>, runDays: readonly Day[], today: Day): number | null {
  if (today < plan.from || today > plan.until || !plan.weekdays.includes(weekdayOf(today))) return null;
  const last = runDays.reduce<Day | null>((a, b) => (a && a > b ? a : b), null);
  if (last && last >= today) return null;
  const from = last && last >= plan.from ? addDays(last, 1) : plan.from;
  const missed = plannedDays({ ...plan, from, until: addDays(today, -1) }).length;
  return (MISSED_DAYS as readonly number[]).includes(missed) ? missed : null;
}

export interface Letter {
  subject: string;
  body: string;
}
interface From {
  practice: string;
  contact: string;
  firstName: string;
}

const signed = ({ practice, contact, firstName }: From, lines: readonly string[]): string =>
  [
    `Hello ${firstName},`,
    ...lines,
    [practice, contact].filter(Boolean).join('\n'),
    'You are written to because you agreed to reminders. Tell us to end them; do not answer with anything about your health, e-mail is not sealed.',
  ].join('\n\n');

/** A visit of tomorrow. Nothing is said of why somebody comes. */
export function visitLetter(
  from: From,
  visit: { startsAt: string; minutes: number; with: string },
  { longDay, timeOfDay, timeZone }: Dates,
): Letter {
  const at = `${longDay(dayOf(visit.startsAt, timeZone))}, ${timeOfDay(visit.startsAt)}`;
  return {
    subject: `Your visit tomorrow, ${from.practice}`,
    body: signed(from, [
      `your visit with ${visit.with} is tomorrow: ${at}, ${visit.minutes} minutes.`,
      `If you cannot come, or feel ill, tell us today.`,
    ]),
  };
}

/** A home plan that waits. Nothing is said of what is in it. */
export const homePlanLetter = (from: From, missed: number): Letter => ({
  subject: `Your home plan, ${from.practice}`,
  body: signed(from, [
    `your home plan has waited for ${counted(missed, 'planned day')}. The link you were given opens it; the paper does as well.`,
    'If anything hurt, or is different since your visit, leave it and tell us first.',
  ]),
});
