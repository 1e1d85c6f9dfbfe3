import type { DaySpan } from '../../../core/schedule';
import { addDays } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { Link, useNavigate } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';
import { placed } from './rail/places';

export interface StripDay {
  day: string;
  hours: DaySpan;
  booked: DaySpan[];
}

/** Seven days beside each other, each with its bookings on a small rail. */
export function DayStrip({
  days,
  shown,
  today,
  to,
}: {
  days: readonly StripDay[];
  shown: string;
  today: string;
  /** Address of a day. */
  to: (day: string) => string;
}) {
  const { weekdayDay, longDay } = useDates();
  const navigate = useNavigate();
  return (
    <nav className="day-strip" aria-label="Days">
      <Link to={to(addDays(shown, -1))} aria-label="The day before" className="day-step">
        ‹
      </Link>
      <ul>
        {days.map(({ day, hours, booked }) => (
          <li key={day}>
            <Link
              to={to(day)}
              aria-current={day === shown ? 'date' : undefined}
              aria-label={`${longDay(day)}, ${booked.length ? counted(booked.length, 'visit') : 'free'}`}
            >
              <strong className={day === today ? 'is-today' : undefined}>{weekdayDay(day)}</strong>
              <span className="small-rail" aria-hidden="true">
                {booked.map((b) => (
                  <span key={b.fromMs} style={placed(b, hours)} />
                ))}
              </span>
              <span className="soft small">
                {day === today ? 'today · ' : ''}
                {booked.length ? (day === today ? booked.length : counted(booked.length, 'visit')) : 'free'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Link to={to(addDays(shown, 1))} aria-label="The day after" className="day-step">
        ›
      </Link>
      <input
        type="date"
        className="form-control form-control-sm"
        aria-label="Day"
        value={shown}
        onChange={(e) => e.target.value && void navigate(to(e.target.value))}
      />
    </nav>
  );
}
