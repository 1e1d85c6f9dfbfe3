import { apart, type Bodies, type Vec3 } from '../drawing/index.ts';
import type { BodyInchId } from './rows.ts';

/**
 * Length of one body-inch (cun) in every region, in mm. A body-inch is a share of a distance on one body and is
 * different in every region; the shares are those of WHO Standard Acupuncture Point Locations 2008 (sure).
 */
export type InchesMm = Readonly<Record<BodyInchId, number>>;

export type PlaceOf = (landmark: string) => Vec3 | null;

/** A curve on the midline of the head from the front hairline over the crown to the rear one. */
export interface MidlineArc {
  /** From the front hairline to the rear one over the crown, in mm. */
  lengthMm: number;
  /** Place so many mm behind the front hairline. */
  atMm: (mm: number) => Vec3;
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
    atMm: (mm) => {
      const target = Math.min(lengthMm, Math.max(0, mm));
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

/** From the middle outwards along the skin of the forehead to x, at one height; in mm. */
export function alongForehead({ drop }: Bodies, toX: number, y: number): number {
  let walked = 0;
  let before = drop.front(0, y);
  for (let i = 1; before && i <= WALK_STEPS; i++) {
    const next = drop.front((toX * i) / WALK_STEPS, y);
    if (next) walked += apart(next, before);
    before = next;
  }
  return walked;
}
const WALK_STEPS = 40;

/** The place so many mm outwards along the skin of the forehead, at one height; null where the head ends before. */
export function outAlongForehead({ drop }: Bodies, mm: number, y: number): Vec3 | null {
  let before = drop.front(0, y);
  for (let walked = 0, x = 0; before && x < 90; x += 0.5) {
    const next = drop.front(x + 0.5, y);
    if (!next) return null;
    const step = apart(next, before);
    if (walked + step >= mm) return drop.front(x + (0.5 * (mm - walked)) / step, y);
    walked += step;
    before = next;
  }
  return null;
}

/** What the landmarks of some bodies say of their body-inches; the rest has nothing drawn to measure. */
export type DrawnInches = Readonly<
  Record<'face' | 'forehead' | 'scalp' | 'mastoids' | 'nape' | 'chest' | 'forearm', number>
>;

/** @throws Error naming a landmark that is missing. */
export function drawnInches(bodies: Bodies, placeOf: PlaceOf): DrawnInches {
  const at = (id: string) => need(placeOf, id);
  const corner = at('forehead-corner');
  return {
    face: apart(at('trichion'), at('glabella')) / 3,
    forehead: (2 * alongForehead(bodies, corner[0], corner[1])) / 9,
    scalp: midlineArc(bodies, placeOf).lengthMm / 12,
    mastoids: (2 * at('mastoid-tip')[0]) / 9,
    nape: apart(at('posterior-hairline'), at('c7-spinous')) / 3,
    chest: (2 * at('nipple')[0]) / 8,
    forearm: (at('wrist-crease')[1] - at('cubital-crease')[1]) / 12,
  };
}

function need(placeOf: PlaceOf, id: string): Vec3 {
  const place = placeOf(id);
  if (!place) throw new Error(`the landmark ${id} is missing`);
  return place;
}
