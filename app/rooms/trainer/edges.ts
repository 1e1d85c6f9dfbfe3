import { type FibreDrawing, polylinesOf, skinAt, type Vec3 } from '../../../core/drawing';
import type { OneSide } from '../../../core/words';
import { referenceBodies } from '../../parts/chart/bodies';
import type { View } from '../../parts/chart/places';

/** Outlines of the muscles as they are drawn, by "id.side" and view. */
export type Outlines = Readonly<Record<string, Partial<Record<View, Pick<FibreDrawing, 'outline'>>>>>;

/** Muscles of jaw and neck whose border a finger can follow (common practice, no source). */
export const EDGE_MUSCLES: readonly string[] = [
  'masseter-superficial',
  'temporalis-anterior',
  'temporalis-middle',
  'digastric-anterior',
  'scm-sternal',
  'scm-clavicular',
  'scalenes',
  'trapezius-upper',
  'levator-scapulae',
  'splenius-capitis',
];

/** So near to each other the border is looked at, px. */
const STEP_PX = 2;
/** So many of its places that look nearest are measured over the skin. */
const MEASURED = 4;
/** Those lie at least so far apart, px. */
const APART_PX = 5;

export interface EdgeSpot {
  x: number;
  y: number;
  skin: Vec3;
}
/** The places of a border that lie nearest to a mark in a view, with the skin there; none where the view does not show it. */
export function nearEdge(
  outlines: Outlines,
  muscle: string,
  side: OneSide,
  view: View,
  x: number,
  y: number,
): EdgeSpot[] {
  const outline = outlines[`${muscle}.${side}`]?.[view]?.outline;
  if (!outline) return [];
  const spots: { x: number; y: number; away: number }[] = [];
  for (const { points, closed } of polylinesOf(outline)) {
    const round = closed ? [...points, points[0]!] : points;
    for (let i = 1; i < round.length; i++) {
      const [from, to] = [round[i - 1]!, round[i]!];
      const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / STEP_PX));
      for (let n = 0; n < steps; n++) {
        const [px, py] = [from[0] + ((to[0] - from[0]) * n) / steps, from[1] + ((to[1] - from[1]) * n) / steps];
        spots.push({ x: px, y: py, away: Math.hypot(px - x, py - y) });
      }
    }
  }
  const found: EdgeSpot[] = [];
  for (const spot of spots.sort((a, b) => a.away - b.away)) {
    if (found.length === MEASURED) break;
    if (found.some((f) => Math.hypot(f.x - spot.x, f.y - spot.y) < APART_PX)) continue;
    const skin = skinAt(referenceBodies(), view, spot.x, spot.y);
    if (skin) found.push({ x: spot.x, y: spot.y, skin });
  }
  return found;
}
