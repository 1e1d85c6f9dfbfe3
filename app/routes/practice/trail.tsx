import { Link } from 'react-router';
import { auditTrail, broughtTrail } from '../../../server/db/queries/audit.server';
import { TrailCheck } from '../../rooms/practice/trail-check';
import { permitted } from '../../../server/access/session.server';
import { counted } from '../../../core/words';
import { TrailRows } from '../../rooms/practice/trail-rows';
import type { Route } from './+types/trail';

const SHOWN = 100;

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'trail');
  const below = Number(new URL(request.url).searchParams.get('below'));
  return {
    brought: await broughtTrail(practiceId, SHOWN),
    ...(await auditTrail(practiceId, Number.isSafeInteger(below) && below > 0 ? below : null, SHOWN)),
  };
}

export default function Trail({ loaderData: { rows, entries, brought } }: Route.ComponentProps) {
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Audit trail</h1>
          <span className="soft">who did what to which record; never what a client said</span>
        </div>
        <TrailCheck entries={entries} />
        <TrailRows rows={rows} label="Audit trail" />
        {rows.length > 0 && (
          <nav aria-label="Further entries" className="d-flex gap-3">
            {rows[0]!.seq! < entries && <Link to="?">The latest</Link>}
            {rows[rows.length - 1]!.seq! > 1 && (
              <Link to={`?below=${rows[rows.length - 1]!.seq}`}>Earlier entries</Link>
            )}
          </nav>
        )}
        {brought.entries > 0 && (
          <>
            <h2 className="h5 mt-4">Brought in with an archive</h2>
            <p className="soft narrow">
              {counted(brought.entries, 'entry', 'entries')} of the practice that made it
              {brought.entries > brought.rows.length && `, the latest ${brought.rows.length}`}. They were sealed where
              they were written; here nobody can check that.
            </p>
            <TrailRows rows={brought.rows} label="Audit trail of another installation" />
          </>
        )}
      </main>
    </div>
  );
}
