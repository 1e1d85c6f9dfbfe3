import type { LocalRule, Product } from '../limits/index.ts';
import type { OwnTechnique } from '../routine/index.ts';

/** A rule of the practice's own, as it is kept. */
export interface StoredRule extends LocalRule {
  /** Of the record. */
  id: string;
  /** Counts today. */
  active: boolean;
  /** Grows with every change. */
  version: number;
}

/** A product of the practice, as it is kept. */
export interface StoredProduct extends Product {
  /** Of the record. */
  id: string;
  /** No longer offered. */
  retired: boolean;
  /** Grows with every change. */
  version: number;
}

/** A technique of the practice's own, as it is kept. */
export interface StoredTechnique {
  /** As it was written. */
  own: OwnTechnique;
  /** No longer offered. */
  retired: boolean;
  /** Grows with every change. */
  version: number;
}

/** What a check of the audit trail has found so far. */
export interface TrailCheck {
  /** Checked so far, from the first. */
  upTo: number;
  /** The first entry that does not fit; null while all do. */
  brokenAt: number | null;
  /** Nothing is left to check. */
  whole: boolean;
  /** At the end only: the signed head says the same, so that nothing was cut off. */
  headFits: boolean | null;
}

/** How a practice writes a day: "29 Nov 2026" and 14:30, "Nov 29, 2026" and 2:30 PM, or "2026-11-29" and 14:30. */
export const DATE_FORMATS = ['day-first', 'month-first', 'year-first'] as const;
export type DateFormat = (typeof DATE_FORMATS)[number];
