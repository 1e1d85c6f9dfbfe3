import { type Booking, type BookingAsks, type Room, USUAL_BOOKING_MINUTES } from '../../../core/record';
import { useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { bookSchema, moveSchema } from '../../schemas/booking';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../fields/field';
import { send } from '../frame/send';
import { useDates } from '../frame/use-dates';
import type { Dates } from '../../../core/schedule';
import { useWhere } from './where';

/** What is typed of a booking. */
export interface When {
  day: string;
  time: string;
  minutes: string;
  /** Empty = whoever books, or as it was. */
  practitionerId: string;
  /** Empty = in none. */
  roomId: string;
}
export const whenOf = (
  day: string,
  time: string,
  minutes: number,
  of: { practitionerId?: string | null; roomId?: string | null } = {},
): When => ({ day, time, minutes: String(minutes), practitionerId: of.practitionerId ?? '', roomId: of.roomId ?? '' });

/** Day, time, length, person and room of a visit; what looks like a slip is asked about once. */
export function BookingForm({
  when,
  onWhen,
  label,
  clientId,
  visitId,
  waits = false,
  onBooked,
  onCancel,
  children,
}: {
  when: When;
  onWhen: (when: When) => void;
  label: string;
  clientId: string;
  /** Of the booking that is moved; null for a new one. */
  visitId: string | null;
  /** Taken from the waiting list. */
  waits?: boolean;
  onBooked: (booking: Booking) => void;
  onCancel?: () => void;
  /** What is known of this time: how long it takes, what is beside it. */
  children?: ReactNode;
}) {
  const where = useWhere();
  const [once] = useState(() => crypto.randomUUID());
  const [errors, setErrors] = useState<FieldErrors>({});
  const { timeOfDay } = useDates();
  const [asked, setAsked] = useState<{ asks: BookingAsks; of: When } | null>(null);
  const [told, setTold] = useState('');
  const asks = asked?.of === when ? asked.asks : null;
  // Whoever is chosen; else who books, or the first who works with clients.
  const people = where?.people ?? [];
  const withId = when.practitionerId || (people.find((p) => p.id === where?.own) ?? people[0])?.id || '';
  const book = async (sure: boolean) => {
    const { practitionerId: _typed, roomId, ...at } = when;
    const said = { ...at, ...(withId && { practitionerId: withId }), roomId: roomId || null, sure };
    const input = await check(visitId ? moveSchema : bookSchema, visitId ? said : { ...said, once, clientId, waits });
    setTold('');
    if (!input.ok) {
      setTold(input.errors.clientId ?? '');
      return setErrors(input.errors);
    }
    setErrors({});
    const answer = await send<{ asks: BookingAsks | null; booking: Booking | null }>(
      visitId ? `/bookings/${visitId}/move` : '/bookings',
      input.value,
    );
    if (!answer.ok) {
      setErrors(answer.errors);
      return setTold(answer.message);
    }
    setAsked(answer.value.asks && { asks: answer.value.asks, of: when });
    if (answer.value.booking) onBooked(answer.value.booking);
  };
  const bind = (key: keyof When) => ({
    value: when[key],
    onChange: (e: { target: { value: string } }) => onWhen({ ...when, [key]: e.target.value }),
    message: errors[key],
  });
  const closedHere = (id: string) => id === when.roomId;
  return (
    <form
      className="booking"
      aria-label={label}
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void book(asks !== null);
      }}
    >
      <div className="booking-fields">
        <FieldFrame label="Day" type="date" {...bind('day')} />
        <FieldFrame label="Time" type="time" step={300} {...bind('time')} />
        <FieldFrame label="Minutes" type="number" {...bind('minutes')} />
        {where && (people.length > 1 || withId !== where.own) && (
          <FieldFrame label="With" {...bind('practitionerId')} value={withId}>
            {!people.some((p) => p.id === withId) && <option value={withId}>somebody who has left</option>}
            {people.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </FieldFrame>
        )}
        {where && where.rooms.length > 0 && (
          <FieldFrame label="Room" {...bind('roomId')}>
            <option value="">none named</option>
            {where.rooms
              .filter((r) => !r.isClosed || closedHere(r.id))
              .map((r) => (
                <option key={r.id} value={r.id}>
                  {r.name}
                  {r.isClosed ? ' (closed)' : ''}
                </option>
              ))}
          </FieldFrame>
        )}
      </div>
      {children}
      {asks && (
        <div className="note-bar" role="alert">
          {asksWords(asks, { clientId, withId, room: where?.rooms.find((r) => r.id === when.roomId) }, timeOfDay)} Is it
          meant so?
        </div>
      )}
      {told && (
        <p className="worse mb-1" role="alert">
          {told}
        </p>
      )}
      <div className="d-flex gap-2 mt-1 align-items-center">
        <Button size="sm" type="submit">
          {asks ? `${label}, it is meant so` : label}
        </Button>
        {onCancel && (
          <Button size="sm" variant="outline-primary" onClick={onCancel}>
            Leave it
          </Button>
        )}
      </div>
    </form>
  );
}

function asksWords(
  { isPast, over, isClosed, readyAt, tooSoonAfter }: BookingAsks,
  booked: { clientId: string; withId: string; room: Room | undefined },
  timeOfDay: Dates['timeOfDay'],
): string {
  const spanOf = ({ startsAt, minutes }: Booking): string => {
    const endsAt = new Date(Date.parse(startsAt) + (minutes ?? USUAL_BOOKING_MINUTES) * 60_000).toISOString();
    return `${timeOfDay(startsAt)} to ${timeOfDay(endsAt)}`;
  };
  return [
    ...(isPast ? ['This day is before today.'] : []),
    ...over.map((b) =>
      b.clientId === booked.clientId
        ? `This client has a visit then already: ${spanOf(b)}.`
        : b.practitionerId !== booked.withId && booked.room
          ? `${booked.room.name} is taken then by ${b.practitioner} with ${b.clientName}: ${spanOf(b)}.`
          : `${b.practitioner} has ${b.clientName} then already: ${spanOf(b)}.`,
    ),
    ...(isClosed ? ['This room is closed.'] : []),
    ...(readyAt ? [`The room is ready at ${timeOfDay(readyAt)}, not before.`] : []),
    ...(tooSoonAfter
      ? [`The room would not be ready for ${tooSoonAfter.clientName} at ${timeOfDay(tooSoonAfter.startsAt)}.`]
      : []),
  ].join(' ');
}
