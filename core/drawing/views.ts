import type { BodyName } from './anchors.ts';
import { dot, type Vec3 } from './vector.ts';

/** Drawing scale, the same in every view so that distances and discs agree. */
export const PX_PER_MM = 1.5;

/** `opened` is the face on a sheet laid round the head and opened: both sides, ear to ear; a map, not a likeness. */
export const VIEWS = ['opened', 'front', 'right', 'left', 'back', 'top', 'chest', 'palms', 'backs'] as const;
export type View = (typeof VIEWS)[number];
export type FlatView = Exclude<View, 'opened'>;
/** The views in which a mm is a mm everywhere on the picture. */
export const FLAT_VIEWS = VIEWS.filter((v): v is FlatView => v !== 'opened');

/** What a picture shows and how it is drawn. */
export interface Picture {
  /** What it looks at. */
  body: BodyName;
  /** Of the sheet. */
  widthPx: number;
  /** Of the sheet. */
  heightPx: number;
  /** World coordinate along the upright of the sheet at its top edge, in mm. */
  topMm: number;
  /** Nothing nearer to the viewer than this is looked for, in mm towards the viewer. */
  farMm: number;
  /** Nothing deeper than this is drawn, in mm towards the viewer. */
  floorMm: number;
  /** Samples per viewBox px, times this. */
  detail: number;
  /** A contour every so many mm of depth. */
  stepMm: number;
  /** Occlusion edges shorter than this are left out, in viewBox px. */
  shortestEdgePx: number;
  /** Both halves mirror each other, so that one half needs tracing. */
  symmetric: boolean;
}

/** An orthographic camera: a picture with screen axes in the world. */
export interface Camera extends Picture {
  /** Unit vector to the right of the sheet. */
  right: Vec3;
  /** Unit vector to the top of the sheet. */
  up: Vec3;
  /** Unit vector towards the viewer. */
  toward: Vec3;
  /** World coordinate along `right` at the middle of the picture, in mm. */
  centreMm: number;
}

const sheet = {
  body: 'head',
  up: [0, 1, 0],
  widthPx: 440,
  heightPx: 560,
  topMm: 140,
  farMm: 260,
  floorMm: -150,
  detail: 1,
  stepMm: 3,
  shortestEdgePx: 7,
  symmetric: true,
} as const;
const hand = {
  body: 'hand',
  up: [0, 1, 0],
  widthPx: 320,
  heightPx: 690,
  topMm: 196,
  farMm: 260,
  floorMm: -60,
  detail: 1.3,
  stepMm: 2,
  shortestEdgePx: 10,
  symmetric: false,
} as const;

/** Hands are traced as the left one; the sheet shows both, side by side. */
export const CAMERAS: Record<FlatView, Camera> = {
  front: { ...sheet, right: [1, 0, 0], toward: [0, 0, 1], centreMm: 0 },
  left: { ...sheet, right: [0, 0, -1], toward: [1, 0, 0], centreMm: -4, symmetric: false },
  right: { ...sheet, right: [0, 0, 1], toward: [-1, 0, 0], centreMm: 4, symmetric: false },
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

export const PICTURES: Record<View, Picture> = {
  ...CAMERAS,
  // The sheet lies within these of the skin on every head that can be drawn.
  opened: { ...sheet, farMm: 95, floorMm: -120, shortestEdgePx: 9 },
};

/** Where the body runs out of the sheet the drawing fades: in a circle round a centre, or towards the lower edge. */
export type Fade =
  { cx: number; cy: number; r: number; from: number; to: number } | { fromY: number; toY: number } | null;
export const FADE: Record<View, Fade> = {
  opened: { cx: 220, cy: 232, r: 336, from: 0.77, to: 0.965 },
  front: { cx: 220, cy: 232, r: 336, from: 0.77, to: 0.965 },
  back: { cx: 220, cy: 232, r: 336, from: 0.77, to: 0.965 },
  left: { cx: 205, cy: 205, r: 342, from: 0.74, to: 0.985 },
  right: { cx: 235, cy: 205, r: 342, from: 0.74, to: 0.985 },
  top: null,
  chest: { fromY: 310, toY: 420 },
  palms: { fromY: 640, toY: 690 },
  backs: { fromY: 640, toY: 690 },
};
/** Where the chest has a picture of its own that shows more than those of the head, in mm. */
export const isOnChest = ([, y, z]: Vec3): boolean => y < -160 && z > -40;

/** How squarely a flat view looks at a place of its body, in mm: 1 = straight on. */
export function squareness([x, y, z]: Vec3, view: FlatView): number {
  if (view === 'palms') return z / 30;
  if (view === 'backs') return -z / 30;
  if (view === 'top') return (y - 75) / 45;
  if (view === 'chest') return isOnChest([x, y, z]) ? 1.05 : 0;
  const level = { front: z / 100, back: -z / 100, left: x / 75, right: -x / 75 }[view];
  // Near the crown every level view looks along the skin.
  return (level / (Math.hypot(x / 75, z / 100) || 1)) * (y > 95 ? 0.4 : 1);
}

/** Whether a place of a sheet lies where the drawing has faded away. */
export function isFaded(view: View, x: number, y: number): boolean {
  const fade = FADE[view];
  if (!fade) return false;
  return 'r' in fade ? Math.hypot(x - fade.cx, y - fade.cy) > fade.r * fade.to : y > fade.toY;
}

/** Width and height of the sheet of a view, in viewBox px. */
export const sheetOf = (view: View): { width: number; height: number } => ({
  width: PICTURES[view].widthPx * (PICTURES[view].body === 'hand' ? 2 : 1),
  height: PICTURES[view].heightPx,
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
export const onSheet = (c: Picture, x: number, isRight: boolean): number =>
  c.body === 'head' ? x : isRight ? c.widthPx - x : c.widthPx + x;

/** Which edge of an unmirrored view the client's left is at; null in profiles. */
export const leftEdge = (view: View): 'left' | 'right' | null =>
  view === 'left' || view === 'right' ? null : view === 'back' ? 'left' : 'right';
