import { InputError } from '../errors.ts';
import type { Side } from '../units.ts';
import { nrsScore } from './nrs.ts';
import { tenderness } from './tenderness.ts';

/**
 * What can be read at a visit. Each measure says its range and which way is better, so that no screen has to know.
 * `perComplaint` readings belong to a complaint, `perPlace` readings to a muscle and side.
 */
export const MEASURES = {
  'nrs-now': { name: 'Now', unit: 'of 10', better: 'down', perComplaint: true, perPlace: false },
  'nrs-worst-week': { name: 'Worst, past week', unit: 'of 10', better: 'down', perComplaint: true, perPlace: false },
  'nrs-average-week': { name: 'Average, past week', unit: 'of 10', better: 'down', perComplaint: true, perPlace: false },
  'opening-mm': { name: 'Opening, comfortable', unit: 'mm', better: 'up', perComplaint: false, perPlace: false },
  'opening-fingers': { name: 'Finger widths', unit: 'fingers', better: 'up', perComplaint: false, perPlace: false },
  tenderness: { name: 'Tenderness', unit: 'of 3', better: 'down', perComplaint: false, perPlace: true },
} as const;
export type MeasureKey = keyof typeof MEASURES;
export const MEASURE_KEYS = Object.keys(MEASURES) as MeasureKey[];

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
export function checkedReading(measure: MeasureKey, value: unknown, field = 'value'): number {
  if (measure === 'tenderness') return tenderness(value, field);
  if (measure === 'opening-mm') {
    if (typeof value !== 'number' || !Number.isFinite(value) || value < 0 || value > 90) throw new InputError(field, '0 to 90 mm is accepted');
    return value;
  }
  if (measure === 'opening-fingers') {
    if (typeof value !== 'number' || !Number.isInteger(value) || value < 0 || value > 4) throw new InputError(field, 'a whole number from 0 to 4 is accepted');
    return value;
  }
  return nrsScore(value, field);
}
