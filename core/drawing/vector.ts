/** A place or direction in millimetres: x = client's left, y = up, z = forward. Origin midway between the tragions. */
export type Vec3 = readonly [number, number, number];
/** A place on the drawing, in viewBox px. */
export type Xy = readonly [number, number];

export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const normalise = (a: Vec3): Vec3 => {
  const length = Math.hypot(a[0], a[1], a[2]);
  return [a[0] / length, a[1] / length, a[2] / length];
};
/** How far two places lie from each other, through what is between them. */
export const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** The same place on the other side of the body. */
export const mirrored = (p: Vec3): Vec3 => [-p[0], p[1], p[2]];
export const mix = (a: readonly number[], b: readonly number[], t: number): number[] =>
  a.map((v, i) => v + ((b[i] ?? v) - v) * t);

/**
 * Catmull–Rom spline through `points` with `sub` samples per span; works in any number of dimensions
 * (a tube's fourth coordinate is its radius). The end points are repeated as their own neighbours.
 */
export function catmullRom(points: readonly (readonly number[])[], sub: number): number[][] {
  const out: number[][] = [];
  const last = points.length - 1;
  for (let i = 0; i < last; i++) {
    const p0 = points[Math.max(0, i - 1)]!;
    const p1 = points[i]!;
    const p2 = points[i + 1]!;
    const p3 = points[Math.min(last, i + 2)]!;
    for (let j = 0; j < sub; j++) {
      const t = j / sub;
      const t2 = t * t;
      const t3 = t2 * t;
      out.push(
        p1.map(
          (v, k) =>
            0.5 *
            (2 * v +
              (p2[k]! - p0[k]!) * t +
              (2 * p0[k]! - 5 * v + 4 * p2[k]! - p3[k]!) * t2 +
              (3 * v - p0[k]! - 3 * p2[k]! + p3[k]!) * t3),
        ),
      );
    }
  }
  out.push([...points[last]!]);
  return out;
}

/** Monotone cubic interpolation (Fritsch and Carlson 1980) of `values` over rising `keys`, constant outside them. */
export function monotoneCubic(keys: readonly number[], values: readonly number[]): (x: number) => number {
  const n = keys.length;
  const slope = Array.from({ length: n - 1 }, (_, i) => (values[i + 1]! - values[i]!) / (keys[i + 1]! - keys[i]!));
  const tangent = keys.map((_, i) => {
    if (i === 0) return slope[0]!;
    if (i === n - 1) return slope[n - 2]!;
    const [before, after] = [slope[i - 1]!, slope[i]!];
    if (before * after <= 0) return 0;
    const w1 = 2 * (keys[i + 1]! - keys[i]!) + (keys[i]! - keys[i - 1]!);
    const w2 = keys[i + 1]! - keys[i]! + 2 * (keys[i]! - keys[i - 1]!);
    return (w1 + w2) / (w1 / before + w2 / after);
  });
  return (x) => {
    if (x <= keys[0]!) return values[0]!;
    if (x >= keys[n - 1]!) return values[n - 1]!;
    let span = 0;
    while (x > keys[span + 1]!) span++;
    const h = keys[span + 1]! - keys[span]!;
    const t = (x - keys[span]!) / h;
    const t2 = t * t;
    const t3 = t2 * t;
    return (
      (2 * t3 - 3 * t2 + 1) * values[span]! +
      (t3 - 2 * t2 + t) * h * tangent[span]! +
      (-2 * t3 + 3 * t2) * values[span + 1]! +
      (t3 - t2) * h * tangent[span + 1]!
    );
  };
}

/** The same, with keys in any order, baked into a table of 0.5 mm steps between -260 and 160 mm. */
export function monotoneTable(values: readonly number[], keys: readonly number[]): (y: number) => number {
  const lo = -260;
  const step = 0.5;
  const size = Math.round((160 - lo) / step) + 1;
  const order = keys.map((_, i) => i).sort((a, b) => keys[a]! - keys[b]!);
  const at = monotoneCubic(
    order.map((i) => keys[i]!),
    order.map((i) => values[i]!),
  );
  const baked = Float64Array.from({ length: size }, (_, j) => at(lo + j * step));
  return (y) => {
    const u = Math.min(Math.max((y - lo) / step, 0), size - 1.001);
    const i = Math.floor(u);
    const f = u - i;
    return baked[i]! * (1 - f) + baked[i + 1]! * f;
  };
}
