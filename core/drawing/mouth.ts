import { LOWER_LIP, UPPER_LIP } from './head.ts';
import type { PosedFlesh } from './jaw-flesh.ts';
import { eased } from './jaw-motion.ts';
import type { Frame } from './proportions.ts';
import { isInside } from './relief.ts';
import { tube, type Distance } from './shapes.ts';
import type { Vec3, Xy } from './vector.ts';

/** Edges of the red of the lips from the midline to the corner, mouth shut: x, y in mm of the modelled head. */
const RED_TOP = [
  [0, -47.8],
  [5.5, -45.9],
  [10, -47.6],
  [16, -51],
  [21, -53.4],
  [24.5, -55],
];
const RED_FOOT = [
  [0, -65],
  [7, -64.4],
  [13, -62],
  [18, -59.6],
  [22, -57.7],
  [24.5, -56.4],
];
/** From the midline to the corner, and the height at which the lips meet, mm of the modelled head. */
const HALF_MM = 25;
const MEET_Y = -55.4;
/** Share of the jaw's motion that the corners of the mouth take. */
export const CORNER_SHARE = 0.45;
/** The power of the opening's oval: lips that still touch towards the corners when little open. Our choice, by eye. */
const OVAL = { wide: 0.43, shutMore: 1.1, round: 0.5 } as const;
const NARROWER = { open: 0.05, round: 0.72 } as const;
const LIFT_MM = { upperOpen: 2.2, upperRound: 1.6, lower: 2.2, lowerWithinMm: 14 } as const;
/** An open lip is thinner by this share; an O brings it forward. */
const THINNER = 0.16;
const ROUND_FORWARD_MM = 1.2;
/** Back wall of the opening, mm forward. */
const BACK_WALL_Z = 46;
const RIM_STEPS = 32;

/** What is given anew of a mouth that opens, in world mm. */
export interface Mouth {
  /** Signed distance to the opening: less than 0 where flesh is taken away. */
  cavity: Distance;
  lips: Distance;
  /** Edge of the opening, closed. */
  rim: Vec3[];
  /** Where the lips still meet, from each corner inwards; none where it is far open. */
  corners: Vec3[][];
  redTop: Vec3[];
  redFoot: Vec3[];
  /** Edges of the teeth, and where one tooth meets the next: a hint of them, not a set. */
  teeth: { upper: Vec3[]; lower: Vec3[]; upperGaps: Vec3[]; lowerGaps: Vec3[] };
  /** Middle of the tongue's tip. */
  tongue: Vec3;
}

/** A half of a line from the midline on, with the other half before it. */
const across = (half: readonly (readonly number[])[]): number[][] => [
  ...half
    .slice(1)
    .reverse()
    .map(([x, ...rest]) => [-x!, ...rest]),
  ...half.map((p) => [...p]),
];

/** Signed distance in the plane to a closed line; less than 0 inside. */
function flatDistance(ring: readonly Xy[], x: number, y: number): number {
  let best = 1e9;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[j]!;
    const [ex, ey] = [ring[i]![0] - ax, ring[i]![1] - ay];
    const t = Math.max(0, Math.min(1, ((x - ax) * ex + (y - ay) * ey) / (ex * ex + ey * ey + 1e-9)));
    best = Math.min(best, (x - ax - t * ex) ** 2 + (y - ay - t * ey) ** 2);
  }
  return Math.sqrt(best) * (isInside(ring, x, y) ? -1 : 1);
}

/**
 * The mouth of a posed head.
 * @param skinZ how far forward the posed skin without lips lies at a place seen from the front
 */
export function mouthOf(
  { motion, open }: PosedFlesh,
  { zone }: Pick<Frame, 'zone'>,
  skinZ: (x: number, y: number) => number,
): Mouth {
  const { pose, places, moved } = motion;
  const { round, openingMm } = pose;
  const power = (OVAL.wide + OVAL.shutMore * (1 - open)) * (1 - round) + OVAL.round * round;
  const gap = (s: number): number => Math.max(0, 1 - s * s) ** power;
  const narrow = 1 / (1 + NARROWER.open * open + NARROWER.round * round);
  /** A place of the modelled, closed mouth, carried along with the upper or the lower lip. */
  const carried = (x: number, y: number, isUpper: boolean): Xy => {
    const parted = gap(Math.max(-1, Math.min(1, x / HALF_MM)));
    const share = isUpper ? CORNER_SHARE * (1 - parted) : CORNER_SHARE + (1 - CORNER_SHARE) * parted;
    const [cx, cy] = zone.mouth(x, y);
    const [px, py] = moved([cx * narrow, cy, 97 - x * x * 0.0172], share);
    const lift = isUpper
      ? LIFT_MM.upperOpen * open + LIFT_MM.upperRound * round
      : LIFT_MM.lower * eased(openingMm / LIFT_MM.lowerWithinMm);
    return [px, py + lift * parted];
  };
  const onSkin = ([x, y]: Xy, offset = 0): Vec3 => [x, y, skinZ(x, y) + offset];
  const edge = (isUpper: boolean): Vec3[] =>
    Array.from({ length: RIM_STEPS + 1 }, (_, i) =>
      onSkin(carried(-Math.cos((Math.PI * i) / RIM_STEPS) * HALF_MM, MEET_Y, isUpper)),
    );
  const [upperEdge, lowerEdge] = [edge(true), edge(false)];
  const rim = [...upperEdge, ...lowerEdge.toReversed().slice(1, -1)];
  const ring = rim.map((p): Xy => [p[0], p[1]]);

  const thin = 1 - THINNER * open;
  const lip = (rows: readonly (readonly number[])[], isUpper: boolean) =>
    tube(
      across(rows).map(([x, y, offset, radius]) => [
        ...onSkin(carried(x!, y!, isUpper), offset! + ROUND_FORWARD_MM * round),
        radius! * thin,
      ]),
    );
  const [top, foot] = [lip(UPPER_LIP, true), lip(LOWER_LIP, false)];
  const low = Math.min(...ring.map((p) => p[1])) - 8;
  const high = Math.max(...ring.map((p) => p[1])) + 8;

  /** An arch of teeth goes back with the square of how far it is aside. */
  const tooth = (x: number, isLower: boolean): Vec3 => {
    const [, y, z] = places.incisor;
    const p: Vec3 = [x, y + (isLower ? -0.004 : 0.008) * x * x, z - (x * x) / 26];
    return isLower ? moved(p) : p;
  };
  const arch = (half: number, isLower: boolean): Vec3[] =>
    Array.from({ length: 25 }, (_, i) => tooth(half * (i / 12 - 1), isLower));
  return {
    cavity: (x, y, z) =>
      z < 30 || Math.abs(x) > 44 || y < low || y > high ? 40 : Math.max(flatDistance(ring, x, y), BACK_WALL_Z - z),
    lips: (x, y, z) => Math.min(top.distance(x, y, z), foot.distance(x, y, z)),
    rim,
    corners: power > 1 ? [upperEdge.slice(0, 11), upperEdge.toReversed().slice(0, 11)] : [],
    redTop: across(RED_TOP).map(([x, y]) => onSkin(carried(x!, y!, true))),
    redFoot: across(RED_FOOT).map(([x, y]) => onSkin(carried(x!, y!, false))),
    teeth: {
      upper: arch(22, false),
      lower: arch(17, true),
      upperGaps: [-15, -8.4, 0, 8.4, 15].map((x) => tooth(x, false)),
      lowerGaps: [-11, -5.5, 0, 5.5, 11].map((x) => tooth(x, true)),
    },
    tongue: moved([0, places.incisor[1] - 4, 66]),
  };
}
