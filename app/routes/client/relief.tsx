import { complaintName } from '../../../core/words';
import { Link, useRouteLoaderData } from 'react-router';
import { reliefOf } from '../../../server/access/relief-of.server';
import { keptRatings } from '../../../server/db/queries/ratings.server';
import { requirePractitioner } from '../../../server/access/session.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { KeptRatings } from '../../rooms/client/kept-ratings';
import { PairTable, ReliefCourses } from '../../rooms/client/relief-courses';
import { changeMarks } from '../../parts/chart/chart-marks';
import type { Route } from './+types/relief';
import type { loader as frame } from './client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [relief, kept] = await Promise.all([
    reliefOf(practiceId, params.clientId),
    keptRatings(practiceId, params.clientId),
  ]);
  return { ...relief, kept };
}

export default function Relief({ loaderData: { courses, pairs, measured, kept } }: Route.ComponentProps) {
  const { client, begun, now, timeZone } = useRouteLoaderData('routes/client/client') as Awaited<
    ReturnType<typeof frame>
  >;
  const changes = changeMarks(pairs);
  const open = client.complaints.filter((c) => !c.closed);
  return (
    <div className="page with-aside">
      <main>
        <h1 className="visually-hidden">Relief</h1>
        {!open.length && (
          <p className="empty">
            <strong>No complaint on record</strong>
            <Link to={`/clients/${client.id}/details`}>Add what they come for</Link>, then rate it at a visit.
          </p>
        )}
        <ReliefCourses
          complaints={open}
          courses={courses}
          begun={begun}
          nowIso={now}
          measured={measured}
          extra={(c) => (
            <KeptRatings
              clientId={client.id}
              complaintId={c.id}
              name={complaintName(c)}
              ratings={kept.filter((r) => r.complaintId === c.id)}
              nowIso={now}
              timeZone={timeZone}
            />
          )}
        />
        {pairs.length > 0 && (
          <details className="course-legend">
            <summary>The same as a table, with the source of each error</summary>
            <PairTable pairs={pairs} />
          </details>
        )}
      </main>
      <aside>
        {open.length > 0 && (
          <p className="text-end">
            <Link to={`/paper/clients/${client.id}/relief`}>Print</Link>
          </p>
        )}
        <div style={{ height: 430, margin: '-24px -24px 12px' }}>
          <FaceChart changes={changes} />
        </div>
        <h2 className="mb-2">Complaints</h2>
        {open.map((c) => (
          <div key={c.id} className="look">
            <h3>{complaintName(c)}</h3>
            {[
              ['Since', c.onset],
              ['Set off by', c.triggers],
              ['Goal', c.goal],
            ]
              .filter(([, v]) => v)
              .map(([k, v]) => (
                <p key={k}>
                  <span className="soft">{k}</span> {v}
                </p>
              ))}
          </div>
        ))}
        {client.note && <p className="mt-3">{client.note}</p>}
      </aside>
    </div>
  );
}
