import { closes } from './clause.ts';
import { effectOf } from './effect.ts';
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
 * Whether a caution may be overridden at all. Never: red flags, what closes the whole visit, the rules that hold for
 * everyone, and what is final in every clause that takes something away. Our choice, on the cautious side.
 */
export function mayBeOverridden({ severity, group, appliesTo }: Caution): boolean {
  if (severity === 'refer-out' || group === 'red-flag' || group === 'everyone') return false;
  const bans = appliesTo.filter((clause) => effectOf(severity, clause) === 'ban');
  return !bans.some((clause) => closes(clause).wholeVisit) && bans.some((clause) => !clause.final);
}
