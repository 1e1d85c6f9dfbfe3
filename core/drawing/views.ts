import type { BodyName } from './anchors.ts';
import { dot, type Vec3 } from './vector.ts';

/** Drawing scale, the same in every view so that distances and discs agree. */
export const PX_PER_MM = 1.5;

export const VIEWS = ['front', 'right', 'left', 'back', 'top', 'chest', 'palms', 'backs'] as const;
export type View = (typeof VIEWS)[number];

/** An orthographic camera: screen axes in the world and the part of the world that the picture shows. */
export interface Camera {
  /** What it looks at. */
  body: BodyName;
  /** Unit vector to the right of the sheet. */
  right: Vec3;
  /** Unit vector to the top of the sheet. */
  up: Vec3;
  /** Unit vector towards the viewer. */
  toward: Vec3;
  /** Of the sheet. */
  widthPx: number;
  /** Of the sheet. */
  heightPx: number;
  /** World coordinate along `right` at the middle of the picture, in mm. */
  centreMm: number;
  /** World coordinate along `up` at the top edge, in mm. */
  topMm: number;
  /** Nothing deeper than this is drawn, in mm towards the viewer. */
  floorMm: number;
  /** Samples per viewBox px, times this. */
  detail: number;
  /** A contour every so many mm of depth. */
  stepMm: number;
  /** Occlusion edges shorter than this are left out, in viewBox px. */
  shortestEdgePx: number;
}

const sheet = {
  body: 'head',
  up: [0, 1, 0],
  widthPx: 440,
  heightPx: 560,
  topMm: 140,
  floorMm: -150,
  detail: 1,
  stepMm: 3,
  shortestEdgePx: 7,
} as const;
const hand = {
  body: 'hand',
  up: [0, 1, 0],
  widthPx: 320,
  heightPx: 690,
  topMm: 196,
  floorMm: -60,
  detail: 1.3,
  stepMm: 2,
  shortestEdgePx: 10,
} as const;

/** Hands are traced as the left one; the sheet shows both, side by side. */
export const CAMERAS: Record<View, Camera> = {
  front: { ...sheet, right: [1, 0, 0], toward: [0, 0, 1], centreMm: 0 },
  left: { ...sheet, right: [0, 0, -1], toward: [1, 0, 0], centreMm: -4 },
  right: { ...sheet, right: [0, 0, 1], toward: [-1, 0, 0], centreMm: 4 },
  back: { ...sheet, right: [-1, 0, 0], toward: [0, 0, -1], centreMm: 0 },
  top: {
    ...sheet,
    right: [1, 0, 0],
    up: [0, 0, -1],
    toward: [0, 1, 0],
    widthPx: 320,
    heightPx: 360,
    centreMm: 0,
    topMm: 112.5,
    floorMm: -42,
    shortestEdgePx: 30,
  },
  chest: {
    ...sheet,
    right: [1, 0, 0],
    toward: [0, 0, 1],
    widthPx: 720,
    heightPx: 420,
    centreMm: 0,
    topMm: -96,
    shortestEdgePx: 12,
  },
  palms: { ...hand, right: [1, 0, 0], toward: [0, 0, 1], centreMm: -17 },
  backs: { ...hand, right: [-1, 0, 0], toward: [0, 0, -1], centreMm: 17 },
};

/** Width and height of the sheet of a view, in viewBox px. */
export const sheetOf = (view: View): { width: number; height: number } => ({
  width: CAMERAS[view].widthPx * (CAMERAS[view].body === 'hand' ? 2 : 1),
  height: CAMERAS[view].heightPx,
});

/** World mm to [viewBox x, viewBox y, depth in mm towards the viewer], as the camera sees it. */
export const project = (c: Camera, p: Vec3): Vec3 => [
  c.widthPx / 2 + (dot(p, c.right) - c.centreMm) * PX_PER_MM,
  (c.topMm - dot(p, c.up)) * PX_PER_MM,
  dot(p, c.toward),
];

/** ViewBox px and a depth in mm back to world mm. */
export const unproject = (c: Camera, x: number, y: number, depthMm: number): Vec3 => {
  const u = (x - c.widthPx / 2) / PX_PER_MM + c.centreMm;
  const v = c.topMm - y / PX_PER_MM;
  return [0, 1, 2].map((i) => c.right[i]! * u + c.up[i]! * v + c.toward[i]! * depthMm) as unknown as Vec3;
};

/** Where a picture px of the left hand, or of its mirrored twin, falls on the sheet of both hands. */
export const onSheet = (c: Camera, x: number, isRight: boolean): number =>
  c.body === 'head' ? x : isRight ? c.widthPx - x : c.widthPx + x;

/** True when both halves of the picture mirror each other, so that one half needs tracing. */
export const isSymmetric = (c: Camera): boolean => c.body === 'head' && Math.abs(c.right[0]) === 1 && c.centreMm === 0;

/** Which edge of an unmirrored view the client's left is at; null in profiles. */
export const leftEdge = (view: View): 'left' | 'right' | null =>
  view === 'left' || view === 'right' ? null : view === 'back' ? 'left' : 'right';
