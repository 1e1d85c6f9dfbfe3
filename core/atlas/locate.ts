import { asFarAsTheBodyGoes, type Bodies, type BodyName, bodyOf, locateAnchor, type Vec3 } from '../drawing/index.ts';
import { midlineArc, outAlongForehead, type InchesMm, type MidlineArc } from './body-inch.ts';
import { inchesOf } from './distance.ts';
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
}

/**
 * Every landmark and every point on some bodies. Points are laid off from their landmark in body-inches, in the plane
 * of their view, and dropped onto the skin. Leg and foot have no place.
 * @param inches Those that the words tell: a point is drawn where it is told.
 * @throws Error naming a row whose landmark is unknown or whose line misses the body.
 */
export function locateAll(
  bodies: Bodies,
  landmarks: readonly LandmarkRow[],
  points: readonly PointRow[],
  inches: InchesMm,
): Located {
  const places = new Map<string, LocatedPlace>();
  for (const row of landmarks) {
    if (!row.anchor) continue;
    const mm = locateAnchor(bodies, row.anchor);
    if (!mm) throw new Error(`${row.id}: its line misses the body`);
    places.set(row.id, { id: row.id, body: bodyOf(row.anchor), mm, paired: row.paired });
  }
  const arc = midlineArc(bodies, (id) => places.get(id)?.mm ?? null);
  const crown = places.get('crown-point');
  if (crown) places.set('crown-point', { ...crown, mm: arc.atMm(5 * inches.scalp) });

  const located = new Map<string, LocatedPlace>();
  for (const row of points) {
    if (row.place.from === 'leg') continue;
    const from = places.get(row.place.landmark);
    if (!from) throw new Error(`${row.id}: the landmark ${row.place.landmark} is unknown or not drawn`);
    const mm = asFarAsTheBodyGoes((share) => layOff(row, from.mm, bodies, inches, arc, share));
    if (!mm) throw new Error(`${row.id}: its line misses the body`);
    located.set(row.id, { id: row.id, body: from.body, mm, paired: row.paired });
  }
  return { landmarks: places, points: located };
}

/** A point from its landmark: lateral and up in the plane of its view; `share` of the way. */
function layOff(
  row: PointRow,
  from: Vec3,
  bodies: Bodies,
  inches: InchesMm,
  arc: MidlineArc,
  share: number,
): Vec3 | null {
  const { place, paired } = row;
  if (!place.cun) return from;
  const unit = inchesOf(row);
  const [out, up] = [place.cun[0] * inches[unit.lateral] * share, place.cun[1] * inches[unit.up] * share];
  const [x, y, z] = from;
  const { drop, hand } = bodies;
  if (!paired && place.landmark === 'trichion') return arc.atMm(up);
  if (!paired && place.landmark === 'posterior-hairline') return arc.atMm(arc.lengthMm - up);
  switch (place.from) {
    case 'front':
      return unit.lateral === 'forehead' && x === 0 && out
        ? outAlongForehead(bodies, out, y + up)
        : drop.front(x + out, y + up);
    case 'chest':
      return drop.front(x + out, y + up);
    case 'profile':
      return drop.side(y + up, z - out);
    case 'back':
      return drop.back(x + out, y + up);
    case 'top':
      return place.landmark === 'trichion' ? drop.above(out, arc.atMm(up)[2]) : drop.above(x + out, z - up);
    case 'hand':
    case 'forearm':
      return hand.palm(x + out, y - up);
    case 'leg':
      return null;
  }
}
