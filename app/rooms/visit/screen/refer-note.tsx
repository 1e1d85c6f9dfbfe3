import { Button } from 'react-bootstrap';
import { CAUTIONS } from '../../../../reference/facts/cautions/index';
import { shortDay } from '../../../parts/marks/time';
import { useVisit } from '../session/context';

/**
 * What a client who was referred takes along: the questions answered with yes, in the words in which they were asked,
 * and who is to be seen. It names no condition; whoever reads it makes up their own mind.
 */
export function ReferNote() {
  const { visit, client, screening, practiceName, timeZone, texts } = useVisit();
  // Right after the stop the server's own record is not back yet; both say the same.
  const cautions = visit.referral
    ? CAUTIONS.filter((c) => visit.referral!.cautions.includes(c.key))
    : screening.hits['refer-out'];
  const seeWho = [...new Set(cautions.map((c) => c.seeWho).filter(Boolean))];
  return (
    <article className="refer-note" aria-label="Note to take along">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Note to take along</h2>
        <Button size="sm" variant="outline-primary" className="no-print ms-auto" onClick={() => window.print()}>
          Print the note
        </Button>
      </div>
      <p>
        <strong>{client.name}</strong>, {shortDay(visit.startsAt, timeZone)}, at {practiceName}.
      </p>
      <p>
        Before any work on the face we ask about things that should be looked at by licensed care first. Today the
        answer was yes to:
      </p>
      <ul>
        {cautions.map((c) => (
          <li key={c.key}>{c.question}</li>
        ))}
      </ul>
      <p>
        No hands-on work was done. Please see:{' '}
        {seeWho.map((who) => (
          <strong key={who}>{who} </strong>
        ))}
      </p>
      <p className="soft small">
        {texts.scope.body} This note names no condition. If it gets worse on the way, call the local emergency number.
      </p>
      <p className="signature">Practitioner</p>
    </article>
  );
}
