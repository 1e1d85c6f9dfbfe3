import type { Anchor, MuscleFan } from './anchors.ts';
import type { Dropper } from './drop.ts';
import type { Head } from './head.ts';
import { curvePath, simplify } from './path.ts';
import type { DepthMap } from './trace.ts';
import { catmullRom, mirrored, mix, type Vec3, type Xy } from './vector.ts';
import { project, type Camera } from './views.ts';

/** World position of an anchor on a head; null when the line misses the body. */
export function locateAnchor({ frame: fr }: Head, drop: Dropper, anchor: Anchor): Vec3 | null {
  const zone = fr.zone[anchor.zone];
  switch (anchor.from) {
    case 'front':
      return drop.front(...zone(anchor.x, anchor.y));
    case 'back':
      return drop.back(...zone(anchor.x, anchor.y));
    case 'side':
      return drop.side(zone(0, anchor.y)[1], anchor.z);
    case 'above':
      return drop.above(anchor.x, anchor.z);
    case 'fixed':
      return [...zone(anchor.x, anchor.y), anchor.z] as unknown as Vec3;
  }
}

export interface Placement {
  x: number;
  y: number;
  visible: boolean;
}

/** How deep in mm a place may lie behind the visible skin and still count as seen. */
const SEEN_WITHIN_MM = 4;

/** Where a world position falls in a view, and whether it can be seen there. */
export function placeInView(camera: Camera, map: DepthMap, p: Vec3): Placement {
  const [x, y, depth] = project(camera, p);
  const onSheet = x >= 0 && y >= 0 && x <= camera.widthPx && y <= camera.heightPx;
  const i = Math.round(x * map.resolution);
  const j = Math.round(y * map.resolution);
  const here = onSheet ? map.depth[Math.min(map.rows - 1, j) * map.columns + Math.min(map.columns - 1, i)]! : NaN;
  const tenth = (v: number) => Math.round(v * 10) / 10;
  return { x: tenth(x), y: tenth(y), visible: onSheet && (Number.isNaN(here) ? false : depth > here - SEEN_WITHIN_MM) };
}

/** A muscle drawn in one view: its outline and its fibres as path data; null when it cannot be seen. */
export interface FibreDrawing {
  outline: string;
  fibres: string;
}

/** Fibres of the client's left side as world points. */
export function fibreLines(fan: MuscleFan, drop: Dropper): Vec3[][] {
  const onSkin = (a: number, b: number): Vec3 | null => (fan.from === 'side' ? drop.side(a, b) : fan.from === 'front' ? drop.front(a, b) : drop.back(a, b));
  const origin = catmullRom(fan.origin, 8);
  const insertion = catmullRom(fan.insertion, 8);
  const along = (curve: number[][], t: number): number[] => {
    const u = Math.min(curve.length - 1 - 1e-6, t * (curve.length - 1));
    const i = Math.floor(u);
    return mix(curve[i]!, curve[i + 1]!, u - i);
  };
  return Array.from({ length: fan.fibres + 1 }, (_, k) => {
    const t = k / fan.fibres;
    const start = along(origin, t);
    const end = along(insertion, t);
    const control = mix(start, end, 0.5);
    if (fan.bend === 'over-ear' && t >= 0.35) {
      control[0]! += (14 * (t - 0.35)) / 0.65 + 6;
      control[1]! += (12 * (t - 0.35)) / 0.65;
    }
    return Array.from({ length: 23 }, (_, s) => {
      const u = s / 22;
      const at = mix(mix(start, control, u), mix(control, end, u), u);
      return onSkin(at[0]!, at[1]!);
    }).filter((p): p is Vec3 => p !== null);
  });
}

/** Draw fibres in one view; fibres that crowd together by foreshortening thin out to 2.4 px. */
export function drawFibres(lines: readonly Vec3[][], camera: Camera, map: DepthMap, onRight: boolean): FibreDrawing | null {
  const seen = lines
    .map((line) =>
      line
        .map((p) => (onRight ? mirrored(p) : p))
        .filter((p) => isSeen(camera, map, p, 5))
        .map((p): Xy => {
          const [x, y] = project(camera, p);
          return [x, y];
        }),
    )
    .filter((line) => line.length > 2);
  if (seen.length < 3) return null;
  const first = seen[0]!;
  const last = seen[seen.length - 1]!;
  const inner = seen.slice(1, -1);
  const ring = [...first, ...inner.map((l) => l[l.length - 1]!), ...[...last].reverse(), ...[...inner].reverse().map((l) => l[0]!)];
  const spread: Xy[][] = [];
  for (const line of seen) {
    const before = spread[spread.length - 1];
    const middle = (l: Xy[]) => l[l.length >> 1]!;
    const gap = (a: Xy, b: Xy) => Math.hypot(a[0] - b[0], a[1] - b[1]);
    if (!before || Math.max(gap(middle(line), middle(before)), gap(line[0]!, before[0]!)) > 2.4) spread.push(line);
  }
  return { outline: curvePath(simplify(ring, 0.2), true), fibres: spread.map((l) => curvePath(simplify(l, 0.12))).join('') };
}

function isSeen(camera: Camera, map: DepthMap, p: Vec3, toleranceMm: number): boolean {
  const [x, y, depth] = project(camera, p);
  const i = Math.round(x * map.resolution);
  const j = Math.round(y * map.resolution);
  if (i < 0 || j < 0 || i >= map.columns || j >= map.rows) return false;
  return depth > map.depth[j * map.columns + i]! - toleranceMm;
}
