/** Two courses looked at side by side. */
export interface Together {
  /** Times at which both were rated within half a day. */
  times: number;
  /** How often the first was higher, the second was, neither. */
  firstHigher: number;
  secondHigher: number;
  same: number;
  /** From one such time to the next: both moved, of that in the same direction. */
  bothMoved: number;
  sameWay: number;
}

const HALF_A_DAY_MS = 12 * 3_600_000;
type Point = { atMs: number; value: number };

/** Counts alone: whether one brings about the other is not asked. Each rating is taken once, with the nearest of the other. */
export function together(first: readonly Point[], second: readonly Point[]): Together {
  const pairs: [a: number, b: number][] = [];
  let from = 0;
  for (const a of first) {
    let best = -1;
    for (let j = from; j < second.length && second[j]!.atMs <= a.atMs + HALF_A_DAY_MS; j++) {
      const off = Math.abs(second[j]!.atMs - a.atMs);
      if (off <= HALF_A_DAY_MS && (best < 0 || off < Math.abs(second[best]!.atMs - a.atMs))) best = j;
    }
    if (best < 0) continue;
    pairs.push([a.value, second[best]!.value]);
    from = best + 1;
  }
  const moves = pairs.slice(1).map(([a, b], i) => [Math.sign(a - pairs[i]![0]), Math.sign(b - pairs[i]![1])] as const);
  const both = moves.filter(([a, b]) => a !== 0 && b !== 0);
  return {
    times: pairs.length,
    firstHigher: pairs.filter(([a, b]) => a > b).length,
    secondHigher: pairs.filter(([a, b]) => b > a).length,
    same: pairs.filter(([a, b]) => a === b).length,
    bothMoved: both.length,
    sameWay: both.filter(([a, b]) => a === b).length,
  };
}

/** Fewer times tell nothing of how two complaints go together. Our choice. */
const LEAST_TIMES = 4;

/** "Rated together 12 times: jaw higher in 9, headache in 1, the same in 2. Of 7 times that both moved, 5 the same way." */
export function togetherWords(first: string, second: string, t: Together): string {
  if (t.times < LEAST_TIMES)
    return `Rated within half a day of each other ${t.times === 1 ? 'once' : `${t.times} times`}: too few to compare.`;
  const moved = t.bothMoved
    ? ` Of ${t.bothMoved} times that both moved, ${t.sameWay} the same way.`
    : ' At no time did both move.';
  return `Rated within half a day of each other ${t.times} times: ${first} higher in ${t.firstHigher}, ${second} in ${t.secondHigher}, the same in ${t.same}.${moved}`;
}
