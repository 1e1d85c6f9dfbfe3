import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { apart, buildBodies, jawMotion, jawPlaces, locateAnchor, type Vec3 } from './index.ts';
import { front, side } from './anchors.ts';
import { poseFlesh } from './jaw-flesh.ts';

const bodies = buildBodies();
const PLACES = jawPlaces(bodies.head.frame);
const { condyle, incisor } = PLACES;
const inSagittal = (a: Vec3, b: Vec3) => Math.hypot(a[1] - b[1], a[2] - b[2]);
const opening = fc.double({ min: 0, max: 50, noNaN: true });
const aside = fc.double({ min: -8, max: 8, noNaN: true });
const anywhere = fc.tuple(
  fc.double({ min: -80, max: 80, noNaN: true }),
  fc.double({ min: -150, max: 20, noNaN: true }),
  fc.double({ min: -40, max: 110, noNaN: true }),
);

describe('the motion of the jaw', () => {
  test('opens the incisors by what was asked, straight or aside, and swings the midline by what was asked', () =>
    fc.assert(
      fc.property(opening, aside, (openingMm, leftMm) => {
        const straight = jawMotion({ openingMm }, PLACES);
        expect(inSagittal(straight.moved(incisor), incisor)).toBeCloseTo(openingMm, 6);
        expect(jawMotion({ openingMm, leftMm }, PLACES).moved(incisor)[0]).toBeCloseTo(leftMm, 6);
      }),
    ));
  test('shut it moves nothing', () => {
    const shut = jawMotion({ openingMm: 0 }, PLACES);
    for (const p of [incisor, condyle, [30, -80, 40]] as Vec3[]) expect(apart(shut.moved(p), p)).toBeLessThan(1e-9);
  });
  test('is a hinge up to 10 mm; then its head slides, further with every millimetre', () => {
    for (const mm of [0, 4, 10]) expect(jawMotion({ openingMm: mm }, PLACES).glideMm).toBe(0);
    const glides = Array.from({ length: 40 }, (_, i) => jawMotion({ openingMm: 10 + i }, PLACES).glideMm);
    glides.slice(1, 38).forEach((mm, i) => expect(mm).toBeGreaterThan(glides[i]!));
    const turns = Array.from({ length: 50 }, (_, i) => jawMotion({ openingMm: i }, PLACES).turn);
    turns.slice(1).forEach((turn, i) => expect(turn).toBeGreaterThan(turns[i]!));
  });
  test('goes down and back at the incisors, down and forward at its heads', () => {
    const { moved } = jawMotion({ openingMm: 35 }, PLACES);
    const [, y, z] = moved(incisor);
    expect([y < incisor[1], z < incisor[2]]).toEqual([true, true]);
    const [, headY, headZ] = moved(condyle);
    expect([headY < condyle[1], headZ > condyle[2]]).toEqual([true, true]);
  });
  test('to the client’s left, the left head stays behind and the right one goes ahead', () => {
    const { moved } = jawMotion({ openingMm: 30, leftMm: 5 }, PLACES);
    const ahead = (x: number) => moved([x, condyle[1], condyle[2]])[2];
    expect(ahead(50)).toBeLessThan(ahead(0));
    expect(ahead(-50)).toBeGreaterThan(ahead(0));
  });
  test('is undone by its inverse, by any share', () =>
    fc.assert(
      fc.property(
        opening,
        aside,
        anywhere,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (openingMm, leftMm, p, share) => {
          const { moved, movedBack } = jawMotion({ openingMm, leftMm }, PLACES);
          expect(apart(movedBack(moved(p, share), share), p)).toBeLessThan(1e-9);
        },
      ),
    ));
});

describe('the flesh over a posed jaw', () => {
  /** Places of the skin: a grid in front, and one from the side. */
  const skin = [
    ...[-44, -30, -15, 0, 15, 30, 44].flatMap((x) =>
      [30, 10, -10, -25, -40, -50, -62, -75, -85, -95].map((y) => locateAnchor(bodies, front('face', x, y))),
    ),
    ...[70, 55, 40, 25, 10, -5, -20, -40].flatMap((z) =>
      [20, 5, -10, -25, -40, -55, -70, -85, -100, -120].map((y) => locateAnchor(bodies, side('face', y, z))),
    ),
  ].filter((p): p is Vec3 => p !== null);
  const poses = [
    { openingMm: 10 },
    { openingMm: 25 },
    { openingMm: 40 },
    { openingMm: 30, leftMm: 4 },
    { openingMm: 12, round: 1 },
  ];

  test('shut it is the closed head', () => {
    const { unpose } = poseFlesh({ openingMm: 0 }, PLACES);
    for (const p of skin) expect(apart(unpose(p), p)).toBeLessThan(1e-9);
  });
  test.each(poses)('%j: a place of the skin is found again within 0.05 mm', (pose) => {
    const { posed, unpose } = poseFlesh(pose, PLACES);
    expect(skin.length).toBeGreaterThan(120);
    for (const q of skin) expect(apart(unpose(posed(q)), q), String(q)).toBeLessThan(0.05);
  });
  test.each(poses)('%j: nothing is turned inside out', (pose) => {
    const { posed, unpose } = poseFlesh(pose, PLACES);
    const e = 0.2;
    for (const q of skin) {
      const p = posed(q);
      const w = unpose(p);
      const [a, b, c] = [
        [e, 0, 0],
        [0, e, 0],
        [0, 0, e],
      ].map((d) => {
        const v = unpose([p[0] + d[0]!, p[1] + d[1]!, p[2] + d[2]!]);
        return [(v[0] - w[0]) / e, (v[1] - w[1]) / e, (v[2] - w[2]) / e] as const;
      }) as [Vec3, Vec3, Vec3];
      const determinant =
        a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
      expect(determinant, String(q)).toBeGreaterThan(0);
    }
  });
  test.each(poses)('%j: nothing above the eyes moves, nor the ear, nor the nape', (pose) => {
    const { posed } = poseFlesh(pose, PLACES);
    for (const q of [...skin.filter((p) => p[1] > 9), [74, -6, -15], [30, -60, -62]] as Vec3[])
      expect(apart(posed(q), q), String(q)).toBeLessThan(1e-9);
  });
  test('what hangs on the skull stays: the lobe of the ear, and the skin over the joint', () => {
    const { posed } = poseFlesh({ openingMm: 40 }, PLACES);
    expect(apart(posed([72, -28, -8]), [72, -28, -8])).toBeLessThan(1e-9);
    expect(apart(posed([70, -5, 14]), [70, -5, 14])).toBeLessThan(1e-9);
    expect(apart(posed([70, -12, 16]), [70, -12, 16])).toBeLessThan(1);
  });
  test('below the jaw the neck follows a part of the way only, less towards its root', () => {
    const { posed, unpose, motion } = poseFlesh({ openingMm: 40 }, PLACES);
    const share = (q: Vec3) => apart(posed(q), q) / apart(motion.moved(q), q);
    expect(share([45, -108, 5])).toBeLessThan(0.4);
    expect(share([10, -140, 45])).toBeLessThan(0.3);
    expect(share([0, -165, 40])).toBeLessThan(0.05);
    // At its root nothing goes along but what the tongue bone draws down, 5 mm in its middle.
    const [x, y, z] = unpose([0, -152, 20]);
    expect([x, z]).toEqual([0, 20]);
    expect(y + 152).toBeGreaterThan(0.5);
    expect(y + 152).toBeLessThan(5);
  });
  test('an O draws the corners of the mouth in and forward, an opening a little in', () => {
    const corner: Vec3 = [22, -57, 88];
    const round = poseFlesh({ openingMm: 0.5, round: 1 }, PLACES).posed(corner);
    expect(round[0]).toBeLessThan(17);
    expect(round[2]).toBeGreaterThan(90);
    expect(poseFlesh({ openingMm: 40 }, PLACES).posed(corner)[0]).toBeLessThan(21.5);
  });
  test('where it presses flesh together, a distance is known to be safe to march by', () => {
    const { unpose, press } = poseFlesh({ openingMm: 40 }, PLACES);
    for (const q of skin) {
      const e = 0.3;
      for (const d of [
        [e, 0, 0],
        [0, e, 0],
        [0, 0, e],
      ]) {
        const there: Vec3 = [q[0] + d[0]!, q[1] + d[1]!, q[2] + d[2]!];
        expect(apart(unpose(there), unpose(q)) / e, String(q)).toBeLessThan(press(q) * 1.2);
      }
    }
    expect(Math.max(...skin.map(press))).toBeGreaterThan(1.3);
  });
  test('the chin goes down and back with the bone, the cheekbone stays, the cheek goes part of the way', () => {
    const { posed, motion } = poseFlesh({ openingMm: 40 }, PLACES);
    const chin = locateAnchor(bodies, front('mid', 0, -85))!;
    expect(apart(posed(chin), motion.moved(chin))).toBeLessThan(4);
    const cheek = locateAnchor(bodies, side('face', -40, 40))!;
    const way = apart(posed(cheek), cheek) / apart(motion.moved(cheek), cheek);
    expect(way).toBeGreaterThan(0.1);
    expect(way).toBeLessThan(0.95);
    const bone = locateAnchor(bodies, front('face', 43, -5))!;
    expect(apart(posed(bone), bone)).toBeLessThan(2);
  });
  test('a head of other proportions: its own incisors part by what was asked, its flesh is found again, its eyes stay', () => {
    for (const proportions of [
      { lowerThird: 1.12 },
      { lowerThird: 0.9, middleThird: 1.1 },
      { mouthWidth: 1.15, bigonial: 0.9 },
    ]) {
      const own = buildBodies(proportions);
      const { posed, unpose, motion } = poseFlesh({ openingMm: 35 }, jawPlaces(own.head.frame));
      expect(inSagittal(motion.moved(motion.places.incisor), motion.places.incisor)).toBeCloseTo(35, 6);
      for (const [x, y] of [
        [0, -85],
        [30, -60],
        [44, -40],
        [20, -45],
      ] as const) {
        const q = locateAnchor(own, front('face', x, y))!;
        expect(apart(unpose(posed(q)), q)).toBeLessThan(0.05);
      }
      const lid = locateAnchor(own, front('eye', 31, 20))!;
      expect(apart(posed(lid), lid)).toBeLessThan(1e-9);
    }
  });
});
