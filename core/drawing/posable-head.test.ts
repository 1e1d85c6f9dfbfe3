import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import {
  apart,
  buildBodies,
  CAMERAS,
  carriedPaths,
  condyleWay,
  depthBytes,
  DRAWN_HEAD,
  DRAWN_POSES,
  fibreLines,
  incisorWay,
  jawMotion,
  jawPlaces,
  nearestPose,
  pathsOfSvg,
  pathText,
  PosableHead,
  POSES_OF,
  poseBodies,
  project,
  tracePose,
  type Vec3,
} from './index.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';
import { STRETCHED_BY_OPENING } from '../../reference/facts/muscles/jaw.ts';

const bodies = buildBodies();
const mm = fc.double({ min: 0, max: 45, noNaN: true });

describe('the jaw of the drawn adult', () => {
  test('turns and is measured where that of the body does', () => {
    expect(DRAWN_HEAD.jaw).toEqual(jawPlaces(bodies.head.frame));
    for (const view of ['front', 'left', 'right'] as const)
      expect(DRAWN_HEAD.onSheet(view, [20, -40, 60])).toEqual(project(CAMERAS[view], [20, -40, 60]).slice(0, 2));
  });
  test('places go where the flesh goes, within 0.3 mm; those of the throat stay', () => {
    const onFace = fc.constantFrom<[number, number]>([0, -70], [20, -80], [35, -50], [48, -30], [12, -58]);
    fc.assert(
      fc.property(mm, onFace, (openingMm, [x, y]) => {
        const q = bodies.drop.front(x, y)!;
        expect(apart(DRAWN_HEAD.posedPlace(q, { openingMm }), DRAWN_HEAD.flesh({ openingMm }).posed(q))).toBeLessThan(
          0.3,
        );
      }),
      { numRuns: 60 },
    );
    expect(DRAWN_HEAD.posedPlace([10, -120, 40], { openingMm: 40 })).toEqual([10, -120, 40]);
    // The edge of the chin is no throat.
    expect(DRAWN_HEAD.posedPlace([0, -104, 86], { openingMm: 40 })[1]).toBeLessThan(-120);
    const q = bodies.drop.front(0, -80)!;
    expect(DRAWN_HEAD.posedPlace(q, { openingMm: 30, leftMm: 4 })[0]).toBeGreaterThan(3);
    expect(DRAWN_HEAD.posedPlace(q, { openingMm: 30, leftMm: -4 })[0]).toBeLessThan(-3);
  });
  test('beyond 45 mm nothing opens further', () =>
    expect(DRAWN_HEAD.posedPlace([0, -80, 92], { openingMm: 60 })).toEqual(
      DRAWN_HEAD.posedPlace([0, -80, 92], { openingMm: 45 }),
    ));
  test('fibres between skull and jaw stay straight, hang on the skull, and grow with every opening', () => {
    for (const id of STRETCHED_BY_OPENING) {
      const { fan } = MUSCLES.find((m) => m.id === id)!;
      const lines = fibreLines(fan!, bodies);
      const line = lines[lines.length >> 1]!.filter((p): p is Vec3 => p !== null);
      const lengths = [0, 10, 25, 40].map((openingMm) => {
        const posed = DRAWN_HEAD.stretchedFibre(line, { openingMm });
        expect(
          apart([0, ...posed[0]!.slice(1)] as unknown as Vec3, [0, ...line[0]!.slice(1)] as unknown as Vec3),
        ).toBeLessThan(1e-9);
        return posed.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[1] - posed[i]![1], p[2] - posed[i]![2]), 0);
      });
      lengths.slice(1).forEach((length, i) => expect(length, id).toBeGreaterThan(lengths[i]!));
    }
  });
});

describe('a head of other proportions', () => {
  const proportions = { lowerThird: 1.12, middleThird: 1.05, mouthWidth: 1.1 };
  const own = new PosableHead(proportions);
  const skin = buildBodies(proportions);
  test('has the jaw of its own body, with its lines on its own skin and bone', () => {
    expect(own.jaw).toEqual(jawPlaces(skin.head.frame));
    for (const p of own.chinLine({ openingMm: 0 })) expect(Math.abs(skin.head.body.distance(...p))).toBeLessThan(1.5);
    const { motion } = own.flesh({ openingMm: 30 });
    const at = motion.moved(own.jaw.incisor);
    expect(Math.min(...own.jawOutline(motion).map((p) => apart(p, at)))).toBeLessThan(2);
    expect(apart(own.jaw.incisor, DRAWN_HEAD.jaw.incisor)).toBeGreaterThan(1);
  });
  test('opens by the same millimetres, lower down', () => {
    expect(apart(own.flesh({ openingMm: 30 }).motion.moved(own.jaw.incisor), own.jaw.incisor)).toBeCloseTo(30, 6);
    const lowest = (head: PosableHead) => Math.min(...head.chinLine({ openingMm: 25 }).map((p) => p[1]));
    expect(lowest(own)).toBeLessThan(lowest(DRAWN_HEAD) - 3);
    const shut = jawMotion({ openingMm: 0 }, own.jaw);
    const bone = (head: PosableHead) => Math.min(...head.jawOutline(shut).map((p) => p[1]));
    expect(bone(own)).toBeLessThan(bone(DRAWN_HEAD) - 3);
  });
  test('its throat stays, below its own chin', () => {
    const edge: Vec3 = [0, Math.min(...own.chinLine({ openingMm: 0 }).map((p) => p[1])), 40];
    const [above, below] = [4, -2].map((dy): Vec3 => [edge[0], edge[1] + dy, edge[2]]);
    expect(own.posedPlace(below!, { openingMm: 40 })).toEqual(below);
    expect(own.posedPlace(above!, { openingMm: 40 })).not.toEqual(above);
  });
});

describe('lines of the jaw', () => {
  test('the incisors’ way has a place for every millimetre of opening', () =>
    incisorWay(45, DRAWN_HEAD.jaw).forEach((p, openingMm) =>
      expect(apart(p, DRAWN_HEAD.jaw.incisor)).toBeCloseTo(openingMm, 6),
    ));
  test('the head of the jaw stays while the jaw only turns, then slides forward and down its slope', () => {
    const way = condyleWay(45, DRAWN_HEAD.jaw, 45);
    expect(apart(way[10]!, DRAWN_HEAD.jaw.condyle)).toBeLessThan(1e-9);
    const [, y, z] = way[45]!;
    expect((DRAWN_HEAD.jaw.condyle[1] - y) / (z - DRAWN_HEAD.jaw.condyle[2])).toBeCloseTo(
      Math.tan((34 * Math.PI) / 180),
      6,
    );
  });
  test('the outline is one with the incisors, and the chin’s skin goes along', () => {
    const shut = DRAWN_HEAD.jawOutline(jawMotion({ openingMm: 0 }, DRAWN_HEAD.jaw));
    const nearest = (line: Vec3[], p: Vec3) => Math.min(...line.map((q) => apart(q, p)));
    expect(nearest(shut, [0, -56, 86])).toBeLessThan(1);
    const open = jawMotion({ openingMm: 30 }, DRAWN_HEAD.jaw);
    expect(nearest(DRAWN_HEAD.jawOutline(open), open.moved([0, -56, 86]))).toBeLessThan(1);
    const [chin, lowered] = [0, 30].map((openingMm) =>
      Math.min(...DRAWN_HEAD.chinLine({ openingMm }).map((p) => p[1])),
    );
    expect(chin! - lowered!).toBeGreaterThan(15);
    // The line lies on the skin that is drawn.
    for (const p of DRAWN_HEAD.chinLine({ openingMm: 0 }))
      expect(Math.abs(bodies.head.body.distance(...p))).toBeLessThan(0.6);
  });
});

describe('the drawing that comes nearest', () => {
  test.each([
    [{ openingMm: 0 }, 'left', null],
    [{ openingMm: 4.9 }, 'left', null],
    [{ openingMm: 5.1 }, 'left', 'open-10'],
    [{ openingMm: 31 }, 'right', 'open-25'],
    [{ openingMm: 41 }, 'left', 'open-40'],
    [{ openingMm: 60 }, 'front', 'open-40'],
    [{ openingMm: 22, round: 1 }, 'front', 'o-shape'],
    [{ openingMm: 22, round: 1 }, 'left', 'open-25'],
    [{ openingMm: 10 }, 'opened', null],
    [{ openingMm: 40 }, 'opened', 'open-25'],
    [{ openingMm: 35, leftMm: 4 }, 'front', 'aside'],
    [{ openingMm: 35, leftMm: 1 }, 'front', 'open-40'],
  ] as const)('%o in %s: %s', (pose, view, name) => expect(nearestPose(pose, view)).toEqual({ name, mirrored: false }));
  test('to the client’s right it is the one to the left in a mirror', () =>
    expect(nearestPose({ openingMm: 35, leftMm: -4 }, 'front')).toEqual({ name: 'aside', mirrored: true }));
});

const terrain = (file: string) => new URL(`../../app/parts/chart/terrain/${file}`, import.meta.url);
describe('carried lines', () => {
  test('a path read and written is the same path', () => {
    const [path] = pathsOfSvg('<path class="a" d="M10.5 4l2-1.5q.5 1 3 2z"/>');
    expect(path!.commands).toBe('MLQZ');
    expect([...path!.at]).toEqual([10.5, 4, 12.5, 2.5, 13, 3.5, 15.5, 4.5]);
    expect(pathText(path!.commands, path!.at)).toBe('M10.5 4L12.5 2.5Q13 3.5 15.5 4.5Z');
  });
  const shut = poseBodies({ openingMm: 0 });
  const map = tracePose(shut, 'left', 0.4);
  /** A stroke along the chin and one over the forehead, of places on the skin. */
  const strokes = [-70, 40].map((y) => {
    const p = bodies.drop.front(8, y)!;
    const [x, sheetY] = DRAWN_HEAD.onSheet('left', p);
    return { p, path: pathsOfSvg(`<path d="M${x.toFixed(1)} ${sheetY.toFixed(1)}l1 1"/>`)[0]! };
  });
  const paths = strokes.map((s) => s.path);
  const depths = depthBytes(paths, map, CAMERAS.left);
  test('go where the skin goes; above the eyes nothing moves', () => {
    const [chin, forehead] = carriedPaths(
      paths,
      depths,
      CAMERAS.left,
      DRAWN_HEAD.flesh({ openingMm: 0 }),
      DRAWN_HEAD.flesh({ openingMm: 5 }),
    );
    expect(forehead).toBeNull();
    const [x, y] = DRAWN_HEAD.onSheet('left', DRAWN_HEAD.posedPlace(strokes[0]!.p, { openingMm: 5 }));
    expect(Math.hypot(chin![0]! - x, chin![1]! - y)).toBeLessThan(1);
    expect(Math.hypot(chin![0]! - paths[0]!.at[0]!, chin![1]! - paths[0]!.at[1]!)).toBeGreaterThan(4);
  });
  test('to where they are, stay', () => {
    const same = DRAWN_HEAD.flesh({ openingMm: 5 });
    expect(carriedPaths(paths, depths, CAMERAS.left, same, same)).toEqual([null, null]);
  });
  test.each((['left', 'right'] as const).flatMap((view) => [view, ...POSES_OF[view].map((pose) => `${view}.${pose}`)]))(
    '%s is shipped with a depth for every place of its lines',
    (name) => {
      const places = pathsOfSvg(readFileSync(terrain(`${name}.svg`), 'utf8')).reduce((n, p) => n + p.at.length / 2, 0);
      expect(readFileSync(terrain(`${name}.depths.bin`)).length).toBe(places);
    },
  );
  test('every pose is shipped in its views, none of them empty, the front ones with an opening', () => {
    for (const [view, names] of Object.entries(POSES_OF))
      for (const name of names) {
        const svg = readFileSync(terrain(`${view}.${name}.svg`), 'utf8');
        expect(svg.length).toBeGreaterThan(60_000);
        expect(svg).not.toContain('NaN');
        expect(svg.includes('var(--chart-mouth')).toBe(view === 'front' || view === 'opened');
      }
    expect(Object.keys(DRAWN_POSES)).toHaveLength(5);
  });
});
