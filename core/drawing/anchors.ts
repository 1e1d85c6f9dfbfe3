import type { ZoneName } from './proportions.ts';

/**
 * Where a place sits on the reference body, in mm. Head, neck and chest: x = client's left, y = up, z = forward,
 * origin midway between the tragions. Hand: x towards the little finger, y towards the fingertips with 0 at the wrist
 * crease, z out of the palm. Coordinates that are not given are found by dropping a line onto the skin. Paired places
 * give the client's left one. The whole table is a drawing of one average adult (from memory, to be verified).
 */
export type Anchor =
  | { from: 'front' | 'back'; zone: ZoneName; x: number; y: number }
  | { from: 'side'; zone: ZoneName; y: number; z: number }
  | { from: 'above'; zone: ZoneName; x: number; z: number }
  | { from: 'ear'; up: number; rear: number }
  | { from: 'palm' | 'back-of-hand'; x: number; y: number };

export const front = (zone: ZoneName, x: number, y: number): Anchor => ({ from: 'front', zone, x, y });
export const back = (zone: ZoneName, x: number, y: number): Anchor => ({ from: 'back', zone, x, y });
export const side = (zone: ZoneName, y: number, z: number): Anchor => ({ from: 'side', zone, y, z });
export const above = (zone: ZoneName, x: number, z: number): Anchor => ({ from: 'above', zone, x, z });
/** On the auricle: mm up it and mm backwards from its root. */
export const ear = (up: number, rear: number): Anchor => ({ from: 'ear', up, rear });
export const palm = (x: number, y: number): Anchor => ({ from: 'palm', x, y });
export const backOfHand = (x: number, y: number): Anchor => ({ from: 'back-of-hand', x, y });

/** The body an anchor lies on. */
export type BodyName = 'head' | 'hand';
export const bodyOf = (anchor: Anchor): BodyName =>
  anchor.from === 'palm' || anchor.from === 'back-of-hand' ? 'hand' : 'head';

type Curve = readonly (readonly [number, number])[];

/** Fibres of a muscle on the client's left, in the plane they are dropped from: [y, z] from the side, [x, z] from above, else [x, y]. */
export type MuscleFan =
  | MuscleStrap
  | {
      kind: 'fan';
      from: 'side' | 'front' | 'back' | 'above';
      zone: ZoneName;
      origin: Curve;
      insertion: Curve;
      fibres: number;
      /** Fibres that turn round the ear on their way, as in the rear temporalis. */ bend?: 'over-ear';
    }
  /** Fibres round an opening, seen from the front, as nested ellipses; `half` keeps the client's left half only. */
  | {
      kind: 'ring';
      zone: ZoneName;
      centre: readonly [number, number];
      inner: readonly [number, number];
      outer: readonly [number, number];
      fibres: number;
      half: boolean;
    };

/** Strands round the neck, as [x, y, z, half the width] in mm of the modelled head from end to end, laid onto its skin. */
export interface MuscleStrap {
  kind: 'strap';
  course: readonly (readonly [number, number, number, number])[];
  fibres: number;
}
export const strap = (course: MuscleStrap['course'], fibres: number): MuscleStrap => ({
  kind: 'strap',
  course,
  fibres,
});

export const fan = (
  from: 'side' | 'front' | 'back' | 'above',
  zone: ZoneName,
  origin: Curve,
  insertion: Curve,
  fibres: number,
  bend?: 'over-ear',
): MuscleFan => ({ kind: 'fan', from, zone, origin, insertion, fibres, ...(bend ? { bend } : {}) });
export const ring = (
  zone: ZoneName,
  centre: readonly [number, number],
  inner: readonly [number, number],
  outer: readonly [number, number],
  fibres: number,
  half = false,
): MuscleFan => ({ kind: 'ring', zone, centre, inner, outer, fibres, half });
