import type { Bodies, Vec3 } from '../drawing/index.ts';

/**
 * Body-inches (cun) of the drawn head and hand, in mm. A body-inch is a share of a distance on this body and is
 * different in every region; the shares are those of WHO Standard Acupuncture Point Locations 2008 (sure). The two
 * plotting units are this atlas's own convention for places the standard gives no lateral measure for (our choice).
 */
export interface DrawnInches {
  /** Hairline to glabella is 3; used both ways on face, ear, jaw and side of the neck. */
  faceMm: number;
  /** 1.2 face inches, about one middle-finger inch: hair-covered places off the midline. */
  scalpSideMm: number;
  /** Corner to corner of the hairline is 9. */
  foreheadMm: number;
  /** Mastoid to mastoid is 9. */
  mastoidsMm: number;
  /** Front to rear hairline over the crown is 12. */
  scalpMidlineMm: number;
  /** Across the chest between the mid-clavicular lines is 8. */
  chestMm: number;
  /** Elbow to wrist crease is 12. */
  forearmMm: number;
}

export type PlaceOf = (landmark: string) => Vec3 | null;

/** A curve on the midline of the head from the front hairline over the crown to the rear one. */
export interface MidlineArc {
  /** From brow line to nape over the crown, in mm. */
  lengthMm: number;
  /** Place at a share 0–1 of the way from the front hairline. */
  at: (share: number) => Vec3;
}

const ARC_STEPS = 28;

/** @throws Error when a hairline is missing. */
export function midlineArc({ head }: Bodies, placeOf: PlaceOf): MidlineArc {
  const front = need(placeOf, 'trichion');
  const rear = need(placeOf, 'posterior-hairline');
  const centre: Vec3 = [0, 20, -8];
  const angle = (p: Vec3) => Math.atan2(p[1] - centre[1], p[2] - centre[2]);
  const start = angle(front);
  const end = angle(rear) + (angle(rear) < start ? 2 * Math.PI : 0);
  const points: Vec3[] = [front];
  let radius = Math.hypot(front[1] - centre[1], front[2] - centre[2]);
  for (let i = 1; i < ARC_STEPS; i++) {
    const a = start + ((end - start) * i) / ARC_STEPS;
    radius = skinRadius(head.body.distance, centre, a, radius + 8);
    points.push([0, centre[1] + Math.sin(a) * radius, centre[2] + Math.cos(a) * radius]);
  }
  points.push(rear);
  const walked = [0];
  for (let i = 1; i < points.length; i++)
    walked.push(walked[i - 1]! + Math.hypot(points[i]![1] - points[i - 1]![1], points[i]![2] - points[i - 1]![2]));
  const lengthMm = walked[walked.length - 1]!;
  return {
    lengthMm,
    at: (share) => {
      const target = Math.min(1, Math.max(0, share)) * lengthMm;
      const i = Math.max(
        1,
        walked.findIndex((w) => w >= target),
      );
      const t = (target - walked[i - 1]!) / (walked[i]! - walked[i - 1]! || 1);
      const [a, b] = [points[i - 1]!, points[i]!];
      return [0, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
    },
  };
}

function skinRadius(
  distance: (x: number, y: number, z: number) => number,
  centre: Vec3,
  a: number,
  from: number,
): number {
  let r = from;
  for (let i = 0; i < 60; i++) {
    const d = distance(0, centre[1] + Math.sin(a) * r, centre[2] + Math.cos(a) * r);
    if (d < 0.02) break;
    r -= Math.max(0.8 * d, 0.02);
  }
  return r;
}

/** @throws Error naming a landmark that is missing. */
export function drawnInches(placeOf: PlaceOf, arc: MidlineArc): DrawnInches {
  const faceMm = (need(placeOf, 'trichion')[1] - need(placeOf, 'glabella')[1]) / 3;
  return {
    faceMm,
    scalpSideMm: 1.2 * faceMm,
    foreheadMm: (2 * need(placeOf, 'forehead-corner')[0]) / 9,
    mastoidsMm: (2 * need(placeOf, 'mastoid-tip')[0]) / 9,
    scalpMidlineMm: arc.lengthMm / 12,
    chestMm: (2 * need(placeOf, 'nipple')[0]) / 8,
    forearmMm: (need(placeOf, 'wrist-crease')[1] - need(placeOf, 'cubital-crease')[1]) / 12,
  };
}

function need(placeOf: PlaceOf, id: string): Vec3 {
  const place = placeOf(id);
  if (!place) throw new Error(`the landmark ${id} is missing`);
  return place;
}
