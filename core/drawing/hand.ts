import { SolidBody } from './body.ts';
import type { FeatureCurve } from './features.ts';
import { ellipsoid, loft, tube } from './shapes.ts';
import type { Vec3, Xy } from './vector.ts';

/**
 * The client's left hand with wrist and forearm, as a second body of its own that is not mirrored. In mm: x towards
 * the little finger, y towards the fingertips with 0 at the wrist crease, z out of the palm. Drawn from memory.
 */
interface Finger {
  knuckle: Vec3;
  /** Degrees from the hand's axis, positive towards the little finger. */
  lean: number;
  /** Lengths of the three phalanges in mm. */
  phalanges: Vec3;
  /** Radii in mm: web, shaft, middle joint, shaft, end joint, pad, tip. */
  radii: readonly [number, number, number, number, number, number, number];
}

const FINGERS: Record<'index' | 'middle' | 'ring' | 'little', Finger> = {
  index: { knuckle: [-26, 87, -2], lean: -8, phalanges: [42, 24.5, 21], radii: [10.4, 9.2, 9.3, 8.3, 8.1, 7.8, 5.6] },
  middle: { knuckle: [-7, 91, -4], lean: -1, phalanges: [46, 28, 22], radii: [10.4, 9.3, 9.5, 8.5, 8.2, 8, 5.8] },
  ring: { knuckle: [12, 87, -3], lean: 6, phalanges: [42, 27, 22], radii: [9.9, 8.7, 8.9, 7.9, 7.7, 7.5, 5.4] },
  little: { knuckle: [29, 77, 0], lean: 14, phalanges: [34, 19.5, 20], radii: [8.8, 7.6, 7.7, 6.8, 6.6, 6.4, 4.6] },
};
const METACARPALS = {
  index: [-13, 6, -2, 13],
  middle: [-4, 6, -3, 13],
  ring: [5, 6, -2, 13],
  little: [13, 6, 0, 12.5],
} as const;
const THUMB = [
  [-17, 14, 5, 13],
  [-33, 32, 8, 13.5],
  [-48.5, 50, 9, 11.8],
  [-57, 64, 8.5, 9.9],
  [-64, 77, 8, 10.3],
  [-69.5, 89, 8.5, 9.7],
  [-73.5, 98.5, 9.5, 8.4],
  [-75.2, 104.5, 10.5, 6.2],
];
const FOREARM = [
  [-254, 43, 0, 31, 31],
  [-200, 41, 0, 28.5, 28.5],
  [-140, 36, 0, 24, 24],
  [-90, 33, 0, 22, 22],
  [-45, 29, 0, 18.5, 19],
  [-15, 27.5, 0, 17, 17.5],
  [0, 28, 0, 16, 16],
  [18, 31, 0, 14, 14],
  [40, 34, 0, 12, 13],
];

const CREASES = {
  thenar: [
    [-38.5, 71],
    [-27, 68],
    [-15.5, 58],
    [-9.5, 43],
    [-8.5, 25],
    [-12, 9],
  ],
  proximal: [
    [-37.5, 72.5],
    [-24, 70],
    [-8, 64],
    [8, 55],
    [20, 45],
  ],
  distal: [
    [40, 63],
    [30, 65],
    [16, 68.5],
    [2, 74],
    [-9, 82],
    [-16, 93],
  ],
  wrist: [
    [-24, 2],
    [-10, -1],
    [8, -1.5],
    [25, 1],
  ],
  elbow: [
    [-34, -252],
    [-12, -255],
    [12, -255],
    [34, -252],
  ],
} as const;

/** Ends of creases may lie beside the hand. */
const onBody = (places: readonly (Vec3 | null)[]): Vec3[] => places.filter((p): p is Vec3 => p !== null);

/** A place on a finger: t mm from the knuckle along it, s mm across (positive towards the little finger). */
const alongFinger = ({ knuckle, lean }: Finger, t: number, s = 0): Xy => {
  const a = (lean * Math.PI) / 180;
  return [knuckle[0] + Math.sin(a) * t + Math.cos(a) * s, knuckle[1] + Math.cos(a) * t - Math.sin(a) * s];
};

export function buildHand(): SolidBody {
  const body = new SolidBody({ symmetric: false });
  body.add(1, loft(FOREARM, [{ normal: [0, 1, 0], offset: 30, k: 14 }]));
  for (const [name, finger] of Object.entries(FINGERS) as [keyof typeof FINGERS, Finger][]) {
    const [ax, ay, az, r] = METACARPALS[name];
    const [x, y, z] = finger.knuckle;
    body.add(
      12,
      tube([
        [ax, ay, az, r],
        [(ax + x) / 2, (ay + y) / 2, z - 1.5, 12],
        [x, y, z, finger.radii[0] + 0.6],
      ]),
    );
  }
  body.add(14, ellipsoid([-27, 36, 10], [15, 30, 13], { degrees: [0, 0, 32] })); // thenar
  body.add(14, ellipsoid([25, 34, 8], [12.5, 34, 12.5], { degrees: [0, 0, -5] })); // hypothenar
  body.add(12, tube(THUMB));
  body.add(16, ellipsoid([-35, 58, -1], [9, 17, 7], { degrees: [0, 0, -14] })); // first web
  body.add(
    12,
    tube([
      [-22, 90, 4, 7],
      [-7, 95, 4, 7],
      [10, 92, 4, 7],
      [26, 82, 5, 6],
    ]),
  ); // pads below the fingers
  for (const finger of Object.values(FINGERS)) addFinger(body, finger);
  body.add(5, ellipsoid([-70, 92, 12.5], [7, 11.5, 7], { degrees: [0, 0, 22] })); // thumb pad
  body.bump(1.2, [-71, 73, 6], [9, 9, 10]).bump(1.4, [-56, 47, 4], [9, 12, 11]); // joints of the thumb
  body.bump(-3.2, [1, 54, 12], [24, 34, 22]); // hollow of the palm
  body.bump(1.6, [-26, 52, -13], [13, 26, 12]); // first dorsal interosseous
  body.bump(3.2, [21, -10, -17], [9, 11, 10]); // head of the ulna
  const { palm, back } = handDropper(body);
  for (const [name, depth, halfWidth] of [
    ['thenar', 0.9, 2.6],
    ['proximal', 0.7, 2.4],
    ['distal', 0.8, 2.4],
    ['wrist', 0.6, 2.2],
  ] as const)
    body.groove(depth, onBody(CREASES[name].map(([x, y]) => palm(x, y))), halfWidth);
  for (const [name, x] of [
    ['index', -5],
    ['middle', -1.5],
    ['ring', 2],
    ['little', 6],
  ] as const) {
    const [kx, ky] = FINGERS[name].knuckle;
    body.groove(-0.42, onBody([0, 0.35, 0.7, 0.96].map((t) => back(x + (kx - x) * t, -16 + (ky + 16) * t))), 7); // extensor tendon
  }
  return body;
}

function addFinger(body: SolidBody, finger: Finger): void {
  const [a, b, c] = finger.phalanges;
  const r = finger.radii;
  const z = finger.knuckle[2];
  const at = (t: number, up: number): Vec3 => [...alongFinger(finger, t), z + up] as unknown as Vec3;
  const stations = [4, a * 0.5, a, a + b * 0.5, a + b, a + b + c * 0.5, a + b + c - r[6]];
  const rise = [0, 1, 1, 2, 3.4, 5, 6.2];
  body.add(5, tube(stations.map((t, i) => [...at(t, rise[i]! + 2), r[i]!])));
  const pad = (k: number, t: number, up: number, radii: Vec3) =>
    body.add(k, ellipsoid(at(t, up), radii, { degrees: [0, 0, -finger.lean] }));
  pad(5, a * 0.5, 5.5, [r[1] * 0.75, a * 0.3, r[1] * 0.75]);
  pad(4, a + b * 0.5, 6, [r[3] * 0.75, b * 0.36, r[3] * 0.72]);
  pad(4, a + b + c * 0.48, 8.5, [r[5] * 0.8, c * 0.44, r[5] * 0.72]);
  body.bump(1.8, at(2, -12), [9, 11, 9]); // knuckle
  body.bump(0.9, at(a, -7), [9, 8, 7]); // middle joint
}

/** Lines dropped onto the hand from the palm's side and from the back; null where they miss. */
export interface HandDropper {
  palm: (x: number, y: number) => Vec3 | null;
  back: (x: number, y: number) => Vec3 | null;
}

export function handDropper(body: SolidBody): HandDropper {
  const onto =
    (side: 1 | -1) =>
    (x: number, y: number): Vec3 | null => {
      let z = 60 * side;
      for (let i = 0; i < 300; i++) {
        const d = body.distance(x, y, z);
        if (d < 0.01) return [x, y, z];
        z -= side * Math.max(0.7 * d, 0.02);
        if (z * side < -40) return null;
      }
      return null;
    };
  return { palm: onto(1), back: onto(-1) };
}

/** Creases of the palm, or joint folds and nails of the back. */
export function handCurves(drop: HandDropper, view: 'palms' | 'backs'): FeatureCurve[] {
  const onto = view === 'palms' ? drop.palm : drop.back;
  const curve = (
    points: readonly (readonly [number, number])[],
    widthPx: number,
    opacity: number,
    toleranceMm = 4,
  ): FeatureCurve => ({
    points: onBody(points.map(([x, y]) => onto(x, y))),
    kind: 'taper',
    widthPx,
    opacity,
    toleranceMm,
  });
  return view === 'palms' ? palmCurves(curve) : backCurves(curve);
}

type Curve = (
  points: readonly (readonly [number, number])[],
  widthPx: number,
  opacity: number,
  toleranceMm?: number,
) => FeatureCurve;

/** Across the thumb: t along it from its end joint, s across. */
const acrossThumb = (t: number, s: number): Xy => [-64 - 0.42 * t + 0.907 * s, 77 + 0.907 * t + 0.42 * s];

function palmCurves(curve: Curve): FeatureCurve[] {
  const out = [
    curve(CREASES.thenar, 1.3, 0.8, 7),
    curve(CREASES.proximal, 1, 0.65, 7),
    curve(CREASES.distal, 1.15, 0.7, 7),
    curve(CREASES.wrist, 0.9, 0.6),
    curve(
      [
        [-20, -6],
        [-6, -8],
        [10, -8],
        [22, -6],
      ],
      0.7,
      0.35,
    ),
    curve(CREASES.elbow, 0.9, 0.5, 8),
    curve([acrossThumb(1, -8.6), acrossThumb(-0.6, -3), acrossThumb(-0.4, 3), acrossThumb(0.8, 8.2)], 0.85, 0.55, 6),
  ];
  for (const f of Object.values(FINGERS)) {
    const [a, b] = f.phalanges;
    const arc = (t: number, r: number, sag: number, k = 0.86) =>
      [-1, -0.5, 0, 0.5, 1].map((u) => alongFinger(f, t - sag * (1 - u * u), u * r * k));
    out.push(
      curve(arc(a * 0.5 - 1, f.radii[1], -0.8, 0.8), 0.8, 0.5),
      curve(arc(a, f.radii[2], 0.8), 0.85, 0.6),
      curve(arc(a + b, f.radii[4], 0.6), 0.75, 0.55),
    );
  }
  return out;
}

function backCurves(curve: Curve): FeatureCurve[] {
  const out = [
    curve([acrossThumb(1, -7), acrossThumb(2.2, -2), acrossThumb(1.2, 4)], 0.7, 0.45, 6),
    curve([acrossThumb(-3, -7), acrossThumb(-4, -2), acrossThumb(-3, 4)], 0.6, 0.35, 6),
    curve(
      [
        acrossThumb(33, -3.4),
        acrossThumb(28.5, -0.8),
        acrossThumb(22, 0.3),
        acrossThumb(18, -1.2),
        acrossThumb(16.6, -4.4),
        acrossThumb(17.4, -8),
      ],
      0.95,
      0.7,
      8,
    ),
  ];
  for (const f of Object.values(FINGERS)) {
    const [a, b, c] = f.phalanges;
    const fold = (t: number, sag: number) =>
      [-1, -0.5, 0, 0.5, 1].map((u) => alongFinger(f, t - sag * (1 - u * u), u * f.radii[2] * 0.55));
    out.push(
      curve(fold(a - 2, 1.2), 0.6, 0.4),
      curve(fold(a + 2.2, -1.2), 0.7, 0.5),
      curve(fold(a + b, -1.2), 0.6, 0.4),
    );
    const w = f.radii[5] * 0.64;
    const t0 = a + b + c * 0.42;
    const t1 = a + b + c - 1.6;
    const nail: [number, number][] = [
      [t1 - 1.5, -w],
      [t0 + 3, -w * 0.98],
      [t0 + 0.8, -w * 0.72],
      [t0, 0],
      [t0 + 0.8, w * 0.72],
      [t0 + 3, w * 0.98],
      [t1 - 1.5, w],
    ];
    const edge: [number, number][] = [
      [t1 - 1.5, -w],
      [t1 - 0.2, -w * 0.5],
      [t1 + 0.2, 0],
      [t1 - 0.2, w * 0.5],
      [t1 - 1.5, w],
    ];
    out.push(
      curve(
        nail.map(([t, s]) => alongFinger(f, t, s)),
        0.95,
        0.75,
      ),
      curve(
        edge.map(([t, s]) => alongFinger(f, t, s)),
        0.6,
        0.5,
      ),
    );
  }
  return out;
}
