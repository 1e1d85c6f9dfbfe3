import type { Caution } from '../../../core/limits';

/**
 * What a client who was referred takes along: the questions answered with yes, in the words in which they were asked,
 * and who is to be seen. It names no condition; whoever reads it makes up their own mind.
 */
export function ReferralWords({
  cautions,
  scope,
}: {
  cautions: readonly Pick<Caution, 'key' | 'question' | 'seeWho'>[];
  scope: string;
}) {
  const seeWho = [...new Set(cautions.map((c) => c.seeWho).filter(Boolean))];
  return (
    <>
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
        {scope} This note names no condition. If it gets worse on the way, call the local emergency number.
      </p>
      <p className="signature">Practitioner</p>
    </>
  );
}
