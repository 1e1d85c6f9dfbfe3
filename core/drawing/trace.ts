import type { Lens, Ray } from './lens.ts';
import type { Distance } from './shapes.ts';
import type { Vec3 } from './vector.ts';
import type { Picture } from './views.ts';

/** What a lens sees: two fields in mm (NaN = nothing) and the normals as they are lit. */
export interface DepthMap {
  /** How places come onto it. */
  lens: Lens;
  /** Samples across. */
  columns: number;
  /** Samples down. */
  rows: number;
  /** Samples per viewBox px. */
  resolution: number;
  /** Along the line of sight towards the viewer, row by row: what hides what. */
  depth: Float32Array;
  /** What the height lines show; the depth itself where all lines of sight are parallel. */
  height: Float32Array;
  /** Unit normals, three numbers a sample. */
  normal: Float32Array;
}

/**
 * Sphere tracing along the lines of sight. A coarse grid (one ray every 5 viewBox px) gives each fine ray a start depth
 * and a floor; symmetric pictures trace one half and mirror it.
 */
export function traceDepth(distance: Distance, lens: Lens, picture: Picture, resolution: number): DepthMap {
  const { widthPx, heightPx, farMm, floorMm, symmetric } = picture;
  const columns = Math.round(widthPx * resolution) + 1;
  const rows = Math.round(heightPx * resolution) + 1;
  const depth = new Float32Array(columns * rows).fill(NaN);
  const height = new Float32Array(columns * rows).fill(NaN);
  const normal = new Float32Array(columns * rows * 3);
  const rayAt = (i: number, j: number): Ray | null => lens.ray(i / resolution, j / resolution);

  const step = Math.max(2, Math.floor(5 * resolution));
  const coarseColumns = Math.ceil(columns / step);
  const coarseRows = Math.ceil(rows / step);
  const coarse = new Float32Array(coarseColumns * coarseRows).fill(NaN);
  for (let j = 0; j < coarseRows; j++)
    for (let i = 0; i < coarseColumns; i++) {
      const ray = rayAt(i * step, j * step);
      if (ray) coarse[j * coarseColumns + i] = march(distance, ray, farMm, floorMm, farMm);
    }

  const half = (columns - 1) / 2;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      if (symmetric && i > half) break;
      const bounds = nearbyDepths(
        coarse,
        coarseColumns,
        coarseRows,
        Math.floor((i + (step >> 1)) / step),
        Math.floor((j + (step >> 1)) / step),
        floorMm,
      );
      const ray = bounds && rayAt(i, j);
      if (!ray) continue;
      const t = march(distance, ray, Math.min(farMm, bounds.most + 6), Math.max(floorMm, bounds.least - 50), farMm);
      if (Number.isNaN(t)) continue;
      const p = alongRay(ray, t);
      const n = lens.lit(normalAt(distance, p), ray);
      const h = lens.height(p, ray);
      put(j * columns + i, t, h, n);
      if (symmetric) put(j * columns + columns - 1 - i, t, h, [-n[0], n[1], n[2]]);
    }
  return { lens, columns, rows, resolution, depth, height, normal };

  function put(q: number, t: number, h: number, n: Vec3): void {
    depth[q] = t;
    height[q] = h;
    normal.set(n, 3 * q);
  }
}

export const alongRay = ({ origin: o, toward: r }: Ray, t: number): Vec3 => [
  o[0] + r[0] * t,
  o[1] + r[1] * t,
  o[2] + r[2] * t,
];

/** The place of the skin under a place of the picture, in world mm; null beside the body. */
export function pickSkin(
  distance: Distance,
  lens: Lens,
  { farMm, floorMm }: Picture,
  x: number,
  y: number,
): Vec3 | null {
  const ray = lens.ray(x, y);
  const t = ray ? march(distance, ray, farMm, floorMm, farMm) : NaN;
  return ray && !Number.isNaN(t) ? alongRay(ray, t) : null;
}

/** Depth at which a ray meets the skin, coming from `start` towards the body, anew from `far` if that lies inside; NaN if it never does. */
function march(f: Distance, ray: Ray, start: number, floor: number, far: number): number {
  const { origin: o, toward: r } = ray;
  let t = start;
  let before = start;
  let d = 0;
  for (let k = 0; k < 260; k++) {
    d = f(o[0] + r[0] * t, o[1] + r[1] * t, o[2] + r[2] * t);
    if (d < 0.01) {
      if (t === start && d < -1 && start < far) return march(f, ray, far, floor, far);
      if (d >= 0) return t;
      let outside = before;
      let inside = t;
      for (let i = 0; i < 14; i++) {
        const m = (outside + inside) / 2;
        if (f(o[0] + r[0] * m, o[1] + r[1] * m, o[2] + r[2] * m) > 0) outside = m;
        else inside = m;
      }
      return (outside + inside) / 2;
    }
    before = t;
    t -= Math.max(d * 0.8, 0.03);
    if (t < floor) return NaN;
  }
  return d < 0.6 ? t : NaN; // a grazing ray that ran out of steps
}

function nearbyDepths(
  grid: Float32Array,
  columns: number,
  rows: number,
  ci: number,
  cj: number,
  floorMm: number,
): { most: number; least: number } | null {
  let most = -1e9;
  let least = 1e9;
  for (let b = -1; b <= 1; b++)
    for (let a = -1; a <= 1; a++) {
      const i = ci + a;
      const j = cj + b;
      if (i < 0 || j < 0 || i >= columns || j >= rows) continue;
      const d = grid[j * columns + i]!;
      if (Number.isNaN(d)) least = floorMm;
      else {
        most = Math.max(most, d);
        least = Math.min(least, d);
      }
    }
  return most < -1e8 ? null : { most, least };
}

/** Outward, of length 1. */
export function normalAt(f: Distance, [x, y, z]: Vec3): Vec3 {
  const e = 0.35;
  const nx = f(x + e, y, z) - f(x - e, y, z);
  const ny = f(x, y + e, z) - f(x, y - e, z);
  const nz = f(x, y, z + e) - f(x, y, z - e);
  const l = Math.hypot(nx, ny, nz) || 1;
  return [nx / l, ny / l, nz / l];
}
