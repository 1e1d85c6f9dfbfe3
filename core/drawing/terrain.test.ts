import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { dropper } from './drop.ts';
import { buildHead } from './head.ts';
import { curvePath, lengthOf, linePath, simplify, smoothed } from './path.ts';
import { REFERENCE_MM } from './proportions.ts';
import { catmullRom, cross, dot, mirrored, monotoneTable, normalise, type Vec3, type Xy } from './vector.ts';
import {
  CAMERAS,
  FLAT_VIEWS,
  leftEdge,
  onSheet,
  PICTURES,
  project,
  PX_PER_MM,
  sheetOf,
  unproject,
  VIEWS,
} from './views.ts';

const head = buildHead();
const drop = dropper(head.body.distance);

describe('vectors and curves', () => {
  test('cross product is square to both', () => {
    const a: Vec3 = [1, 2, 3];
    const b: Vec3 = [-2, 0.5, 4];
    expect(dot(cross(a, b), a)).toBeCloseTo(0, 12);
    expect(dot(cross(a, b), b)).toBeCloseTo(0, 12);
    expect(Math.hypot(...normalise(a))).toBeCloseTo(1, 12);
  });
  test('the other side of the body', () => expect(mirrored([12, 3, 4])).toEqual([-12, 3, 4]));
  test('a Catmull–Rom spline passes through its points', () => {
    const points = [
      [0, 0],
      [10, 5],
      [20, -5],
      [30, 0],
    ];
    const line = catmullRom(points, 8);
    points.forEach((p, i) => expect(line[i * 8]!.map((v) => Math.round(v * 1e9) / 1e9)).toEqual(p));
  });
  test('a monotone table neither overshoots nor leaves its range', () => {
    const y = monotoneTable([0, 1, 5, 5, 9], [-100, -50, 0, 50, 100]);
    let before = -Infinity;
    for (let x = -100; x <= 100; x += 1) {
      expect(y(x)).toBeGreaterThanOrEqual(before - 1e-9);
      before = y(x);
    }
    expect([y(-200), y(200)]).toEqual([0, 9]);
  });
});

describe('paths', () => {
  const wave: Xy[] = Array.from({ length: 60 }, (_, i) => [i * 3, Math.sin(i / 5) * 20]);
  test('simplifying keeps the ends and stays within its tolerance', () => {
    const few = simplify(wave, 0.5);
    expect([few[0], few.at(-1)]).toEqual([wave[0], wave.at(-1)]);
    expect(few.length).toBeLessThan(wave.length);
    expect(lengthOf(few) / lengthOf(wave)).toBeGreaterThan(0.99);
  });
  test('a straight line needs two points', () =>
    expect(
      simplify(
        Array.from({ length: 20 }, (_, i): Xy => [i, 2 * i]),
        0.01,
      ).length,
    ).toBe(2));
  test('smoothing keeps open ends where they are', () => expect(smoothed(wave, 5)[0]).toEqual(wave[0]));
  test('path data is relative, with one decimal, and closes', () => {
    expect(
      linePath(
        [
          [0, 0],
          [1, 0],
          [1, 1],
        ],
        true,
      ),
    ).toMatch(/^M0 0l1 0l0 1z$/);
    expect(curvePath(wave)).toMatch(/^M0 0[q\-.\d l]+$/);
  });
  test('rounding does not add up: the pen ends where the line ends', () => {
    const d = linePath(Array.from({ length: 200 }, (_, i): Xy => [i * 0.333, i * 0.777]));
    const numbers = [...d.matchAll(/-?\d*\.?\d+/g)].map((m) => Number(m[0]));
    const x = numbers.filter((_, i) => i % 2 === 0).reduce((a, b) => a + b, 0);
    expect(x).toBeCloseTo(199 * 0.333, 0);
  });
});

describe('views', () => {
  test('millimetres go to the sheet and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FLAT_VIEWS),
        fc.float({ min: -100, max: 100, noNaN: true }),
        fc.float({ min: -200, max: 130, noNaN: true }),
        fc.float({ min: -100, max: 110, noNaN: true }),
        (view, x, y, z) => {
          const [X, Y, depth] = project(CAMERAS[view], [x, y, z]);
          const back = unproject(CAMERAS[view], X, Y, depth);
          [x, y, z].forEach((v, i) => expect(back[i]).toBeCloseTo(v, 4));
        },
      ),
    );
  });
  test('the client’s left is at the right edge from the front and at the left edge from behind', () => {
    expect([leftEdge('front'), leftEdge('back'), leftEdge('left')]).toEqual(['right', 'left', null]);
    expect(project(CAMERAS.front, [50, 0, 0])[0]).toBeGreaterThan(220);
    expect(project(CAMERAS.back, [50, 0, 0])[0]).toBeLessThan(220);
  });
  test('in profile the nose points away from the ear: left view to the left, right view to the right', () => {
    expect(project(CAMERAS.left, [0, 0, 100])[0]).toBeLessThan(220);
    expect(project(CAMERAS.right, [0, 0, 100])[0]).toBeGreaterThan(220);
  });
  test('the right profile mirrors the left one', () => {
    const p: Vec3 = [60, -20, 30];
    expect(project(CAMERAS.right, mirrored(p))[0]).toBeCloseTo(440 - project(CAMERAS.left, p)[0], 9);
  });
  test('scale is the same everywhere', () => {
    for (const view of FLAT_VIEWS) {
      const [x, y, z] = CAMERAS[view].up;
      expect(project(CAMERAS[view], [10 * x, 10 * y, 10 * z])[1] - project(CAMERAS[view], [0, 0, 0])[1]).toBeCloseTo(
        -10 * PX_PER_MM,
        9,
      );
    }
    expect(VIEWS.filter((v) => PICTURES[v].symmetric)).toEqual(['opened', 'front', 'back', 'top', 'chest']);
  });
});

describe('two hands on one sheet', () => {
  test('the right hand is the left one mirrored, in its own half', () => {
    const { width } = sheetOf('palms');
    for (const x of [10, 150, 290]) {
      expect(onSheet(CAMERAS.palms, x, false) + onSheet(CAMERAS.palms, x, true)).toBeCloseTo(width, 9);
      expect(onSheet(CAMERAS.palms, x, true)).toBeLessThan(width / 2);
    }
    expect(onSheet(CAMERAS.front, 33, true)).toBe(33);
  });
});

describe('the parametric head', () => {
  test('inside is negative, outside positive', () => {
    expect(head.body.distance(0, 20, 0)).toBeLessThan(-20);
    expect(head.body.distance(0, 20, 200)).toBeGreaterThan(50);
  });
  test('left and right are the same body', () => {
    fc.assert(
      fc.property(
        fc.float({ min: 0, max: 90, noNaN: true }),
        fc.float({ min: -150, max: 130, noNaN: true }),
        fc.float({ min: -100, max: 110, noNaN: true }),
        (x, y, z) => {
          expect(head.body.distance(-x, y, z)).toBeCloseTo(head.body.distance(x, y, z), 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('a dropped place lies on the skin', () => {
    for (const p of [drop.front(0, 32), drop.side(-46, 28), drop.back(24, -32)]) {
      expect(p).not.toBeNull();
      expect(Math.abs(head.body.distance(p![0], p![1], p![2]))).toBeLessThan(0.5);
    }
  });
  test('a line beside the head hits nothing', () => expect(drop.front(200, 100)).toBeNull());
  test('nose before brow before cheek', () => {
    const z = (x: number, y: number) => drop.front(x, y)![2];
    expect(z(0, -24)).toBeGreaterThan(z(0, 32));
    expect(z(0, 32)).toBeGreaterThan(z(46, -9));
  });
});

describe('proportions', () => {
  test('every factor at 1 is the reference head', () => {
    const same = buildHead(Object.fromEntries(Object.keys(REFERENCE_MM).map((f) => [f, 1])));
    for (const p of [
      [0, 32, 94],
      [60, -20, 10],
      [20, -60, 80],
    ] as Vec3[])
      expect(same.body.distance(p[0], p[1], p[2])).toBeCloseTo(head.body.distance(p[0], p[1], p[2]), 9);
  });
  test('a broader jaw is broader at the jaw and nowhere else', () => {
    const broad = dropper(buildHead({ bigonial: 1.15 }).body.distance);
    expect(broad.side(-62, 8)![0]).toBeGreaterThan(drop.side(-62, 8)![0] + 3);
    expect(broad.front(0, 32)![2]).toBeCloseTo(drop.front(0, 32)![2], 1);
  });
  test('unknown names and impossible sizes are refused', () => {
    expect(() => buildHead({ earSize: 1.1 } as never)).toThrow('earSize');
    expect(() => buildHead({ bigonial: 2 })).toThrow(/bigonial.*0\.75/s);
  });
});
