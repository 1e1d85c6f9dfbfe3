import { bodiesOf, type Bodies } from './bodies.ts';
import { dropper } from './drop.ts';
import { buildHead } from './head.ts';
import { poseFlesh, type PosedFlesh } from './jaw-flesh.ts';
import { eased, jawPlaces, type JawPose } from './jaw-motion.ts';
import { CORNER_SHARE, mouthOf, type Mouth } from './mouth.ts';
import { placeInZone, type Frame, type Proportions } from './proportions.ts';
import { smoothMax, smoothMin, type Distance } from './shapes.ts';
import type { Vec3 } from './vector.ts';

/** A head whose jaw is posed, in the shape in which every head is traced and drawn. */
export interface PosedBodies {
  bodies: Bodies;
  flesh: PosedFlesh;
  /** null with the mouth shut: then the head is the closed one, untouched. */
  mouth: Mouth | null;
}

/** Share of the safe distance that is marched near the skin, and farther off. */
const NEAR = 0.92;
const FAR = 0.5;
const NEAR_MM = 14;
/** Above this no level line of sight meets the jaw, mm. */
const ABOVE_Y = 12;
/** Where lips and opening are looked for, mm. */
const MOUTH_BOX = { topY: -34, belowRim: 14, backZ: 30, aside: 44 } as const;
/** The neck of the closed head lies so far under the posed skin, mm: the chin never presses the throat in further. */
const NECK = { fromY: -70, wholeY: -84, under: 3.5, fade: 0.6, k: 6 } as const;
/** Blend of the lips with the skin, and of the opening with both, mm. */
const LIPS_K = 5;
const CAVITY_K = 2.4;

/** A head with its jaw posed. */
export function poseBodies(pose: JawPose, proportions: Partial<Proportions> = {}): PosedBodies {
  const head = buildHead(proportions);
  const { body, frame } = head;
  const flesh = poseFlesh(pose, jawPlaces(frame));
  if (pose.openingMm === 0 && !pose.leftMm && !pose.round) return { bodies: bodiesOf(head), flesh, mouth: null };

  const rest = body.without('lips');
  const neck = body.only('neck');
  const hollows = hollowsOf(flesh, frame);
  const skin: Distance = (x, y, z) => {
    let d = rest(...flesh.unpose([x, y, z]));
    if (y < NECK.fromY) d = smoothMin(d, neck(x, y, z) + NECK.under + NECK.fade * Math.max(0, y - NECK.wholeY), NECK.k);
    return d + hollows(x, y, z);
  };
  const safe = (x: number, y: number, z: number): number => NEAR / flesh.press([x, y, z]);
  const bare = dropper((x, y, z) => safe(x, y, z) * skin(x, y, z));
  const mouth = mouthOf(flesh, frame, (x, y) => bare.front(x, y)?.[2] ?? 60);
  const lowest = Math.min(...mouth.rim.map((p) => p[1])) - MOUTH_BOX.belowRim;
  const distance: Distance = (x, y, z) => {
    if (y > ABOVE_Y) return body.distance(x, y, z);
    const d = skin(x, y, z);
    if (d > NEAR_MM) return FAR * d;
    const isAtMouth = y < MOUTH_BOX.topY && y > lowest && z > MOUTH_BOX.backZ && Math.abs(x) < MOUTH_BOX.aside;
    return (
      safe(x, y, z) *
      (isAtMouth ? smoothMax(smoothMin(d, mouth.lips(x, y, z), LIPS_K), -mouth.cavity(x, y, z), CAVITY_K) : d)
    );
  };
  return { bodies: bodiesOf({ ...head, body: { distance } }), flesh, mouth };
}

/**
 * Before the ear the skin sinks where the head of the jaw has left and rises where it has gone; the stretched cheek is a
 * little hollow, the corners are drawn back, the throat fills out. Our choice, by eye.
 */
function hollowsOf({ motion, open }: PosedFlesh, frame: Frame): Distance {
  const { glideMm, moved, pose } = motion;
  const at = (x: number, y: number, z: number): Vec3 => placeInZone(frame, 'face', [x, y, z]);
  const gone = eased(glideMm / 12);
  const wide = open * (1 - pose.round);
  const joint = at(72, -5, 6);
  const head = moved([0, joint[1], 13]);
  const corner = moved(placeInZone(frame, 'mouth', [25, -55.6, 86]), CORNER_SHARE);
  const throat = moved(placeInZone(frame, 'mid', [0, -104, 42]), 0.2);
  const places: readonly (readonly [mm: number, centre: Vec3, radii: Vec3])[] = [
    [1.8 * gone + 0.5 * open, joint, [12, 13, 8]],
    [-1.2 * gone, [joint[0], head[1], head[2]], [12, 10, 10]],
    [1.6 * open, at(54, -44, 56), [24, 24, 26]],
    [7 * wide, [corner[0] + 2, corner[1] + 2, corner[2]], [16, 26, 26]],
    [-2 * open, throat, [30, 22, 26]],
  ];
  return (x, y, z) => {
    let d = 0;
    for (const [mm, [cx, cy, cz], [rx, ry, rz]] of places) {
      if (mm === 0) continue;
      const q = ((Math.abs(x) - Math.abs(cx)) / rx) ** 2 + ((y - cy) / ry) ** 2 + ((z - cz) / rz) ** 2;
      if (q < 1) d += mm * (1 - q) ** 3;
    }
    return d;
  };
}
