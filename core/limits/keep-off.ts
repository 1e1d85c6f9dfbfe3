import type { PlaceRef } from '../words/index.ts';
import type { Screening } from './screen.ts';

export interface KeepOffPlace {
  place: PlaceRef;
  /** Title of the caution that closes it. */
  why: string;
}

const PLACE_TERMS: ReadonlySet<string> = new Set(['region', 'point', 'muscle']);

/**
 * Places that nothing may touch today: bans whose clause names places and nothing else. A ban that depends on
 * pressure, tool or technique closes no place and is left to the checks of each step.
 */
export function keepOffPlaces(screening: Screening): KeepOffPlace[] {
  const out = new Map<string, KeepOffPlace>();
  for (const { clause, effect, caution } of screening.limits) {
    if (effect !== 'ban' || !clause.every((t) => PLACE_TERMS.has(t.kind))) continue;
    for (const term of clause)
      for (const id of term.values) {
        const place: PlaceRef = { kind: term.kind as PlaceRef['kind'], id };
        out.set(`${place.kind}:${id}`, { place, why: caution.title });
      }
  }
  return [...out.values()];
}
