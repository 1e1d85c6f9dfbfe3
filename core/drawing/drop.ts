import type { Distance } from './shapes.ts';
import type { Vec3 } from './vector.ts';

/** Straight lines dropped onto a body from outside; each gives the place where it meets the skin, or null. */
export interface Dropper {
  front: (x: number, y: number) => Vec3 | null;
  /** From the client's left. */
  side: (y: number, z: number) => Vec3 | null;
  back: (x: number, y: number) => Vec3 | null;
  above: (x: number, z: number) => Vec3 | null;
  /** Towards the vertical axis at a bearing in degrees, 0 = from the front, 90 = from the client's left. */
  around: (degrees: number, y: number) => Vec3 | null;
}

/** The vertical axis that lines are dropped towards, in mm forward. */
export const AXIS_Z = -10;

export function dropper(distance: Distance): Dropper {
  const march = (p: Vec3, d: Vec3): Vec3 | null => {
    let t = 0;
    let before = Infinity;
    let step = 0;
    for (let i = 0; i < 300; i++) {
      const away = distance(p[0] + d[0] * t, p[1] + d[1] * t, p[2] + d[2] * t);
      if (Math.abs(away) < 0.02) break;
      // Near the skin the fall of the distance along the line tells how far it is (secant); far away, march.
      const fall = (before - away) / step;
      step =
        Math.abs(away) < 6 && fall > 0.35 && fall < 1.2
          ? (away / fall) * 0.98
          : away > 12
            ? away * 0.95
            : away > 0
              ? Math.max(away * 0.75, 0.02)
              : Math.min(away, -0.02);
      before = away;
      t += step;
      if (t > 500) return null;
    }
    return [p[0] + d[0] * t, p[1] + d[1] * t, p[2] + d[2] * t];
  };
  return {
    front: (x, y) => march([x, y, 130], [0, 0, -1]),
    side: (y, z) => march([230, y, z], [-1, 0, 0]),
    back: (x, y) => march([x, y, -140], [0, 0, 1]),
    above: (x, z) => march([x, 150, z], [0, -1, 0]),
    around: (degrees, y) => {
      const a = (degrees * Math.PI) / 180;
      const d: Vec3 = [Math.sin(a), 0, Math.cos(a)];
      return march([d[0] * 240, y, AXIS_Z + d[2] * 240], [-d[0], 0, -d[2]]);
    },
  };
}
