import { RATING_DUE_DAYS, STANDS_FROM_CLIENTS, STOPPED_AFTER_DAYS } from '../../../core/record';
import { counted } from '../../../core/words';
import { Link, redirect } from 'react-router';
import { requirePractitioner } from '../../../server/access/session.server';
import { ratingsDue, standsByTechnique, stoppedComing } from '../../../server/db/queries/across.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { templateStands } from '../../../server/db/queries/template-lines.server';
import { StandsSeen } from '../../parts/course/stands-seen';
import { useDates } from '../../parts/frame/use-dates';
import type { Route } from './+types/across';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, role } = await requirePractitioner(request);
  if (role !== 'owner') throw redirect('/practice');
  const now = new Date();
  const [techniques, routines, stopped, ratings, catalogue] = await Promise.all([
    standsByTechnique(practiceId),
    templateStands(practiceId),
    stoppedComing(practiceId, now),
    ratingsDue(practiceId, now),
    catalogueOf(practiceId),
  ]);
  return {
    techniques: techniques
      .map((t) => ({ ...t, name: catalogue.techniques.get(t.id)?.name ?? 'a technique that is no longer kept' }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    routines,
    stopped,
    ratings,
  };
}

/** Over all clients: how they stand by what was done with them, who stopped coming, which ratings are due. */
export default function Across({ loaderData: { techniques, routines, stopped, ratings } }: Route.ComponentProps) {
  const { shortDay } = useDates();
  return (
    <div className="page with-aside">
      <main>
        <div className="page-head">
          <h1>Across clients</h1>
        </div>
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

function StandsTable({
  title,
  rows,
}: {
  title: string;
  rows: readonly { id: string; name: string; clients: number; stands: Parameters<typeof StandsSeen>[0]['stands'] }[];
}) {
  if (!rows.length)
    return (
      <>
        <h2>{title}</h2>
        <p className="soft">None was worked with yet.</p>
      </>
    );
  return (
    <table className="table table-sm stands-table">
      <caption className="visually-hidden">{title}</caption>
      <thead>
        <tr>
          <th scope="col">{title}</th>
          <th scope="col" className="text-end">
            Clients
          </th>
          <th scope="col">How they stand</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.id}>
            <th scope="row" className="fw-normal">
              {r.name}
            </th>
            <td className="num text-end">{r.clients}</td>
            <td className="small">
              <StandsSeen clients={r.clients} stands={r.stands} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
