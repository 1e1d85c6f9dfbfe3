import { contours } from 'd3-contour';
import type { Grid } from './field.ts';
import type { Xy } from './vector.ts';

/** A piece of one isoline: its level, its drawing class (0 is never returned) and its course in viewBox px. */
export interface LineRun {
  level: number;
  weight: number;
  points: Xy[];
  closed: boolean;
}

/** Closed rings of one level in viewBox px. */
export function rings(field: Float32Array, grid: Grid, resolution: number, level: number): Xy[][] {
  const shape = contours()
    .size([grid.columns, grid.rows])
    .smooth(true)
    .contour(field as unknown as number[], level);
  return shape.coordinates.flatMap((polygon) =>
    polygon.map((ring) => ring.map(([x, y]) => [(x! - 0.5) / resolution, (y! - 0.5) / resolution] as const)),
  );
}

/**
 * Isolines cut into runs of equal class. `classify` says how a line is drawn at a place (0 = not at all),
 * `barred` where it must never pass (outside the mask, at a step in depth, inside the ear). The class is the
 * majority over about 5 px along the ring, so that there is no confetti.
 */
export function isolines(
  field: Float32Array,
  grid: Grid,
  resolution: number,
  levels: readonly number[],
  classify: (x: number, y: number, level: number) => number,
  barred: (x: number, y: number) => boolean,
): LineRun[] {
  const out: LineRun[] = [];
  const reach = Math.max(4, Math.round(5 * resolution));
  for (const level of levels)
    for (const ring of rings(field, grid, resolution, level)) {
      const n = ring.length - 1;
      if (n < 3) continue;
      const own = ring.slice(0, n).map(([x, y]) => classify(x, y, level));
      const weights = own.map((w, i) => {
        const winner = majority(own, i, reach, w);
        return w === 0 && winner !== 0 && barred(...ring[i]!) ? 0 : winner;
      });
      const start = weights.findIndex((w, i) => w !== weights[(i - 1 + n) % n]);
      if (start < 0) {
        if (weights[0]) out.push({ level, weight: weights[0], points: ring.slice(0, n), closed: true });
        continue;
      }
      let current: Xy[] = [];
      let weight = 0;
      const flush = () => {
        if (current.length > 1) out.push({ level, weight, points: current, closed: false });
        current = [];
      };
      for (let s = 0; s <= n; s++) {
        const i = (start + s) % n;
        if (s === n) {
          if (weight) current.push(ring[i]!);
          break;
        }
        if (weights[i] !== weight) {
          if (weight && current.length) current.push(ring[i]!);
          flush();
          weight = weights[i]!;
        }
        if (weight) current.push(ring[i]!);
      }
      flush();
    }
  return out;
}

function majority(values: readonly number[], at: number, reach: number, own: number): number {
  const n = values.length;
  const counts = new Map<number, number>();
  for (let a = -reach; a <= reach; a++) {
    const v = values[(((at + a) % n) + n) % n]!;
    counts.set(v, (counts.get(v) ?? 0) + 1);
  }
  let best = own;
  for (const [v, count] of counts) if (count > (counts.get(best) ?? 0)) best = v;
  return best;
}

/**
 * Edges between samples whose depths differ by more than `stepMm` and by clearly more than the slope beside
 * them: where one part of the face hides another. Chained into polylines in viewBox px.
 */
export function occlusionEdges(
  depth: Float32Array,
  { columns, rows }: Grid,
  resolution: number,
  stepMm: number,
): Xy[][] {
  const stride = columns + 2;
  const links = new Map<number, number[]>();
  const link = (a: number, b: number) => {
    links.set(a, [...(links.get(a) ?? []), b]);
    links.set(b, [...(links.get(b) ?? []), a]);
  };
  const isStep = (q: number, d: number): boolean => {
    const gap = Math.abs(depth[q + d]! - depth[q]!);
    if (!(gap >= stepMm)) return false;
    const before = Math.abs(depth[q]! - depth[q - d]!) || 0;
    const after = Math.abs(depth[q + 2 * d]! - depth[q + d]!) || 0;
    return gap > 1.6 * Math.max(before, after) || gap > 3 * stepMm;
  };
  for (let j = 2; j < rows - 2; j++)
    for (let i = 2; i < columns - 2; i++) {
      const q = j * columns + i;
      if (isStep(q, 1)) link(j * stride + i + 1, (j + 1) * stride + i + 1);
      if (isStep(q, columns)) link((j + 1) * stride + i, (j + 1) * stride + i + 1);
    }
  const used = new Set<string>();
  const edgeKey = (a: number, b: number) => (a < b ? `${a}_${b}` : `${b}_${a}`);
  const walk = (start: number): number[] => {
    const chain = [start];
    for (let at = start; ;) {
      const next = links.get(at)!.find((k) => !used.has(edgeKey(at, k)));
      if (next === undefined) return chain;
      used.add(edgeKey(at, next));
      chain.push(next);
      at = next;
      if (links.get(at)!.length > 2) return chain;
    }
  };
  const toXy = (k: number): Xy => [((k % stride) - 0.5) / resolution, (Math.floor(k / stride) - 0.5) / resolution];
  const out: Xy[][] = [];
  const collect = (start: number) => {
    const chain = walk(start);
    if (chain.length > 1) out.push(chain.map(toXy));
  };
  for (const [k, ends] of links) if (ends.length !== 2) ends.forEach(() => collect(k));
  for (const k of links.keys()) collect(k);
  return out;
}
