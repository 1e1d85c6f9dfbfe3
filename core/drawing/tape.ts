import type { Distance } from './shapes.ts';
import { apart, type Vec3 } from './vector.ts';

/** A tape is told by 4, then 8, 16 and 32 pieces: a coarse one is drawn tight in few steps, a fine one then lies nearly right. */
const FIRST_PARTS = 4;
const HALVINGS = 3;
/** How often each is drawn tighter, and how far a place goes to the middle of its neighbours. */
const ROUNDS = 14;
const PULL = 0.8;
const NEAR_MM = 0.02;
/** Between two samples of the distance that tell which way is out. */
const PROBE_MM = 0.2;

/** The nearest place of the skin. */
function ontoSkin(f: Distance, place: Vec3): Vec3 {
  let [x, y, z] = place;
  for (let i = 0; i < 12; i++) {
    const d = f(x, y, z);
    if (Math.abs(d) < NEAR_MM) break;
    const [nx, ny, nz] = [f(x + PROBE_MM, y, z) - d, f(x, y + PROBE_MM, z) - d, f(x, y, z + PROBE_MM) - d];
    const step = (0.9 * d) / (Math.hypot(nx, ny, nz) || 1);
    [x, y, z] = [x - nx * step, y - ny * step, z - nz * step];
  }
  return [x, y, z];
}

const between = (a: Vec3, b: Vec3, share: number): Vec3 => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];

/**
 * Length in mm of a tape laid over the skin from one place to another: a chord that is pulled onto the skin and drawn
 * tight. Never measured on a picture, where a mm of skin is longer here and shorter there.
 * @param distance Signed distance to the body, in mm.
 */
export function tapeMm(distance: Distance, from: Vec3, to: Vec3): number {
  let way: Vec3[] = Array.from({ length: FIRST_PARTS + 1 }, (_, i) =>
    ontoSkin(distance, between(from, to, i / FIRST_PARTS)),
  );
  for (let fineness = 0; fineness <= HALVINGS; fineness++) {
    if (fineness) way = way.flatMap((p, i) => (i ? [ontoSkin(distance, between(way[i - 1]!, p, 0.5)), p] : [p]));
    for (let round = 0; round < ROUNDS; round++)
      way = way.map((p, i) =>
        i === 0 || i === way.length - 1
          ? p
          : ontoSkin(distance, between(p, between(way[i - 1]!, way[i + 1]!, 0.5), PULL)),
      );
  }
  return way.slice(1).reduce((sum, p, i) => sum + apart(p, way[i]!), 0);
}
