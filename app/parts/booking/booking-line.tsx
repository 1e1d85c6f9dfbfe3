import { type Booking, USUAL_BOOKING_MINUTES } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { send } from '../frame/send';
import { useDates } from '../frame/use-dates';
import { clockValue, dayOf } from '../../../core/schedule';
import { BeforeLink } from './before-link';
import { BookingForm, whenOf, type When } from './booking-form';

/** What can be done with a booking that nobody has begun: moved, cancelled, marked as not come. */
export function BookingWays({
  booking,
  onChanged,
}: {
  booking: Pick<
    Booking,
    'visitId' | 'clientId' | 'clientName' | 'startsAt' | 'minutes' | 'practitionerId' | 'roomId'
  > & {
    /** Nobody has worked with the client yet: a link can be given to answer before. */
    isFirst: boolean;
  };
  /** Null when it is out of the book. */
  onChanged: (booking: Booking | null) => void;
}) {
  const { timeZone } = useDates();
  const [doing, setDoing] = useState<'move' | 'cancelled' | 'missed' | 'link' | null>(null);
  const [told, setTold] = useState('');
  const [when, setWhen] = useState(() => whenOfBooking(booking, timeZone));
  const end = async (as: 'cancelled' | 'missed') => {
    const answer = await send(`/bookings/${booking.visitId}/end`, { as });
    if (!answer.ok) return setTold(answer.message);
    setDoing(null);
    onChanged(null);
  };
  const name = booking.clientName;
  if (doing === 'move')
    return (
      <BookingForm
        label="Move"
        clientId={booking.clientId}
        visitId={booking.visitId}
        when={when}
        onWhen={setWhen}
        onBooked={(moved) => {
          setDoing(null);
          onChanged(moved);
        }}
        onCancel={() => setDoing(null)}
      />
    );
  if (doing === 'link') return <BeforeLink visitId={booking.visitId} onClose={() => setDoing(null)} />;
  if (doing)
    return (
      <span className="booking-ways" role="alertdialog" aria-label={doing === 'cancelled' ? 'Cancel?' : 'Not come?'}>
        {doing === 'cancelled' ? 'Take it out of the book?' : `${name} did not come?`}{' '}
        <Button size="sm" autoFocus onClick={() => void end(doing)}>
          Yes
        </Button>
        <Button size="sm" variant="outline-primary" onClick={() => setDoing(null)}>
          No
        </Button>
        {told && (
          <span className="worse" role="alert">
            {told}
          </span>
        )}
      </span>
    );
  const way = (what: 'move' | 'cancelled' | 'missed' | 'link', word: string) => (
    <Button
      variant="link"
      size="sm"
      aria-label={`${word}: ${name}`}
      onClick={() => {
        setTold('');
        setWhen(whenOfBooking(booking, timeZone));
        setDoing(what);
      }}
    >
      {word}
    </Button>
  );
  return (
    <span className="booking-ways">
      {booking.isFirst && way('link', 'Link to answer before')}
      {way('move', 'Move')}
      {way('cancelled', 'Cancel')}
      {way('missed', 'Did not come')}
    </span>
  );
}

const whenOfBooking = (b: Pick<Booking, 'startsAt' | 'minutes' | 'practitionerId' | 'roomId'>, zone: string): When =>
  whenOf(dayOf(b.startsAt, zone), clockValue(b.startsAt, zone), b.minutes ?? USUAL_BOOKING_MINUTES, b);
