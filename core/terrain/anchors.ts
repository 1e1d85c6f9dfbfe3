import type { ZoneName } from './proportions.ts';

/**
 * Where a place sits on the reference head, in mm: x = client's left, y = up, z = forward, origin midway between
 * the tragions. Coordinates that are null are found by dropping a line onto the skin. Paired places give the
 * client's left one. The whole table is a drawing of one average adult head (from memory, to be verified).
 */
export type Anchor =
  | { from: 'front' | 'back'; zone: ZoneName; x: number; y: number }
  | { from: 'side'; zone: ZoneName; y: number; z: number }
  | { from: 'above'; zone: ZoneName; x: number; z: number }
  | { from: 'fixed'; zone: ZoneName; x: number; y: number; z: number };

export const front = (zone: ZoneName, x: number, y: number): Anchor => ({ from: 'front', zone, x, y });
export const back = (zone: ZoneName, x: number, y: number): Anchor => ({ from: 'back', zone, x, y });
export const side = (zone: ZoneName, y: number, z: number): Anchor => ({ from: 'side', zone, y, z });
export const above = (zone: ZoneName, x: number, z: number): Anchor => ({ from: 'above', zone, x, z });
export const fixed = (zone: ZoneName, x: number, y: number, z: number): Anchor => ({ from: 'fixed', zone, x, y, z });

/** Fibres between two curves: [y, z] when dropped from the side, [x, y] from front or back. */
export interface MuscleFan {
  from: 'side' | 'front' | 'back';
  origin: readonly (readonly [number, number])[];
  insertion: readonly (readonly [number, number])[];
  fibres: number;
  /** Fibres that turn round the ear on their way, as in the rear temporalis. */
  bend?: 'over-ear';
}
