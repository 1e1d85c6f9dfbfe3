import { type Around, type Booking, bookingMinutes, USUAL_BOOKING_MINUTES } from '../../../../core/record';
import { routineSeconds } from '../../../../core/routine';
import { useMemo, useState } from 'react';
import { BookingForm, whenOf, type When } from '../../../parts/booking/booking-form';
import { BookingWays } from '../../../parts/booking/booking-line';
import { clockValue, dayOf } from '../../../../core/schedule';
import { useDates } from '../../../parts/frame/use-dates';
import { useYourSeconds } from '../../../parts/frame/use-learned';
import { useVisit } from '../session/context';

/** The next visit, in the book: as long as this routine really takes, at this time of day a week on, if nobody says otherwise. */
export function NextVisit({
  booked,
  like,
}: {
  booked: Booking | null;
  /** With whom and where, and what goes around a routine. */
  like: { practitionerId: string; roomId: string | null; around: Around };
}) {
  const { timeOfDay, shortDay } = useDates();
  const { visit, client, routine, record, setRecord, timeZone, ended } = useVisit();
  const yourSeconds = useYourSeconds(routine);
  const [booking, setBooking] = useState(booked);
  const keep = (next: Booking | null) => {
    setBooking(next);
    setRecord({ ...record, nextOn: next ? dayOf(next.startsAt, timeZone) : '' });
  };
  const [typed, setTyped] = useState<When | null>(null);
  const inAWeek = new Date(Date.parse(visit.startsAt) + 7 * 86_400_000).toISOString();
  const proposed = useMemo(
    () =>
      whenOf(
        record.nextOn || dayOf(inAWeek, timeZone),
        clockValue(visit.startsAt, timeZone),
        routine ? bookingMinutes(yourSeconds ?? routineSeconds(routine), like.around) : USUAL_BOOKING_MINUTES,
        like,
      ),
    [record.nextOn, inAWeek, timeZone, visit.startsAt, routine, yourSeconds, like],
  );
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
          when={typed ?? proposed}
          onWhen={setTyped}
          onBooked={keep}
        />
      )}
    </div>
  );
}
