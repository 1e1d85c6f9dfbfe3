import {
  changeVerdict,
  type ChangeVerdict,
  changeWords,
  measureOf,
  MEASURES,
  readingKey,
  type MeasureKey,
  type MeasureRow,
  type Reading,
} from '../measures/index.ts';
import type { TakenScore } from '../record/index.ts';
import type { Side } from '../words/index.ts';

/** First and latest value of one measure at one place and side, and what the difference is worth. */
export interface ValuePair {
  /** Id in the registry. */
  measure: string;
  /** Of the measure. */
  name: string;
  /** Of the measure. */
  unit: string;
  /** Muscle or region; empty where the measure has no place. */
  place: string;
  /** The client’s. */
  side: Side;
  /** The first value. */
  first: number;
  /** The latest value. */
  now: number;
  /** Latest less first. */
  change: number;
  /** Better or worse only where it is more than the measure’s own error and as much as matters, as far as either is known. */
  told: ChangeVerdict;
  /** Whether that is more than error and enough to matter, with the figure and its source. */
  meaning: string;
}

function pairOf(row: MeasureRow, first: number, now: number, place: string, side: Side): ValuePair {
  const { id, name, unit } = row;
  const change = now - first;
  return {
    measure: id,
    name,
    unit,
    place,
    side,
    first,
    now,
    change,
    told: changeVerdict(row, first, now, place),
    meaning: meaningOf(row, first, now, place),
  };
}

function meaningOf(row: MeasureRow, first: number, now: number, place: string): string {
  const words = changeWords(row, first, now, place);
  // A threshold is told in per cent as well: its size differs widely between people.
  if (row.id !== 'pressure-threshold' || now === first) return words;
  return `${Math.abs(Math.round(((now - first) / first) * 100))} % ${now < first ? 'less' : 'more'} than at first; ${words}`;
}

/** Only readings taken before the work are compared: those after it show the visit, not the course. Oldest first. */
export function readingPairs(readings: readonly Reading[]): ValuePair[] {
  const series = new Map<string, Reading[]>();
  for (const r of readings) {
    const { belongs, better } = MEASURES[r.measure];
    if (belongs === 'complaint' || better === null || r.phase === 'after') continue;
    const key = readingKey(r);
    const so = series.get(key);
    if (so) so.push(r);
    else series.set(key, [r]);
  }
  return [...series.values()]
    .filter((s) => s.length >= 2)
    .map((s) => {
      const { measure, place, side, value } = s[0]!;
      return pairOf(MEASURES[measure satisfies MeasureKey], value, s[s.length - 1]!.value, place, side);
    });
}

/** First and latest score of every questionnaire that was scored twice. Oldest first. */
export function scorePairs(scores: readonly TakenScore[]): ValuePair[] {
  const series = new Map<string, number[]>();
  for (const { measure, value } of scores)
    if (value !== null) series.set(measure, [...(series.get(measure) ?? []), value]);
  return [...series].flatMap(([measure, values]) => {
    const def = measureOf(measure);
    return def && values.length >= 2 ? [pairOf(def, values[0]!, values[values.length - 1]!, '', 'midline')] : [];
  });
}
