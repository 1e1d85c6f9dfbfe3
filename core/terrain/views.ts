import { dot, type Vec3 } from './vector.ts';

/** Drawing scale, the same in every view so that distances and discs agree. */
export const PX_PER_MM = 1.5;

export type HeadView = 'front' | 'left' | 'right' | 'back';
export const HEAD_VIEWS: readonly HeadView[] = ['front', 'left', 'right', 'back'];

/** An orthographic camera: screen axes in the world and the part of the world that the viewBox shows. */
export interface Camera {
  right: Vec3;
  up: Vec3;
  toward: Vec3;
  widthPx: number;
  heightPx: number;
  /** World coordinate along `right` at the middle of the picture, in mm. */
  centreMm: number;
  /** World coordinate along `up` at the top edge, in mm. */
  topMm: number;
}

const sheet = { up: [0, 1, 0], widthPx: 440, heightPx: 560, topMm: 140 } as const;
export const CAMERAS: Record<HeadView, Camera> = {
  front: { ...sheet, right: [1, 0, 0], toward: [0, 0, 1], centreMm: 0 },
  left: { ...sheet, right: [0, 0, -1], toward: [1, 0, 0], centreMm: -4 },
  right: { ...sheet, right: [0, 0, 1], toward: [-1, 0, 0], centreMm: 4 },
  back: { ...sheet, right: [-1, 0, 0], toward: [0, 0, -1], centreMm: 0 },
};

/** World mm to [viewBox x, viewBox y, depth in mm towards the viewer]. */
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

/** True when both halves of the picture mirror each other, so that one half needs tracing. */
export const isSymmetric = (c: Camera): boolean => Math.abs(c.right[0]) === 1 && c.centreMm === 0;

/** Which edge of an unmirrored view the client's left is at; null in profiles. */
export const leftEdge = (view: HeadView): 'left' | 'right' | null => (view === 'front' ? 'right' : view === 'back' ? 'left' : null);
