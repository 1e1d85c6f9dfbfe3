import { TZDate } from '@date-fns/tz';
import ical, { type ICalCalendar, ICalEventStatus } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import { type Day, plannedDays, TIMES_A_DAY_MOST } from '../schedule/index.ts';

/** Hours at which a plan is put into a calendar, by how often a day. Our choice; whoever reads it moves them. */
export const PLAN_HOURS: readonly (readonly string[])[] = [
  [],
  ['19:00'],
  ['08:00', '19:00'],
  ['08:00', '13:00', '19:00'],
  ['08:00', '12:00', '16:00', '20:00'],
];
const BYDAY = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
const REMIND_S = 600;

/** A plan as a calendar tells it. */
export interface CalendarPlan {
  /** Of the client: the events of a later plan take the place of those of an earlier one. */
  clientId: string;
  /** Counted from the client’s first. */
  number: number;
  from: Day;
  until: Day;
  reviewOn: Day;
  weekdays: readonly number[];
  timesADay: number;
  minutes: number;
  /** What is done, in words. */
  steps: readonly string[];
}
/** A visit that stands in the book. */
interface CalendarVisit {
  visitId: string;
  /** Grows with every change. */
  version: number;
  /** ISO 8601. */
  startsAt: string;
  minutes: number;
}

const at = (day: Day, time: string, zone: string): TZDate => {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  const [h, min] = time.split(':').map(Number) as [number, number];
  return new TZDate(y, m - 1, d, h, min, zone);
};
const utc = (moment: Date): string => new Date(moment.getTime()).toISOString().replace(/[-:]|\.\d+/g, '');

/**
 * A client’s plan and visits as an iCalendar file (RFC 5545): local times with their zone, so that eight in the morning
 * stays eight in the morning over every change of the clock. UID and SEQUENCE are those of the client’s events, so that
 * a later file changes what an earlier one put in; times of day that a later plan no longer has are cancelled by it.
 * @param now When the file is made.
 * @param zone IANA zone of the days and times.
 */
export function clientCalendar(
  { practice, plan, visits }: { practice: string; plan: CalendarPlan | null; visits: readonly CalendarVisit[] },
  zone: string,
  now: Date,
): string {
  const calendar = ical({ name: practice, prodId: { company: 'Velvet Compass', product: 'Calendar' } });
  // Named for each event alone: a calendar with a zone of its own would write its stamps in local time.
  calendar.timezone({ name: null, generator: (tz) => tzlib_get_ical_block(tz)[0] ?? '' });
  if (plan) writePlan(calendar, plan, practice, zone, now);
  for (const v of visits) {
    // A moment, not a rhythm: in UTC it is told apart also in the hour that comes twice in autumn.
    const start = new Date(v.startsAt);
    calendar.createEvent({
      id: `visit-${v.visitId}`,
      sequence: v.version,
      stamp: now,
      start,
      end: new Date(start.getTime() + v.minutes * 60_000),
      summary: `Visit, ${practice}`,
    });
  }
  return calendar.toString();
}

/** What a practitioner's own calendar tells of a visit. */
export interface WorkVisit extends CalendarVisit {
  /** Null where names are not to leave the practice. */
  client: string | null;
  room: string | null;
  /** It was taken out of the book. */
  isOut: boolean;
}

/**
 * The visits of one practitioner as an iCalendar file (RFC 5545) that a calendar reads again and again. UID and SEQUENCE
 * stay those of the visit; one that was cancelled is told as cancelled, so that it goes from the calendar too.
 * @param now When the file is made.
 */
export function workCalendar({ name, visits }: { name: string; visits: readonly WorkVisit[] }, now: Date): string {
  const calendar = ical({ name, prodId: { company: 'Velvet Compass', product: 'Calendar' }, ttl: 15 * 60 });
  for (const v of visits) {
    const start = new Date(v.startsAt);
    calendar.createEvent({
      id: `work-${v.visitId}`,
      sequence: v.version,
      stamp: now,
      start,
      end: new Date(start.getTime() + v.minutes * 60_000),
      summary: v.client ?? 'Visit',
      location: v.room,
      status: v.isOut ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  }
  return calendar.toString();
}

function writePlan(calendar: ICalCalendar, plan: CalendarPlan, practice: string, zone: string, now: Date): void {
  const days = plannedDays(plan);
  const [first, last] = [days[0], days[days.length - 1]];
  const hours = PLAN_HOURS[plan.timesADay] ?? [];
  const byDay = plan.weekdays.length === 7 ? '' : `;BYDAY=${plan.weekdays.map((d) => BYDAY[d - 1]).join(',')}`;
  const sequence = plan.number - 1;
  for (let n = 1; n <= TIMES_A_DAY_MOST; n++) {
    const time = hours[n - 1];
    // Nobody has an event of a first plan that never was.
    if (!first || !last || (!time && plan.number === 1)) continue;
    const start = at(first, time ?? '12:00', zone);
    const event = calendar.createEvent({
      id: `home-${plan.clientId}-${n}`,
      sequence,
      stamp: now,
      start,
      end: new TZDate(start.getTime() + Math.max(1, plan.minutes) * 60_000, zone),
      timezone: zone,
      summary: `Home plan, ${practice}`,
      description: plan.steps.map((words, i) => `${i + 1} ${words}`).join('\n'),
    });
    if (time) {
      event.repeating(`RRULE:FREQ=${byDay ? 'WEEKLY' : 'DAILY'}${byDay};UNTIL=${utc(at(last, time, zone))}`);
      event.createAlarm({ type: 'display', trigger: REMIND_S } as Parameters<typeof event.createAlarm>[0]);
    } else event.status(ICalEventStatus.CANCELLED);
  }
  calendar.createEvent({
    id: `home-${plan.clientId}-review`,
    sequence,
    stamp: now,
    start: new Date(`${plan.reviewOn}T00:00:00Z`),
    allDay: true,
    summary: `Look at the home plan together, ${practice}`,
  });
}
