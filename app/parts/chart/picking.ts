import { REGIONS, type Region } from '../../../core/words';
import type { Place, Spot } from './places';

export interface Pickable {
  place: Place;
  name: string;
  /** Where it lies: places are gone through region by region. */
  region: Region | null;
  /** Said after the name, for example the value it has now. */
  state?: string;
  /** Off limits today. */
  off?: boolean;
  /** A second line under the name. */
  more?: string;
}
export type Spotted = Pickable & Spot & { key: string };

/** How near a pointer comes to a place to mean it, in px on the screen: half of 24, half of 44. */
export const REACH_PX = { fine: 12, coarse: 22 } as const;
/** Two places whose distances differ by less are not told apart by a finger. */
const UNSURE_PX = 8;
/** On its own drawing a muscle counts as near as this, so that a point upon it can still be meant. */
const ON_DRAWING = 0.5;
/** A choice of more than these is no help. */
const MOST_CHOICES = 4;

/**
 * The places that a pointer means, the nearest first: one, or a few between which a finger cannot tell. All in px of the
 * sheet; `unit` is sheet px per px on the screen.
 */
export function meant(
  spots: readonly Spotted[],
  at: Spot,
  { unit, coarse, isOn }: { unit: number; coarse: boolean; isOn: (spot: Spotted) => boolean },
): Spotted[] {
  const reach = REACH_PX[coarse ? 'coarse' : 'fine'] * unit;
  const near = spots
    .map((spot) => {
      const away = Math.hypot(spot.x - at.x, spot.y - at.y);
      return { spot, away: away > ON_DRAWING * reach && isOn(spot) ? ON_DRAWING * reach : away, middle: away };
    })
    .filter(({ away }) => away <= reach)
    .sort((a, b) => a.away - b.away || a.middle - b.middle);
  const [first] = near;
  if (!first) return [];
  return coarse
    ? near
        .filter(({ away }) => away - first.away < UNSURE_PX * unit)
        .slice(0, MOST_CHOICES)
        .map(({ spot }) => spot)
    : [first.spot];
}

const SIDES = ['right', 'midline', 'left'] as const;

/** Region by region from the forehead down, in each the client’s right, the middle, the left, and from above. */
export function inOrder(spots: readonly Spotted[]): Spotted[] {
  const rank = (s: Spotted) => [s.region ? REGIONS.indexOf(s.region) : REGIONS.length, SIDES.indexOf(s.place.side)];
  return [...spots].sort((a, b) => {
    const [ra, sa] = rank(a);
    const [rb, sb] = rank(b);
    return ra! - rb! || sa! - sb! || a.y - b.y || a.x - b.x;
  });
}

/** The next place whose name begins with what was typed, going round from the one that has the focus. */
export function jumpTo(spots: readonly Spotted[], from: string, typed: string): Spotted | null {
  const at = spots.findIndex((s) => s.key === from);
  // One letter again goes on to the next of them; more letters may still mean this one.
  const start = typed.length > 1 ? at : at + 1;
  const round = [...spots.slice(start), ...spots.slice(0, start)];
  return round.find((s) => s.name.toLowerCase().startsWith(typed.toLowerCase())) ?? null;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Where a key leads from a place: arrows to the nearest one in their direction, Page keys along the order, Home and End to its ends. */
export function stepFrom(spots: readonly Spotted[], from: Spotted, key: string): Spotted | null {
  const at = spots.findIndex((s) => s.key === from.key);
  if (key === 'Home') return spots[0] ?? null;
  if (key === 'End') return spots.at(-1) ?? null;
  if (key === 'PageDown') return spots[at + 1] ?? null;
  if (key === 'PageUp') return spots[at - 1] ?? null;
  const step = STEPS[key];
  if (!step) return null;
  const [dx, dy] = step;
  const ahead = spots
    .filter((s) => s.key !== from.key)
    .map((s) => ({
      s,
      along: (s.x - from.x) * dx + (s.y - from.y) * dy,
      aside: Math.abs((s.x - from.x) * dy) + Math.abs((s.y - from.y) * dx),
    }))
    .filter((c) => c.along > 0.5)
    .sort((a, b) => a.along + 2 * a.aside - (b.along + 2 * b.aside));
  return ahead[0]?.s ?? null;
}
