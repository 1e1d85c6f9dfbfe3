import { InputError } from '../errors.ts';
import { isWholeVisit, parseAppliesTo } from './grammar.ts';
import type { Caution } from './screen.ts';

/** A practitioner's written decision to work in spite of one caution, for one visit. */
export interface Override {
  /** Key of the caution. */
  caution: string;
  reason: string;
  signedName: string;
  signedAt: string;
}

export const REASON_LETTERS = { least: 15, most: 500 } as const;

/**
 * Whether a caution may be overridden at all. Never: red flags, what closes the whole visit, and the rules that hold
 * for everyone (closed places). Our choice, on the cautious side.
 */
export const mayBeOverridden = (caution: Caution): boolean =>
  caution.severity !== 'refer-out' && caution.group !== 'red-flag' && caution.group !== 'everyone' && !parseAppliesTo(caution.appliesTo).some(isWholeVisit);

/** @throws InputError when the reason is too short to be one, or too long. */
export function checkedReason(value: unknown): string {
  const reason = typeof value === 'string' ? value.trim() : '';
  if (reason.length < REASON_LETTERS.least || reason.length > REASON_LETTERS.most) throw new InputError('reason', `a reason of ${REASON_LETTERS.least} to ${REASON_LETTERS.most} letters is accepted`);
  return reason;
}
