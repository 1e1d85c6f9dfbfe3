import { describe, expect, test } from 'vitest';
import { blur, fillOut, smoothHeight } from './field.ts';
import { flatLens } from './lens.ts';
import { occlusionEdges, rings } from './lines.ts';
import { spotsOf } from './places.ts';
import { isInside, piecesWhere } from './relief.ts';
import { ellipsoid, loft, smoothMax, smoothMin, tube } from './shapes.ts';
import { traceDepth, type DepthMap } from './trace.ts';
import { CAMERAS } from './views.ts';
import type { Xy } from './vector.ts';

/** A ball of 60 mm: everything about its picture can be worked out by hand. */
const R = 60;
const ball = (x: number, y: number, z: number): number => Math.hypot(x, y, z) - R;
const RESOLUTION = 0.4;
const map = traceDepth(ball, flatLens(CAMERAS.front), CAMERAS.front, RESOLUTION);
const at = (m: DepthMap, xMm: number, yMm: number): number =>
  m.depth[Math.round((140 - yMm) * 1.5 * RESOLUTION) * m.columns + Math.round((220 + 1.5 * xMm) * RESOLUTION)]!;

describe('tracing a ball', () => {
  test('depth is that of the ball', () => {
    for (const [x, y] of [
      [0, 0],
      [20, 30],
      [-40, 10],
      [0, -50],
    ] as const) {
      // Each sample stands for a square of 1.7 mm, so x and y are right within 0.85 mm.
      const around = [-0.85, 0.85].flatMap((dx) =>
        [-0.85, 0.85].map((dy) => Math.sqrt(Math.max(0, R * R - (x + dx) ** 2 - (y + dy) ** 2))),
      );
      expect(at(map, x, y)).toBeGreaterThan(Math.min(...around) - 0.3);
      expect(at(map, x, y)).toBeLessThan(Math.max(...around) + 0.3);
    }
  });
  test('beside it there is nothing', () => expect(at(map, 70, 0)).toBeNaN());
  test('left and right mirror each other', () => {
    for (let j = 0; j < map.rows; j += 7)
      for (let i = 0; i < map.columns; i += 5)
        expect(map.depth[j * map.columns + i]).toEqual(map.depth[j * map.columns + map.columns - 1 - i]);
  });
  test('normals point outwards and have length 1', () => {
    const q = Math.round(140 * 1.5 * RESOLUTION) * map.columns + Math.round(220 * RESOLUTION);
    const [x, y, z] = map.normal.slice(3 * q, 3 * q + 3);
    expect(Math.hypot(x!, y!, z!)).toBeCloseTo(1, 3);
    expect(z).toBeGreaterThan(0.99);
  });
  test('the twin on the client’s right lies on the other side of the sheet', () => {
    const p = [30, 0, Math.sqrt(R * R - 900)] as const;
    expect(
      spotsOf(p, 'head', false, { front: map }).front!.x + spotsOf(p, 'head', true, { front: map }).front!.x,
    ).toBeCloseTo(440, 6);
  });
  test('what lies in front can be seen, what lies behind cannot', () => {
    expect(spotsOf([0, 0, R], 'head', false, { front: map })).toEqual({ front: { x: 220, y: 210 } });
    expect(spotsOf([0, 0, -R], 'head', false, { front: map })).toEqual({});
    expect(spotsOf([400, 0, 0], 'head', false, { front: map })).toEqual({});
    expect(spotsOf([0, 0, R], 'hand', false, { front: map })).toEqual({});
  });
});

describe('contours', () => {
  const mask = map.depth.map((d) => (Number.isNaN(d) ? 0 : d));
  test('the ring at a depth has the radius of the ball there', () => {
    const level = 40;
    const lines = rings(mask, map, RESOLUTION, level);
    const outer = lines.reduce((a, b) => (a.length > b.length ? a : b));
    const radius = Math.sqrt(R * R - level * level) * 1.5;
    for (const [x, y] of outer) expect(Math.hypot(x - 220, y - 210)).toBeCloseTo(radius, -0.6);
  });
  test('no ring above the highest point', () => expect(rings(mask, map, RESOLUTION, R + 5)).toEqual([]));
});

describe('fields', () => {
  const grid = { columns: 20, rows: 20 };
  const flat = new Float32Array(400).fill(5);
  test('blurring keeps what is even', () => {
    for (const v of blur(flat, grid, 6)) expect(v).toBeCloseTo(5, 5);
  });
  test('blurring keeps the sum of a spike and spreads it', () => {
    const spike = new Float32Array(400);
    spike[210] = 100;
    const out = blur(spike, grid, 2);
    expect(out.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 2);
    expect(out[210]).toBeLessThan(30);
  });
  test('smoothing a depth map keeps a step sharp', () => {
    const depth = Float32Array.from({ length: 400 }, (_, q) => (q % 20 < 10 ? 0 : 30));
    const out = smoothHeight(
      { ...grid, lens: flatLens(CAMERAS.front), resolution: 1, depth, height: depth, normal: new Float32Array(1200) },
      6,
    );
    expect([out[209], out[210]]).toEqual([0, 30]);
  });
  test('filling out grows by one sample a pass', () => {
    const field = new Float32Array(400);
    const known = new Uint8Array(400);
    field[210] = 7;
    known[210] = 1;
    const out = fillOut(field, grid, known, 2);
    expect([out[211], out[212], out[213]]).toEqual([7, 7, 0]);
  });
  test('an edge is found where depth jumps, and only there', () => {
    const depth = Float32Array.from({ length: 400 }, (_, q) => (q % 20 < 10 ? 0 : 30));
    const edges = occlusionEdges(depth, grid, 1, 3.2);
    expect(edges.length).toBeGreaterThan(0);
    for (const [x] of edges.flat()) expect(x).toBeCloseTo(9.5, 0);
    expect(occlusionEdges(flat, grid, 1, 3.2)).toEqual([]);
  });
});

describe('shapes', () => {
  test('an ellipsoid is 0 on its axes’ ends, negative inside', () => {
    const { distance } = ellipsoid([10, 0, 0], [20, 30, 40]);
    for (const p of [
      [30, 0, 0],
      [10, 30, 0],
      [10, 0, -40],
    ] as const)
      expect(distance(p[0], p[1], p[2])).toBeCloseTo(0, 6);
    expect(distance(10, 0, 0)).toBeLessThan(-10);
    expect(distance(60, 0, 0)).toBeGreaterThan(20);
  });
  test('a straight tube has its radius all along', () => {
    const { distance } = tube([
      [0, 0, 0, 5],
      [0, 50, 0, 5],
    ]);
    for (const y of [5, 25, 45]) expect(distance(12, y, 0)).toBeCloseTo(7, 4);
  });
  test('a loft is as wide as its rows say', () => {
    const { distance } = loft([
      [-50, 40, 0, 30, 30],
      [0, 40, 0, 30, 30],
      [50, 40, 0, 30, 30],
    ]);
    expect(distance(40, 0, 0)).toBeCloseTo(0, 3);
    expect(distance(0, 0, 30)).toBeCloseTo(0, 3);
    expect(distance(20, 0, 0)).toBeLessThan(0);
  });
  test('blending two masses is never larger than their union and near it far away', () => {
    expect(smoothMin(3, 4, 0.5)).toBe(3);
    expect(smoothMin(3, 3, 4)).toBeLessThan(3);
    expect(smoothMax(3, 3, 4)).toBeGreaterThan(3);
    expect(smoothMin(-2, 9, 3)).toBe(-2);
  });
});

describe('pieces and insides', () => {
  const square: Xy[] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ];
  test('inside a polygon', () =>
    expect([isInside(square, 5, 5), isInside(square, 15, 5), isInside(square, -1, 5)]).toEqual([true, false, false]));
  test('a line is cut where it may not be drawn, and short rests go', () => {
    expect(piecesWhere([1, 2, 3, -1, 4, -1, 5, 6, 7], (v) => v > 0, 2)).toEqual([
      [1, 2, 3],
      [5, 6, 7],
    ]);
    expect(piecesWhere([-1, -2], (v) => v > 0, 1)).toEqual([]);
  });
});
