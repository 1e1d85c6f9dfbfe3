import { MEASURES, type Reading } from '../measures/index.ts';
import { InputError } from '../words/index.ts';
import { type ReadingEntry, sameReading, type VisitPatch } from './patch.ts';
import { EMPTY_RECORD, REACTION_NAMES, type VisitRecord } from './visit.ts';

/** One value of an ended visit before and after it was corrected. */
export interface Correction {
  /** What it is of, in words. */
  what: string;
  /** Empty where there was nothing. */
  before: string;
  /** Empty where it was taken away. */
  after: string;
}

/** What was added to an ended visit, or corrected in it; the record itself shows the new value. */
export interface Amendment {
  /** ISO 8601. */
  at: string;
  /** Who wrote it. */
  by: string;
  /** What was added, or why it was corrected. */
  words: string;
  /** Empty for an addition. */
  changes: Correction[];
}

const MOST_WORDS = 2000;
/** @throws InputError */
export function checkedWords(words: string, field: string): string {
  const text = words.trim();
  if (!text) throw new InputError(field, 'a few words are needed');
  if (text.length > MOST_WORDS) throw new InputError(field, `at most ${MOST_WORDS} characters are accepted`);
  return text;
}

/** May be corrected once a visit has ended: what was recorded and read. What was screened, planned and run stays. */
export const isCorrectable = (patch: VisitPatch): patch is Extract<VisitPatch, { kind: 'record' | 'readings' }> =>
  patch.kind === 'record' || patch.kind === 'readings';

const RECORD_NAMES: Record<keyof VisitRecord, string> = {
  reactions: 'Reactions',
  where: 'Where',
  note: 'Notes',
  product: 'Product used',
  tellNext: 'To tell next time',
  nextOn: 'Next visit',
  reviewOn: 'Review',
};
export const whereWords = (where: VisitRecord['where'], muscleName: (id: string) => string): string =>
  where.map((w) => `${REACTION_NAMES[w.reaction]}: ${muscleName(w.muscle)}, ${w.side}`).join('; ');
const fieldWords = (record: VisitRecord, key: keyof VisitRecord, muscleName: (id: string) => string): string =>
  key === 'reactions'
    ? record.reactions.map((r) => REACTION_NAMES[r]).join(', ')
    : key === 'where'
      ? whereWords(record.where, muscleName)
      : record[key];

/** What a change to an ended visit corrects, value by value; nothing where nothing differs. */
export function correctionsOf(
  patch: VisitPatch,
  record: VisitRecord | null,
  readings: readonly Pick<Reading, keyof ReadingEntry>[],
  nameOf: (entry: ReadingEntry) => string,
  muscleName: (id: string) => string,
): Correction[] {
  if (patch.kind === 'record') {
    const before = record ?? EMPTY_RECORD;
    return (Object.keys(RECORD_NAMES) as (keyof VisitRecord)[]).flatMap((key) => {
      const [was, is] = [fieldWords(before, key, muscleName), fieldWords(patch.record, key, muscleName)];
      return was === is ? [] : [{ what: RECORD_NAMES[key], before: was, after: is }];
    });
  }
  if (patch.kind !== 'readings') return [];
  const valueWords = (entry: ReadingEntry, value: number | null | undefined): string =>
    value === null || value === undefined ? '' : `${value} ${MEASURES[entry.measure].unit}`;
  return patch.entries.flatMap((entry) => {
    const was = readings.find((r) => sameReading(r, entry))?.value;
    return (was ?? null) === entry.value
      ? []
      : [{ what: nameOf(entry), before: valueWords(entry, was), after: valueWords(entry, entry.value) }];
  });
}
