import { type Booking, type BookingAsks, USUAL_BOOKING_MINUTES } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { bookSchema, moveSchema } from '../../schemas/booking';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../fields/field';

import { send } from '../frame/send';
import { useDates } from '../frame/use-dates';
import type { Dates } from '../../../core/schedule';

export interface When {
  day: string;
  time: string;
  minutes: number;
}

/** Day, time and length of a visit; a day before today and a time that is taken are asked about once. */
export function BookingForm({
  when,
  label,
  clientId,
  visitId,
  onBooked,
  onCancel,
}: {
  /** Filled in at the beginning. */
  when: When;
  label: string;
  clientId: string;
  /** Of the booking that is moved; null for a new one. */
  visitId: string | null;
  onBooked: (booking: Booking) => void;
  onCancel?: () => void;
}) {
  const [typed, setTyped] = useState({ day: when.day, time: when.time, minutes: String(when.minutes) });
  const [once] = useState(() => crypto.randomUUID());
  const [errors, setErrors] = useState<FieldErrors>({});
  const { timeOfDay } = useDates();
  const [asks, setAsks] = useState<BookingAsks | null>(null);
  const [told, setTold] = useState('');
  const book = async (sure: boolean) => {
    const said = { ...typed, sure };
    const input = await check(visitId ? moveSchema : bookSchema, visitId ? said : { ...said, once, clientId });
    setTold('');
    if (!input.ok) return setErrors(input.errors);
    setErrors({});
    const answer = await send<{ asks: BookingAsks | null; booking: Booking | null }>(
      visitId ? `/bookings/${visitId}/move` : '/bookings',
      input.value,
    );
    if (!answer.ok) {
      setErrors(answer.errors);
      return setTold(answer.message);
    }
    setAsks(answer.value.asks);
    if (answer.value.booking) onBooked(answer.value.booking);
  };
  const field = (key: keyof typeof typed, name: string, type: string) => (
    <FieldFrame
      label={name}
      type={type}
      value={typed[key]}
      onChange={(e: { target: { value: string } }) => {
        setTyped({ ...typed, [key]: e.target.value });
        setAsks(null);
      }}
      message={errors[key]}
    />
  );
  return (
    <div className="booking" role="group" aria-label={label}>
      <div className="d-flex gap-2 flex-wrap align-items-start">
        {field('day', 'Day', 'date')}
        {field('time', 'Time', 'time')}
        {field('minutes', 'Minutes', 'number')}
      </div>
      {asks && (
        <div className="note-bar" role="alert">
          {asksWords(asks, clientId, timeOfDay)} Is it meant so?
        </div>
      )}
      {told && (
        <p className="worse mb-1" role="alert">
          {told}
        </p>
      )}
      <div className="d-flex gap-2 mt-1">
        <Button size="sm" onClick={() => void book(asks !== null)}>
          {asks ? `${label}, it is meant so` : label}
        </Button>
        {onCancel && (
          <Button size="sm" variant="outline-primary" onClick={onCancel}>
            Leave it
          </Button>
        )}
      </div>
    </div>
  );
}

function asksWords({ isPast, over }: BookingAsks, clientId: string, timeOfDay: Dates['timeOfDay']): string {
  const spanOf = ({ startsAt, minutes }: Booking): string => {
    const endsAt = new Date(Date.parse(startsAt) + (minutes ?? USUAL_BOOKING_MINUTES) * 60_000).toISOString();
    return `${timeOfDay(startsAt)} to ${timeOfDay(endsAt)}`;
  };
  return [
    ...(isPast ? ['This day is before today.'] : []),
    ...over.map((b) =>
      b.clientId === clientId
        ? `This client has a visit then already: ${spanOf(b)}.`
        : `${b.practitioner} has ${b.clientName} then already: ${spanOf(b)}.`,
    ),
  ].join(' ');
}
