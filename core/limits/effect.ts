import { closes, type Clause } from './clause.ts';
import type { Severity } from './screen.ts';

/** What a clause does: takes away, asks for care, or is told. */
export type Effect = 'ban' | 'warn' | 'note';

/**
 * What a clause of a caution does where it says nothing itself: refer-out and avoid ban what they apply to; adapt bans
 * only what is too hard (a clause with a pressure) and warns otherwise; adapt and note for the whole visit are advice.
 */
export function effectOf(severity: Severity, clause: Clause): Effect {
  if (clause.effect) return clause.effect === 'stop' ? 'ban' : clause.effect;
  if (clause.cap) return 'ban';
  const { wholeVisit, pressures } = closes(clause);
  if (severity === 'refer-out' || severity === 'avoid') return 'ban';
  if (severity === 'note') return pressures ? 'warn' : 'note';
  if (wholeVisit) return 'note';
  return pressures ? 'ban' : 'warn';
}
