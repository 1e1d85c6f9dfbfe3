import { needsAttention } from '../../core/relief';
import { hasEnded, isStillBooked, STAGE_NAMES } from '../../core/record';
import { complaintName, counted } from '../../core/words';
import { Link, useNavigate, useRevalidator } from 'react-router';
import { storedCourses, coursesToLookAt } from '../../server/db/queries/courses.server';
import { openHomeFlags } from '../../server/db/queries/home-arrivals.server';
import { homeLooks } from '../../server/db/queries/home-looks.server';
import { openReferrals, reviewsDue, visitsBetween } from '../../server/db/queries/visits.server';
import { requirePractitioner } from '../../server/access/session.server';
import { dayIn, momentIn } from '../../server/access/time.server';
import { BookingWays } from '../parts/booking/booking-line';
import { calendarDay } from '../schemas/day';
import { NeedsALook } from '../rooms/today/needs-a-look';
import { Sparkline } from '../parts/marks/sparkline';
import { dayOf } from '../../core/schedule';
import { useDates } from '../parts/frame/use-dates';
import type { Route } from './+types/today';

export const meta = () => [{ title: 'Today · Velvet Compass' }];

/** People to think of that fit beside the day; the others are counted. */
const LOOKED_AT = 30;

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await requirePractitioner(request);
  const now = new Date();
  const today = dayOf(now.toISOString(), timeZone);
  const asked = new URL(request.url).searchParams.get('day') ?? '';
  const day = /^\d{4}-\d\d-\d\d$/.test(asked) && calendarDay.isValidSync(asked) ? asked : today;
  const { from, to } = dayIn(timeZone, momentIn(timeZone, day, '12:00'));
  const nextWeek = dayOf(new Date(now.getTime() + 7 * 86_400_000).toISOString(), timeZone);
  const [visits, look, referrals, due, flags, home] = await Promise.all([
    visitsBetween(practiceId, from, to),
    coursesToLookAt(practiceId, now, LOOKED_AT),
    openReferrals(practiceId),
    reviewsDue(practiceId, nextWeek, LOOKED_AT),
    openHomeFlags(practiceId),
    homeLooks(practiceId, today, now, LOOKED_AT),
  ]);
  const courses = await storedCourses(
    practiceId,
    visits.map((v) => v.clientId),
  );
  return {
    timeZone,
    now: now.toISOString(),
    day,
    today,
    visits: visits.map((v) => ({
      ...v,
      courses: courses
        .filter((c) => c.clientId === v.clientId)
        .map(({ complaintId, kind, label, side, recent, judgement }) => ({
          complaintId,
          kind,
          label,
          side,
          values: recent,
          verdict: judgement.verdict,
        })),
    })),
    attention: needsAttention(look.courses, now.getTime()),
    referrals,
    flags,
    home,
    reviews: due.reviews,
    /** Not shown here. */
    more: look.total - look.courses.length + due.total - due.reviews.length,
  };
}

/** So many days on from a calendar day. */
const shiftDay = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + by * 86_400_000).toISOString().slice(0, 10);

const TONES = { better: 'var(--relief)', worse: 'var(--worse)' } as const;

export default function Today({ loaderData }: Route.ComponentProps) {
  const { timeOfDay, longDay } = useDates();
  const { visits, timeZone, now, day, today } = loaderData;
  const { revalidate } = useRevalidator();
  const navigate = useNavigate();
  const isToday = day === today;
  const present =
    isToday &&
    (visits.find((v) => !hasEnded(v.stage) && v.stage !== 'screen') ?? visits.find((v) => !hasEnded(v.stage)));
  return (
    <div className="page with-aside">
      <main>
        <div className="page-head">
          <h1>{longDay(day)}</h1>
          <span className="soft">{visits.length === 0 ? 'no visits' : counted(visits.length, 'visit')}</span>
          <nav className="days" aria-label="Days">
            <Link to={`?day=${shiftDay(day, -1)}`} aria-label="The day before">
              ←
            </Link>
            <input
              type="date"
              className="form-control form-control-sm"
              aria-label="Day"
              value={day}
              onChange={(e) => e.target.value && void navigate(`?day=${e.target.value}`)}
            />
            <Link to={`?day=${shiftDay(day, 1)}`} aria-label="The day after">
              →
            </Link>
            {!isToday && <Link to="?">Today</Link>}
          </nav>
          <div className="actions">
            <Link to="/clients" className="btn btn-primary">
              New visit
            </Link>
          </div>
        </div>
        {visits.length ? (
          <ul className="visit-list">
            {visits.map((v) => {
              const main = v.courses[0];
              const tone = (main && TONES[main.verdict as keyof typeof TONES]) || 'var(--ink)';
              return (
                <li key={v.id} className={v === present ? 'is-now' : ''}>
                  <span className={`time${hasEnded(v.stage) ? ' soft' : ''}`}>{timeOfDay(v.startsAt)}</span>
                  <Link to={`/visits/${v.id}`} className="who">
                    {v.clientName}
                  </Link>
                  <span className="what">
                    {v.courses.length ? (
                      v.courses.map(complaintName).join('; ')
                    ) : (
                      <span className="soft">not rated yet</span>
                    )}
                    <br />
                    <span className="soft small">
                      {v.stage === 'done'
                        ? '✓ Record done'
                        : isStillBooked(v) && v.startsAt > now
                          ? 'Booked'
                          : STAGE_NAMES[v.stage]}{' '}
                      · {v.practitioner}
                      {v.minutes !== null && ` · ${v.minutes} min`}
                    </span>
                    {isStillBooked(v) && (
                      <BookingWays booking={{ ...v, visitId: v.id }} onChanged={() => void revalidate()} />
                    )}
                  </span>
                  {main ? <Sparkline values={main.values} tone={tone} /> : <span />}
                  <span className="last num" style={{ color: tone }}>
                    {main?.values.at(-1)}
                    {main?.verdict === 'worse' && <span className="visually-hidden"> worse</span>}
                  </span>
                </li>
              );
            })}
          </ul>
        ) : (
          <p className="empty">
            <strong>{isToday ? 'Nobody is booked for today' : 'Nobody is booked for this day'}</strong>
            Open a client to start a visit now.{' '}
            {loaderData.attention.length === 0 && 'New here? Add your first client under Clients.'}
          </p>
        )}
      </main>
      <NeedsALook
        attention={loaderData.attention}
        referrals={loaderData.referrals}
        reviews={loaderData.reviews}
        flags={loaderData.flags}
        home={loaderData.home}
        more={loaderData.more}
        today={dayOf(now, timeZone)}
      />
    </div>
  );
}
