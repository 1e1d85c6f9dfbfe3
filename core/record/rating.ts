/** A rating of a complaint now, taken between visits: who said it, when, and who wrote it down. */
export interface KeptRating {
  /** Of the record. */
  id: string;
  complaintId: string;
  /** 0–10. */
  value: number;
  /** ISO 8601. */
  at: string;
  source: 'home' | 'telephone' | 'studio' | 'imported';
  /** Who wrote it down; null where the client did. */
  by: string | null;
}

export const RATING_SOURCES = ['home', 'telephone', 'studio'] as const;
export const RATING_SOURCE_NAMES: Readonly<Record<KeptRating['source'], string>> = {
  home: 'at home',
  telephone: 'by telephone',
  studio: 'in the studio',
  imported: 'from another record',
};
