import type { Booking } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { bookSchema, moveSchema } from '../../schemas/booking';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../fields/field';
import { send } from '../frame/send';

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
  const [asks, setAsks] = useState<string[]>([]);
  const [told, setTold] = useState('');
  const book = async (sure: boolean) => {
    const said = { ...typed, sure };
    const input = await check(visitId ? moveSchema : bookSchema, visitId ? said : { ...said, once, clientId });
    setTold('');
    if (!input.ok) return setErrors(input.errors);
    setErrors({});
    const answer = await send<{ asks: string[]; booking: Booking | null }>(
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
        setAsks([]);
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
      {asks.length > 0 && (
        <div className="note-bar" role="alert">
          {asks.join(' ')} Is it meant so?
        </div>
      )}
      {told && (
        <p className="worse mb-1" role="alert">
          {told}
        </p>
      )}
      <div className="d-flex gap-2 mt-1">
        <Button size="sm" onClick={() => void book(asks.length > 0)}>
          {asks.length ? `${label}, it is meant so` : label}
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
