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

export function dropper(distance: Distance): Dropper {
  const march = (p: Vec3, d: Vec3): Vec3 | null => {
    let t = 0;
    for (let i = 0; i < 500; i++) {
      const away = distance(p[0] + d[0] * t, p[1] + d[1] * t, p[2] + d[2] * t);
      if (away < 0.01) break;
      t += Math.max(away * 0.7, 0.02);
      if (t > 500) return null;
    }
    return [p[0] + d[0] * t, p[1] + d[1] * t, p[2] + d[2] * t];
  };
  const axisZ = -10;
  return {
    front: (x, y) => march([x, y, 200], [0, 0, -1]),
    side: (y, z) => march([230, y, z], [-1, 0, 0]),
    back: (x, y) => march([x, y, -220], [0, 0, 1]),
    above: (x, z) => march([x, 220, z], [0, -1, 0]),
    around: (degrees, y) => {
      const a = (degrees * Math.PI) / 180;
      const d: Vec3 = [Math.sin(a), 0, Math.cos(a)];
      return march([d[0] * 240, y, axisZ + d[2] * 240], [-d[0], 0, -d[2]]);
    },
  };
}
