import type { Dropper } from './drop.ts';
import type { Head } from './head.ts';
import type { ZoneName } from './proportions.ts';
import { mirrored, type Vec3 } from './vector.ts';
import type { View } from './views.ts';

/** A curve of the face that reads as a line: lids, lips, ear, hairline. */
export interface FeatureCurve {
  points: Vec3[];
  /** taper = a filled stroke that swells in the middle, dash = a thin dashed line. */
  kind: 'taper' | 'dash';
  widthPx: number;
  opacity: number | ((view: View) => number);
  /** How far in mm a point may lie behind the visible skin and still count as seen. */
  toleranceMm: number;
  /** Given anew where the mouth opens. */
  ofMouth?: true;
}

const bothSides = (c: FeatureCurve): FeatureCurve[] => [c, { ...c, points: c.points.map(mirrored) }];
const acrossMidline = (points: Vec3[]): Vec3[] => [...points.slice(1).reverse().map(mirrored), ...points];

/** The feature curves of a head, dropped onto its skin. */
export function featureCurves({ frame: fr, ear }: Head, drop: Dropper): FeatureCurve[] {
  const onFace = (zone: ZoneName, points: readonly (readonly [number, number])[]): Vec3[] =>
    points.map(([x, y]) => drop.front(...fr.zone[zone](x, y))!);
  const around = (points: readonly (readonly [number, number])[]): Vec3[] =>
    points.map(([deg, y]) => drop.around(deg, fr.height(y))!);
  const onEar = (points: readonly Vec3[]): Vec3[] => points.map((p) => ear.at(...p));
  const taper = (
    points: Vec3[],
    widthPx: number,
    opacity: FeatureCurve['opacity'],
    toleranceMm: number,
  ): FeatureCurve => ({ points, kind: 'taper', widthPx, opacity, toleranceMm });
  const dash = (points: Vec3[], toleranceMm: number): FeatureCurve => ({
    points,
    kind: 'dash',
    widthPx: 0.7,
    opacity: 0.5,
    toleranceMm,
  });

  const unseenFromAbove = (view: View) => (view === 'top' ? 0 : 0.7);

  const paired = [
    taper(
      onFace('eye', [
        [15.2, 10.6],
        [19, 9],
        [25, 6.8],
        [32, 5.8],
        [39, 7],
        [44, 9.8],
        [46.4, 11.6],
      ]),
      1.7,
      0.95,
      4,
    ), // closed lid
    taper(
      onFace('eye', [
        [18, 15.5],
        [23, 19.4],
        [31, 21],
        [39, 19.4],
        [45.5, 15],
      ]),
      0.8,
      (view) => (view === 'left' || view === 'right' ? 0.22 : 0.5),
      4,
    ), // lid crease
    taper(
      onFace('brow', [
        [11, 28.5],
        [18, 31.5],
        [27, 34.2],
        [37, 35.6],
        [45, 33.6],
        [52, 28.5],
      ]),
      3.4,
      0.13,
      5,
    ), // brow
    taper(
      onFace('nose', [
        [3.6, -33.6],
        [5.5, -32.2],
        [8.2, -31.9],
        [10.4, -33.4],
      ]),
      1.7,
      0.85,
      14,
    ), // nostril
    taper(
      onFace('nose', [
        [14.6, -19],
        [17.2, -23],
        [17.4, -28],
        [14.8, -32.6],
      ]),
      0.9,
      0.6,
      5,
    ), // wing of the nose
    taper(
      onEar([
        [1, 9, 0],
        [5, 5.5, 1],
        [12, 3, 2],
        [21, 5, 3],
        [26, 11, 3],
        [25, 18.5, 3],
        [20, 25, 3],
        [11, 28, 2.5],
        [0, 27.4, 2],
        [-10, 22, 2],
        [-16, 17, 2],
      ]),
      1,
      unseenFromAbove,
      9,
    ), // helix
    taper(
      onEar([
        [11, 4.5, 2],
        [11, 10, 3],
        [8, 15.5, 4],
        [1, 18, 4],
        [-6, 16.6, 4],
        [-11, 12.5, 3],
        [-13, 8.5, 3],
        [-11.5, 5.5, 3],
      ]),
      1.1,
      0.7,
      9,
    ), // antihelix
    taper(
      onEar([
        [22, 10, 3],
        [17, 16, 4],
        [11, 20, 4],
        [4, 21.5, 4],
      ]),
      0.7,
      (view) => (view === 'top' ? 0 : 0.45),
      9,
    ), // its upper limb
    taper(
      onEar([
        [4, 2.5, 4],
        [-1, 5, 5],
        [-6, 5.6, 5],
        [-10, 4.8, 4],
      ]),
      1,
      unseenFromAbove,
      9,
    ), // tragus
    taper(
      onEar([
        [9, -2, 1],
        [17, -4.2, 1],
        [25, -1, 1],
        [30.5, 5, 1.5],
        [33, 14, 2],
        [31, 22, 2],
      ]),
      1,
      0.7,
      9,
    ), // rim
    dash(
      around([
        [118, -14],
        [128, -34],
        [150, -50.3],
        [168, -58],
        [180, -60],
      ]),
      14,
    ), // nape hairline
  ];
  return [
    ...paired.flatMap(bothSides),
    ...mouthCurves(onFace, taper),
    dash(
      acrossMidline(
        around([
          [0, 78],
          [12, 79],
          [26, 79],
          [38, 77],
          [46, 74],
          [50, 69],
          [54, 59],
          [59, 45],
          [65, 32],
          [71, 19],
          [76, 8],
        ]),
      ),
      6,
    ), // hairline
  ];
}

/** The line between the lips, and the edges of their red. */
function mouthCurves(
  onFace: (zone: ZoneName, points: readonly (readonly [number, number])[]) => Vec3[],
  taper: (points: Vec3[], widthPx: number, opacity: number, toleranceMm: number) => FeatureCurve,
): FeatureCurve[] {
  return [
    taper(
      acrossMidline(
        onFace('mouth', [
          [0, -55.7],
          [4, -55.2],
          [9, -55.5],
          [17, -55.1],
          [22, -55.3],
          [25.2, -56],
        ]),
      ),
      1.6,
      0.95,
      5,
    ), // lips
    taper(
      acrossMidline(
        onFace('mouth', [
          [0, -47.8],
          [5.5, -45.9],
          [10, -47.6],
          [16, -51],
          [21, -53.4],
          [24.5, -55],
        ]),
      ),
      0.75,
      0.55,
      5,
    ), // upper vermilion
    taper(
      acrossMidline(
        onFace('mouth', [
          [0, -65],
          [7, -64.4],
          [13, -62],
          [18, -59.6],
        ]),
      ),
      0.9,
      0.5,
      5,
    ), // lower vermilion
  ].map((curve) => ({ ...curve, ofMouth: true }));
}

/** Lines that flat views need not, because their outline says the same: the edge of the jaw, and the collarbone. */
export function openedCurves({ frame: fr }: Head, drop: Dropper): FeatureCurve[] {
  const jaw = [
    [-34, 1],
    [-48, 3.5],
    [-58, 6.5],
    [-65.5, 13],
    [-71.5, 23],
    [-77, 35],
    [-82, 45],
    [-87, 55],
  ].map(([y, z]) => drop.side(fr.height(y!), z!));
  const collarbone = [
    [14, -188],
    [42, -183],
    [78, -178.5],
    [112, -180],
  ].map(([x, y]) => drop.front(...fr.zone.trunk(x!, y!)));
  const line = (points: (Vec3 | null)[], widthPx: number, opacity: number): FeatureCurve => ({
    points: points.filter((p): p is Vec3 => p !== null),
    kind: 'taper',
    widthPx,
    opacity,
    toleranceMm: 8,
  });
  return [line(jaw, 1.5, 0.34), line(collarbone, 1.2, 0.3)].flatMap(bothSides);
}
