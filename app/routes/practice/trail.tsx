import { Link, redirect } from 'react-router';
import { auditTrail } from '../../../server/db/queries/audit.server';
import { TrailCheck } from '../../rooms/practice/trail-check';
import { requirePractitioner } from '../../../server/access/session.server';
import { useDates } from '../../parts/frame/use-dates';
import type { Route } from './+types/trail';

const SHOWN = 100;

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, role } = await requirePractitioner(request);
  if (role !== 'owner') throw redirect('/practice');
  const below = Number(new URL(request.url).searchParams.get('below'));
  return {
    ...(await auditTrail(practiceId, Number.isSafeInteger(below) && below > 0 ? below : null, SHOWN)),
  };
}

const WORDS: Record<string, string> = {
  'caution-overridden': 'Caution overridden',
  'client-added': 'Client added',
  'client-changed': 'Client’s details changed',
  'consent-given': 'Consent given',
  'consent-withdrawn': 'Consent taken back',
  'measures-taken': 'Measures taken',
  'measures-removed': 'Measures removed',
  'outcome-noted': 'Outcome of a referral noted',
  'patch-test-noted': 'Patch test noted',
  'photo-kept': 'Photo kept',
  'photo-erased': 'Photo erased',
  'practice-opened': 'Practice opened',
  'product-added': 'Product added',
  'product-changed': 'Product changed',
  'product-retired': 'Product no longer used',
  'product-returned': 'Product used again',
  'rule-added': 'Rule added',
  'school-chosen': 'School chosen',
  'rule-changed': 'Rule changed',
  'rule-on': 'Rule switched on',
  'rule-off': 'Rule switched off',
  'home-plan-kept': 'Home plan kept',
  'home-plan-ended': 'Home plan ended',
  'home-link-made': 'Private link made',
  'table-taken-out': 'Table taken out',
  'archive-taken-out': 'Whole practice taken out as a file',
  'archive-brought': 'Archive of a practice brought in',
  'table-brought': 'Table brought in',
  'client-copy-taken': 'Whole record of a client taken out',
  'client-erased': 'A client erased',
  'client-limited': 'A client let go, record closed and kept',
  'kept-record-opened': 'Closed record opened',
  'kept-record-erased': 'Closed record erased',
  'reminders-set': 'Reminders set',
  'reminder-as-file': 'Reminder given out as a file',
  'before-link-made': 'Link before a first visit made',
  'home-link-ended': 'Private link ended',
  'home-flag-seen': 'Answer from home seen to',
  'home-runs-noted': 'Home runs told by the client',
  'decided-next': 'What to do next decided',
  'rating-kept': 'Rating between visits kept',
  'rating-corrected': 'Rating between visits corrected',
  'rating-removed': 'Rating between visits taken away',
  'sign-in-failed': 'Wrong password',
  'starting-routines-brought': 'Starting routines brought in',
  'signed-in': 'Signed in',
  'signed-out': 'Signed out',
  'template-kept': 'Template kept',
  'template-changed': 'Template changed',
  'template-hidden': 'Template hidden',
  'template-renamed': 'Template renamed',
  'template-shown': 'Template shown again',
  'technique-added': 'Technique added',
  'technique-changed': 'Technique changed',
  'technique-retired': 'Technique no longer offered',
  'technique-returned': 'Technique offered again',
  'techniques-imported': 'Techniques taken in from a file',
  'techniques-taken-out': 'Techniques taken out as a file',
  'template-deleted': 'Template deleted',
  'template-taken-out': 'Template taken out as a file',
  'text-changed': 'Text changed',
  'visit-added-to': 'Added to an ended visit',
  'visit-corrected': 'Ended visit corrected',
  'booking-moved': 'Booking moved',
  'visit-cancelled': 'Booking cancelled',
  'visit-missed': 'Client did not come',
  'visit-done': 'Visit finished',
  'visit-stopped': 'Visit stopped, referred',
  'visit-postponed': 'Visit postponed',
};

/** Records that have a page of their own. */
const PAGES: Record<string, string> = { visit: '/visits/', client: '/clients/' };

export default function Trail({ loaderData: { rows, entries } }: Route.ComponentProps) {
  const { timeOfDay, shortDay } = useDates();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Audit trail</h1>
          <span className="soft">who did what to which record; never what a client said</span>
        </div>
        <TrailCheck entries={entries} />
        <div className="table-wrap" tabIndex={0} role="region" aria-label="Audit trail">
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col" className="text-end">
                  No.
                </th>
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
                    {shortDay(r.at)} {timeOfDay(r.at)}
                  </td>
                  <td>{r.by}</td>
                  <td>{WORDS[r.what] ?? r.what}</td>
                  <td className="small soft">
                    {Object.entries(r.about)
                      .filter(([, v]) => !Array.isArray(v) || v.length > 0)
                      .map(([k, v], i) => (
                        <span key={k}>
                          {i > 0 && ', '}
                          {PAGES[k] ? (
                            <Link to={`${PAGES[k]}${String(v)}`}>{k}</Link>
                          ) : (
                            `${k} ${Array.isArray(v) ? v.join(', ') : String(v).replace(/^([0-9a-f]{8})-[0-9a-f-]{27}$/, '$1')}`
                          )}
                        </span>
                      ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {rows.length > 0 && (
          <nav aria-label="Further entries" className="d-flex gap-3">
            {rows[0]!.seq < entries && <Link to="?">The latest</Link>}
            {rows[rows.length - 1]!.seq > 1 && <Link to={`?below=${rows[rows.length - 1]!.seq}`}>Earlier entries</Link>}
          </nav>
        )}
      </main>
    </div>
  );
}
