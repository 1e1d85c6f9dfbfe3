import { marchingCubes } from 'isosurface';
import { expect, test } from 'vitest';
import { buildBodies } from './bodies.ts';
import { lensOf } from './draw.ts';
import type { Ray } from './lens.ts';
import { normalAt, pickSkin } from './trace.ts';
import { cross, dot, normalise, type Vec3 } from './vector.ts';
import { PICTURES } from './views.ts';

/**
 * The skin as triangles, made by another method and another hand (package isosurface), against which rays are held: in
 * blocks, where rays pass and the body is near enough for its skin to lie in them.
 */
const BLOCK_MM = 10;
const EVERY_MM = 1.25;
const CELLS = BLOCK_MM / EVERY_MM;

const bodies = buildBodies();
const { distance } = bodies.head.body;
type Triangle = [Vec3, Vec3, Vec3];
const blocks = new Map<string, Triangle[]>();
function blockAt(place: Vec3): Triangle[] {
  const low = place.map((v) => Math.floor(v / BLOCK_MM) * BLOCK_MM) as unknown as Vec3;
  const key = low.join(' ');
  const known = blocks.get(key);
  if (known) return known;
  const [x, y, z] = low.map((v) => v + BLOCK_MM / 2) as unknown as Vec3;
  let triangles: Triangle[] = [];
  if (Math.abs(distance(x, y, z)) < BLOCK_MM) {
    // The package leaves out the last layer of cells, so it is given one more.
    const { positions, cells } = marchingCubes([CELLS + 1, CELLS + 1, CELLS + 1], distance, [
      low,
      low.map((v) => v + BLOCK_MM + EVERY_MM),
    ]);
    triangles = cells.map((cell) => [positions[cell[0]]!, positions[cell[1]]!, positions[cell[2]]!]);
  }
  blocks.set(key, triangles);
  return triangles;
}
const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/** How far along a ray towards the viewer the outermost triangle lies that it meets; null where it meets none. */
function outermost({ origin, toward }: Ray, from: number, to: number): number | null {
  for (let t = from; t > to; t -= BLOCK_MM / 4) {
    const met = blockAt(along(origin, toward, t)).flatMap((triangle) => meets(origin, toward, triangle) ?? []);
    if (met.length) return Math.max(...met);
  }
  return null;
}
const along = (o: Vec3, r: Vec3, t: number): Vec3 => [o[0] + r[0] * t, o[1] + r[1] * t, o[2] + r[2] * t];

/** Where a line meets a triangle (Möller and Trumbore). */
function meets(origin: Vec3, toward: Vec3, [a, b, c]: Triangle): number | null {
  const [ab, ac] = [minus(b, a), minus(c, a)];
  const h = cross(toward, ac);
  const det = dot(ab, h);
  if (Math.abs(det) < 1e-9) return null;
  const s = minus(origin, a);
  const u = dot(s, h) / det;
  const q = cross(s, ab);
  const v = dot(toward, q) / det;
  return u < 0 || v < 0 || u + v > 1 ? null : dot(ac, q) / det;
}

/** Within a fixed scatter over the picture (Halton, bases 2 and 3). */
function halton(base: number, n: number): number {
  let [f, r] = [1, 0];
  for (let k = n; k > 0; k = Math.floor(k / base)) {
    f /= base;
    r += f * (k % base);
  }
  return r;
}

test('rays of the opened face meet the skin within 0.5 mm of an independent mesh, for 200 places', () => {
  const picture = PICTURES.opened;
  const lens = lensOf('opened', bodies);
  let held = 0;
  let missed = 0;
  for (let i = 1; held + missed < 200; i++) {
    const [x, y] = [halton(2, i) * picture.widthPx, halton(3, i) * 460];
    const place = pickSkin(distance, lens, picture, x, y);
    if (!place) continue;
    const ray = lens.ray(x, y)!;
    const { origin, toward } = ray;
    const t = outermost(ray, picture.farMm, picture.floorMm);
    if (t === null) {
      missed++;
      continue;
    }
    const off = t - dot(minus(place, origin), toward);
    // Across the skin: along a ray that grazes it the same half millimetre is many.
    const square = Math.abs(dot(normalise(normalAt(distance, place)), toward));
    expect(Math.abs(off) * square, `${x.toFixed(1)} ${y.toFixed(1)}`).toBeLessThan(0.5);
    held++;
  }
  expect(missed).toBeLessThanOrEqual(1);
});
