import { contours } from 'd3-contour';
import { blur, fillOut, smoothHeight } from './field.ts';
import type { FeatureCurve } from './features.ts';
import { isolines, occlusionEdges, rings } from './lines.ts';
import { curvePath, lengthOf, simplify, smoothed, taperedPath } from './path.ts';
import type { DepthMap } from './trace.ts';
import { catmullRom, type Vec3, type Xy } from './vector.ts';
import type { Picture, View } from './views.ts';

/** Every number of the drawing style. Lengths in viewBox px unless named. */
const STYLE = {
  indexEvery: 5, // every 5th is an index contour
  dropGap: 1.5, // ordinary contours closer than this go
  dropIndexGap: 0.62,
  strongGap: 3.3, // above: full weight
  supplementaryGap: 15, // above: half-step contours appear
  hardMmPerPx: 9, // no contour passes a step in depth
  shade: [0.16, 0.3, 0.44, 0.58, 0.74],
  light: [-0.42, 0.6, 0.68] as Vec3, // from the upper left of the sheet
  edgeStepMm: 3.2,
};

/** A zone without contours, with an optional depth in mm that must be near for the zone to count. */
export interface QuietZone {
  outline: Xy[];
  depthMm?: number;
  slackMm?: number;
}

export interface ReliefInput {
  view: View;
  picture: Picture;
  map: DepthMap;
  curves: readonly FeatureCurve[];
  quiet: readonly QuietZone[];
  /** Circles [x, y, radius] in which occlusion edges are left out. */
  mute: readonly (readonly [number, number, number])[];
}

/** The drawing as path data, one string per kind of line. */
export interface Relief {
  silhouette: string;
  shade: string[];
  contours: { supplementary: string; thin: string; full: string; index: string };
  edges: string;
  dashes: { path: string; widthPx: number; opacity: number }[];
  features: { path: string; opacity: number }[];
}

const CLASS = { none: 0, thin: 1, index: 2, full: 3 } as const;
type ContourKind = keyof Relief['contours'];

/** Depth map to terrain drawing. Pure and deterministic. */
export function drawRelief({ view, picture, map, curves, quiet, mute }: ReliefInput): Relief {
  const { columns, rows, resolution } = map;
  const mask = Uint8Array.from(map.depth, (d) => (Number.isNaN(d) ? 0 : 1));
  const sampleAt = (x: number, y: number) =>
    Math.min(rows - 1, Math.max(0, Math.round(y * resolution))) * columns +
    Math.min(columns - 1, Math.max(0, Math.round(x * resolution)));
  const depthAt = (x: number, y: number) => map.depth[sampleAt(x, y)]!;
  const smooth = smoothHeight(map, Math.round(2 * resolution * resolution) + 1);
  const { slope, hard } = slopes(smooth, map, mask);
  const isQuiet = (x: number, y: number) =>
    quiet.some(
      (zone) =>
        isInside(zone.outline, x, y) &&
        (zone.depthMm === undefined || Math.abs(depthAt(x, y) - zone.depthMm) < zone.slackMm!),
    );
  return {
    ...contourPaths(),
    shade: hillShade(map, mask),
    silhouette: silhouettePath(),
    edges: edgePaths(),
    ...featurePaths(),
  };

  function contourPaths(): Pick<Relief, 'contours'> {
    const steps = (level: number) => level / picture.stepMm;
    const isSupplementary = (level: number) => Math.abs(steps(level) - Math.round(steps(level))) > 0.1;
    const isIndex = (level: number) => !isSupplementary(level) && Math.round(steps(level)) % STYLE.indexEvery === 0;
    const gapAt = (x: number, y: number) => {
      const i = Math.round(x * resolution);
      const j = Math.round(y * resolution);
      const q = j * columns + i;
      return i < 2 || j < 2 || i > columns - 3 || j > rows - 3 || !mask[q]
        ? -1
        : picture.stepMm / Math.max(1e-4, slope[q]!);
    };
    const classify = (x: number, y: number, level: number): number => {
      const gap = gapAt(x, y);
      if (gap < 0 || hard[sampleAt(x, y)] || isQuiet(x, y)) return CLASS.none;
      if (isSupplementary(level)) return gap > STYLE.supplementaryGap ? CLASS.thin : CLASS.none;
      if (isIndex(level)) return gap > STYLE.dropIndexGap ? CLASS.index : CLASS.none;
      return gap > STYLE.strongGap ? CLASS.full : gap > STYLE.dropGap ? CLASS.thin : CLASS.none;
    };
    const barred = (x: number, y: number) => !mask[sampleAt(x, y)] || hard[sampleAt(x, y)] === 1 || isQuiet(x, y);
    const seen = smooth.filter((_, q) => mask[q]);
    const lowest = seen.reduce((a, b) => Math.min(a, b), Infinity);
    const highest = seen.reduce((a, b) => Math.max(a, b), -Infinity);
    const levels: number[] = [];
    for (let v = Math.ceil(lowest / picture.stepMm) * picture.stepMm; v < highest; v += picture.stepMm)
      levels.push(v, v + picture.stepMm / 2);
    const field = fillOut(smooth, map, mask, 3).map((d) => (Number.isNaN(d) ? -200 : d));
    const out: Record<ContourKind, string> = { supplementary: '', thin: '', full: '', index: '' };
    const shortest: Record<ContourKind, number> = { supplementary: 26, thin: 10, full: 10, index: 8 };
    for (const run of isolines(field, map, resolution, levels, classify, barred)) {
      const kind: ContourKind = isSupplementary(run.level)
        ? 'supplementary'
        : run.weight === CLASS.index
          ? 'index'
          : run.weight === CLASS.full
            ? 'full'
            : 'thin';
      const length = lengthOf(run.points);
      if (length < shortest[kind] && !(run.closed && length > 24)) continue;
      out[kind] += curvePath(simplify(smoothed(run.points, Math.round(2.5 * resolution), run.closed), 0.2), run.closed);
    }
    return { contours: out };
  }

  function silhouettePath(): string {
    const soft = blur(Float32Array.from(mask), map, Math.round(1.5 * resolution));
    return rings(soft, map, resolution, 0.5)
      .filter((ring) => lengthOf(ring) > 60)
      .map((ring) => curvePath(simplify(smoothed(ring, Math.round(3 * resolution)), 0.1).slice(0, -1), true))
      .join('');
  }

  function edgePaths(): string {
    const rim = blur(Float32Array.from(mask), map, Math.round(4 * resolution * resolution));
    const isMuted = (line: Xy[]) => mute.some(([x, y, r]) => line.every((p) => Math.hypot(p[0] - x, p[1] - y) < r));
    return occlusionEdges(map.depth, map, resolution, STYLE.edgeStepMm)
      .flatMap((line) => piecesWhere(line, (p) => rim[sampleAt(p[0], p[1])]! > 0.985, 2))
      .filter((line) => lengthOf(line) > picture.shortestEdgePx && !isMuted(line))
      .map((line) => curvePath(simplify(smoothed(line, Math.round(9 * resolution)), 0.15)))
      .join('');
  }

  function featurePaths(): Pick<Relief, 'dashes' | 'features'> {
    const out: Pick<Relief, 'dashes' | 'features'> = { dashes: [], features: [] };
    for (const curve of curves) {
      const seen = catmullRom(curve.points, 14).map((p) => map.lens.project(p as unknown as Vec3));
      const opacity = typeof curve.opacity === 'function' ? curve.opacity(view) : curve.opacity;
      if (opacity === 0) continue;
      const visible = (q: Vec3) => map.lens.holds(q) && q[2] > depthAt(q[0], q[1]) - curve.toleranceMm;
      for (const piece of piecesWhere(seen, visible, 3)) {
        const line = piece.map((q) => [q[0], q[1]] as const);
        if (curve.kind === 'dash')
          out.dashes.push({ path: curvePath(simplify(line, 0.1)), widthPx: curve.widthPx, opacity });
        else out.features.push({ path: taperedPath(line, curve.widthPx), opacity });
      }
    }
    return out;
  }
}

/** Slope in mm per px, taking the smaller one-sided difference so that steps do not leak into their neighbours. */
function slopes(
  depth: Float32Array,
  { columns, rows, resolution }: DepthMap,
  mask: Uint8Array,
): { slope: Float32Array; hard: Uint8Array } {
  const slope = new Float32Array(depth.length);
  const hard = new Uint8Array(depth.length);
  const oneSided = (q: number, d: number): [number, number] => {
    const before = Math.abs(depth[q]! - depth[q - d]!);
    const after = Math.abs(depth[q + d]! - depth[q]!);
    const known = [before, after].filter((v) => !Number.isNaN(v));
    return [(known.length ? Math.min(...known) : 99) * resolution, known.length ? Math.max(...known) : 0];
  };
  for (let j = 2; j < rows - 2; j++)
    for (let i = 2; i < columns - 2; i++) {
      const q = j * columns + i;
      if (!mask[q]) continue;
      const [gx, mostX] = oneSided(q, 1);
      const [gy, mostY] = oneSided(q, columns);
      slope[q] = Math.min(12, Math.hypot(gx, gy));
      if (Math.max(mostX, mostY) * resolution > STYLE.hardMmPerPx) hard[q] = 1;
    }
  return { slope: blur(slope, { columns, rows }, Math.round(3 * resolution * resolution), mask), hard };
}

/** Light from the upper left, cut into flat steps. */
function hillShade(map: DepthMap, mask: Uint8Array): string[] {
  const { resolution } = map;
  const axes = [0, 1, 2].map((c) => {
    const component = Float32Array.from(mask, (_, q) => map.normal[3 * q + c]!);
    return blur(component, map, Math.round(7 * resolution * resolution), mask);
  });
  const dark = Float32Array.from(mask, (inside, q) => {
    if (!inside) return 0;
    const [a, b, c] = axes.map((axis) => axis[q]!) as [number, number, number];
    const l = Math.hypot(a, b, c) || 1;
    return 1 - Math.max(0, (a * STYLE.light[0] + b * STYLE.light[1] + c * STYLE.light[2]) / l);
  });
  const field = blur(fillOut(dark, map, mask, 4), map, Math.round(2 * resolution));
  return STYLE.shade.map((level) =>
    contours()
      .size([map.columns, map.rows])
      .contour(field as unknown as number[], level)
      .coordinates.flat()
      .map((ring) => ring.slice(0, -1).map(([x, y]) => [(x! - 0.5) / resolution, (y! - 0.5) / resolution] as const))
      .filter((ring) => Math.abs(twiceArea(ring)) >= 160)
      .map((ring) =>
        curvePath(simplify(smoothed([...ring, ring[0]!], Math.round(4 * resolution)), 0.4).slice(0, -1), true),
      )
      .join(''),
  );
}

const twiceArea = (ring: readonly Xy[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + p[0] * q[1] - q[0] * p[1];
  }, 0);

/** The stretches of a line on which `keep` holds, each longer than `least` points. */
export function piecesWhere<P>(line: readonly P[], keep: (p: P) => boolean, least: number): P[][] {
  const out: P[][] = [];
  let run: P[] = [];
  for (const p of line) {
    if (keep(p)) run.push(p);
    else {
      if (run.length > least) out.push(run);
      run = [];
    }
  }
  if (run.length > least) out.push(run);
  return out;
}

/** Even-odd test of a place against a polygon. */
export function isInside(polygon: readonly Xy[], x: number, y: number): boolean {
  let inside = false;
  for (let a = 0, b = polygon.length - 1; a < polygon.length; b = a++) {
    const [ax, ay] = polygon[a]!;
    const [bx, by] = polygon[b]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}
