import type { BodyName } from './anchors.ts';
import type { DepthMap } from './trace.ts';
import { mirrored, type Vec3 } from './vector.ts';
import { isFaded, onSheet, PICTURES, sheetOf, VIEWS, type View } from './views.ts';

/** Where a place is drawn in one view, in viewBox px of its sheet. */
export interface Spot {
  /** In viewBox px. */
  x: number;
  /** In viewBox px. */
  y: number;
}

/** How deep in mm a place may lie behind the visible skin and still count as seen. */
const SEEN_WITHIN_MM = 4;

const tenth = (v: number) => Math.round(v * 10) / 10;

/** Whether a place of the body, or the skin beside it, can be seen in a view. */
export function isSeen(map: DepthMap, p: Vec3, toleranceMm: number): boolean {
  const q = map.lens.project(p);
  if (!map.lens.holds(q)) return false;
  const [x, y, depth] = q;
  const i = Math.round(x * map.resolution);
  const j = Math.round(y * map.resolution);
  if (i < 0 || j < 0 || i >= map.columns || j >= map.rows) return false;
  const here = map.depth[j * map.columns + i]!;
  if (!Number.isNaN(here)) return depth > here - toleranceMm;
  // On the very outline a sample may fall beside the body: one step inwards decides.
  for (const [di, dj] of [
    [-2, 0],
    [2, 0],
    [0, -2],
    [0, 2],
  ] as const) {
    const near = map.depth[(j + dj) * map.columns + i + di];
    if (near !== undefined && !Number.isNaN(near)) return depth > near - toleranceMm - 2;
  }
  return false;
}

/**
 * Where a place of the client's left (or the midline, or with `onRight` its twin) is drawn, in every view in which it
 * can be seen. `maps` must hold the depth of each view asked for.
 */
export function spotsOf(
  mm: Vec3,
  body: BodyName,
  onRight: boolean,
  maps: Readonly<Partial<Record<View, DepthMap>>>,
): Partial<Record<View, Spot>> {
  const out: Partial<Record<View, Spot>> = {};
  for (const view of VIEWS) {
    const map = maps[view];
    if (!map || PICTURES[view].body !== body) continue;
    const p = onRight && body === 'head' ? mirrored(mm) : mm;
    if (!isSeen(map, p, SEEN_WITHIN_MM)) continue;
    const [px, y] = map.lens.project(p);
    if (isFaded(view, px, y)) continue;
    const x = onSheet(PICTURES[view], px, onRight);
    const { width, height } = sheetOf(view);
    if (x >= 0 && y >= 0 && x <= width && y <= height) out[view] = { x: tenth(x), y: tenth(y) };
  }
  return out;
}
