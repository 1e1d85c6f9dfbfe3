import { type Around, type Booking, bookingSpan, type Room, takesTime, type WaitingClient } from '../record/index.ts';
import { weekdayOf, type Day } from './days.ts';

/** A stretch of time, in ms since 1970. */
export interface DaySpan {
  fromMs: number;
  toMs: number;
}

/** A booking with what its work takes. */
export interface RailBooking extends Booking {
  /** Of its routine, with the changes of who works; null where nothing is known. */
  routineSeconds: number | null;
  /** The visit has no routine yet: the length is that of the client's latest one. */
  isTypical: boolean;
}

/** A visit laid on the rail. */
export interface RailVisit {
  booking: RailBooking;
  /** As booked: the frame. */
  booked: DaySpan;
  before: DaySpan;
  /** Null where no length is known. */
  routine: DaySpan | null;
  after: DaySpan;
  /** Turning the room over; null without a room. */
  change: DaySpan | null;
  /** Before, routine and after, in whole minutes, up; null where no length is known. */
  neededMinutes: number | null;
  /** Minutes by which the work is longer than booked; 0 where it fits. */
  overMinutes: number;
  /** 0 at the top; more where visits of one lane lie over each other. */
  row: number;
}

export interface Lane {
  /** Of the room or the person; empty for visits without a room. */
  id: string;
  name: string;
  /** Whoever works here on this day, or the rooms that somebody works in. */
  with: string[];
  visits: RailVisit[];
  rows: number;
  /** Free time between the hours of the practice and around the visits, rooms turned over; in order. */
  gaps: DaySpan[];
}

const MINUTE_MS = 60_000;

function laid(booking: RailBooking, around: Around, changeMinutes: number | null): RailVisit {
  const [fromMs, toMs] = bookingSpan(booking);
  const beforeTo = fromMs + around.beforeMinutes * MINUTE_MS;
  const routineTo = beforeTo + (booking.routineSeconds ?? 0) * 1000;
  const afterTo = routineTo + around.afterMinutes * MINUTE_MS;
  const isKnown = booking.routineSeconds !== null;
  // The booking has the turning over in it: without a length it ends with that.
  const ends = isKnown ? afterTo : toMs - (changeMinutes ?? 0) * MINUTE_MS;
  return {
    booking,
    booked: { fromMs, toMs },
    before: { fromMs, toMs: beforeTo },
    routine: isKnown ? { fromMs: beforeTo, toMs: routineTo } : null,
    after: { fromMs: isKnown ? routineTo : ends - around.afterMinutes * MINUTE_MS, toMs: ends },
    change: changeMinutes ? { fromMs: ends, toMs: ends + changeMinutes * MINUTE_MS } : null,
    neededMinutes: isKnown ? Math.ceil((afterTo - fromMs) / MINUTE_MS) : null,
    overMinutes: isKnown ? Math.max(0, Math.ceil((afterTo - toMs) / MINUTE_MS)) : 0,
    row: 0,
  };
}

/** Visits of one lane in rows: each in the first in which nothing lies over it. */
function inRows(visits: RailVisit[]): { visits: RailVisit[]; rows: number } {
  const ends: number[] = [];
  const placed = [...visits]
    .sort((a, b) => a.booked.fromMs - b.booked.fromMs || a.booked.toMs - b.booked.toMs)
    .map((visit) => {
      const free = ends.findIndex((end) => end <= visit.booked.fromMs);
      const row = free < 0 ? ends.length : free;
      ends[row] = visit.booked.toMs;
      return { ...visit, row };
    });
  return { visits: placed, rows: Math.max(1, ends.length) };
}

/** What is free of a stretch, around those that are taken. */
export function gapsIn({ fromMs, toMs }: DaySpan, taken: readonly DaySpan[]): DaySpan[] {
  const gaps: DaySpan[] = [];
  let at = fromMs;
  for (const one of [...taken].sort((a, b) => a.fromMs - b.fromMs)) {
    if (one.fromMs > at) gaps.push({ fromMs: at, toMs: Math.min(one.fromMs, toMs) });
    at = Math.max(at, one.toMs);
    if (at >= toMs) break;
  }
  if (at < toMs) gaps.push({ fromMs: at, toMs });
  return gaps.filter((g) => g.toMs > g.fromMs);
}

/** What is free in both of two lists of gaps. */
export const bothFree = (a: readonly DaySpan[], b: readonly DaySpan[]): DaySpan[] =>
  a
    .flatMap((x) => b.map((y) => ({ fromMs: Math.max(x.fromMs, y.fromMs), toMs: Math.min(x.toMs, y.toMs) })))
    .filter((g) => g.toMs > g.fromMs)
    .sort((x, y) => x.fromMs - y.fromMs);

/** Until when a visit keeps its room: as booked, and longer where its work and the turning over are. */
const keepsUntil = (v: RailVisit): number => Math.max(v.booked.toMs, v.change?.toMs ?? v.after.toMs);

/**
 * The visits of a day on lanes: one for each room, or one for each person.
 * @param hours of the practice on this day: free time is told of these alone
 */
export function lanesOf(
  bookings: readonly RailBooking[],
  {
    rooms,
    people,
    around,
    hours,
    by,
  }: {
    rooms: readonly Room[];
    people: readonly { id: string; name: string }[];
    around: Around;
    hours: DaySpan;
    by: 'room' | 'person';
  },
): Lane[] {
  const ofRoom = new Map(rooms.map((r) => [r.id, r]));
  const visits = bookings
    .filter(takesTime)
    .map((b) => laid(b, around, (b.roomId && ofRoom.get(b.roomId)?.changeMinutes) || null));
  const lane = (id: string, name: string, own: RailVisit[], withOf: (b: Booking) => string): Lane => ({
    id,
    name,
    with: [...new Set(own.map((v) => withOf(v.booking)).filter(Boolean))],
    ...inRows(own),
    gaps: gapsIn(
      hours,
      own.filter((v) => v.booking.stage !== 'missed').map((v) => ({ fromMs: v.booked.fromMs, toMs: keepsUntil(v) })),
    ),
  });
  if (by === 'person') {
    const here = new Set(people.map((p) => p.id));
    const left = new Map(
      visits
        .filter((v) => !here.has(v.booking.practitionerId))
        .map((v) => [v.booking.practitionerId, v.booking.practitioner]),
    );
    return [...people, ...[...left].map(([id, name]) => ({ id, name }))].map((p) =>
      lane(
        p.id,
        p.name,
        visits.filter((v) => v.booking.practitionerId === p.id),
        (b) => (b.roomId && ofRoom.get(b.roomId)?.name) || '',
      ),
    );
  }
  const inNone = visits.filter((v) => !v.booking.roomId || !ofRoom.has(v.booking.roomId));
  const lanes = rooms
    .map((r) => ({
      room: r,
      own: visits.filter((v) => v.booking.roomId === r.id),
    }))
    .filter(({ room, own }) => !room.isClosed || own.length)
    .map(({ room, own }) => lane(room.id, room.name, own, (b) => b.practitioner));
  return inNone.length || !lanes.length ? [...lanes, lane('', 'No room named', inNone, (b) => b.practitioner)] : lanes;
}

/** The axis of a day: its hours, and longer in whole hours where something lies outside of them. */
export function axisOf(hours: DaySpan, lanes: readonly Lane[]): DaySpan {
  const all = lanes.flatMap((l) => l.visits);
  const hourMs = 60 * MINUTE_MS;
  const fromMs = Math.min(hours.fromMs, ...all.map((v) => v.booked.fromMs));
  const toMs = Math.max(hours.toMs, ...all.map((v) => Math.max(v.booked.toMs, v.after.toMs)));
  return {
    fromMs: hours.fromMs - Math.ceil((hours.fromMs - fromMs) / hourMs) * hourMs,
    toMs: hours.toMs + Math.ceil((toMs - hours.toMs) / hourMs) * hourMs,
  };
}

const PARTS: Record<WaitingClient['partOfDay'], readonly [fromHour: number, toHour: number]> = {
  any: [0, 24],
  morning: [0, 12],
  afternoon: [12, 17],
  evening: [17, 24],
};

/**
 * The first time of a day at which somebody who waits fits into a gap: from now on, on their weekdays, in their part of
 * the day. Null where there is none.
 * @param hourAt the moment of an hour, 0 to 24, of this day
 */
export function firstFit(
  waiting: Pick<WaitingClient, 'minutes' | 'weekdays' | 'partOfDay'>,
  gaps: readonly DaySpan[],
  { day, nowMs, hourAt }: { day: Day; nowMs: number; hourAt: (hour: number) => number },
): DaySpan | null {
  if (waiting.weekdays.length && !waiting.weekdays.includes(weekdayOf(day))) return null;
  const [fromHour, toHour] = PARTS[waiting.partOfDay];
  const stepMs = 5 * MINUTE_MS;
  for (const gap of gaps) {
    const from = Math.max(gap.fromMs, hourAt(fromHour), nowMs);
    const fromMs = Math.ceil(from / stepMs) * stepMs;
    const toMs = fromMs + waiting.minutes * MINUTE_MS;
    if (toMs <= Math.min(gap.toMs, hourAt(toHour))) return { fromMs, toMs };
  }
  return null;
}
