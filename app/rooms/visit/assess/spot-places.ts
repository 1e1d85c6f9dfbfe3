import { pinAt, spotPx, type TightSpot } from '../../../../core/record';
import type { View } from '../../../../core/drawing';
import { LANDMARKS } from '../../../../reference/facts/landmarks';
import { POINTS } from '../../../../reference/facts/points';
import type { PinnedSpot } from '../../../parts/chart/finding-layers';
import { places, type PlaceTable } from '../../../parts/chart/places';

/** Places a pin is measured from: bony landmarks and points, which are drawn in every fitted head too. */
const ANCHORS = Object.keys(places).filter((key) => /^(landmark|point):/.test(key));
const NAMES = new Map<string, string>([
  ...LANDMARKS.map((l) => [`landmark:${l.id}`, l.name] as const),
  ...POINTS.map((p) => [`point:${p.id}`, p.id] as const),
]);

/** "Zygion, left". */
export function anchorName(key: string): string {
  const dot = key.lastIndexOf('.');
  const side = key.slice(dot + 1);
  return `${NAMES.get(key.slice(0, dot)) ?? key.slice(0, dot)}${side === 'midline' ? '' : `, ${side}`}`;
}

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

/** The pins of a view, where they are drawn; one whose anchor is not seen there has none. */
export const pinsIn = (view: View, spots: readonly TightSpot[], table: PlaceTable = places): PinnedSpot[] =>
  spots.flatMap((s, i) => {
    const anchor = s.view === view ? table[s.anchor]?.views[view] : null;
    return anchor ? [{ id: s.id, ...spotPx(s, anchor), tenderness: s.tenderness, number: i + 1 }] : [];
  });
