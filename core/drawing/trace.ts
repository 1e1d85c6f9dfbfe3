import type { Distance } from './shapes.ts';
import type { Vec3 } from './vector.ts';
import { isSymmetric, unproject, type Camera } from './views.ts';

/** What a camera sees: depth in mm towards the viewer (NaN = nothing) and normals in view space. */
export interface DepthMap {
  /** Samples across. */
  columns: number;
  /** Samples down. */
  rows: number;
  /** Samples per viewBox px. */
  resolution: number;
  /** Towards the camera, in mm, row by row. */
  depth: Float32Array;
  /** Unit normals, three numbers a sample. */
  normal: Float32Array;
}

const FAR_MM = 260;

/**
 * Orthographic sphere tracing. A coarse grid (one ray every 5 viewBox px) gives each fine ray a start depth and a
 * floor; symmetric views trace one half and mirror it.
 */
export function traceDepth(distance: Distance, camera: Camera, resolution: number): DepthMap {
  const columns = Math.round(camera.widthPx * resolution) + 1;
  const rows = Math.round(camera.heightPx * resolution) + 1;
  const depth = new Float32Array(columns * rows).fill(NaN);
  const normal = new Float32Array(columns * rows * 3);
  const toward = camera.toward;
  const rayAt = (i: number, j: number): Vec3 => unproject(camera, i / resolution, j / resolution, 0);

  const step = Math.max(2, Math.floor(5 * resolution));
  const coarseColumns = Math.ceil(columns / step);
  const coarseRows = Math.ceil(rows / step);
  const coarse = new Float32Array(coarseColumns * coarseRows);
  for (let j = 0; j < coarseRows; j++)
    for (let i = 0; i < coarseColumns; i++)
      coarse[j * coarseColumns + i] = march(distance, rayAt(i * step, j * step), toward, FAR_MM, camera.floorMm);

  const symmetric = isSymmetric(camera);
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
        camera.floorMm,
      );
      if (!bounds) continue;
      const origin = rayAt(i, j);
      const t = march(
        distance,
        origin,
        toward,
        Math.min(FAR_MM, bounds.most + 6),
        Math.max(camera.floorMm, bounds.least - 50),
      );
      if (Number.isNaN(t)) continue;
      const n = normalAt(
        distance,
        [origin[0] + toward[0] * t, origin[1] + toward[1] * t, origin[2] + toward[2] * t],
        camera,
      );
      put(j * columns + i, t, n);
      if (symmetric) put(j * columns + columns - 1 - i, t, [-n[0], n[1], n[2]]);
    }
  return { columns, rows, resolution, depth, normal };

  function put(q: number, t: number, n: Vec3): void {
    depth[q] = t;
    normal.set(n, 3 * q);
  }
}

/** Depth at which a ray meets the skin, coming from `start` towards the body; NaN if it never does. */
function march(f: Distance, o: Vec3, r: Vec3, start: number, floor: number): number {
  let t = start;
  let before = start;
  let d = 0;
  for (let k = 0; k < 260; k++) {
    d = f(o[0] + r[0] * t, o[1] + r[1] * t, o[2] + r[2] * t);
    if (d < 0.01) {
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

function normalAt(f: Distance, [x, y, z]: Vec3, c: Camera): Vec3 {
  const e = 0.35;
  const nx = f(x + e, y, z) - f(x - e, y, z);
  const ny = f(x, y + e, z) - f(x, y - e, z);
  const nz = f(x, y, z + e) - f(x, y, z - e);
  const l = Math.hypot(nx, ny, nz) || 1;
  const along = (a: Vec3) => (nx * a[0] + ny * a[1] + nz * a[2]) / l;
  return [along(c.right), along(c.up), along(c.toward)];
}
