import { type Bodies, buildBodies, tapeMm } from '../../../core/drawing';
import type { Place } from './places';
import { worldOf } from './places';

let made: Bodies | null = null;
/** The body that the standard drawing shows, built when it is first asked for. */
export const referenceBodies = (): Bodies => (made ??= buildBodies());

/** How long a tape from one place to another is on the drawn adult, laid over the skin; null where they are not on the same body. */
export function tapeBetween(a: Place, b: Place): number | null {
  const [p, q] = [worldOf(a), worldOf(b)];
  if (!p || !q || p.body !== q.body) return null;
  const { head, handDistance } = referenceBodies();
  return tapeMm(p.body === 'hand' ? handDistance : head.body.distance, p.mm, q.mm);
}
