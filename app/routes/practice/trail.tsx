import { Link, redirect } from 'react-router';
import { auditTrail } from '../../../server/db/queries/audit.server';
import { requirePractitioner } from '../../session.server';
import { shortDay, timeOfDay } from '../../ui/time';
import type { Route } from './+types/trail';

const SHOWN = 200;

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, role, timeZone } = await requirePractitioner(request);
  if (role !== 'owner') throw redirect('/practice');
  return { ...(await auditTrail(practiceId, SHOWN)), timeZone };
}

const WORDS: Record<string, string> = {
  'caution-overridden': 'Caution overridden', 'consent-given': 'Consent given', 'consent-withdrawn': 'Consent taken back', 'photo-kept': 'Photo kept', 'photo-erased': 'Photo erased', 'rule-added': 'Rule added', 'rule-changed': 'Rule changed',
  'rule-on': 'Rule switched on', 'rule-off': 'Rule switched off', 'text-changed': 'Text changed', 'visit-done': 'Visit finished', 'visit-stopped': 'Visit stopped, referred', 'visit-postponed': 'Visit postponed',
};

/** Records that have a page of their own. */
const PAGES: Record<string, string> = { visit: '/visits/', client: '/clients/' };

export default function Trail({ loaderData: { rows, entries, brokenAt, timeZone } }: Route.ComponentProps) {
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Audit trail</h1>
          <span className="soft">who did what to which record; never what a client said</span>
        </div>
        {brokenAt === null ? (
          <p className="soft">
            {entries} {entries === 1 ? 'entry' : 'entries'}; every one fits the one before it.
          </p>
        ) : (
          <p className="caution fw-bold" role="alert">
            Entry {brokenAt} does not fit the one before it: something was changed or taken out of the database by hand.
          </p>
        )}
        {entries > rows.length && <p className="soft small">The latest {rows.length} are shown.</p>}
        <div className="table-wrap" tabIndex={0} role="region" aria-label="Audit trail">
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col" className="text-end">No.</th>
                <th scope="col">When</th>
                <th scope="col">Who</th>
                <th scope="col">What</th>
                <th scope="col">On</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.seq}>
                  <td className="text-end num">{r.seq}</td>
                  <td className="num">
                    {shortDay(r.at, timeZone)} {timeOfDay(r.at, timeZone)}
                  </td>
                  <td>{r.by}</td>
                  <td>{WORDS[r.what] ?? r.what}</td>
                  <td className="small soft">
                    {Object.entries(r.about)
                      .filter(([, v]) => !Array.isArray(v) || v.length > 0)
                      .map(([k, v], i) => (
                        <span key={k}>
                          {i > 0 && ', '}
                          {PAGES[k] ? <Link to={`${PAGES[k]}${String(v)}`}>{k}</Link> : `${k} ${Array.isArray(v) ? v.join(', ') : String(v).replace(/^([0-9a-f]{8})-[0-9a-f-]{27}$/, '$1')}`}
                        </span>
                      ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </main>
    </div>
  );
}
