import { type MeasureKey, MEASURES, openingChange, type Reading } from '../measures/index.ts';
import type { Side } from '../words/index.ts';

/** First and latest reading of one measure at one place and side, and what the difference is worth. */
export interface ReadingPair {
  measure: MeasureKey;
  place: string;
  side: Side;
  first: number;
  now: number;
  change: number;
  direction: 'better' | 'worse' | 'same';
  meaning: string;
}

const OPENING_MEANING = {
  'within-error': 'within the test’s own error (5 mm)',
  possible: 'a possible change (5 to 9 mm)',
  'beyond-error': 'more than the test’s own error (9 mm)',
} as const;

/** Only readings taken before the work are compared: those after it show the visit, not the course. Oldest first. */
export function readingPairs(readings: readonly Reading[]): ReadingPair[] {
  const series = new Map<string, Reading[]>();
  for (const r of readings) {
    const { belongs, better } = MEASURES[r.measure];
    if (belongs === 'complaint' || better === null || r.phase === 'after') continue;
    const key = `${r.measure}|${r.place}|${r.side}`;
    series.set(key, [...(series.get(key) ?? []), r]);
  }
  return [...series.values()]
    .filter((s) => s.length >= 2)
    .map((s) => {
      const { measure, place, side, value: first } = s[0]!;
      const now = s[s.length - 1]!.value;
      const change = now - first;
      const up = MEASURES[measure].better === 'up';
      const direction = change === 0 ? 'same' : change > 0 === up ? 'better' : 'worse';
      return {
        measure,
        place,
        side,
        first,
        now,
        change,
        direction,
        meaning: meaningOf(measure, place, first, now),
      } as const;
    });
}

/** Smallest detectable change of a pressure threshold in kPa (Walton et al. JOSPT 2011;41:644–650; from memory). */
const THRESHOLD_ERROR_KPA: Readonly<Record<string, number>> = { 'trapezius-upper': 47 };

function thresholdMeaning(place: string, first: number, now: number): string {
  const percent = `${Math.abs(Math.round(((now - first) / first) * 100))} % ${now < first ? 'less' : 'more'} than at first`;
  const error = THRESHOLD_ERROR_KPA[place];
  if (error === undefined) return `${percent}; no error figure is known here`;
  return `${percent}; ${Math.abs(now - first) < error ? 'within' : 'more than'} the measure’s own error (${error} kPa)`;
}

function meaningOf(measure: MeasureKey, place: string, first: number, now: number): string {
  if (measure === 'pressure-threshold') return thresholdMeaning(place, first, now);
  if (measure.startsWith('opening-') && MEASURES[measure].unit === 'mm')
    return OPENING_MEANING[openingChange(first, now)];
  if (measure === 'opening-fingers') return 'by count, coarse; the ruler tells more';
  if (MEASURES[measure].unit === 'mm') return 'no error figure is known for this';
  // One grade is as much as two examiners differ by (our choice); two grades are called a change.
  return Math.abs(now - first) >= 2 ? 'two grades or more' : now === first ? 'unchanged' : 'one grade, may be chance';
}
