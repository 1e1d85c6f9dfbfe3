import { type Booking, bookingMinutes, USUAL_BOOKING_MINUTES } from '../../../../core/record';
import { routineSeconds } from '../../../../core/routine';
import { useState } from 'react';
import { BookingForm } from '../../../parts/booking/booking-form';
import { BookingWays } from '../../../parts/booking/booking-line';
import { clockValue, dayOf } from '../../../../core/schedule';
import { useDates } from '../../../parts/frame/use-dates';
import { useYourSeconds } from '../../../parts/frame/use-learned';
import { useVisit } from '../session/context';

/** The next visit, in the book: as long as this routine really takes, at this time of day a week on, if nobody says otherwise. */
export function NextVisit({ booked }: { booked: Booking | null }) {
  const { timeOfDay, shortDay } = useDates();
  const { visit, client, routine, record, setRecord, timeZone, ended } = useVisit();
  const yourSeconds = useYourSeconds(routine);
  const [booking, setBooking] = useState(booked);
  const keep = (next: Booking | null) => {
    setBooking(next);
    setRecord({ ...record, nextOn: next ? dayOf(next.startsAt, timeZone) : '' });
  };
  const inAWeek = new Date(Date.parse(visit.startsAt) + 7 * 86_400_000).toISOString();
  return (
    <div className="next-visit">
      <h3>Next visit</h3>
      {booking ? (
        <>
          <p className="mb-1">
            <strong>
              {shortDay(booking.startsAt)}, {timeOfDay(booking.startsAt)}
            </strong>
            , {booking.minutes ?? USUAL_BOOKING_MINUTES} minutes, with {booking.practitioner}. It stands in the book.
          </p>
          {!ended && <BookingWays booking={{ ...booking, isFirst: false }} onChanged={keep} />}
        </>
      ) : ended ? (
        <p className="soft">None was booked.</p>
      ) : (
        <BookingForm
          label="Book it"
          clientId={client.id}
          visitId={null}
          when={{
            day: record.nextOn || dayOf(inAWeek, timeZone),
            time: clockValue(visit.startsAt, timeZone),
            minutes: routine ? bookingMinutes(yourSeconds ?? routineSeconds(routine)) : USUAL_BOOKING_MINUTES,
          }}
          onBooked={keep}
        />
      )}
    </div>
  );
}
