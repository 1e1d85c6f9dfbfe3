import { dot, type Vec3 } from './vector.ts';
import { project, unproject, type Camera } from './views.ts';

/** A line of sight. */
export interface Ray {
  /** Where it counts from, in mm. */
  origin: Vec3;
  /** Unit vector to the viewer. */
  toward: Vec3;
}

/** How the world comes onto a picture: straight, as with a camera, or along a sheet that is opened. */
export interface Lens {
  /** Line of sight of a place of the picture, in viewBox px; null beside the sheet. */
  ray: (x: number, y: number) => Ray | null;
  /** World mm to [viewBox x, viewBox y, depth in mm along its line of sight towards the viewer]. */
  project: (p: Vec3) => Vec3;
  /** Whether a projected place lies on the sheet. */
  holds: (q: Vec3) => boolean;
  /** What the height lines show of a place on a line of sight, in mm. */
  height: (p: Vec3, ray: Ray) => number;
  /** A normal as it is lit: to the right, up, to the viewer. */
  lit: (normal: Vec3, ray: Ray) => Vec3;
}

/** A flat camera as a lens: all lines of sight are parallel, and height is depth. */
export function flatLens(camera: Camera): Lens {
  const { right, up, toward } = camera;
  return {
    ray: (x, y) => ({ origin: unproject(camera, x, y, 0), toward }),
    project: (p) => project(camera, p),
    holds: () => true,
    height: (p) => dot(p, toward),
    lit: (n) => [dot(n, right), dot(n, up), dot(n, toward)],
  };
}
