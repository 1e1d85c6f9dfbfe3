import type { OneSide, PlaceRef, Region } from '../words/index.ts';
import { placesOf } from './clause.ts';
import type { Screening } from './screen.ts';

export interface KeepOffPlace {
  /** What is closed. */
  place: PlaceRef;
  /** Closed on this side, and on the midline; null: on both. */
  side: OneSide | null;
  /** Title of the caution that closes it. */
  why: string;
}

/**
 * Places that nothing may touch today: what a ban closes for all work. A ban that depends on pressure, tool or kind of
 * work closes no place and is left to the checks of each step.
 */
export function keepOffPlaces(
  screening: Screening,
  { regionOf }: { regionOf: (place: PlaceRef) => Region | null },
): KeepOffPlace[] {
  const out = new Map<string, KeepOffPlace>();
  for (const { clause, effect, caution } of screening.limits)
    if (effect === 'ban')
      for (const place of placesOf(clause, regionOf)) {
        const side = clause.bothSides ? null : (screening.sides[caution.key] ?? null);
        const key = `${place.kind}:${place.id}`;
        const before = out.get(key);
        // Closed for two reasons, each on its side, is closed on both.
        if (before && (before.side === null || before.side !== side)) out.set(key, { ...before, side: null });
        else out.set(key, { place, side, why: caution.title });
      }
  return [...out.values()];
}
