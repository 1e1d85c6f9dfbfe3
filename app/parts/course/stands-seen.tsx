import { wilson } from '../../../core/measures';
import type { Stands } from '../../../core/record';

/** How the complaints of some clients stand: counts with their intervals, never a share of a handful. */
export function StandsSeen({ clients, stands }: { clients: number; stands: Stands | null }) {
  if (!stands) return <span className="soft">{clients ? 'too few to tell' : 'not used yet'}</span>;
  const { of, better, worse, same } = stands;
  const untold = of - better - worse - same;
  const share = (n: number) => {
    const { low, high } = wilson(n, of)!;
    return ` (${Math.round(low * 100)} to ${Math.round(high * 100)} %)`;
  };
  return (
    <>
      {better > 0 && (
        <div className="better">
          ↓ {better} of {of} better
          {share(better)}
        </div>
      )}
      {worse > 0 && (
        <div className="worse">
          ↑ {worse} of {of} worse
          {share(worse)}
        </div>
      )}
      {same > 0 && (
        <div className="soft">
          {same} of {of} about the same
        </div>
      )}
      {untold > 0 && (
        <div className="soft">
          {untold} of {of} cannot be told
        </div>
      )}
    </>
  );
}
