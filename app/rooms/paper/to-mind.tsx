import { type Screening, toMind } from '../../../core/limits';
import type { Pressure } from '../../../core/words';
import { takenAwayBy } from '../../parts/words/caution-words';

/** What to mind with this client today, each with what it takes away. */
export function ToMind({ screening, pressureCap }: { screening: Screening; pressureCap: Pressure | null }) {
  const minded = toMind(screening);
  return (
    <>
      <h2>To mind</h2>
      {screening.mustStop && (
        <p>
          <strong>■ No hands-on work: a question was answered that is to be looked at by licensed care first.</strong>
        </p>
      )}
      {minded.length === 0 && !pressureCap && <p>Nothing was named.</p>}
      <ul>
        {pressureCap && <li>Pressure {pressureCap} at most.</li>}
        {minded.map((c) => (
          <li key={c.key}>
            <strong>{c.title}</strong>: {takenAwayBy(c)}.
          </li>
        ))}
      </ul>
    </>
  );
}
