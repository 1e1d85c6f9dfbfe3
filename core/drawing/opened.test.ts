import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import FIBRES from '../../reference/derived/fibres.json';
import PLACES from '../../reference/derived/places.json';
import { buildBodies } from './bodies.ts';
import { flatLens } from './lens.ts';
import { lensOf } from './draw.ts';
import { pickSkin } from './trace.ts';
import { mirrored, type Vec3 } from './vector.ts';
import { CAMERAS, isFaded, PICTURES, PX_PER_MM, type View } from './views.ts';

const bodies = buildBodies();
const lens = lensOf('opened', bodies);
const distance = bodies.head.body.distance;
const { widthPx, heightPx } = PICTURES.opened;
type Table = Record<string, { mm: Vec3; body?: string; views: Record<string, { x: number; y: number }> }>;
const places = PLACES as unknown as Table;
const seen = Object.entries(places).filter(([, p]) => p.views.opened && !p.body);

describe('from the picture to the body and back', () => {
  test('within 0.2 mm of the picture for 95 % of 400 places, and none far off', () => {
    const off: number[] = [];
    for (let i = 0; off.length < 400 && i < 4000; i++) {
      // A fixed scatter over the sheet (Halton, bases 2 and 3).
      const halton = (base: number, n: number): number => {
        let [f, r] = [1, 0];
        for (let k = n; k > 0; k = Math.floor(k / base)) {
          f /= base;
          r += f * (k % base);
        }
        return r;
      };
      const [x, y] = [halton(2, i + 1) * widthPx, halton(3, i + 1) * 480];
      const p = pickSkin(distance, lens, PICTURES.opened, x, y);
      if (!p) continue;
      const [X, Y] = lens.project(p);
      off.push(Math.hypot(X - x, Y - y) / PX_PER_MM);
    }
    expect(off).toHaveLength(400);
    off.sort((a, b) => a - b);
    expect(off[379]).toBeLessThan(0.2);
  });
  test('beside the sheet there is no line of sight, and behind the cut no place', () => {
    expect(lens.ray(2, 40)).toBeNull();
    for (const behind of [
      [0, 40, -100],
      [5, -40, -90],
    ] as Vec3[]) {
      const q = lens.project(behind);
      const skin = lens.holds(q) ? pickSkin(distance, lens, PICTURES.opened, q[0], q[1]) : null;
      if (skin) expect(lens.project(skin)[2] - q[2]).toBeGreaterThan(50);
    }
  });
});

describe('both halves', () => {
  test('mirrored places mirror', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 120, noNaN: true }),
        fc.double({ min: -80, max: 100, noNaN: true }),
        (x, y, z) => {
          const [a, b] = [lens.project([x, y, z]), lens.project(mirrored([x, y, z]))];
          if (!lens.holds(a)) return expect(lens.holds(b)).toBe(false);
          expect(a[0] + b[0]).toBeCloseTo(widthPx, 6);
          expect([a[1], a[2]]).toEqual([b[1], b[2]]);
        },
      ),
    ));
  test('the client’s left is at the right edge', () => expect(lens.project([60, 0, 20])[0]).toBeGreaterThan(220));
});

test('heights are those of every other view', () => {
  for (const [key, p] of seen)
    if (p.views.front) expect(Math.abs(p.views.opened!.y - p.views.front.y), key).toBeLessThan(0.2);
});

test('the inner face lies within 2 px of the front view', () => {
  const front = flatLens(CAMERAS.front);
  for (const id of ['endocanthion', 'pupil', 'exocanthion', 'alare', 'cheilion', 'brow-lateral', 'malar']) {
    const { mm } = places[`landmark:${id}.left`]!;
    expect(Math.abs(lens.project(mm)[0] - front.project(mm)[0]), id).toBeLessThan(2);
  }
});

test('no place stands where a picture has faded away', () => {
  for (const [key, p] of Object.entries(places))
    for (const [view, { x, y }] of Object.entries(p.views))
      if (!p.body) expect(isFaded(view as View, x, y), `${key} in ${view}`).toBe(false);
});

/** Ways of drainage begin on the midline for both sides. */
const ON_BOTH = /^drainage:/;
test('no two places of one kind lie on one px', () => {
  const at = new Map<string, string>();
  for (const [key, { views }] of seen.filter(([k]) => !ON_BOTH.test(k))) {
    const spot = `${key.split(':')[0]} ${views.opened!.x} ${views.opened!.y}`;
    expect(at.get(spot), `${key} and ${at.get(spot)}`).toBeUndefined();
    at.set(spot, key);
  }
});

/** Breadth of a drawn outline at half its height, in px; its path is written in steps from place to place. */
function breadthPx(path: string): number {
  let [x, y] = [0, 0];
  const points: [number, number][] = [];
  for (const [, command, numbers] of path.matchAll(/([Mlq])([^Mlqz]*)/g)) {
    const values = (numbers!.match(/-?(?:\d+\.\d+|\.\d+|\d+)/g) ?? []).map(Number);
    const [dx, dy] = [values.at(-2)!, values.at(-1)!];
    [x, y] = command === 'M' ? [dx, dy] : [x + dx, y + dy];
    points.push([x, y]);
  }
  const ys = points.map((p) => p[1]);
  const half = (Math.min(...ys) + Math.max(...ys)) / 2;
  const crossings = points.flatMap((p, i) => {
    const q = points[(i + 1) % points.length]!;
    return p[1] > half !== q[1] > half ? [p[0] + ((half - p[1]) / (q[1] - p[1])) * (q[0] - p[0])] : [];
  });
  return Math.max(...crossings) - Math.min(...crossings);
}

describe('what the hands work lies open, in px of a pane of 440', () => {
  const fibres = FIBRES as unknown as Record<string, Partial<Record<string, { outline: string }>>>;
  test.each([
    ['masseter-superficial', 28],
    ['temporalis-anterior', 22],
    ['temporalis-middle', 24],
    ['temporalis-posterior', 30],
    ['frontalis', 45],
  ])('%s is at least %s broad on both sides', (id, least) => {
    for (const side of ['left', 'right'])
      expect(breadthPx(fibres[`${id}.${side}`]!.opened!.outline)).toBeGreaterThan(least);
  });
  test('both heads of the side-neck muscle lie on both sides', () => {
    for (const id of ['scm-sternal', 'scm-clavicular'])
      for (const side of ['left', 'right']) expect(fibres[`${id}.${side}`]!.opened, id).toBeDefined();
  });
  test('ST6 and ST7 are seen on both sides', () => {
    for (const key of ['ST6.left', 'ST6.right', 'ST7.left', 'ST7.right'])
      expect(places[`point:${key}`]!.views.opened, key).toBeDefined();
  });
});

test('heads of other proportions lie on the sheet as well', () => {
  for (const proportions of [
    { bizygomatic: 1.12, headBreadth: 1.1 },
    { bizygomatic: 0.88, lowerThird: 0.85 },
  ]) {
    const other = buildBodies(proportions);
    const own = lensOf('opened', other);
    let hit = 0;
    for (let y = 60; y < 400; y += 20)
      for (let x = 60; x < widthPx; x += 20) {
        const p = pickSkin(other.head.body.distance, own, PICTURES.opened, x, y);
        if (!p) continue;
        hit++;
        expect(Math.abs(own.project(p)[1] - y)).toBeLessThan(0.01);
      }
    expect(hit).toBeGreaterThan(200);
  }
  expect(heightPx).toBe(560);
});
