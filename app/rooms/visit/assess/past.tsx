import type { EarlierReadings } from '../../../../core/measures';
import { useVisit } from '../session/context';

type What = Partial<Omit<EarlierReadings, 'values' | 'first'>>;
const matches = (r: EarlierReadings, what: What): boolean =>
  (Object.keys(what) as (keyof What)[]).every((key) => r[key] === what[key]);

/** Values of one thing at earlier visits and between them, oldest first. */
export function usePast(): (what: What) => number[] {
  const { earlier } = useVisit();
  return (what) => earlier.find((r) => matches(r, what))?.values ?? [];
}

/** The very first value of one thing, however long ago; undefined where it was never read before. */
export function useFirst(): (what: What) => number | undefined {
  const { earlier } = useVisit();
  return (what) => earlier.find((r) => matches(r, what))?.first;
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
