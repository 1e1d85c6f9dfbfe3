import type { Bodies } from './bodies.ts';
import { lensOf } from './draw.ts';
import type { Spot } from './places.ts';
import { pickSkin } from './trace.ts';
import type { Vec3 } from './vector.ts';
import { FLAT_VIEWS, isFaded, PICTURES, squareness, type View } from './views.ts';

/** How deep in mm a place may lie behind the skin that a view shows there and still count as that skin. */
const SAME_SKIN_MM = 4;

/** The place of a head's skin under a place of a view's picture, in mm; null beside the head, and for hands. */
export function skinAt(bodies: Bodies, view: View, x: number, y: number): Vec3 | null {
  const picture = PICTURES[view];
  return picture.body === 'head' ? pickSkin(bodies.head.body.distance, lensOf(view, bodies), picture, x, y) : null;
}

/** Where a place of a head's skin is drawn in a view; null where something else hides it or the picture ends before. */
export function spotOfSkin(bodies: Bodies, view: View, place: Vec3): Spot | null {
  if (PICTURES[view].body !== 'head') return null;
  const lens = lensOf(view, bodies);
  const q = lens.project(place);
  if (!lens.holds(q) || isFaded(view, q[0], q[1])) return null;
  const skin = skinAt(bodies, view, q[0], q[1]);
  return skin && lens.project(skin)[2] - q[2] < SAME_SKIN_MM ? { x: q[0], y: q[1] } : null;
}

/** The flat view that looks most squarely at a place of a head's skin, of those in which it is seen. */
export function flatViewOf(bodies: Bodies, place: Vec3): { view: View; spot: Spot } | null {
  return (
    FLAT_VIEWS.filter((v) => PICTURES[v].body === 'head')
      .sort((a, b) => squareness(place, b) - squareness(place, a))
      .flatMap((view) => {
        const spot = spotOfSkin(bodies, view, place);
        return spot ? [{ view, spot }] : [];
      })[0] ?? null
  );
}
