import { RATING_DUE_DAYS, STANDS_FROM_CLIENTS, STOPPED_AFTER_DAYS } from '../../../core/record';
import { counted } from '../../../core/words';
import { Link } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { fromCopy } from '../../../server/access/copy.server';
import { ratingsDue, standsByTechnique, stoppedComing } from '../../../server/db/queries/across.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { templateStands } from '../../../server/db/queries/template-lines.server';
import { StandsTable } from '../../parts/course/stands-seen';
import { AsOf } from '../../parts/frame/as-of';
import { useDates } from '../../parts/frame/use-dates';
import type { Route } from './+types/across';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'sums');
  const now = new Date();
  const [{ told, asOf }, routines, catalogue] = await Promise.all([
    fromCopy(() =>
      Promise.all([standsByTechnique(practiceId), stoppedComing(practiceId, now), ratingsDue(practiceId, now)]),
    ),
    templateStands(practiceId),
    catalogueOf(practiceId),
  ]);
  const [techniques, stopped, ratings] = told;
  return {
    asOf,
    techniques: techniques
      .map((t) => ({ ...t, name: catalogue.techniques.get(t.id)?.name ?? 'a technique that is no longer kept' }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    routines,
    stopped,
    ratings,
  };
}

/** Over all clients: how they stand by what was done with them, who stopped coming, which ratings are due. */
export default function Across({ loaderData: { asOf, techniques, routines, stopped, ratings } }: Route.ComponentProps) {
  const { shortDay } = useDates();
  return (
    <div className="page with-aside">
      <main>
        <div className="page-head">
          <h1>Across clients</h1>
        </div>
        <AsOf at={asOf} />
        <p className="soft">
          Seen together with the work, not proof of it. Told from {STANDS_FROM_CLIENTS} clients up whose course can be
          judged; in brackets where the true share lies with 95 %. Sorted by name, not by what came out.
        </p>
        <StandsTable title="Routines" rows={routines} />
        <StandsTable title="Techniques" rows={techniques} />
      </main>
      <aside>
        <h2>Stopped coming</h2>
        <p className="soft small">Two visits or more, none for {STOPPED_AFTER_DAYS} days, none booked.</p>
        {stopped.people.length === 0 && <p>Nobody.</p>}
        {stopped.people.map((p) => (
          <div key={p.clientId} className="look">
            <h3>
              <Link to={`/clients/${p.clientId}`}>{p.clientName}</Link>
            </h3>
            <p>
              last {shortDay(p.lastAt)}, {counted(p.visits, 'visit')}
            </p>
          </div>
        ))}
        {stopped.total > stopped.people.length && (
          <p className="soft">And {stopped.total - stopped.people.length} more.</p>
        )}
        <h2 className="mt-4">Ratings due</h2>
        <p className="soft small">Of clients who come: not rated for {RATING_DUE_DAYS} days.</p>
        {ratings.due.length === 0 && <p>None.</p>}
        {ratings.due.map((r) => (
          <div key={`${r.clientId} ${r.complaint}`} className="look">
            <h3>
              <Link to={`/clients/${r.clientId}`}>{r.clientName}</Link>
            </h3>
            <p>
              {r.complaint}: {r.ratedAt ? `last rated ${shortDay(r.ratedAt)}` : 'never rated'}
            </p>
          </div>
        ))}
        {ratings.total > ratings.due.length && <p className="soft">And {ratings.total - ratings.due.length} more.</p>}
      </aside>
    </div>
  );
}
