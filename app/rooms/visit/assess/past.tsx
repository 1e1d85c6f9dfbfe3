import type { EarlierReadings } from '../../../../core/measures';
import { useVisit } from '../session/context';

type What = Partial<Omit<EarlierReadings, 'values'>>;

/** Values of one thing at earlier visits and between them, oldest first. */
export function usePast(): (what: What) => number[] {
  const { earlier } = useVisit();
  return (what) =>
    earlier.find((r) => (Object.keys(what) as (keyof What)[]).every((key) => r[key] === what[key]))?.values ?? [];
}

/** "was 7 → 6 → 4": the course so far beside an entry, never filled in as today's. */
export function Past({ values, most = 6 }: { values: readonly number[]; most?: number }) {
  if (!values.length) return null;
  const shown = values.slice(-most);
  return (
    <span className="past soft small" title={`At earlier visits, oldest first: ${shown.join(', ')}`}>
      was {shown.join(' → ')}
    </span>
  );
}
