import { MEASURES, type MeasureKey } from '../../../core/measures';
import type { ValuePair } from '../../../core/relief';
import { roundHalfAway } from '../../../core/words';
import { MUSCLES } from '../../../reference/facts/muscles';

/** What was measured at the first visit and now. */
export function PairTable({ pairs }: { pairs: readonly ValuePair[] }) {
  if (pairs.length === 0) return null;
  return (
    <table className="table">
      <thead>
        <tr>
          <th scope="col">Measured</th>
          <th scope="col">First</th>
          <th scope="col">Now</th>
          <th scope="col">Change</th>
          <th scope="col">What it means</th>
        </tr>
      </thead>
      <tbody>
        {pairs.map((p) => (
          <PairRow key={`${p.measure}-${p.place}-${p.side}`} pair={p} />
        ))}
      </tbody>
    </table>
  );
}

/** "Masseter, left", "Sideways, right". */
function pairName(pair: ValuePair): string {
  const muscle = MUSCLES.find((m) => m.id === pair.place);
  const sided = Object.hasOwn(MEASURES, pair.measure) && MEASURES[pair.measure as MeasureKey].belongs === 'side';
  return muscle
    ? `${muscle.name}, ${pair.side}${pair.measure === 'tenderness' ? '' : `, ${pair.name.toLowerCase()}`}`
    : sided
      ? `${pair.name}, ${pair.side}`
      : pair.name;
}

const unitOf = (pair: ValuePair): string => (pair.unit === 'mm' || pair.unit === 'kPa' ? ` ${pair.unit}` : '');
/** Past its own error and, as far as that is known, enough to matter. */
const isTold = (pair: ValuePair): boolean => pair.told === 'better' || pair.told === 'worse';

/** What was measured, in short: what has changed as a table, the rest in one sentence. */
export function PairsInShort({ pairs }: { pairs: readonly ValuePair[] }) {
  const rest = pairs.filter((p) => !isTold(p));
  return (
    <div className="pairs-in-short">
      <PairTable pairs={pairs.filter(isTold)} />
      {rest.length > 0 && (
        <p>
          Unchanged, inside its own error, or of an error that nobody knows:{' '}
          {rest
            .map(
              (p) =>
                `${pairName(p)} ${roundHalfAway(p.first, 1)}${p.change ? ` to ${roundHalfAway(p.now, 1)}` : ''}${unitOf(p)}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </div>
  );
}

function PairRow({ pair }: { pair: ValuePair }) {
  const unit = unitOf(pair);
  // Inside its own error a change has no way.
  const arrow = isTold(pair) ? (pair.change > 0 ? '▲' : '▼') : '';
  const sign = !arrow && pair.change ? (pair.change > 0 ? '+' : '−') : '';
  return (
    <tr>
      <td className="fw-bold">{pairName(pair)}</td>
      <td className="num">
        {roundHalfAway(pair.first, 1)}
        {unit}
      </td>
      <td className="num">
        {roundHalfAway(pair.now, 1)}
        {unit}
      </td>
      <td className={`num ${isTold(pair) ? pair.told : ''}`}>
        {arrow} {sign}
        {roundHalfAway(Math.abs(pair.change), 1) || '–'}
        {pair.change ? unit : ''} <span className="visually-hidden">{isTold(pair) ? pair.told : ''}</span>
      </td>
      <td>{pair.meaning}</td>
    </tr>
  );
}
