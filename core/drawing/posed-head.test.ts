import { describe, expect, test } from 'vitest';
import {
  buildBodies,
  drawPose as drawTraced,
  drawView,
  polylinesOf,
  poseBodies,
  tracePose,
  traceView,
  type PoseView,
  type Vec3,
} from './index.ts';

const shut = buildBodies();
const POSES = [
  { openingMm: 10 },
  { openingMm: 25 },
  { openingMm: 40 },
  { openingMm: 22, round: 1 },
  { openingMm: 30, leftMm: 4 },
] as const;
const posed = POSES.map((pose) => poseBodies(pose));
const drawPose = (of: (typeof posed)[number], view: PoseView, resolution: number): string =>
  drawTraced(of, view, tracePose(of, view, resolution));
/** How high the opening is on the midline as it is seen from the front, mm. */
const heightOf = ({ mouth }: (typeof posed)[number]): number => {
  const ys = mouth!.rim.map((p) => p[1]);
  return Math.max(...ys) - Math.min(...ys);
};

describe('a posed head', () => {
  test('shut is the head as it was, drawn byte for byte the same, without a mouth of its own', () => {
    const same = poseBodies({ openingMm: 0 });
    expect(same.mouth).toBeNull();
    expect(drawPose(same, 'front', 0.4)).toBe(drawView(shut, 'front', traceView(shut, 'front', 0.4)));
  });
  test.each(POSES.map((pose, i) => [JSON.stringify(pose), posed[i]!] as const))(
    '%s: above the eyes, at the ear and at the nape the skin is where it was',
    (_, { bodies }) => {
      for (const [x, y] of [
        [0, 90],
        [30, 40],
        [31, 20],
        [45, 13],
      ] as const)
        expect(bodies.drop.front(x, y)![2]).toBeCloseTo(shut.drop.front(x, y)![2], 1);
      for (const y of [-20, -60, -100]) expect(bodies.drop.back(0, y)![2]).toBeCloseTo(shut.drop.back(0, y)![2], 1);
      for (const [y, z] of [
        [5, -20],
        [-15, -20],
      ] as const)
        expect(bodies.drop.side(y, z)![0]).toBeCloseTo(shut.drop.side(y, z)![0], 1);
    },
  );
  test('opens further with every pose, narrower in an O; the lips still meet towards the corners at 10 mm only', () => {
    const [ten, half, wide, o] = posed.map(heightOf) as [number, number, number, number];
    expect(ten).toBeGreaterThan(4);
    expect(half).toBeGreaterThan(ten + 8);
    expect(wide).toBeGreaterThan(half + 8);
    const breadth = (i: number) => 2 * Math.max(...posed[i]!.mouth!.rim.map((p) => p[0]));
    expect(breadth(3)).toBeLessThan(0.7 * breadth(1));
    expect(o).toBeGreaterThan(ten);
    expect(posed.map((p) => p.mouth!.corners.length > 0)).toEqual([true, false, false, false, false]);
  });
  test('its opening is the same on both sides, unless it goes aside', () => {
    const lean = (i: number) => {
      const { rim } = posed[i]!.mouth!;
      return rim.reduce((sum, p) => sum + p[0], 0) / rim.length;
    };
    for (const i of [0, 1, 2, 3]) expect(Math.abs(lean(i))).toBeLessThan(0.01);
    expect(lean(4)).toBeGreaterThan(0.5);
  });
  test('the chin never presses the throat in: the neck stands under it as it stood', () => {
    for (const [i, y] of [
      [1, -130],
      [2, -134],
    ] as const)
      expect(shut.drop.front(0, y)![2] - posed[i]!.bodies.drop.front(0, y)![2]).toBeLessThan(8);
    expect(shut.drop.side(-110, 20)![0] - posed[1]!.bodies.drop.side(-110, 20)![0]).toBeLessThan(8);
  });
  test('nowhere near the skin does its distance rise faster than it may be marched by', () => {
    for (const { bodies } of posed) {
      const f = bodies.head.body.distance;
      let steep = 0;
      let looked = 0;
      for (let y = 10; y > -110; y -= 6)
        for (let x = 0; x <= 60; x += 6) {
          const p: Vec3 | null = bodies.drop.front(x, y);
          if (!p) continue;
          for (const away of [-1, 1, 3]) {
            const q: Vec3 = [p[0], p[1], p[2] + away];
            const e = 0.1;
            const slope = Math.hypot(
              (f(q[0] + e, q[1], q[2]) - f(q[0] - e, q[1], q[2])) / (2 * e),
              (f(q[0], q[1] + e, q[2]) - f(q[0], q[1] - e, q[2])) / (2 * e),
              (f(q[0], q[1], q[2] + e) - f(q[0], q[1], q[2] - e)) / (2 * e),
            );
            looked++;
            if (slope > 1.25) steep++;
          }
        }
      expect(looked).toBeGreaterThan(300);
      expect(steep / looked).toBeLessThan(0.01);
    }
  });
  test('is drawn with what is seen in the mouth: in front the opening, in profile none; an aside pose is not mirrored', () => {
    const front = drawPose(posed[1]!, 'front', 0.4);
    expect(front).toContain('var(--chart-mouth,');
    expect(front).not.toContain('NaN');
    const profile = drawPose(posed[1]!, 'left', 0.4);
    expect(profile).toContain('class="chart-mouth"');
    expect(profile).not.toContain('var(--chart-mouth,');
    // Where the dark opening begins and how far it goes to either side of the sheet's middle.
    const xs = (svg: string) => {
      const [, d] = /<path d="([^"]*)" fill="var\(--chart-mouth/.exec(svg)!;
      const points = polylinesOf(d!).flatMap((line) => line.points.map((p) => p[0]));
      return [Math.min(...points), Math.max(...points)] as const;
    };
    const lean = (svg: string) => (xs(svg)[0] + xs(svg)[1]) / 2 - 220;
    expect(Math.abs(lean(front))).toBeLessThan(1);
    expect(lean(drawPose(posed[4]!, 'front', 0.4))).toBeGreaterThan(1.5);
  });
});
