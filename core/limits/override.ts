import { closes } from './clause.ts';
import type { Caution } from './screen.ts';

/** A practitioner's written decision to work in spite of one caution, for one visit. */
export interface Override {
  /** Key of the caution. */
  caution: string;
  /** In the practitioner’s words. */
  reason: string;
  /** Who decided. */
  signedName: string;
  /** ISO 8601. */
  signedAt: string;
}

/** Letters of a reason that is one. Our choice. */
export const REASON_LETTERS = { least: 15, most: 500 } as const;

/**
 * Whether a caution may be overridden at all. Never: red flags, what closes the whole visit, and the rules that hold
 * for everyone (closed places). Our choice, on the cautious side.
 */
export const mayBeOverridden = (caution: Caution): boolean =>
  caution.severity !== 'refer-out' &&
  caution.group !== 'red-flag' &&
  caution.group !== 'everyone' &&
  !caution.appliesTo.some((clause) => closes(clause).wholeVisit);
