import { InputError } from '../errors.ts';
import type { Side } from '../units.ts';
import { nrsScore } from './nrs.ts';
import { tenderness } from './tenderness.ts';

/** What a reading belongs to: the whole client, one of the two sides, a complaint, or a muscle and side. */
export type Belongs = 'client' | 'side' | 'complaint' | 'muscle';

interface Measure {
  name: string;
  unit: 'of 10' | 'of 3' | 'mm' | 'fingers' | 'yes or no';
  /** null: neither way is better, and no course is told. */
  better: 'up' | 'down' | null;
  belongs: Belongs;
  least: number;
  most: number;
}
const measure = (name: string, unit: Measure['unit'], better: Measure['better'], belongs: Belongs, least: number, most: number): Measure => ({ name, unit, better, belongs, least, most });

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
} satisfies Record<string, Measure>;
export type MeasureKey = keyof typeof MEASURES;
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

/** @throws InputError naming `field` and what is accepted. */
export function checkedReading(key: MeasureKey, value: unknown, field = 'value'): number {
  const { unit, least, most } = MEASURES[key];
  if (unit === 'of 10') return nrsScore(value, field);
  if (unit === 'of 3') return tenderness(value, field);
  const fits = typeof value === 'number' && Number.isFinite(value) && value >= least && value <= most && (unit === 'mm' || Number.isInteger(value));
  if (!fits) throw new InputError(field, unit === 'mm' ? `${least} to ${most} mm is accepted` : `a whole number from ${least} to ${most} is accepted`);
  return value;
}
