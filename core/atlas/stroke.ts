/**
 * How a stroke lies to the fibres under it and to its lymph basin. Bearings are in degrees in the plane of a view,
 * 0 = toward the client's side (lateral; forward in profile), 90 = up, counted through up; strokes 0–360, fibres are
 * undirected, 0–180.
 */
export type FibreRelation = 'along' | 'oblique' | 'across';

/** Up to 30° along, from 60° across. Our choice. */
const ALONG_UP_TO_DEGREES = 30;
const ACROSS_FROM_DEGREES = 60;

/** Angle 0–90° between a stroke and undirected fibres. */
export function strokeToFibres(
  strokeDegrees: number,
  fibreDegrees: number,
): { degrees: number; relation: FibreRelation } {
  const turned = (((strokeDegrees - fibreDegrees) % 180) + 180) % 180;
  const degrees = Math.min(turned, 180 - turned);
  return {
    degrees,
    relation: degrees <= ALONG_UP_TO_DEGREES ? 'along' : degrees >= ACROSS_FROM_DEGREES ? 'across' : 'oblique',
  };
}

export type Flat = readonly [lateralMm: number, upMm: number];

/** Bearing of a way from one place to another; null when they are the same place. */
export function bearingOf(from: Flat, to: Flat): number | null {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if (Math.hypot(dx, dy) < 1e-9) return null;
  return ((Math.atan2(dy, dx) * 180) / Math.PI + 360) % 360;
}

/**
 * Whether a stroke runs toward its basin: it does when its direction has a positive scalar product with the way from
 * its start to the node group. The angle is 0–180°.
 */
export function strokeToBasin(
  strokeDegrees: number,
  start: Flat,
  node: Flat,
): { degrees: number; toward: boolean } | null {
  const way = bearingOf(start, node);
  if (way === null) return null;
  const turned = Math.abs(((((strokeDegrees - way) % 360) + 540) % 360) - 180);
  return { degrees: turned, toward: turned < 90 };
}

/**
 * A fibre angle as written in the tables to a bearing. In front and chest the tables count from lateral with the
 * client's right at the viewer's left, so that the line is (cos d, −sin d) in (lateral, up); in profile and from
 * behind it is (cos d, sin d).
 */
export const fibreBearing = (tableDegrees: number, view: 'front' | 'profile' | 'back' | 'top' | 'chest'): number =>
  view === 'front' || view === 'chest' ? (180 - tableDegrees + 180) % 180 : tableDegrees % 180;
