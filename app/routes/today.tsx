import { needsAttention } from '../../core/relief';
import { hasEnded, STAGE_NAMES } from '../../core/record';
import { complaintName } from '../../core/words';
import { Link } from 'react-router';
import { storedCourses, coursesToLookAt } from '../../server/db/queries/courses.server';
import { openReferrals, reviewsDue, visitsBetween } from '../../server/db/queries/visits.server';
import { requirePractitioner } from '../../server/access/session.server';
import { dayIn } from '../../server/access/time.server';
import { NeedsALook } from '../rooms/today/needs-a-look';
import { Sparkline } from '../parts/marks/sparkline';
import { dayOf, longDay, timeOfDay } from '../parts/marks/time';
import type { Route } from './+types/today';

export const meta = () => [{ title: 'Today · Velvet Compass' }];

/** People to think of that fit beside the day; the others are counted. */
const LOOKED_AT = 30;

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await requirePractitioner(request);
  const now = new Date();
  const { from, to } = dayIn(timeZone, now);
  const nextWeek = dayOf(new Date(now.getTime() + 7 * 86_400_000).toISOString(), timeZone);
  const [visits, look, referrals, due] = await Promise.all([
    visitsBetween(practiceId, from, to),
    coursesToLookAt(practiceId, now, LOOKED_AT),
    openReferrals(practiceId),
    reviewsDue(practiceId, nextWeek, LOOKED_AT),
  ]);
  const courses = await storedCourses(
    practiceId,
    visits.map((v) => v.clientId),
  );
  return {
    timeZone,
    now: now.toISOString(),
    visits: visits.map((v) => ({
      ...v,
      courses: courses
        .filter((c) => c.clientId === v.clientId)
        .map(({ complaintId, kind, label, side, recent, verdict }) => ({
          complaintId,
          kind,
          label,
          side,
          values: recent,
          verdict,
        })),
    })),
    attention: needsAttention(look.courses, now.getTime()),
    referrals,
    reviews: due.reviews,
    /** Not shown here. */
    more: look.total - look.courses.length + due.total - due.reviews.length,
  };
}

const TONES = { better: 'var(--relief)', worse: 'var(--worse)' } as const;

export default function Today({ loaderData }: Route.ComponentProps) {
  const { visits, timeZone, now } = loaderData;
  const present =
    visits.find((v) => !hasEnded(v.stage) && v.stage !== 'screen') ?? visits.find((v) => !hasEnded(v.stage));
  return (
    <div className="page with-aside">
      <main>
        <div className="page-head">
          <h1>{longDay(now, timeZone)}</h1>
          <span className="soft">
            {visits.length === 0 ? 'no visits' : `${visits.length} visit${visits.length === 1 ? '' : 's'}`}
          </span>
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
                  <span className={`time${hasEnded(v.stage) ? ' soft' : ''}`}>{timeOfDay(v.startsAt, timeZone)}</span>
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
                      {v.stage === 'done' ? '✓ Record done' : STAGE_NAMES[v.stage]} · {v.practitioner}
                    </span>
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
            <strong>Nobody is booked for today</strong>
            Open a client to start a visit now.{' '}
            {loaderData.attention.length === 0 && 'New here? Add your first client under Clients.'}
          </p>
        )}
      </main>
      <NeedsALook
        attention={loaderData.attention}
        referrals={loaderData.referrals}
        reviews={loaderData.reviews}
        more={loaderData.more}
        today={dayOf(now, timeZone)}
        timeZone={timeZone}
      />
    </div>
  );
}
