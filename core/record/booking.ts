import type { VisitStage } from './visit.ts';

/** Length of a booking that nobody said a length for. Our choice. */
export const USUAL_BOOKING_MINUTES = 60;
/** Making ready before the hands begin, and putting away and turning the room over after. Our choice. */
const AROUND_MINUTES = { before: 15, after: 10 } as const;
/** A length is a multiple of this. */
const STEP_MINUTES = 5;

/** How long to book for a routine: its real seconds with what goes before and after it, in steps of five minutes. */
export const bookingMinutes = (routineSeconds: number): number =>
  Math.ceil((routineSeconds / 60 + AROUND_MINUTES.before + AROUND_MINUTES.after) / STEP_MINUTES) * STEP_MINUTES;

/** A visit that stands in the book. */
export interface Booking {
  visitId: string;
  clientId: string;
  clientName: string;
  practitionerId: string;
  practitioner: string;
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
  /** Bookings of the practitioner or the client that it lies over. */
  over: Booking[];
}
type Slot = Pick<Booking, 'visitId' | 'startsAt' | 'minutes'>;

const spanOf = ({ startsAt, minutes }: Slot): [number, number] => {
  const from = Date.parse(startsAt);
  return [from, from + (minutes ?? USUAL_BOOKING_MINUTES) * 60_000];
};

/** Others of the same practitioner or client that a booking would lie over; those that end as it begins are none. */
export function overlapping<T extends Slot>(wanted: Slot, others: readonly T[]): T[] {
  const [from, to] = spanOf(wanted);
  return others.filter((o) => {
    const [begins, ends] = spanOf(o);
    return o.visitId !== wanted.visitId && begins < to && ends > from;
  });
}

/** Whether somebody has worked in a visit, or stopped it at its screening. */
export const wasBegun = ({ stage }: { stage: VisitStage }): boolean =>
  stage !== 'screen' && stage !== 'cancelled' && stage !== 'missed';

/** A booking can be moved, cancelled and marked as not come until somebody has worked in the visit. */
export const isStillBooked = ({ stage }: { stage: VisitStage }): boolean => stage === 'screen';
