import { hardnessOf, handVerdict, pressRatios, TOLD_OF_TRIES, type KeptTry } from '../../../core/touch';
import { counted } from '../../../core/words';

const percent = (ratio: number): string => `${Math.abs(Math.round((ratio - 1) * 100))} %`;

/** What the latest tries say of how hard this hand presses, no more than their interval holds. */
export function HowHard({ tries }: { tries: readonly KeptTry[] }) {
  const latest = tries.slice(-TOLD_OF_TRIES);
  const presses = pressRatios(latest);
  const hardness = hardnessOf(presses);
  if (!hardness) return <p className="pad-verdict soft">Three presses say how hard the hand is: start a try.</p>;
  const verdict = handVerdict(hardness);
  const of = `${counted(presses.length, 'press', 'presses')} of ${counted(latest.length, 'try', 'tries')}`;
  const between = (a: number, b: number) => `${a >= 1 ? '+' : '−'}${percent(a)} to ${b >= 1 ? '+' : '−'}${percent(b)}`;
  return (
    <p className={`pad-verdict${verdict === 'harder' || verdict === 'softer' ? ' is-told' : ''}`} role="status">
      <strong className={verdict === 'harder' ? 'worse' : ''}>
        {verdict === 'harder'
          ? `▲ You press ${percent(hardness.value)} harder than asked.`
          : verdict === 'softer'
            ? `▼ You press ${percent(hardness.value)} softer than asked.`
            : verdict === 'as-asked'
              ? 'You press as hard as asked.'
              : 'Too uneven to say how hard you press.'}
      </strong>{' '}
      <span className="soft small">
        {of}: {between(hardness.least, hardness.most)} of the middle of the aim.
      </span>
    </p>
  );
}
