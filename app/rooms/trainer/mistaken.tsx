import { counted } from '../../../core/words';
import { nameOfKey } from './questions';

/** Which places are taken for which others most often. */
export function Mistaken({ answers }: { answers: readonly { place: string; takenFor: string | null }[] }) {
  const pairs = new Map<string, number>();
  for (const a of answers)
    if (a.takenFor) pairs.set(`${a.place} ${a.takenFor}`, (pairs.get(`${a.place} ${a.takenFor}`) ?? 0) + 1);
  const most = [...pairs].sort((a, b) => b[1] - a[1]).slice(0, 5);
  if (!most.length)
    return <p className="soft small">Nothing yet: a mark that lies nearer to a neighbour is listed here.</p>;
  return (
    <ul className="plain-list">
      {most.map(([pair, count]) => {
        const [place, other] = pair.split(' ') as [string, string];
        return (
          <li key={pair}>
            {nameOfKey(`${place}.`)} for {nameOfKey(other)} <span className="soft">{counted(count, 'time')}</span>
          </li>
        );
      })}
    </ul>
  );
}
