import { eased, jawMotion, type JawMotion, type JawPlaces, type JawPose } from './jaw-motion.ts';
import { apart, dot, type Vec3 } from './vector.ts';

const DEGREES = 180 / Math.PI;
/** How far `t` has come from `a` to `b`: 0 to 1 within. */
const from = (t: number, a: number, b: number): number => (t - a) / (b - a);
/** 0 to 1 in a straight line whose ends are rounded, each over `soft` of the way. */
function ramp(t: number, soft = 0.12): number {
  if (t <= 0) return 0;
  if (t >= 1) return 1;
  const a = 2 * soft * (1 - soft);
  if (t < soft) return (t * t) / a;
  return t > 1 - soft ? 1 - (1 - t) ** 2 / a : (t - soft / 2) / (1 - soft);
}

/** Fully open as far as the flesh is concerned, mm. */
const OPEN_MM = 40;

/**
 * How much of the jaw's motion the flesh at a place of the posed head has taken part in, 0 to 1. Written where the flesh
 * is now, so that the map back is one step and nothing tears. Bearings are from the condyle in profile: 0° forward, 90°
 * down. All lengths in mm of the reference head; our choice, by eye.
 */
function shareAt({ turn, places: { condyle, lips: meet }, movedBack }: JawMotion, [x, y, z]: Vec3): number {
  if (y > 8 || y < -196 || z < -60) return 0;
  const aside = Math.abs(x);
  const [below, ahead] = [condyle[1] - y, z - condyle[2]];
  const bearing = Math.atan2(below, ahead) * DEGREES;
  // Between the lips it is sharp; over the cheek the skin stretches evenly from cheekbone to jaw.
  const wide = eased(from(aside, 15, 47));
  const lips = Math.atan2(condyle[1] - meet[1], meet[2] - condyle[2]) * DEGREES + 3.6 * eased(aside / 26);
  let share = ramp(from(bearing, lips - 1.6 - 26 * wide, lips + 1.6 + 27 * wide + turn * DEGREES));
  if (share === 0) return 0;
  // Behind the jaw the ear and the neck stay.
  share *= 1 - ramp(from(bearing, 94, 140));
  // Below its lower edge, measured in the jaw's own frame: the throat follows over a long way, the side of the neck over a short one.
  const [, jawY, jawZ] = movedBack([x, y, z], 1);
  const under = (-66 - 0.52 * (jawZ - 8) - jawY) * 0.89;
  if (under > 0) share *= 1 - ramp(from(under, 0, 24 + 20 * eased(from(jawZ, 8, 66))), 0.25);
  // Over the joint the skin stays.
  share *= eased(from(Math.hypot(below, ahead), 6, 42));
  // The root of the neck stays.
  const before = eased(from(z, 34, 56));
  share *= 1 - eased(from(-y, 110 + 30 * before, 152 + 20 * before));
  // The ear stays.
  const ear = Math.hypot((aside - 74) / 22, (y + 6) / 34, (z + 15) / 22);
  return ear < 1.5 ? share * eased(from(ear, 1, 1.5)) : share;
}

/** How near a place is to the middle of an ellipsoid: 1 there, 0 at its skin and outside. */
const within = (q: number): number => (q < 1 ? (1 - q) ** 2 : 0);
/** The flesh round the mouth, which an opening draws in and an O rounds. */
const roundMouth = ([x, y, z]: Vec3, lips: Vec3): number =>
  within((x / 46) ** 2 + ((y - lips[1]) / 34) ** 2 + ((z - lips[2] + 4) / 46) ** 2);
/** The throat, which the tongue bone draws down a little, mm at most. */
const throat = ([x, y, z]: Vec3): number => within((x / 44) ** 2 + ((y + 122) / 46) ** 2 + ((z - 30) / 34) ** 2);
const THROAT_DOWN_MM = 5;
const MOUTH = { openNarrower: 0.08, roundNarrower: 0.75, roundForwardMm: 7 } as const;

/** A head's flesh in a pose of its jaw. */
export interface PosedFlesh {
  motion: JawMotion;
  /** A place of the posed head to the place of the closed one that it came from. */
  unpose: (p: Vec3) => Vec3;
  /** A place of the closed head to where it is in the pose: the inverse of `unpose`, within 0.01 mm. */
  posed: (q: Vec3) => Vec3;
  /**
   * How much at most the map presses the head together at a place, 1 or more: the largest singular value of its
   * derivative. A distance divided by it is safe to march by.
   */
  press: (p: Vec3) => number;
  /** How far the mouth is open as far as the flesh is concerned, 0 to 1. */
  open: number;
}

/** What of the way left is taken in one step of finding a posed place, how often at most, and how near is enough, mm. */
const STEP = 0.5;
const STEPS_MOST = 160;
const NEAR_MM = 0.01;

/** Between two places that tell the derivative, mm, and how often the direction of the largest stretch is sharpened. */
const PROBE_MM = 0.5;
const SHARPENED = 5;
/** The largest singular value of a map's derivative, by power iteration; never under 1. */
function largestStretch(map: (p: Vec3) => Vec3, p: Vec3): number {
  const w = map(p);
  const along = (dx: number, dy: number, dz: number): Vec3 => {
    const v = map([p[0] + dx, p[1] + dy, p[2] + dz]);
    return [(v[0] - w[0]) / PROBE_MM, (v[1] - w[1]) / PROBE_MM, (v[2] - w[2]) / PROBE_MM];
  };
  const [a, b, c] = [along(PROBE_MM, 0, 0), along(0, PROBE_MM, 0), along(0, 0, PROBE_MM)];
  let v: Vec3 = [0.3, 0.7, 0.65];
  let size = 1;
  for (let i = 0; i < SHARPENED; i++) {
    const u: Vec3 = [
      a[0] * v[0] + b[0] * v[1] + c[0] * v[2],
      a[1] * v[0] + b[1] * v[1] + c[1] * v[2],
      a[2] * v[0] + b[2] * v[1] + c[2] * v[2],
    ];
    const t: Vec3 = [dot(a, u), dot(b, u), dot(c, u)];
    size = Math.hypot(...t);
    v = [t[0] / size, t[1] / size, t[2] / size];
  }
  return Math.max(1, Math.sqrt(size));
}

/** The map of a head's flesh between its closed and a posed jaw. */
export function poseFlesh(pose: JawPose, places: JawPlaces): PosedFlesh {
  const motion = jawMotion(pose, places);
  const { openingMm, round } = motion.pose;
  const open = eased(openingMm / OPEN_MM);
  const unpose = (p: Vec3): Vec3 => {
    const share = shareAt(motion, p);
    const [x, y, z] = share === 0 ? p : motion.movedBack(p, share);
    const down = throat(p);
    if (down > 0) return [x, y + THROAT_DOWN_MM * open * down, z];
    const drawn = roundMouth([x, y, z], places.lips);
    if (drawn === 0) return [x, y, z];
    const narrower = 1 + drawn * (MOUTH.openNarrower * open + MOUTH.roundNarrower * round);
    return [x * narrower, y, z - drawn * MOUTH.roundForwardMm * round];
  };
  const posed = (q: Vec3): Vec3 => {
    let p = q;
    for (let i = 0; i < STEPS_MOST; i++) {
      const w = unpose(p);
      p = [p[0] + STEP * (q[0] - w[0]), p[1] + STEP * (q[1] - w[1]), p[2] + STEP * (q[2] - w[2])];
      if (apart(q, w) < NEAR_MM) break;
    }
    return p;
  };
  return { motion, unpose, posed, press: (p) => largestStretch(unpose, p), open };
}
