import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { buildBodies } from './bodies.ts';
import { tapeMm } from './tape.ts';
import { apart, mirrored, type Vec3 } from './vector.ts';
import { skinAt } from './skin.ts';

const RADIUS = 80;
const ball = (x: number, y: number, z: number): number => Math.hypot(x, y, z) - RADIUS;
const post = (x: number, _y: number, z: number): number => Math.hypot(x, z) - RADIUS;
const onBall = (lat: number, long: number): Vec3 => [
  RADIUS * Math.cos(lat) * Math.sin(long),
  RADIUS * Math.sin(lat),
  RADIUS * Math.cos(lat) * Math.cos(long),
];

describe('a tape over the skin', () => {
  test('runs along the great circle of a ball, within half a hundredth', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -1.2, max: 1.2, noNaN: true }),
        fc.double({ min: -1.2, max: 1.2, noNaN: true }),
        fc.double({ min: 0.1, max: 2.4, noNaN: true }),
        (latA, latB, turn) => {
          const [a, b] = [onBall(latA, 0), onBall(latB, turn)];
          const angle = Math.acos(
            Math.min(1, Math.sin(latA) * Math.sin(latB) + Math.cos(latA) * Math.cos(latB) * Math.cos(turn)),
          );
          const mm = tapeMm(ball, a, b);
          expect(mm / (RADIUS * angle)).toBeGreaterThan(0.995);
          expect(mm / (RADIUS * angle)).toBeLessThan(1.005);
        },
      ),
      { numRuns: 40 },
    ));
  test('winds round a post as a screw does', () => {
    const turn = 1.5;
    const up = 60;
    const mm = tapeMm(post, [0, 0, RADIUS], [RADIUS * Math.sin(turn), up, RADIUS * Math.cos(turn)]);
    expect(mm / Math.hypot(RADIUS * turn, up)).toBeCloseTo(1, 2);
  });
});

describe('on the head', () => {
  const bodies = buildBodies();
  const { distance } = bodies.head.body;
  const at = (x: number, y: number): Vec3 => skinAt(bodies, 'opened', x, y)!;
  test('is longer than the straight way through the head, the same there and back and on both sides', () => {
    for (const [a, b] of [
      [at(150, 250), at(330, 250)],
      [at(220, 120), at(350, 330)],
      [at(100, 200), at(120, 420)],
    ] as const) {
      const mm = tapeMm(distance, a, b);
      expect(mm).toBeGreaterThan(apart(a, b));
      expect(tapeMm(distance, b, a)).toBeCloseTo(mm, 0);
      expect(tapeMm(distance, mirrored(a), mirrored(b))).toBeCloseTo(mm, 1);
    }
  });
  test('is no length of the picture: the same px are more skin at the side than in the middle', () => {
    const middle = tapeMm(distance, at(205, 330), at(235, 330));
    const side = tapeMm(distance, at(375, 250), at(405, 250));
    expect(side).toBeGreaterThan(1.3 * middle);
  });
});
