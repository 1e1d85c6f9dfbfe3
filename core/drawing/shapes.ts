import { catmullRom, monotoneTable, type Vec3 } from './vector.ts';

/** Distance in mm from a place to a surface: negative inside, first order near the skin. */
export type Distance = (x: number, y: number, z: number) => number;

/** A shape and the sphere around it (null: unbounded). The sphere lets far shapes be skipped. */
export interface Shape {
  distance: Distance;
  sphere: readonly [number, number, number, number] | null;
}

/** Smooth minimum of two distances; `k` is the blend radius in mm. */
export const smoothMin = (a: number, b: number, k: number): number => {
  const h = k - Math.abs(a - b);
  return h > 0 ? Math.min(a, b) - (h * h) / (4 * k) : Math.min(a, b);
};
export const smoothMax = (a: number, b: number, k: number): number => -smoothMin(-a, -b, k);

/** Rotation matrix Rz·Ry·Rx from Euler degrees, as rows of the world-to-local map. */
function localAxes([rx, ry, rz]: Vec3): number[] {
  const rad = Math.PI / 180;
  const [ca, sa, cb, sb, cc, sc] = [rx, ry, rz].flatMap((deg) => [Math.cos(deg * rad), Math.sin(deg * rad)]) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const R = [
    cc * cb,
    cc * sb * sa - sc * ca,
    cc * sb * ca + sc * sa,
    sc * cb,
    sc * sb * sa + cc * ca,
    sc * sb * ca - cc * sa,
    -sb,
    cb * sa,
    cb * ca,
  ];
  return [R[0]!, R[3]!, R[6]!, R[1]!, R[4]!, R[7]!, R[2]!, R[5]!, R[8]!];
}

/** Ellipsoid with first-order distance k0 (k0 − 1) / k1; turned by Euler degrees or given local axes. */
export function ellipsoid(
  centre: Vec3,
  radii: Vec3,
  turn: { degrees?: Vec3; axes?: readonly [Vec3, Vec3, Vec3] } = {},
): Shape {
  const M = turn.degrees ? localAxes(turn.degrees) : turn.axes ? turn.axes.flat() : [1, 0, 0, 0, 1, 0, 0, 0, 1];
  const [m0, m1, m2, m3, m4, m5, m6, m7, m8] = M as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const [cx, cy, cz] = centre;
  const [a, b, c] = radii;
  const [a2, b2, c2] = [a * a, b * b, c * c];
  const [a4, b4, c4] = [a2 * a2, b2 * b2, c2 * c2];
  const distance: Distance = (x, y, z) => {
    const dx = x - cx;
    const dy = y - cy;
    const dz = z - cz;
    const X = m0 * dx + m1 * dy + m2 * dz;
    const Y = m3 * dx + m4 * dy + m5 * dz;
    const Z = m6 * dx + m7 * dy + m8 * dz;
    const k0 = Math.sqrt((X * X) / a2 + (Y * Y) / b2 + (Z * Z) / c2);
    const k1 = Math.sqrt((X * X) / a4 + (Y * Y) / b4 + (Z * Z) / c4);
    return k1 < 1e-9 ? -Math.min(a, b, c) : (k0 * (k0 - 1)) / k1;
  };
  return { distance, sphere: [cx, cy, cz, Math.max(a, b, c)] };
}

/** Round tube through [x, y, z, radius] points, as tapered straight segments of a Catmull–Rom curve. */
export function tube(points: readonly (readonly number[])[], sub = 4): Shape {
  const P = catmullRom(points, sub);
  const centre = [0, 1, 2].map((k) => P.reduce((sum, p) => sum + p[k]!, 0) / P.length) as [number, number, number];
  const radius = Math.max(...P.map((p) => Math.hypot(p[0]! - centre[0], p[1]! - centre[1], p[2]! - centre[2]) + p[3]!));
  const segments = P.slice(0, -1).map((a, i) => {
    const b = P[i + 1]!;
    const d = [b[0]! - a[0]!, b[1]! - a[1]!, b[2]! - a[2]!] as const;
    return [
      a[0]!,
      a[1]!,
      a[2]!,
      ...d,
      1 / (d[0] * d[0] + d[1] * d[1] + d[2] * d[2] + 1e-9),
      a[3]!,
      b[3]! - a[3]!,
    ] as const;
  });
  const distance: Distance = (x, y, z) => {
    let best = 1e9;
    for (const s of segments) {
      const px = x - s[0];
      const py = y - s[1];
      const pz = z - s[2];
      const t = Math.min(1, Math.max(0, (px * s[3] + py * s[4] + pz * s[5]) * s[6]));
      const ex = px - t * s[3];
      const ey = py - t * s[4];
      const ez = pz - t * s[5];
      const d = Math.sqrt(ex * ex + ey * ey + ez * ez) - s[7] - t * s[8];
      if (d < best) best = d;
    }
    return best;
  };
  return { distance, sphere: [...centre, radius] };
}

/** A cut: everything beyond normal · p = offset is removed with blend radius k. */
export interface CutPlane {
  normal: Vec3;
  offset: number;
  k: number;
}

/**
 * Vertical loft. Rows are [y, half-width, z-centre, front radius, rear radius] in mm; at every height the
 * section is an ellipse with a different front and rear radius.
 */
export function loft(rows: readonly (readonly number[])[], planes: readonly CutPlane[] = []): Shape {
  const keys = rows.map((r) => r[0]!);
  const [width, centre, front, rear] = [1, 2, 3, 4].map((i) =>
    monotoneTable(
      rows.map((r) => r[i]!),
      keys,
    ),
  ) as [(y: number) => number, (y: number) => number, (y: number) => number, (y: number) => number];
  const distance: Distance = (x, y, z) => {
    const w = width(y);
    const q = z - centre(y);
    const r = q > 0 ? front(y) : rear(y);
    const X = x / w;
    const Z = q / r;
    const g = Math.sqrt(X * X + Z * Z);
    let d = -Math.min(w, r);
    if (g > 1e-4) {
      const gx = X / g / w;
      const gz = Z / g / r;
      d = (g - 1) / Math.sqrt(gx * gx + gz * gz);
    }
    for (const p of planes) d = smoothMax(d, p.normal[0] * x + p.normal[1] * y + p.normal[2] * z - p.offset, p.k);
    return d;
  };
  return { distance, sphere: null };
}
