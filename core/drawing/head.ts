import { SolidBody } from './body.ts';
import { earFrame, type EarFrame } from './ear.ts';
import { frame, inZone, placeInZone, type Frame, type Proportions, type ZoneName } from './proportions.ts';
import { type Distance, ellipsoid, loft, tube } from './shapes.ts';
import type { Vec3 } from './vector.ts';

export interface Head {
  body: { distance: Distance };
  frame: Frame;
  ear: EarFrame;
}
/** A head as it is built, whose parts can be taken apart. */
export interface BuiltHead extends Head {
  body: SolidBody;
}

/** What every part of the head needs while it is being built. */
interface Build extends BuiltHead {
  /** Move reference points, with their radii, by a zone. */
  zone: (name: ZoneName, ...points: readonly (readonly number[])[]) => number[][];
  at: (name: ZoneName, p: Vec3) => Vec3;
  /**
   * Points dropped from the front onto the body as it stands: [x, y] or [x, y, depth offset, radius]. Anchors
   * lips, lids and furrows on the skin without hand-tuned depths.
   */
  onSkin: (name: ZoneName, points: readonly (readonly number[])[]) => number[][];
}

/** Middle of each lip from the midline to its corner: x, y, offset from the skin, radius; mm. */
export const UPPER_LIP: readonly (readonly number[])[] = [
  [0, -50.8, -1.4, 4.2],
  [5.5, -49.9, -1.2, 4.5],
  [13, -51.6, -1.3, 3.8],
  [19, -53.6, -2, 2.9],
  [25, -55.2, -3, 1.5],
];
export const LOWER_LIP: readonly (readonly number[])[] = [
  [0, -60, -1.6, 5.2],
  [7, -59.8, -1.6, 5.1],
  [14, -58.8, -1.6, 4.3],
  [19, -57.4, -2.1, 3],
  [25, -55.8, -3, 1.5],
];

/** The signed-distance body of one head, neck and upper chest. `{}` is the reference head. */
export function buildHead(proportions: Partial<Proportions> = {}): BuiltHead {
  const fr = frame(proportions);
  const body = new SolidBody();
  const skinDepth = (x: number, y: number): number => {
    let z = 130;
    for (let i = 0; i < 200; i++) {
      const d = body.distance(x, y, z);
      if (d < 0.01) break;
      z -= Math.max(0.7 * d, 0.02);
    }
    return z;
  };
  const b: Build = {
    body,
    frame: fr,
    ear: earFrame(fr),
    zone: (name, ...points) => points.map((p) => inZone(fr, name, p)),
    at: (name, p) => placeInZone(fr, name, p),
    onSkin: (name, points) =>
      points.map((p) => {
        const [x, y] = fr.zone[name](p[0]!, p[1]!);
        const z = skinDepth(x, y) + (p[2] ?? 0);
        return p[3] === undefined ? [x, y, z] : [x, y, z, p[3]];
      }),
  };
  skullAndJaw(b);
  trunk(b);
  skullRelief(b);
  orbit(b);
  nose(b);
  mouthAndChin(b);
  auricle(b);
  return { body, frame: fr, ear: b.ear };
}

function skullAndJaw({ body, frame: fr, at }: Build): void {
  const { height, proportions: P } = fr;
  const radiusOver = (y: number, r: number) => (height(y + r) - height(y - r)) / 2; // follows the height map
  const top = 128 * P.headHeight;
  body.add(1, ellipsoid([0, (top - 42) / 2, -6], [72.5 * P.headBreadth, (top + 42) / 2, 91])); // cranium
  body.add(22, ellipsoid([0, height(14), -43], [61 * P.headBreadth, radiusOver(14, 52), 54])); // occiput
  body.add(34, ellipsoid(at('skull', [33, 52, -28]), [34 * P.headBreadth, radiusOver(52, 44), 46])); // parietal eminence
  // rows: y, half-width, z-centre, front radius, rear radius
  const neckRows = [
    [10, 50, -22, 40, 58],
    [-40, 49, -22, 48, 56],
    [-70, 47.5, -22, 55, 50],
    [-100, 47, -24, 60, 47],
    [-130, 47.5, -27, 58, 49],
    [-155, 51, -31, 54, 53],
    [-185, 60, -36, 50, 57],
    [-240, 72, -40, 50, 54],
  ];
  body.part('neck', () =>
    body.add(
      24,
      loft(
        neckRows.map(([y, w, ...rest]) => [height(y!), w! * fr.neckWidth(y!), ...rest]),
        [{ normal: [0, 1, 0], offset: height(10), k: 10 }],
      ),
    ),
  );
  const faceRows = [
    [80, 60, 12, 58, 40],
    [60, 63, 12, 73, 40],
    [40, 66, 12, 78, 40],
    [30, 67, 12, 77, 38],
    [20, 67.5, 12, 74, 36],
    [8, 68, 12, 72, 32],
    [-5, 68, 12, 73, 30],
    [-20, 67, 12, 75.5, 28],
    [-32, 65, 12, 78, 26],
    [-45, 61.5, 12, 78.5, 24],
    [-54, 57.5, 12, 77.5, 23],
    [-63, 53, 12, 76.5, 22],
    [-71, 49, 12, 75, 22],
    [-83, 43.5, 12, 75, 22],
    [-92, 39, 12, 73, 22],
    [-104, 34.5, 12, 68, 22],
  ];
  const underChin: Vec3 = [0, -0.93, -0.369];
  body.add(
    16,
    loft(
      faceRows.map(([y, w, ...rest]) => [height(y!), w! * fr.faceWidth(y!), ...rest]),
      [
        { normal: underChin, offset: underChin[1] * height(-96.6) + underChin[2] * 84, k: 18 },
        { normal: [0, 1, 0], offset: height(78), k: 10 },
      ],
    ),
  );
}

/** Thorax, shoulders and the muscles of the neck. The trunk grows in breadth alone. */
function trunk({ body, frame: fr, zone, at }: Build): void {
  const w = fr.proportions.chestBreadth;
  body.add(30, ellipsoid([0, -300, -36], [205 * w, 124, 66])); // thorax
  body.add(40, ellipsoid([0, -410, -40], [190 * w, 185, 62])); // its lower part, out of every picture
  body.add(
    36,
    tube([
      ...zone('neck', [20, -110, -62, 18]),
      ...zone('trunk', [58, -158, -60, 20], [108, -182, -54, 21], [185, -214, -46, 20]),
    ]),
  ); // trapezius
  body.add(40, ellipsoid([0, -236, -68], [150 * w, 76, 40])); // upper back
  body.add(46, ellipsoid([178 * w, -258, -40], [50, 56, 46])); // shoulder
  body.add(30, tube([...zone('neck', [12, -40, -60, 17], [15, -100, -57, 19]), ...zone('trunk', [32, -150, -64, 20])])); // nuchal column
  body.add(
    18,
    tube(
      zone('trunk', [13, -193, 5, 8], [42, -188, 10, 6], [78, -183, 2, 5.2], [112, -184, -13, 5], [150, -194, -32, 3]),
    ),
  ); // clavicle
  body.add(
    11,
    tube(
      zone(
        'neck',
        [53, -22, -22, 8],
        [46.5, -60, -13, 9.5],
        [41, -100, 0, 9.5],
        [28.5, -142, 11, 8.2],
        [10.5, -186, 12, 6],
      ),
    ),
  ); // sternomastoid, sternal head
  body.add(14, tube(zone('neck', [38, -80, -12, 4], [41, -112, -4, 6.5], [41, -142, 2, 6.5], [37, -187, 5, 4.5]))); // clavicular head
  body.bump(8, at('trunk', [86, -262, 22]), [66 * w, 52, 70]); // pectoral
  body.cut(24, ellipsoid([0, -182, 31], [11, 10, 11])); // suprasternal notch
  body.add(18, ellipsoid(at('mid', [0, -76, 46]), [23 * fr.faceWidth(-76), 17, 24])); // floor of the mouth
  body.add(12, ellipsoid(at('mid', [0, -126, 22]), [9, 15, 9])); // larynx
  body.bump(-3, at('neck', [66, -171, 0]), [40, 24, 50]); // supraclavicular fossa
}

function skullRelief({ body, zone, at }: Build): void {
  body.bump(1.6, at('skull', [18, 58, 80]), [44, 30, 44]); // frontal eminence
  body.bump(-1.6, at('face', [66, 28, 42]), [34, 34, 38]); // temporal hollow
  body.add(
    14,
    tube(zone('brow', [0, 30, 82.5, 6], [10, 31, 82.5, 6], [22, 32.5, 80.5, 6], [36, 32, 72.5, 6], [48, 26, 58, 5])),
  ); // brow ridge
  body.add(22, ellipsoid(at('face', [43, -8, 53]), [18, 14, 16], { degrees: [0, 38, -12] })); // cheekbone
  body.add(20, tube(zone('face', [50, -6, 46, 8], [58, -3, 30, 7], [63, 0, 12, 5]))); // zygomatic arch
  body.bump(3.5, at('face', [48, -32, 52]), [28, 26, 34]); // soft cheek
  body.bump(2.5, at('face', [54, -45, 26]), [24, 30, 34]); // masseter
}

function orbit({ body, at, onSkin }: Build): void {
  body.cut(16, ellipsoid(at('eye', [33, 14.5, 94]), [17.5, 11, 18.5], { degrees: [0, 16, 0] }));
  body.bump(-4.6, at('eye', [17.5, 13, 80]), [12, 18, 22]);
  body.bump(-4.2, at('eye', [47, 12, 66]), [13, 15, 20]);
  body.add(7, ellipsoid(at('eye', [31, 11.5, 64.6]), [16.5, 13, 13.4], { degrees: [0, 16, 0] })); // globe and lids
  body.groove(
    0.9,
    onSkin('eye', [
      [18, 15.5],
      [23, 19.4],
      [31, 21],
      [39, 19.4],
      [45.5, 15],
    ]),
    3.4,
  ); // lid fold
  body.groove(
    0.7,
    onSkin('eye', [
      [15.5, 10.5],
      [19, 9],
      [25, 6.8],
      [32, 5.8],
      [39, 7],
      [44, 9.8],
      [46, 11.2],
    ]),
    2,
  ); // lid line
}

function nose({ body, zone, at }: Build): void {
  body.add(
    12,
    tube(zone('mid', [0, 26, 81.5, 6], [0, 14, 81.5, 5], [0, 2, 88, 5.2], [0, -10, 95.4, 6], [0, -20, 102, 7])),
  ); // dorsum
  body.add(10, tube(zone('bridge', [6, 8, 78, 5], [9, -12, 86, 7], [9, -20, 90, 7]))); // nasal wall
  body.add(12, ellipsoid(at('bridge', [2.4, -24.5, 103.6]), [6.2, 6.2, 6.8])); // tip
  body.add(7, ellipsoid(at('nose', [10.6, -26, 92]), [5.8, 6.4, 10], { degrees: [14, -18, 0] })); // ala
  body.add(5, tube(zone('mid', [0, -28, 103.5, 4.4], [0, -32.5, 96.5, 4.2]))); // columella
  body.cut(2.5, ellipsoid(at('nose', [6.4, -33, 97.5]), [2.7, 2.8, 6], { degrees: [10, -20, 0] })); // nostril
}

function mouthAndChin({ body, frame: fr, at, onSkin }: Build): void {
  const { mouthWidth, bigonial } = fr.proportions;
  body.add(14, ellipsoid(at('mouth', [0, -53, 62.5]), [29 * (1 + (mouthWidth - 1) * 0.6), 24, 32])); // muzzle
  body.bump(-1, at('mid', [0, -41, 96]), [5, 9, 14]); // philtrum
  body.bump(0.5, at('mid', [5.5, -42, 95]), [4, 9, 12]); // philtral column
  body.part('lips', () => lips(body, onSkin));
  body.add(24, ellipsoid(at('mid', [0, -83, 74]), [15.5 * (1 + (bigonial - 1) * 0.7), 10.5, 14.5])); // chin
  body.bump(-1.2, at('mid', [0, -71.5, 90]), [22, 7, 16]); // mentolabial sulcus
}

/** Both lips, the line between them and the corners: what a mouth that opens is given anew. */
function lips(body: SolidBody, onSkin: Build['onSkin']): void {
  const upper = onSkin('mouth', UPPER_LIP);
  const lower = onSkin('mouth', LOWER_LIP);
  body.add(5, tube(upper)).add(5, tube(lower));
  body.groove(
    1.5,
    onSkin('mouth', [
      [0, -55.6],
      [4, -55.1],
      [9, -55.3],
      [17, -55],
      [22, -55.2],
      [25.5, -55.8],
    ]),
    2.4,
  ); // mouth line
  body.bump(-1.2, onSkin('mouth', [[30, -57]])[0]!, [8, 9, 10]); // corner
}

function auricle({ body, ear }: Build): void {
  const oval = (centre: Vec3, radii: Vec3) => ellipsoid(ear.at(...centre), radii, { axes: ear.axes });
  const curve = (...points: readonly (readonly [number, number, number, number])[]) =>
    tube(points.map(([u, v, n, r]) => [...ear.at(u, v, n), r]));
  body.add(8, oval([1, 9, -6], [17, 10, 8])); // conchal wall
  body.add(4, oval([3, 16, 0], [26, 15.5, 2.6])); // plate
  body.add(5, oval([-22, 8, 0.2], [9, 7.5, 3])); // lobule
  body.add(
    2.5,
    curve(
      [2, 8, 1, 2],
      [8, 1, 2, 2.4],
      [18, -1, 2.2, 2.6],
      [26, 5, 2.6, 2.8],
      [29.5, 15, 2.6, 2.8],
      [25, 25.5, 2.6, 2.8],
      [14, 31, 2.2, 2.7],
      [0, 30.5, 1.8, 2.5],
      [-12, 24, 1, 2.2],
      [-20, 15.5, 0, 2],
    ),
  ); // helix
  body.add(4, curve([-13, 13, 1, 2.6], [-6, 19.5, 1.6, 2.8], [5, 22, 2.2, 3], [14, 18, 1.8, 2.8], [22, 14, 0.6, 2.2])); // antihelix
  body.cut(4, oval([-1, 10.5, 3.8], [10.5, 8, 6])); // concha
  body.add(4, curve([2, 1, 1.6, 2.6], [-4, 2.5, 2.2, 2.8], [-9, 2, 1, 2.2])); // tragus
}
