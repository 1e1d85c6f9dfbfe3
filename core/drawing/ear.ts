import { EAR_LENGTH, type Frame } from './proportions.ts';
import { cross, normalise, type Vec3 } from './vector.ts';

/** The ear's own frame: u runs up the auricle, v backwards and outwards, n away from the head. */
export interface EarFrame {
  axes: readonly [Vec3, Vec3, Vec3];
  at: (u: number, v: number, n?: number) => Vec3;
}

export function earFrame(fr: Frame): EarFrame {
  const rad = Math.PI / 180;
  const origin: Vec3 = [66 + fr.earShift, 0, -8];
  const back: Vec3 = [Math.sin(24 * rad), 0, -Math.cos(24 * rad)];
  const u = normalise([0.1, Math.cos(14 * rad), -Math.sin(14 * rad)]);
  let n = normalise(cross(back, u));
  if (n[0] < 0) n = [-n[0], -n[1], -n[2]];
  let v = normalise(cross(n, u));
  if (v[2] > 0) v = [-v[0], -v[1], -v[2]];
  return {
    axes: [u, v, n],
    at: (U, V, N = 0) =>
      [0, 1, 2].map((i) => origin[i]! + (u[i]! * U + v[i]! * V) * EAR_LENGTH + n[i]! * N) as unknown as Vec3,
  };
}

/** Outline of the auricle on the client's left: contours step back inside it, the ear's own curves speak. */
export const earOutline = (ear: EarFrame): Vec3[] =>
  [
    [-31, 7],
    [-27, 15],
    [-20, 22],
    [-10, 30],
    [2, 35],
    [15, 35],
    [27, 29],
    [33, 16],
    [30, 4],
    [20, -3],
    [9, 0],
    [4, 3],
    [-8, 3],
    [-24, 1],
  ].map(([u, v]) => ear.at(u!, v!, 2));
