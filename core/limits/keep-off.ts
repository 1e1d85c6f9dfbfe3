import type { OneSide, PlaceRef, Region } from '../words/index.ts';
import { placesOf } from './clause.ts';
import type { Screening } from './screen.ts';

export interface KeepOffPlace {
  /** What is closed. */
  place: PlaceRef;
  /** Closed on this side, and on the midline; null: on both. */
  side: OneSide | null;
  /** Title of the caution that closes it there: two sides may have two. */
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
        out.set(`${place.kind}:${place.id}:${side ?? 'both'}`, { place, side, why: caution.title });
      }
  return [...out.values()];
}
