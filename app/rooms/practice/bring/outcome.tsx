import type { ArchiveKind } from '../../../../core/exchange';
import { counted } from '../../../../core/words';
import type { Outcome } from './send-file';

const KIND_NAMES: Readonly<Record<ArchiveKind, string>> = {
  practice: 'Settings of the practice',
  members: 'People of the practice',
  rooms: 'Rooms',
  texts: 'Texts',
  rules: 'Rules',
  techniques: 'Own techniques',
  products: 'Products',
  templates: 'Routines',
  'template-versions': 'Earlier versions of routines',
  clients: 'Clients',
  complaints: 'Complaints',
  consents: 'Consents',
  'body-measures': 'Tape measures',
  'patch-tests': 'Patch tests',
  'said-before': 'Answers before a first visit',
  visits: 'Visits',
  waiting: 'Waiting list',
  overrides: 'Cautions overridden',
  amendments: 'Additions and corrections',
  readings: 'Ratings and measures',
  scores: 'Questionnaires',
  runs: 'Runs',
  'run-events': 'Steps and keys of runs',
  photos: 'Photos',
  decisions: 'Decisions',
  'home-plans': 'Home plans',
  'home-runs': 'Runs at home',
  'home-after': 'Words after runs at home',
  'home-flags': 'Answers from home',
  reminders: 'Letters sent',
  'closed-records': 'Closed records',
  'find-it-cards': 'Find it: places learned',
  'find-it-answers': 'Find it: answers',
  'pad-tries': 'Practice pad: tries',
  'pad-words': 'Practice pad: words pressed blind',
  'pad-scale': 'Practice pad: words agreed on',
  'pad-checks': 'Practice pad: checks against weights',
  'tempo-tries': 'Practice pad: tempo',
  trail: 'Audit trail',
};

/** What a file comes to, kind by kind, and every row that needs a look. */
export function OutcomeOf({ outcome, isArchive }: { outcome: Outcome; isArchive: boolean }) {
  const { kinds, refusals, changes, settings, byName } = outcome;
  const rows = Object.entries(kinds).filter(([, c]) => c.new + c.same + c.changed + c.refused > 0);
  const refused = rows.reduce((sum, [, c]) => sum + c.refused, 0);
  return (
    <>
      <div className="table-wrap" tabIndex={0} role="region" aria-label="What the file comes to">
        <table className="table table-sm bring-outcome">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col" className="text-end">
                New
              </th>
              <th scope="col" className="text-end">
                Here already
              </th>
              <th scope="col" className="text-end">
                {isArchive ? 'Here, otherwise' : 'Changed'}
              </th>
              <th scope="col" className="text-end">
                Refused
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([kind, c]) => (
              <tr key={kind}>
                <th scope="row">{KIND_NAMES[kind as ArchiveKind]}</th>
                {[c.new, c.same, c.changed, c.refused].map((n, i) => (
                  <td key={i} className={`text-end num${i === 3 && n ? ' caution' : ''}`}>
                    {n || '·'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {isArchive && rows.some(([, c]) => c.changed > 0) && (
        <p className="soft">What is here and says something else stays as it is here.</p>
      )}
      {settings && <p className="soft">Nobody was worked with here yet: name, zone, school and contact come along.</p>}
      {byName.length > 0 && (
        <p className="soft">
          {byName.join(', ')} {byName.length === 1 ? 'comes' : 'come'} in by name, beside what they wrote, and cannot
          sign in.
        </p>
      )}
      {changes.length > 0 && (
        <section aria-label="What changes">
          <h2 className="h6">What changes</h2>
          <ul className="bring-list">
            {changes.map((c, i) => (
              <li key={i}>
                <span className="soft">line {c.line}</span> {c.name}, {c.field}: {c.was || 'nothing'} →{' '}
                <strong>{c.becomes}</strong>
              </li>
            ))}
          </ul>
        </section>
      )}
      {refused > 0 && (
        <section aria-label="What is refused">
          <h2 className="h6">
            {counted(refused, 'row is refused', 'rows are refused')}
            {refused > refusals.length && `, the first ${refusals.length}`}
          </h2>
          <ul className="bring-list">
            {refusals.map((r, i) => (
              <li key={i}>
                <span className="soft">
                  {r.file && `${r.file} `}line {r.line}
                </span>{' '}
                {r.field && `${r.field}: `}
                <strong>{r.value || 'nothing'}</strong> <span className="soft">· accepted: {r.accepted}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
