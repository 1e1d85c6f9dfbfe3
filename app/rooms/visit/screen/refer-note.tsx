import { Link } from 'react-router';
import { useDates } from '../../../parts/frame/use-dates';
import { ReferralWords } from '../../../parts/paper/referral-words';
import { useVisit } from '../session/context';

/** The note that a client who was referred takes along, as it will stand on paper. */
export function ReferNote() {
  const { shortDay } = useDates();
  const { visit, client, screening, cautions, practiceName, texts } = useVisit();
  // Right after the stop the server's own record is not back yet; both say the same.
  const why = visit.referral
    ? cautions.filter((c) => visit.referral!.cautions.includes(c.key))
    : screening.hits['refer-out'];
  return (
    <article className="refer-note" aria-label="Note to take along">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Note to take along</h2>
        <Link to={`/paper/visits/${visit.id}/referral`} className="btn btn-sm btn-outline-primary ms-auto">
          Print the note
        </Link>
      </div>
      <p>
        <strong>{client.name}</strong>, {shortDay(visit.startsAt)}, at {practiceName}.
      </p>
      <ReferralWords cautions={why} scope={texts.scope.body} />
    </article>
  );
}
