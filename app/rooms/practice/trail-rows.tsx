import { Link } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';

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
  'retention-set': 'How long records are kept, set',
  'old-visits-erased': 'Visits erased that were kept long enough',
  'old-photos-erased': 'Photos erased that were kept long enough',
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
  'colleague-invited': 'Link for a new colleague made',
  'colleague-joined': 'Colleague came in by their link',
  'colleague-left': 'Colleague’s access ended',
  'colleague-returned': 'Colleague’s access given back',
  'role-changed': 'Role changed',
  'sign-in-link-made': 'Link to set a password made',
  'invitation-taken-back': 'Unused link taken back',
  'session-ended': 'Signed out from elsewhere',
  'password-changed': 'Password changed',
  'second-factor-on': 'Second factor set up',
  'second-factor-off': 'Second factor taken away',
  'spare-code-used': 'Signed in with a spare code',
  'sign-in-code-wrong': 'Wrong code of the second factor',
  'clients-handed-over': 'Clients handed over',
  'hand-strength-set': 'Own strength of the hands set',
  'pad-scale-set': 'What a word of pressure means here was set',
  'pad-words-shown': 'Own pressure words shown to colleagues',
  'pad-words-hidden': 'Own pressure words hidden from colleagues',
  'room-added': 'Room added',
  'room-changed': 'Room changed',
  'hours-set': 'Hours of the practice set',
  'put-on-waiting-list': 'Put on the waiting list',
  'off-waiting-list': 'Taken off the waiting list',
  'calendar-link-made': 'Link to the own calendar made',
  'calendar-link-ended': 'Link to the own calendar ended',
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

export interface TrailEntry {
  /** Its number in the chain; null where it came with an archive. */
  seq: number | null;
  at: string;
  what: string;
  by: string;
  about: Readonly<Record<string, string | number | string[]>>;
}

/** Entries of the trail, each in words, with the record that it is on. */
export function TrailRows({ rows, label }: { rows: readonly TrailEntry[]; label: string }) {
  const { timeOfDay, shortDay } = useDates();
  return (
    <div className="table-wrap" tabIndex={0} role="region" aria-label={label}>
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
          {rows.map((r, i) => (
            <tr key={r.seq ?? `${r.at} ${r.what} ${i}`}>
              <td className="text-end num">{r.seq ?? '·'}</td>
              <td className="num">
                {shortDay(r.at)} {timeOfDay(r.at)}
              </td>
              <td>{r.by}</td>
              <td>{WORDS[r.what] ?? r.what}</td>
              <td className="small soft">
                {Object.entries(r.about)
                  .filter(([, v]) => !Array.isArray(v) || v.length > 0)
                  .map(([k, v], n) => (
                    <span key={k}>
                      {n > 0 && ', '}
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
  );
}
