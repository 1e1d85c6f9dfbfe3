import { type Bodies, type BodyName, bodyOf, locateAnchor, type Vec3 } from '../drawing/index.ts';
import { drawnInches, midlineArc, type DrawnInches, type MidlineArc } from './body-inch.ts';
import type { LandmarkRow, PointRow } from './rows.ts';

/** A place of the client's left, or on the midline, in mm of its body. */
interface LocatedPlace {
  id: string;
  body: BodyName;
  mm: Vec3;
  paired: boolean;
}

export interface Located {
  /** In mm of the world, by id. */
  landmarks: ReadonlyMap<string, LocatedPlace>;
  /** In mm of the world, by id. */
  points: ReadonlyMap<string, LocatedPlace>;
  /** Length of each body-inch, in mm. */
  inches: DrawnInches;
}

/**
 * Every landmark and every point on some bodies. Points are laid off from their landmark in body-inches of these
 * very bodies, in the plane of their view, and dropped onto the skin. Leg and foot have no place.
 * @throws Error naming a row whose landmark is unknown or whose line misses the body.
 */
export function locateAll(bodies: Bodies, landmarks: readonly LandmarkRow[], points: readonly PointRow[]): Located {
  const places = new Map<string, LocatedPlace>();
  for (const row of landmarks) {
    if (!row.anchor) continue;
    const mm = locateAnchor(bodies, row.anchor);
    if (!mm) throw new Error(`${row.id}: its line misses the body`);
    places.set(row.id, { id: row.id, body: bodyOf(row.anchor), mm, paired: row.paired });
  }
  const placeOf = (id: string) => places.get(id)?.mm ?? null;
  const arc = midlineArc(bodies, placeOf);
  const inches = drawnInches(placeOf, arc);
  const crown = places.get('crown-point');
  if (crown) places.set('crown-point', { ...crown, mm: arc.at(5 / 12) });

  const located = new Map<string, LocatedPlace>();
  for (const row of points) {
    if (row.place.from === 'leg') continue;
    const from = places.get(row.place.landmark);
    if (!from) throw new Error(`${row.id}: the landmark ${row.place.landmark} is unknown or not drawn`);
    const mm = layOff(row, from.mm, bodies, inches, arc);
    if (!mm) throw new Error(`${row.id}: its line misses the body`);
    located.set(row.id, { id: row.id, body: from.body, mm, paired: row.paired });
  }
  return { landmarks: places, points: located, inches };
}

/** A point from its landmark: lateral and up in the plane of its view. */
function layOff(
  { place, region, paired }: PointRow,
  from: Vec3,
  { drop, hand }: Bodies,
  inch: DrawnInches,
  arc: MidlineArc,
): Vec3 | null {
  if (!place.cun) return from;
  const [lateral, up] = place.cun;
  const [x, y, z] = from;
  const inHair = region === 'scalp';
  if (!paired && place.landmark === 'trichion') return arc.at(up / 12);
  if (!paired && place.landmark === 'posterior-hairline') return arc.at(1 - up / 12);
  switch (place.from) {
    case 'front':
      return drop.front(
        x + lateral * (inHair ? inch.foreheadMm : inch.faceMm),
        y + up * (inHair ? inch.scalpSideMm : inch.faceMm),
      );
    case 'chest':
      return drop.front(x + lateral * inch.chestMm, y + up * inch.chestMm);
    case 'profile': {
      const unit = inHair ? inch.scalpSideMm : inch.faceMm;
      return drop.side(y + up * unit, z - lateral * unit);
    }
    case 'back':
      return drop.back(x + lateral * inch.mastoidsMm, y + up * inch.scalpMidlineMm);
    case 'top':
      return place.landmark === 'trichion'
        ? drop.above(lateral * inch.scalpSideMm, arc.at(up / 12)[2])
        : drop.above(x + lateral * inch.scalpSideMm, z - up * inch.scalpSideMm);
    case 'hand':
    case 'forearm':
      return hand.palm(x + lateral * inch.forearmMm, y - up * inch.forearmMm);
    case 'leg':
      return null;
  }
}
