import { hasEnded, isStillBooked, STAGE_NAMES, type Booking } from '../../../core/record';
import type { DaySpan } from '../../../core/schedule';
import { complaintName } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { BookingWays } from '../../parts/booking/booking-line';
import { useDates } from '../../parts/frame/use-dates';
import { Sparkline } from '../../parts/marks/sparkline';
import { type DayCourse, TONES } from './course-words';
import { hoursWords } from './rail/places';

export interface DayVisit extends Booking {
  /** Nobody has worked with the client yet. */
  isFirst: boolean;
}

/** The day in the order of time: what a narrow screen shows, with the own free time between. */
export function DayList({
  visits,
  courses,
  gaps,
  nowVisitId,
  nowIso,
  opens,
  onGap,
  onChanged,
}: {
  visits: readonly DayVisit[];
  courses: Readonly<Record<string, DayCourse[]>> | null;
  /** Free time of who is signed in. */
  gaps: readonly DaySpan[];
  nowVisitId: string | null;
  nowIso: string;
  opens: boolean;
  onGap: (gap: DaySpan) => void;
  onChanged: () => void;
}) {
  const { timeOfDay } = useDates();
  const at = (ms: number) => timeOfDay(new Date(ms).toISOString());
  const lines = [
    ...visits.map((v) => ({ ms: Date.parse(v.startsAt), visit: v, gap: null })),
    ...gaps.map((gap) => ({ ms: gap.fromMs, visit: null, gap })),
  ].sort((a, b) => a.ms - b.ms);
  return (
    <ul className="visit-list">
      {lines.map(({ visit: v, gap }) =>
        v ? (
          <li key={v.visitId} className={v.visitId === nowVisitId ? 'is-now' : ''}>
            <span className={`time${hasEnded(v.stage) ? ' soft' : ''}`}>{timeOfDay(v.startsAt)}</span>
            {opens ? (
              <Link to={`/visits/${v.visitId}`} className="who">
                {v.clientName}
              </Link>
            ) : (
              <span className="who">{v.clientName}</span>
            )}
            <span className="what">
              {courses &&
                (courses[v.clientId]?.length ? (
                  courses[v.clientId]!.map(complaintName).join('; ')
                ) : (
                  <span className="soft">not rated yet</span>
                ))}
              <br />
              <span className="soft small">
                {v.stage === 'done'
                  ? '✓ Record done'
                  : isStillBooked(v) && v.startsAt > nowIso
                    ? 'Booked'
                    : STAGE_NAMES[v.stage]}{' '}
                · {v.practitioner}
                {v.minutes !== null && ` · ${v.minutes} min`}
              </span>
              {isStillBooked(v) && <BookingWays booking={v} onChanged={onChanged} />}
            </span>
            <LastRating course={courses?.[v.clientId]?.[0]} />
          </li>
        ) : (
          <li key={`gap-${gap.fromMs}`} className="gap">
            <span className="time soft">{at(gap.fromMs)}</span>
            <Button variant="link" size="sm" onClick={() => onGap(gap)}>
              {hoursWords(gap)} free, until {at(gap.toMs)}
            </Button>
          </li>
        ),
      )}
    </ul>
  );
}

function LastRating({ course }: { course: DayCourse | undefined }) {
  if (!course) return null;
  const tone = TONES[course.verdict as keyof typeof TONES] ?? 'var(--ink)';
  return (
    <>
      <Sparkline values={course.values} tone={tone} />
      <span className="last num" style={{ color: tone }}>
        {course.values.at(-1)}
        {course.verdict === 'worse' && <span className="visually-hidden"> worse</span>}
      </span>
    </>
  );
}
