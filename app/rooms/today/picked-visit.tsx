import { isStillBooked, type Room } from '../../../core/record';
import type { RailVisit } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { BookingWays } from '../../parts/booking/booking-line';
import { useDates } from '../../parts/frame/use-dates';

/** A visit that was touched on the rail: what is known of its time, and what can be done with its booking. */
export function PickedVisit({
  picked,
  rooms,
  missed,
  isFirst,
  opens,
  onLonger,
  onChanged,
}: {
  picked: RailVisit;
  rooms: readonly Room[];
  /** How often the client did not come. */
  missed: number;
  isFirst: boolean;
  /** Its page may be opened. */
  opens: boolean;
  onLonger: (minutes: number) => void;
  onChanged: () => void;
}) {
  const { timeOfDay } = useDates();
  const { booking, booked, neededMinutes, overMinutes } = picked;
  const longer = Math.ceil((neededMinutes ?? 0) / 5) * 5;
  return (
    <section className="booking-panel" aria-label={booking.clientName}>
      <h2 className="h5">
        {opens ? <Link to={`/visits/${booking.visitId}`}>{booking.clientName}</Link> : booking.clientName},{' '}
        {timeOfDay(booking.startsAt)} to {timeOfDay(new Date(booked.toMs).toISOString())}
      </h2>
      <p className="soft small mb-1">
        With {booking.practitioner}
        {booking.roomId && `, ${rooms.find((r) => r.id === booking.roomId)?.name ?? ''}`}.{' '}
        {neededMinutes === null
          ? 'No routine yet.'
          : `${neededMinutes} min needed${booking.isTypical ? ', as it was last time' : ''}.`}
        {overMinutes > 0 && ` ${overMinutes} min more than booked.`}
        {missed > 0 && ` Did not come ${counted(missed, 'time')} before.`}
      </p>
      {isStillBooked(booking) && (
        <div className="d-flex gap-3 flex-wrap">
          <BookingWays key={booking.visitId} booking={{ ...booking, isFirst }} onChanged={onChanged} />
          {overMinutes > 0 && (
            <Button size="sm" variant="link" className="p-0" onClick={() => onLonger(longer)}>
              Make it {longer} min
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
