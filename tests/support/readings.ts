import type { Reading } from '../../core/measures/index.ts';

/** A reading in the studio before the work, of nothing in particular but what is said. */
export const readingOf = (measure: Reading['measure'], value: number, over: Partial<Reading> = {}): Reading => ({
  measure,
  complaintId: null,
  place: '',
  side: 'midline',
  phase: 'before',
  value,
  source: 'studio',
  takenAt: '',
  visitId: null,
  ...over,
});
