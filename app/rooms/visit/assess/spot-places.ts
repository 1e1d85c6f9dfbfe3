import { pinAt, spotPx, type TightSpot } from '../../../../core/record';
import { type Bodies, flatViewOf, skinAt, spotOfSkin, type View } from '../../../../core/drawing';
import type { PinnedSpot } from '../../../parts/chart/finding-layers';
import { places, type PlaceTable } from '../../../parts/chart/places';

/** Places a pin is measured from: bony landmarks and points, which are drawn in every fitted head too. */
const ANCHORS = Object.keys(places).filter((key) => /^(landmark|point):/.test(key));

/** Whether a pin can be drawn: one of an earlier chart may be measured from what is drawn no longer. */
export const isDrawn = (spot: TightSpot): boolean => !!places[spot.anchor]?.views[spot.view];

export function pinOn(
  view: View,
  x: number,
  y: number,
  table: PlaceTable = places,
): Pick<TightSpot, 'anchor' | 'rightMm' | 'downMm'> | null {
  return pinAt(
    x,
    y,
    ANCHORS.flatMap((key) => (table[key]?.views[view] ? [{ key, ...table[key].views[view] }] : [])),
  );
}

/**
 * A tap on any view as a pin: what is told in mm is kept in a flat view, where a mm is a mm. A tap on the opened face
 * goes to the view that looks squarely at the place.
 */
export function pinFrom(
  view: View,
  x: number,
  y: number,
  bodies: () => Bodies,
  table: PlaceTable = places,
): Pick<TightSpot, 'view' | 'anchor' | 'rightMm' | 'downMm'> | null {
  if (view !== 'opened') {
    const at = pinOn(view, x, y, table);
    return at && { view, ...at };
  }
  const skin = skinAt(bodies(), view, x, y);
  const flat = skin && flatViewOf(bodies(), skin);
  const at = flat && pinOn(flat.view, flat.spot.x, flat.spot.y, table);
  return at ? { view: flat.view, ...at } : null;
}

/** The pins of a view, where they are drawn: those of another view too, where their place of the skin is seen. */
export const pinsIn = (
  view: View,
  spots: readonly TightSpot[],
  bodies: () => Bodies,
  table: PlaceTable = places,
): PinnedSpot[] =>
  spots.flatMap((s, i) => {
    const anchor = table[s.anchor]?.views[s.view];
    if (!anchor) return [];
    const own = spotPx(s, anchor);
    const skin = s.view === view ? null : skinAt(bodies(), s.view, own.x, own.y);
    const at = s.view === view ? own : skin && spotOfSkin(bodies(), view, skin);
    return at ? [{ id: s.id, ...at, tenderness: s.tenderness, number: i + 1 }] : [];
  });
