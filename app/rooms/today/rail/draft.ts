import { USUAL_BOOKING_MINUTES } from '../../../../core/record';
import { clockValue, dayOf, type Lane } from '../../../../core/schedule';
import { whenOf, type When } from '../../../parts/booking/booking-form';

/** A booking that is being made or moved: drawn on the rail, and typed in its form. */
export interface Draft {
  /** Of the booking that is moved; null for a new one. */
  visitId: string | null;
  client: { id: string; name: string } | null;
  /** Once booked, the client waits no more. */
  waits: boolean;
  /** Begun from the waiting list: whose it is stays. */
  isFromList?: boolean;
  when: When;
}

/** A length that can be drawn. */
export const minutesOf = (when: When): number => {
  const minutes = Number(when.minutes);
  return Number.isFinite(minutes) && minutes >= 5 ? Math.min(480, minutes) : USUAL_BOOKING_MINUTES;
};

/** The lane in which a draft is drawn. */
export const laneOf = (when: When, lanes: readonly Lane[], by: 'room' | 'person'): Lane | undefined =>
  lanes.find((l) => l.id === (by === 'room' ? when.roomId : when.practitionerId));

/** The same draft at another moment, or in another lane. */
export function movedTo(
  when: When,
  to: { fromMs?: number; laneId?: string; by: 'room' | 'person' },
  zone: string,
): When {
  const iso = to.fromMs === undefined ? null : new Date(to.fromMs).toISOString();
  return {
    ...when,
    ...(iso && { day: dayOf(iso, zone), time: clockValue(iso, zone) }),
    ...(to.laneId !== undefined && (to.by === 'room' ? { roomId: to.laneId } : { practitionerId: to.laneId })),
  };
}

/** A draft of a new visit at a moment of a lane. */
export function draftAt(
  fromMs: number,
  lane: Lane | undefined,
  by: 'room' | 'person',
  { zone, person, room }: { zone: string; person: string; room: string },
): When {
  const iso = new Date(fromMs).toISOString();
  const lately = lane?.visits.at(-1)?.booking;
  return whenOf(dayOf(iso, zone), clockValue(iso, zone), USUAL_BOOKING_MINUTES, {
    practitionerId: by === 'person' ? (lane?.id ?? person) : (lately?.practitionerId ?? person),
    roomId: by === 'room' ? (lane?.id ?? room) : (lately?.roomId ?? room),
  });
}
