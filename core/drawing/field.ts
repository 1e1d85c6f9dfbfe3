import type { DepthMap } from './trace.ts';

/** Size of a sampled field. */
export interface Grid {
  columns: number;
  rows: number;
}

const AXES = [
  [1, 0],
  [0, 1],
] as const;

/** One separable [1 2 1] pass per axis, `passes` times; `joins` says which neighbours count. */
function binomial(
  field: Float32Array,
  { columns, rows }: Grid,
  passes: number,
  skip: (q: number) => boolean,
  joins: (q: number, r: number, a: Float32Array) => boolean,
): Float32Array {
  let A = Float32Array.from(field);
  let B = new Float32Array(A.length);
  for (let p = 0; p < passes; p++)
    for (const [dx, dy] of AXES) {
      for (let j = 0; j < rows; j++)
        for (let i = 0; i < columns; i++) {
          const q = j * columns + i;
          if (skip(q)) {
            B[q] = A[q]!;
            continue;
          }
          let sum = 2 * A[q]!;
          let weight = 2;
          for (const g of [-1, 1]) {
            const I = i + dx * g;
            const J = j + dy * g;
            if (I < 0 || J < 0 || I >= columns || J >= rows) continue;
            const r = J * columns + I;
            if (!joins(q, r, A)) continue;
            sum += A[r]!;
            weight++;
          }
          B[q] = sum / weight;
        }
      [A, B] = [B, A];
    }
  return A;
}

/** Smooth the heights of a map while keeping occlusion edges sharp: neighbours farther than `jumpMm` do not count. */
export const smoothHeight = (map: DepthMap, passes: number, jumpMm = 2.2): Float32Array =>
  binomial(
    map.height,
    map,
    passes,
    (q) => Number.isNaN(map.height[q]!),
    (q, r, a) => Math.abs(a[r]! - a[q]!) < jumpMm,
  );

/** Blur, inside a mask when one is given. */
export const blur = (field: Float32Array, grid: Grid, passes: number, mask?: Uint8Array): Float32Array =>
  mask
    ? binomial(
        field,
        grid,
        passes,
        (q) => !mask[q],
        (_, r) => mask[r] === 1,
      )
    : binomial(
        field,
        grid,
        passes,
        () => false,
        () => true,
      );

/** Extrapolate a field a few samples past its mask, so that lines run right up to the silhouette. */
export function fillOut(field: Float32Array, { columns, rows }: Grid, mask: Uint8Array, passes: number): Float32Array {
  const A = Float32Array.from(field);
  const known = Uint8Array.from(mask);
  for (let p = 0; p < passes; p++) {
    const found: [number, number][] = [];
    for (let j = 1; j < rows - 1; j++)
      for (let i = 1; i < columns - 1; i++) {
        const q = j * columns + i;
        if (known[q]) continue;
        let sum = 0;
        let weight = 0;
        for (const r of [q - 1, q + 1, q - columns, q + columns])
          if (known[r]) {
            sum += A[r]!;
            weight++;
          }
        if (weight) found.push([q, sum / weight]);
      }
    for (const [q, v] of found) {
      A[q] = v;
      known[q] = 1;
    }
    if (!found.length) break;
  }
  return A;
}
