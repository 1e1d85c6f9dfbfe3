const ROOT_2PI = Math.sqrt(2 * Math.PI);

/** Standard normal density. */
export const normalDensity = (x: number): number => Math.exp((-x * x) / 2) / ROOT_2PI;

/** Standard normal distribution function, by the error function in Abramowitz and Stegun's continued form (|ε| < 1e-12). */
export function normalCdf(x: number): number {
  const t = Math.abs(x) / Math.SQRT2;
  let tail: number;
  if (t < 3) {
    let term = t;
    let sum = t;
    for (let n = 1; n < 200 && Math.abs(term) > 1e-17; n++) {
      term *= (-t * t * (2 * n - 1)) / (n * (2 * n + 1));
      sum += term;
    }
    tail = 0.5 - sum / Math.sqrt(Math.PI);
  } else {
    let fraction = 0;
    for (let n = 60; n > 0; n--) fraction = n / 2 / (t + fraction);
    tail = Math.exp(-t * t) / (2 * Math.sqrt(Math.PI) * (t + fraction));
  }
  return x < 0 ? tail : 1 - tail;
}

/**
 * λ = φ(α)/Φ(α) and ln Φ(α), true far below nought as well, where Φ itself is too small to be told: there λ is the
 * continued fraction of Mills’ ratio.
 */
export function belowNormal(alpha: number): { lambda: number; logCdf: number } {
  if (alpha > -4) {
    const cdf = normalCdf(alpha);
    return { lambda: normalDensity(alpha) / cdf, logCdf: Math.log(cdf) };
  }
  const x = -alpha;
  let fraction = 0;
  for (let n = 80; n > 0; n--) fraction = n / (x + fraction);
  const lambda = x + fraction;
  return { lambda, logCdf: (-x * x) / 2 - Math.log(ROOT_2PI) - Math.log(lambda) };
}
