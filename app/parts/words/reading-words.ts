import { FELT_WORDS, MEASURES, type Reading } from '../../../core/measures';
import type { Complaint } from '../../../core/record';
import { complaintName } from '../../../core/words';
import { PLACE_INDEX } from '../../../reference/place-index';

type Of = Pick<Reading, 'measure' | 'complaintId' | 'place' | 'side'>;

/** Where or what a reading is of: the muscle, the region or the complaint, with its side; a measure of a side says that. */
export function placeWords(r: Of, complaints: readonly Complaint[]): string {
  const complaint = complaints.find((c) => c.id === r.complaintId);
  const of = complaint ? complaintName(complaint) : '';
  const kind = MEASURES[r.measure].belongs === 'region' ? 'region' : 'muscle';
  const place = r.place && PLACE_INDEX.placeName({ kind, id: r.place });
  // The name of a complaint says its side already.
  const side = !of && (r.side === 'left' || r.side === 'right') ? r.side : '';
  return [place || of, side].filter(Boolean).join(' ');
}

/** What a reading is, as short as it can be: its place, or where that says too little its measure too. */
export function readingWords(r: Of, complaints: readonly Complaint[]): string {
  const where = placeWords(r, complaints);
  return r.place || r.complaintId ? where : [MEASURES[r.measure].name, where].filter(Boolean).join(' ');
}

/** A value of a reading with its unit: "31 mm", "7 of 10", "tense". */
export function valueWords({ measure }: Pick<Reading, 'measure'>, value: number): string {
  const { unit } = MEASURES[measure];
  if (unit === 'felt') return FELT_WORDS[value] ?? String(value);
  if (unit === 'yes or no') return value ? 'yes' : 'no';
  return `${value} ${unit}`;
}
