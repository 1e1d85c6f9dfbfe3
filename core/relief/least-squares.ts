/** Weighted least squares of `y` on 0/1 columns and a constant. */
export interface Fit {
  /** One for each column, without the constant; null for a column that others together repeat. */
  effects: (number | null)[];
  /** Diagonal of the inverse of XᵀWX, in the same order: an error is its root times the residual factor. */
  inverse: number[];
  /** Weighted sum of squared residuals. */
  residual: number;
  /** Columns that the data can tell apart, with the constant. */
  rank: number;
  /** Columns that take part in a repetition, by their place. */
  repeated: Set<number>;
}

/** Of a column what others leave, below which nothing is left. */
const NOTHING_LEFT = 1e-9;

/**
 * By Gauss and Jordan on the normal equations, columns in their order; a column that those before it repeat is left out
 * and named with all that take part.
 * @param columns One for each term, each as long as `y`.
 * @param weights Above 0.
 */
export function leastSquares(columns: readonly number[][], y: readonly number[], weights: readonly number[]): Fit {
  const x = [y.map(() => 1), ...columns];
  const dot = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, v, i) => sum + v * b[i]! * weights[i]!, 0);
  const size = x.length;
  // [XᵀWX | XᵀWy | I]
  const m = x.map((a, i) => [...x.map((b) => dot(a, b)), dot(a, y), ...x.map((_, j) => (i === j ? 1 : 0))]);
  const scale = x.map((a) => dot(a, a));
  const repeated = new Set<number>();
  const used: number[] = [];
  for (let k = 0; k < size; k++) {
    if (m[k]![k]! <= NOTHING_LEFT * scale[k]!) {
      // What is left of the row tells by which columns this one is made.
      repeated.add(k);
      for (const j of used) if (Math.abs(m[j]![k]!) > 1e-6) repeated.add(j);
      continue;
    }
    used.push(k);
    const pivot = m[k]![k]!;
    for (let j = 0; j < m[k]!.length; j++) m[k]![j] = m[k]![j]! / pivot;
    for (let i = 0; i < size; i++) {
      const factor = m[i]![k]!;
      if (i === k || factor === 0) continue;
      for (let j = 0; j < m[i]!.length; j++) m[i]![j] = m[i]![j]! - factor * m[k]![j]!;
    }
  }
  const beta = x.map((_, k) => (used.includes(k) ? m[k]![size]! : null));
  const residual = y.reduce((sum, v, i) => {
    const off = v - x.reduce((fit, column, k) => fit + (beta[k] ?? 0) * column[i]!, 0);
    return sum + weights[i]! * off * off;
  }, 0);
  repeated.delete(0);
  return {
    effects: beta.slice(1),
    inverse: x.map((_, k) => m[k]![size + 1 + k]!).slice(1),
    residual,
    rank: used.length,
    repeated: new Set([...repeated].map((k) => k - 1)),
  };
}
