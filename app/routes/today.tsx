import { needsAttention } from '../../core/relief';
import { hasEnded, takesTime } from '../../core/record';
import { counted } from '../../core/words';
import { addDays, axisOf, daysFrom, lanesOf, dayOf } from '../../core/schedule';
import { Link, useNavigate } from 'react-router';
import { nameOfClient } from '../../server/db/queries/clients.server';
import { storedCourses, coursesToLookAt } from '../../server/db/queries/courses.server';
import { openHomeFlags } from '../../server/db/queries/home-arrivals.server';
import { homeLooks } from '../../server/db/queries/home-looks.server';
import { openReferrals, reviewsDue } from '../../server/db/queries/visits.server';
import { dayOnRail, fitsOf, smallDays, workOfDay } from '../../server/access/day.server';
import { handsOfDay } from '../../server/access/hands.server';
import { may } from '../../server/access/may';
import { permitted } from '../../server/access/session.server';
import { calendarDay } from '../schemas/day';
import type { DayCourse } from '../rooms/today/course-words';
import { DayBook } from '../rooms/today/day-book';
import { DayStrip } from '../rooms/today/day-strip';
import { NeedsALook } from '../rooms/today/needs-a-look';
import { useDates } from '../parts/frame/use-dates';
import { useKeys } from '../parts/keys/use-keys';
import type { Route } from './+types/today';

export const meta = () => [{ title: 'Today · Velvet Compass' }];

/** People to think of that fit beside the day; the others are counted. */
const LOOKED_AT = 30;
const STRIP_DAYS = 7;

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'book');
  const { practiceId, timeZone } = who;
  // To the minute: what is drawn from it is the same for everybody who looks in it.
  const now = new Date(Math.floor(Date.now() / 60_000) * 60_000);
  const today = dayOf(now.toISOString(), timeZone);
  const query = new URL(request.url).searchParams;
  const asked = query.get('day') ?? '';
  const day = /^\d{4}-\d\d-\d\d$/.test(asked) && calendarDay.isValidSync(asked) ? asked : today;
  // The strip begins today and stays while the day is on it.
  const ahead = daysFrom(today, day);
  const firstDay = ahead >= 0 && ahead < STRIP_DAYS ? today : addDays(day, -1);
  const seesCare = may(who, 'see', 'care');
  const work = await workOfDay(who, day);
  const [rail, days, forClient, look] = await Promise.all([
    dayOnRail(who, day, work),
    smallDays(who, firstDay, STRIP_DAYS, work.ways),
    nameOfClient(practiceId, query.get('for') ?? ''),
    seesCare ? toLookAt(practiceId, today, now) : null,
  ]);
  const { bookings, rooms, people, around, hours, waiting } = rail;
  const person =
    people.find((p) => p.id === (may(who, 'see', 'sums') ? query.get('hands') : null)) ??
    people.find((p) => p.id === who.practitionerId);
  const [roomLanes, personLanes] = (['room', 'person'] as const).map((by) =>
    lanesOf(bookings, { rooms, people, around, hours, by }),
  ) as [ReturnType<typeof lanesOf>, ReturnType<typeof lanesOf>];
  const by: 'room' | 'person' = rooms.some((r) => !r.isClosed) && query.get('by') !== 'person' ? 'room' : 'person';
  const lanes = by === 'room' ? roomLanes : personLanes;
  const courses = seesCare
    ? await storedCourses(
        practiceId,
        bookings.map((b) => b.clientId),
      )
    : [];
  const coming = bookings.filter(takesTime);
  const axis = axisOf(hours, lanes);
  const hands = seesCare && person ? { person, ...(await handsOfDay(practiceId, work, person.id, axis)) } : null;
  return {
    today,
    look,
    days,
    cancelled: bookings.length - coming.length,
    book: {
      day,
      timeZone,
      nowIso: now.toISOString(),
      isToday: day === today,
      by,
      lanes,
      axis,
      hands,
      maySwitchHands: may(who, 'see', 'sums'),
      visits: bookings.map(({ routineSeconds: _s, isTypical: _t, missed: _m, ...b }) => b),
      courses: seesCare ? byClient(courses) : null,
      missed: Object.fromEntries(bookings.filter((b) => b.missed).map((b) => [b.clientId, b.missed])),
      rooms,
      people,
      around,
      own: { id: who.practitionerId, gaps: personLanes.find((l) => l.id === who.practitionerId)?.gaps ?? [] },
      waiting,
      fits: fitsOf({ timeZone, practitionerIds: people.map((p) => p.id) }, day, {
        ...{ waiting, roomLanes, personLanes },
        nowMs: now.getTime(),
      }),
      forClient,
      nowVisitId: day === today ? presentOf(bookings, who.practitionerId) : null,
    },
  };
}

/** People to think of, whatever the day. */
async function toLookAt(practiceId: string, today: string, now: Date) {
  const [look, referrals, due, flags, home] = await Promise.all([
    coursesToLookAt(practiceId, now, LOOKED_AT),
    openReferrals(practiceId),
    reviewsDue(practiceId, addDays(today, 7), LOOKED_AT),
    openHomeFlags(practiceId),
    homeLooks(practiceId, today, now, LOOKED_AT),
  ]);
  return {
    attention: needsAttention(look.courses, now.getTime()),
    referrals,
    flags,
    home,
    reviews: due.reviews,
    /** Not shown here. */
    more: look.total - look.courses.length + due.total - due.reviews.length,
  };
}

function byClient(courses: Awaited<ReturnType<typeof storedCourses>>): Record<string, DayCourse[]> {
  const out: Record<string, DayCourse[]> = {};
  for (const { clientId, complaintId, kind, label, side, recent, judgement } of courses)
    (out[clientId] ??= []).push({ complaintId, kind, label, side, values: recent, verdict: judgement.verdict });
  return out;
}

/** The visit that goes on, own ones first; else the next one that has not ended. */
function presentOf(
  visits: readonly { visitId: string; stage: Parameters<typeof hasEnded>[0]; practitionerId: string }[],
  own: string,
): string | null {
  const open = visits.filter((v) => !hasEnded(v.stage));
  const first = (list: typeof open) => list.find((v) => v.stage !== 'screen') ?? list[0];
  return (first(open.filter((v) => v.practitionerId === own)) ?? first(open))?.visitId ?? null;
}

export default function Today({ loaderData: { book, look, days, today, cancelled } }: Route.ComponentProps) {
  const { longDay } = useDates();
  const navigate = useNavigate();
  const to = (day: string) => `?day=${day}${book.by === 'person' && book.rooms.length ? '&by=person' : ''}`;
  useKeys({
    ',': () => void navigate(to(addDays(book.day, -1))),
    '.': () => void navigate(to(addDays(book.day, 1))),
    t: () => void navigate('?'),
  });
  const count = book.visits.length - cancelled;
  // Somebody who gets worse, or is to be sent on, comes first where there is room for one thing only.
  const urgent = look
    ? [
        ...look.flags.map((f) => f.clientName),
        ...look.attention.filter((a) => a.why === 'refer').map((a) => a.course.clientName),
      ]
    : [];
  const present = book.visits.find((v) => v.visitId === book.nowVisitId);
  return (
    <div className={look ? 'page with-aside' : 'page'}>
      <main>
        <div className="page-head">
          <h1>{longDay(book.day)}</h1>
          <span className="soft">
            {count === 0 ? 'no visits' : counted(count, 'visit')}
            {cancelled > 0 && `, ${cancelled} cancelled`}
          </span>
          {!book.isToday && <Link to="?">Today</Link>}
          <div className="actions">
            {look && present && (
              <Link to={`/visits/${present.visitId}`} className="btn btn-primary">
                Go on: {present.clientName}
              </Link>
            )}
          </div>
        </div>
        {urgent.length > 0 && (
          <a href="#needs-a-look" className="look-first worse">
            ▲ {urgent[0]} needs a look{urgent.length > 1 && `, and ${urgent.length - 1} more`}
          </a>
        )}
        <DayStrip days={days} shown={book.day} today={today} to={to} />
        {count === 0 && (
          <p className="empty">
            <strong>{book.isToday ? 'Nobody is booked for today' : 'Nobody is booked for this day'}</strong>
            Touch free time to book, or press New visit.{' '}
            {look?.attention.length === 0 && 'New here? Add your first client under Clients.'}
          </p>
        )}
        <DayBook key={`${book.day}-${book.by}-${book.forClient?.id ?? ''}`} {...book} />
      </main>
      {look && <NeedsALook {...look} today={today} />}
    </div>
  );
}
