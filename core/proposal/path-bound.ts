const ROUNDS = 200;

/**
 * Lower bound of a way through all points, whatever the order: 1-trees with a free point added, raised by node prices
 * (Held and Karp 1970).
 * @param cost Between each two points, symmetric.
 */
export function pathBound(cost: readonly (readonly number[])[]): number {
  const n = cost.length;
  if (n < 2) return 0;
  const price = new Float64Array(n + 1);
  const between = (i: number, j: number): number => (i === n || j === n ? 0 : cost[i]![j]!) + price[i]! + price[j]!;
  let best = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const degree = new Int32Array(n + 1);
    const near = new Float64Array(n).fill(Infinity);
    const by = new Int32Array(n).fill(-1);
    const inTree = new Uint8Array(n);
    let total = 0;
    near[0] = 0;
    for (let k = 0; k < n; k++) {
      let v = -1;
      for (let i = 0; i < n; i++) if (!inTree[i] && (v < 0 || near[i]! < near[v]!)) v = i;
      inTree[v] = 1;
      total += near[v]!;
      if (by[v]! >= 0) {
        degree[v]!++;
        degree[by[v]!]!++;
      }
      for (let i = 0; i < n; i++)
        if (!inTree[i] && between(v, i) < near[i]!) {
          near[i] = between(v, i);
          by[i] = v;
        }
    }
    const ends = Array.from({ length: n }, (_, i) => i).sort((a, b) => between(a, n) - between(b, n) || a - b);
    for (const i of ends.slice(0, 2)) {
      total += between(i, n);
      degree[i]!++;
      degree[n]!++;
    }
    best = Math.max(best, total - 2 * price.reduce((s, v) => s + v, 0));
    for (let i = 0; i <= n; i++) price[i]! += (4 / (1 + round / 20)) * (degree[i]! - 2) * 0.5;
  }
  return best;
}
