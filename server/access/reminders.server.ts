import {
  addDays,
  homePlanLetter,
  missedToTell,
  REMINDED_FROM_HOUR,
  datesIn,
  dayOf,
  visitLetter,
} from '../../core/schedule/index';
import { firstNameOf, USUAL_BOOKING_MINUTES } from '../../core/record/index';
import { openHomeFlags } from '../db/queries/home-arrivals.server';
import {
  bookingsToRemind,
  type DueReminder,
  makeReminders,
  plansToRemind,
  type ReminderSettings,
  reminderSettings,
} from '../db/queries/reminders.server';
import { homeOffer } from './home.server';
import { hourIn } from './time.server';

export interface DueNow {
  settings: ReminderSettings;
  today: string;
  due: DueReminder[];
}

/**
 * What is to be written of at this moment, and nothing besides: only to who agreed, not before the hour, never of a plan
 * that waits for an answer or may no longer be done. It is put into the outbox by this.
 */
export async function remindersDue(practiceId: string, now: Date): Promise<DueNow> {
  const settings = await reminderSettings(practiceId);
  const { zone, practice, contact } = settings;
  const dates = datesIn(zone, settings.dates);
  const today = dayOf(now.toISOString(), zone);
  if (!settings.reminds || hourIn(zone, now) < REMINDED_FROM_HOUR) return { settings, today, due: [] };
  const [bookings, plans] = await Promise.all([
    bookingsToRemind(practiceId, addDays(today, 1), zone),
    plansToRemind(practiceId, today),
  ]);
  const due: DueReminder[] = [];
  const from = (name: string) => ({ practice, contact, firstName: firstNameOf(name) });
  for (const b of bookings) {
    const visit = { startsAt: b.startsAt, minutes: b.minutes ?? USUAL_BOOKING_MINUTES, with: firstNameOf(b.by) };
    due.push({
      ...visitLetter(from(b.name), visit, dates),
      kind: 'visit',
      clientId: b.clientId,
      address: b.email,
      about: `${b.visitId} ${b.startsAt}`,
      dueOn: today,
    });
  }
  for (const p of plans) {
    const missed = missedToTell(p, p.runDays, today);
    if (missed === null || !(await mayGoOn(practiceId, p.clientId))) continue;
    due.push({
      ...homePlanLetter(from(p.name), missed),
      kind: 'home-plan',
      clientId: p.clientId,
      address: p.email,
      about: `${p.planId} ${p.runDays.toSorted().at(-1) ?? p.from} ${missed}`,
      dueOn: today,
    });
  }
  await makeReminders(practiceId, due);
  return { settings, today, due };
}

/** A plan that is held back on the phone is not asked for either. */
async function mayGoOn(practiceId: string, clientId: string): Promise<boolean> {
  const [flags, offer] = await Promise.all([
    openHomeFlags(practiceId, clientId),
    homeOffer(practiceId, clientId, new Set()),
  ]);
  return !flags.length && offer !== null && !offer.noLonger.length;
}
