import type { Frame } from './proportions.ts';
import type { Vec3 } from './vector.ts';

/** How the lower jaw is held. */
export interface JawPose {
  /** Between the edges of the upper and lower incisors, mm; 0 is shut. Drawn up to 45. */
  openingMm: number;
  /** Lower midline to the client's left (more than 0) or right, mm. */
  leftMm?: number;
  /** Lips drawn into an O, 0 to 1. */
  round?: number;
}

/** Places of a head that its jaw turns about and is measured at, mm. */
export interface JawPlaces {
  /** On the midline between the heads of the jaw. */
  condyle: Vec3;
  /** Edge of the lower incisors, mouth shut. */
  incisor: Vec3;
  /** Where the lips meet on the midline. */
  lips: Vec3;
}
/** Of a head of some proportions. Depths from memory. */
export const jawPlaces = ({ height, zone }: Pick<Frame, 'height' | 'zone'>): JawPlaces => ({
  condyle: [0, height(-2), 12],
  incisor: [0, zone.mouth(0, -56)[1], 86],
  lips: [0, zone.mouth(0, -55.4)[1], 96],
});

/**
 * The jaw turns first; from 10 mm of opening on its head also slides forward and down along a slope of 34°, 15 mm at 48 mm.
 * From memory: to be checked against measured jaws.
 */
const GLIDE = { fromMm: 10, toMm: 48, mm: 15, slope: (34 * Math.PI) / 180 } as const;
/** No jaw turns further, radians. */
const MOST_TURN = 0.9;

/** 0 to 1 with soft ends. */
export const eased = (t: number): number => (t <= 0 ? 0 : t >= 1 ? 1 : t * t * (3 - 2 * t));

/** The jaw of a head in a pose: a rigid motion that flesh takes part in by a share. */
export interface JawMotion {
  pose: Required<JawPose>;
  places: JawPlaces;
  /** How far its head has slid, mm. */
  glideMm: number;
  /** About the axis through both of its heads, radians. */
  turn: number;
  /** About the upright, radians: more than 0 towards the client's left. */
  yaw: number;
  /** Where a place is carried: by the whole motion like bone (1), or by a share of it. */
  moved: (p: Vec3, share?: number) => Vec3;
  /** Where a place that was carried so came from: the inverse of `moved`. */
  movedBack: (p: Vec3, share: number) => Vec3;
}

interface Parts {
  turn: number;
  yaw: number;
  /** Down (less than 0) and forward, mm. */
  shift: readonly [down: number, forward: number];
}
function carry([x, y, z]: Vec3, { condyle: [, cy, cz] }: JawPlaces, { turn, yaw, shift }: Parts, share: number): Vec3 {
  const [u, v] = [y - cy, z - cz];
  const [c, s] = [Math.cos(turn * share), Math.sin(turn * share)];
  const [down, ahead] = [u * c - v * s, v * c + u * s];
  const [cw, sw] = [Math.cos(yaw * share), Math.sin(yaw * share)];
  return [x * cw + ahead * sw, cy + down + shift[0] * share, cz + ahead * cw - x * sw + shift[1] * share];
}
function carryBack(p: Vec3, { condyle: [, cy, cz] }: JawPlaces, { turn, yaw, shift }: Parts, share: number): Vec3 {
  const [y, z] = [p[1] - cy - shift[0] * share, p[2] - cz - shift[1] * share];
  const [cw, sw] = [Math.cos(yaw * share), Math.sin(yaw * share)];
  const [x, ahead] = [p[0] * cw - z * sw, z * cw + p[0] * sw];
  const [c, s] = [Math.cos(turn * share), Math.sin(turn * share)];
  return [x, cy + y * c + ahead * s, cz + ahead * c - y * s];
}

/** How far it turns so that the incisors stand so far apart, its head having slid so far: by halving, to 1e−9 radians. */
function turnFor(openingMm: number, places: JawPlaces, shift: Parts['shift']): number {
  if (openingMm <= 0) return 0;
  const { incisor } = places;
  let [low, high] = [0, MOST_TURN];
  for (let i = 0; i < 40; i++) {
    const turn = (low + high) / 2;
    const [, y, z] = carry(incisor, places, { turn, yaw: 0, shift }, 1);
    if (Math.hypot(y - incisor[1], z - incisor[2]) < openingMm) low = turn;
    else high = turn;
  }
  return (low + high) / 2;
}

/** The motion of a head's jaw into a pose. */
export function jawMotion(pose: JawPose, places: JawPlaces): JawMotion {
  const whole = { leftMm: 0, round: 0, ...pose };
  const glideMm = GLIDE.mm * eased((whole.openingMm - GLIDE.fromMm) / (GLIDE.toMm - GLIDE.fromMm));
  const shift = [-glideMm * Math.sin(GLIDE.slope), glideMm * Math.cos(GLIDE.slope)] as const;
  const turn = turnFor(whole.openingMm, places, shift);
  // Swung aside about the upright between its heads: the one on the side it goes to stays behind.
  const straight = carry(places.incisor, places, { turn, yaw: 0, shift }, 1);
  const yaw = Math.asin(whole.leftMm / (straight[2] - places.condyle[2] - shift[1]));
  const parts = { turn, yaw, shift };
  return {
    ...{ pose: whole, places, glideMm, turn, yaw },
    moved: (p, share = 1) => carry(p, places, parts, share),
    movedBack: (p, share) => carryBack(p, places, parts, share),
  };
}
