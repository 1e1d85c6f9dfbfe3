import type { PosedFlesh } from './jaw-flesh.ts';
import { pathPoints, type PathPoints } from './path.ts';
import type { DepthMap } from './trace.ts';
import { project, unproject, type Camera } from './views.ts';

/** Every path of a drawing, in the order in which a browser finds its elements. */
export const pathsOfSvg = (svg: string): PathPoints[] =>
  [...svg.matchAll(/<path[^>]* d="([^"]*)"/g)].map(([, d]) => pathPoints(d!));

/** Depths are kept in a byte: so many mm a step, from the deepest that a picture shows. */
const DEPTH_STEP_MM = 1.2;
/** How far round a place of a line skin is looked for, samples. */
const LOOK_SAMPLES = 6;

/** How deep the skin lies at each place of a drawing's paths, one byte a place: what carrying its lines needs. */
export function depthBytes(paths: readonly PathPoints[], map: DepthMap, camera: Camera): Uint8Array {
  const { columns, rows, resolution, depth } = map;
  const skinAt = (x: number, y: number): number => {
    const [i, j] = [Math.round(x * resolution), Math.round(y * resolution)];
    for (let r = 0; r <= LOOK_SAMPLES; r++)
      for (const [di, dj] of [
        [r, 0],
        [-r, 0],
        [0, -r],
        [0, r],
        [r, -r],
        [-r, -r],
        [r, r],
        [-r, r],
      ] as const) {
        const [a, b] = [i + di, j + dj];
        if (a < 0 || b < 0 || a >= columns || b >= rows) continue;
        const mm = depth[b * columns + a]!;
        if (!Number.isNaN(mm)) return mm;
      }
    // Beside the body: on the midline, which is the outline of a profile.
    return 0;
  };
  const bytes: number[] = [];
  for (const { at } of paths)
    for (let i = 0; i < at.length; i += 2)
      bytes.push(Math.round((skinAt(at[i]!, at[i + 1]!) - camera.floorMm) / DEPTH_STEP_MM));
  return Uint8Array.from(bytes);
}

/** Movements smaller than this are none, px. */
const STILL_PX = 0.05;

/**
 * The places of a drawn profile's paths carried along with the skin from the pose it was drawn in to another one; null
 * for a path that stays. Two such results mix place by place.
 */
export function carriedPaths(
  paths: readonly PathPoints[],
  depths: Uint8Array,
  camera: Camera,
  from: PosedFlesh,
  to: PosedFlesh,
): (Float32Array | null)[] {
  let k = 0;
  return paths.map(({ at }) => {
    const carried = Float32Array.from(at);
    let moves = false;
    for (let i = 0; i < at.length; i += 2) {
      const depthMm = depths[k++]! * DEPTH_STEP_MM + camera.floorMm;
      const place = unproject(camera, at[i]!, at[i + 1]!, depthMm);
      const [x, y] = project(camera, to.posed(from.unpose(place)));
      if (Math.abs(x - at[i]!) < STILL_PX && Math.abs(y - at[i + 1]!) < STILL_PX) continue;
      carried[i] = x;
      carried[i + 1] = y;
      moves = true;
    }
    return moves ? carried : null;
  });
}
