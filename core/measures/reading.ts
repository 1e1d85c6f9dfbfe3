import { InputError, type Side } from '../words/index.ts';
import { nrsScore } from './nrs.ts';
import { tenderness } from './tenderness.ts';

/** What a reading belongs to: the whole client, one of the two sides, a complaint, a muscle and side, or a region. */
type Belongs = 'client' | 'side' | 'complaint' | 'muscle' | 'region';

interface Measure {
  name: string;
  unit: 'of 10' | 'of 3' | 'mm' | 'kPa' | 'fingers' | 'yes or no' | 'felt';
  /** null: neither way is better, and no course is told. */
  better: 'up' | 'down' | null;
  belongs: Belongs;
  least: number;
  most: number;
}
const measure = (
  name: string,
  unit: Measure['unit'],
  better: Measure['better'],
  belongs: Belongs,
  least: number,
  most: number,
): Measure => ({ name, unit, better, belongs, least, most });

/** What can be read at a visit. Each measure says its range and which way is better, so that no screen has to know. */
export const MEASURES = {
  'nrs-now': measure('Now', 'of 10', 'down', 'complaint', 0, 10),
  'nrs-worst-week': measure('Worst, past week', 'of 10', 'down', 'complaint', 0, 10),
  'nrs-average-week': measure('Average, past week', 'of 10', 'down', 'complaint', 0, 10),
  /** All three openings include the overlap of the front teeth. */
  'opening-mm': measure('Opening, comfortable', 'mm', 'up', 'client', 0, 90),
  'opening-furthest-mm': measure('Opening, furthest alone', 'mm', 'up', 'client', 0, 90),
  'opening-assisted-mm': measure('Opening, gently helped', 'mm', 'up', 'client', 0, 90),
  'overlap-mm': measure('Overlap of the front teeth', 'mm', null, 'client', -15, 15),
  'opening-fingers': measure('Finger widths', 'fingers', 'up', 'client', 0, 4),
  'sideways-mm': measure('Sideways', 'mm', 'up', 'side', 0, 25),
  'midline-mm': measure('Lower midline off at rest', 'mm', null, 'side', 0, 10),
  'forward-mm': measure('Forward', 'mm', 'up', 'client', 0, 20),
  'overjet-mm': measure('Upper teeth in front at rest', 'mm', null, 'client', -15, 15),
  'path-off-mm': measure('Furthest off while opening', 'mm', null, 'side', 0, 20),
  'path-returns': measure('Back on the midline at full opening', 'yes or no', null, 'client', 0, 1),
  'click-opening-mm': measure('Click while opening, at', 'mm', null, 'side', 0, 90),
  'click-closing-mm': measure('Click while closing, at', 'mm', null, 'side', 0, 90),
  tenderness: measure('Tenderness', 'of 3', 'down', 'muscle', 0, 3),
  /** The press brought up the pain the client knows; after the examiner protocol of Schiffman et al. 2014. */
  'familiar-pain': measure('Your pain', 'yes or no', null, 'muscle', 0, 1),
  /** Mean of the second and third trial; the trials themselves are kept with the visit's findings. */
  'pressure-threshold': measure('Pressure threshold', 'kPa', 'up', 'muscle', 1, 2000),
  /** The scan from inside: 0 nothing noticed, 1 at ease, 2 tense. Common practice, no source. */
  'region-felt': measure('Felt from inside', 'felt', null, 'region', 0, 2),
} satisfies Record<string, Measure>;
export type MeasureKey = keyof typeof MEASURES;
export const FELT_WORDS = ['nothing noticed', 'at ease', 'tense'] as const;
export const MEASURE_KEYS = Object.keys(MEASURES) as MeasureKey[];

/** What is asked again right after the work; the rest is taken once in a visit. */
export const ASKED_AGAIN: readonly MeasureKey[] = ['nrs-now', 'opening-mm', 'opening-fingers', 'tenderness'];

/** before and after the work of a visit, or between visits. */
export const READING_PHASES = ['before', 'after', 'between'] as const;
export type ReadingPhase = (typeof READING_PHASES)[number];
export type ReadingSource = 'studio' | 'home' | 'imported';

export interface Reading {
  measure: MeasureKey;
  complaintId: string | null;
  place: string;
  side: Side;
  phase: ReadingPhase;
  value: number;
  source: ReadingSource;
  takenAt: string;
  visitId: string | null;
}

/** One thing as it was read before, oldest first. */
export interface EarlierReadings extends Pick<Reading, 'measure' | 'complaintId' | 'place' | 'side'> {
  values: number[];
}

/** @throws InputError naming `field` and what is accepted. */
export function checkedReading(key: MeasureKey, value: unknown, field = 'value'): number {
  const { unit, least, most } = MEASURES[key];
  if (unit === 'of 10') return nrsScore(value, field);
  if (unit === 'of 3') return tenderness(value, field);
  const measured = unit === 'mm' || unit === 'kPa';
  const fits =
    typeof value === 'number' &&
    Number.isFinite(value) &&
    value >= least &&
    value <= most &&
    (measured || Number.isInteger(value));
  if (!fits)
    throw new InputError(
      field,
      measured ? `${least} to ${most} ${unit} is accepted` : `a whole number from ${least} to ${most} is accepted`,
    );
  return value;
}
