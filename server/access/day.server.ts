import { learnedFrom, yourSeconds, type Learned } from '../../core/guide/index.ts';
import { bookingSpan, type WaitingClient } from '../../core/record/index.ts';
import {
  addDays,
  bothFree,
  firstFit,
  type Day,
  type Lane,
  type RailBooking,
  type DaySpan,
} from '../../core/schedule/index.ts';
import { routineSeconds } from '../../core/routine/index.ts';
import { dayRows, timesBetween, usualVisit, type DayRow } from '../db/queries/day.server.ts';
import { handsOf } from '../db/queries/hand-over.server.ts';
import { roomsOf, workingHoursOf, type WorkingHours } from '../db/queries/rooms.server.ts';
import { learnedBy } from '../db/queries/runs.server.ts';
import { waitingOf } from '../db/queries/waiting.server.ts';
import { isUuid } from '../db/scope.ts';
import { calendarDayIn, momentIn } from './time.server.ts';

type Zoned = { practiceId: string; timeZone: string };
const NOBODY_LEARNED = learnedFrom([]);

/** How long the routine of a visit takes whoever works in it, in seconds. */
const secondsOf = ({ routine }: Pick<DayRow, 'routine'>, learned: Learned): number | null =>
  routine && routine.items.length ? (yourSeconds(routine, learned) ?? routineSeconds(routine)) : null;

const hoursOf = (timeZone: string, day: Day, { dayFrom, dayUntil }: WorkingHours): DaySpan => ({
  fromMs: momentIn(timeZone, day, dayFrom).getTime(),
  toMs: momentIn(timeZone, day, dayUntil).getTime(),
});

/** A visit of a day as the book has it: nothing of why somebody comes. */
export interface DayBooking extends RailBooking {
  isFirst: boolean;
  missed: number;
}

/** What is worked on one day, and how long those who work take: read once for everything that is told of the day. */
export interface WorkOfDay {
  rows: DayRow[];
  ways: WorkingHours;
  /** Of everybody who works on it. */
  learned: ReadonlyMap<string, Learned>;
}
export async function workOfDay({ practiceId, timeZone }: Zoned, day: Day): Promise<WorkOfDay> {
  const { from, to } = calendarDayIn(timeZone, day);
  const [rows, ways] = await Promise.all([dayRows(practiceId, from, to), workingHoursOf(practiceId)]);
  const workers = [...new Set(rows.map((r) => r.practitionerId))];
  const learned = new Map(await Promise.all(workers.map(async (id) => [id, await learnedBy(practiceId, id)] as const)));
  return { rows, ways, learned };
}

/** Everything that the rail of one day is drawn from. */
export async function dayOnRail({ practiceId, timeZone }: Zoned, day: Day, { rows, ways, learned }: WorkOfDay) {
  const [rooms, people, waiting] = await Promise.all([roomsOf(practiceId), handsOf(practiceId), waitingOf(practiceId)]);
  const bookings = rows.map(({ routine, ...row }): DayBooking => ({
    ...row,
    routineSeconds: secondsOf({ routine, ...row }, learned.get(row.practitionerId) ?? NOBODY_LEARNED),
  }));
  const hours = hoursOf(timeZone, day, ways);
  return { bookings, rooms, people, around: ways, hours, waiting };
}

/** The days beside each other, with the spans that are booked on each. */
export interface SmallDay {
  day: Day;
  hours: DaySpan;
  booked: DaySpan[];
}
export async function smallDays(
  { practiceId, timeZone }: Zoned,
  from: Day,
  days: number,
  ways: WorkingHours,
): Promise<SmallDay[]> {
  const all = Array.from({ length: days }, (_, i) => addDays(from, i));
  const last = calendarDayIn(timeZone, all.at(-1)!);
  const spans = (await timesBetween(practiceId, calendarDayIn(timeZone, from).from, last.to)).map((t): DaySpan => {
    const [fromMs, toMs] = bookingSpan(t);
    return { fromMs, toMs };
  });
  return all.map((day) => {
    const { from: begin, to: end } = calendarDayIn(timeZone, day);
    const booked = spans.filter((s) => s.fromMs >= begin.getTime() && s.fromMs < end.getTime());
    return { day, hours: hoursOf(timeZone, day, ways), booked };
  });
}

/** What a new visit of a client is booked like; null where there is no such client. */
export async function usualLength(practiceId: string, clientId: string, withId: string | null) {
  const usual = await usualVisit(practiceId, clientId);
  if (!usual) return null;
  const { routine, practitionerId, roomId } = usual;
  const worker = withId || practitionerId;
  const learned = worker && isUuid(worker) ? await learnedBy(practiceId, worker) : NOBODY_LEARNED;
  return { routineSeconds: secondsOf({ routine }, learned), practitionerId, roomId };
}

/** The first time at which each of those who wait fits into this day; who fits nowhere is missing. */
export function fitsOf(
  { timeZone, practitionerIds }: { timeZone: string; practitionerIds: readonly string[] },
  day: Day,
  {
    waiting,
    roomLanes,
    personLanes,
    nowMs,
  }: {
    waiting: readonly WaitingClient[];
    roomLanes: readonly Lane[];
    personLanes: readonly Lane[];
    nowMs: number;
  },
): FitInDay[] {
  const hourAt = (hour: number) =>
    hour === 24
      ? calendarDayIn(timeZone, day).to.getTime()
      : momentIn(timeZone, day, `${String(hour).padStart(2, '0')}:00`).getTime();
  const rooms = roomLanes.filter((l) => l.id);
  return waiting.flatMap((w) => {
    // Whoever was waited for and has left is free for nobody.
    const wanted = w.practitionerId ? practitionerIds.filter((id) => id === w.practitionerId) : practitionerIds;
    const free = wanted.flatMap((id) => {
      const person = personLanes.find((l) => l.id === id);
      if (!person) return [];
      // Without rooms a free person is enough; with rooms one of them has to be free too.
      const places = rooms.length
        ? rooms.map((r) => ({ roomId: r.id, gaps: bothFree(person.gaps, r.gaps) }))
        : [{ roomId: null, gaps: person.gaps }];
      return places.flatMap(({ roomId, gaps }) => {
        const fit = firstFit(w, gaps, { day, nowMs, hourAt });
        return fit ? [{ clientId: w.clientId, practitionerId: id, roomId, ...fit }] : [];
      });
    });
    return free.sort((a, b) => a.fromMs - b.fromMs).slice(0, 1);
  });
}
export interface FitInDay extends DaySpan {
  clientId: string;
  practitionerId: string;
  roomId: string | null;
}
