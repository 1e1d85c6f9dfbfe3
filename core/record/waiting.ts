/** When somebody who waits can come. */
export const PARTS_OF_DAY = ['any', 'morning', 'afternoon', 'evening'] as const;
export type PartOfDay = (typeof PARTS_OF_DAY)[number];
export const PART_OF_DAY_NAMES: Record<PartOfDay, string> = {
  any: 'any time',
  morning: 'before 12',
  afternoon: '12 to 17',
  evening: 'from 17',
};

/** A client who waits for a time to become free; nothing of why they come. */
export interface WaitingClient {
  /** Of the record. */
  id: string;
  clientId: string;
  clientName: string;
  /** With whom; null for whoever is free. */
  practitionerId: string | null;
  /** How long the visit is to be. */
  minutes: number;
  /** 1 = Monday … 7 = Sunday; none for any. */
  weekdays: readonly number[];
  partOfDay: PartOfDay;
  /** ISO 8601: since when. */
  since: string;
}
