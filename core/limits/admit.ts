import { mapSteps, pressed, stepsOf, type Catalogue, type Routine, type Step } from '../routine/index.ts';
import { lighterOf, pressureRank, type Pressure } from '../words/index.ts';
import { breachesOf } from './breaches.ts';
import { type Screening } from './screen.ts';
import { onOneSide } from './sides.ts';

/** Why a step may not be there at any pressure; null when it may. */
const outrightBan = (step: Step, screening: Screening, catalogue: Catalogue): string | null =>
  breachesOf(step, screening, catalogue).find((b) => b.effect === 'ban' && b.lowerTo === null)?.reason ?? null;

/**
 * The first step of `next` that screening bans outright and that `before` did not already hold as such. A step that was
 * banned only after it was added stays until somebody takes it out; adding one is never possible.
 */
export function newlyBanned(
  next: Routine,
  before: Routine | null,
  screening: Screening,
  catalogue: Catalogue,
): { step: Step; reason: string } | null {
  for (const step of stepsOf(next)) {
    const reason = outrightBan(step, screening, catalogue);
    if (!reason) continue;
    const known = before && stepsOf(before).find((s) => s.id === step.id && s.technique === step.technique);
    if (!(known && outrightBan(known, screening, catalogue))) return { step, reason };
  }
  return null;
}

export interface Admitted {
  /** As it may be done. */
  step: Step;
  /** Why it was made lighter or put on one side; null when it was not. */
  lowered: string | null;
}

/** A step as it may be done: unchanged, lighter or on the free side with the reason, or null with the ban that no pressure lifts. */
export function admit(step: Step, screening: Screening, catalogue: Catalogue): Admitted | { step: null; ban: string } {
  const bans = breachesOf(step, screening, catalogue).filter((b) => b.effect === 'ban');
  const outright = bans.filter((b) => b.lowerTo === null);
  const free = outright[0]?.freeSide;
  if (free && outright.every((b) => b.freeSide === free)) {
    const one = admit(onOneSide(step, free), screening, catalogue);
    return one.step ? { step: one.step, lowered: `client’s ${free} only: ${outright[0]!.reason}` } : one;
  }
  if (outright[0]) return { step: null, ban: outright[0].reason };
  const lowest = bans.map((b) => b.lowerTo!).reduce<Pressure | null>((a, b) => (a ? lighterOf(a, b) : b), null);
  if (!lowest || !step.pressure || pressureRank(lowest) > pressureRank(step.pressure.there))
    return { step, lowered: null };
  const lighter = admit({ ...step, pressure: pressed(lowest) }, screening, catalogue);
  return lighter.step
    ? { step: lighter.step, lowered: `${lighter.step.pressure!.there} at most: ${bans[0]!.reason}` }
    : lighter;
}

/** A template as this client may have it: what is banned left out, what is too hard lowered, both told by name. */
export function admitRoutine(
  routine: Routine,
  screening: Screening,
  catalogue: Catalogue,
): { routine: Routine; leftOut: string[]; lowered: string[] } {
  const leftOut: string[] = [];
  const lowered: string[] = [];
  const admitted = mapSteps(routine, (step) => {
    const name = step.label ?? catalogue.techniques.get(step.technique)?.name ?? step.technique;
    const result = admit(step, screening, catalogue);
    if (!result.step) leftOut.push(name);
    else if (result.lowered) lowered.push(name);
    return result.step;
  });
  return { routine: admitted, leftOut, lowered };
}
