import type { VisitStage } from './visit.ts';

/** Length of a booking that nobody said a length for. Our choice. */
export const USUAL_BOOKING_MINUTES = 60;
/** A length is a multiple of this. */
export const BOOKING_STEP_MINUTES = 5;

/** What goes around a routine, in minutes: each practice says its own. */
export interface Around {
  /** Making ready before the hands begin. */
  beforeMinutes: number;
  /** Putting away, noting, saying goodbye. */
  afterMinutes: number;
}
/** Before a practice has said anything else. Our choice. */
export const USUAL_AROUND: Around = { beforeMinutes: 15, afterMinutes: 5 };
/** Turning a room over before the next visit, where none is named or said. Our choice. */
export const USUAL_CHANGE_MINUTES = 5;

/** How long to book for a routine: its real seconds with what goes around it and turning the room over, in whole steps. */
export const bookingMinutes = (
  routineSeconds: number,
  { beforeMinutes, afterMinutes }: Around = USUAL_AROUND,
  changeMinutes: number = USUAL_CHANGE_MINUTES,
): number =>
  Math.ceil((routineSeconds / 60 + beforeMinutes + afterMinutes + changeMinutes) / BOOKING_STEP_MINUTES) *
  BOOKING_STEP_MINUTES;

/** A room of a practice. */
export interface Room {
  /** Of the record. */
  id: string;
  name: string;
  /** Turning it over before the next visit. */
  changeMinutes: number;
  /** Nothing new is booked into it. */
  isClosed: boolean;
  /** Grows with every change. */
  version: number;
}

/** A visit that stands in the book. */
export interface Booking {
  visitId: string;
  clientId: string;
  clientName: string;
  practitionerId: string;
  practitioner: string;
  /** Null where no room was named. */
  roomId: string | null;
  /** ISO 8601. */
  startsAt: string;
  /** Null where nobody said. */
  minutes: number | null;
  stage: VisitStage;
}
/** What is asked once before a booking is written. */
export interface BookingAsks {
  /** Its day is before today. */
  isPast: boolean;
  /** Bookings of the practitioner, the client or the room that it lies over. */
  over: Booking[];
  /** The room is closed. */
  isClosed: boolean;
  /** When the room will have been turned over, where the visit would begin before: ISO 8601. */
  readyAt: string | null;
  /** The visit that would begin before the room is turned over after this one. */
  tooSoonAfter: Booking | null;
}
/** A booking as it is wanted: which visit, if it is there already, whose, with whom, where and when. */
export type WantedBooking = Pick<
  Booking,
  'visitId' | 'clientId' | 'practitionerId' | 'roomId' | 'startsAt' | 'minutes'
> &
  Keeps;
/** How long a visit keeps its room, in minutes from its beginning: see `keptMinutes`. */
export interface Keeps {
  keptMinutes: number;
}
type Slot = Pick<Booking, 'visitId' | 'startsAt' | 'minutes'>;

export const bookingSpan = ({ startsAt, minutes }: Pick<Slot, 'startsAt' | 'minutes'>): [number, number] => {
  const from = Date.parse(startsAt);
  return [from, from + (minutes ?? USUAL_BOOKING_MINUTES) * 60_000];
};

/** Others that a booking would lie over in time; those that end as it begins are none. */
function overlapping<T extends Slot>(wanted: Slot, others: readonly T[]): T[] {
  const [from, to] = bookingSpan(wanted);
  return others.filter((o) => {
    const [begins, ends] = bookingSpan(o);
    return o.visitId !== wanted.visitId && begins < to && ends > from;
  });
}

/**
 * How long a visit keeps its room: as booked, which has the turning over in it, or longer where its work with what goes
 * around it and the turning over is longer.
 */
export const keptMinutes = (
  { minutes, routineSeconds }: { minutes: number | null; routineSeconds: number | null },
  { beforeMinutes, afterMinutes }: Around,
  changeMinutes: number,
): number =>
  Math.max(
    minutes ?? USUAL_BOOKING_MINUTES,
    routineSeconds === null ? 0 : Math.ceil(beforeMinutes + routineSeconds / 60 + afterMinutes + changeMinutes),
  );

/**
 * What has to be asked before a booking is written.
 * @param others what stands in the book around it, of whomever and wherever
 * @param room where it is wanted; null without one
 */
export function bookingAsksOf(
  wanted: WantedBooking,
  others: readonly (Booking & Keeps)[],
  room: Room | null,
  isPast: boolean,
): BookingAsks | null {
  const inRoom = room ? others.filter((o) => o.roomId === room.id && o.visitId !== wanted.visitId) : [];
  const over = overlapping(wanted, others).filter(
    (o) =>
      o.practitionerId === wanted.practitionerId || o.clientId === wanted.clientId || (room && o.roomId === room.id),
  );
  const freeAt = (o: Pick<Booking, 'startsAt'> & Keeps) => Date.parse(o.startsAt) + o.keptMinutes * 60_000;
  const [from, to] = bookingSpan(wanted);
  const readyMs = Math.max(-Infinity, ...inRoom.filter((o) => bookingSpan(o)[1] <= from).map(freeAt));
  const next = inRoom
    .filter((o) => Date.parse(o.startsAt) >= to)
    .sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt))[0];
  const tooSoonAfter = next && Date.parse(next.startsAt) < freeAt(wanted) ? next : null;
  const asks: BookingAsks = {
    isPast,
    over,
    isClosed: room?.isClosed ?? false,
    readyAt: readyMs > from ? new Date(readyMs).toISOString() : null,
    tooSoonAfter,
  };
  return isPast || over.length || asks.isClosed || asks.readyAt || tooSoonAfter ? asks : null;
}

/** Whether somebody has worked in a visit, or stopped it at its screening. */
export const wasBegun = ({ stage }: { stage: VisitStage }): boolean =>
  stage !== 'screen' && stage !== 'cancelled' && stage !== 'missed';

/** A booking can be moved, cancelled and marked as not come until somebody has worked in the visit. */
export const isStillBooked = ({ stage }: { stage: VisitStage }): boolean => stage === 'screen';

/** Whether a visit takes its time and its room: one that was cancelled or put off takes none. */
export const takesTime = ({ stage }: { stage: VisitStage }): boolean => stage !== 'cancelled' && stage !== 'postponed';
