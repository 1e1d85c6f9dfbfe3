import type { Candidate } from './candidates.ts';
import { change, handAt, historyCost, masksOf, type Masks } from './changes.ts';
import { ORDER_BEAM, ORDER_EXACT } from './constants.ts';
import { pathBound } from './path-bound.ts';
import type { Way } from './ways.ts';

export interface Ordered {
  path: Candidate[];
  /** Seconds of changes, and a proven lower bound. */
  seconds: number;
  bound: number;
  exact: boolean;
}
/** The best way to have done all so far that ends in one step. */
interface End {
  cost: number;
  path: Candidate[];
}

/**
 * The order with the fewest seconds of change: the blocks of the school in turn, inside each block every order that keeps
 * what must come before what, over subsets (exact) or in a beam. The best way to end a block is kept for every last step,
 * so the chain over all blocks is exact too.
 */
export function ordered(chosen: readonly Candidate[], way: Way, exactUpTo: number = ORDER_EXACT): Ordered {
  let ends: End[] = [{ cost: 0, path: [] }];
  let exact = true;
  let slack = 0;
  for (const block of way.blocks) {
    const items = chosen.filter((c) => block.includes(c.part)).sort((a, b) => a.index - b.index);
    if (!items.length) continue;
    if (block.includes('close-drainage') || block.includes('open-drainage')) {
      ends = [walked(items, ends, way, block.includes('close-drainage'))];
      continue;
    }
    if (items.length <= exactUpTo) ends = bySubsets(items, ends, way);
    else {
      const before = Math.min(...ends.map((e) => e.cost));
      const found = byBeam(items, ends, way);
      exact = false;
      const least = pathBound(
        items.map((a) => items.map((b) => (a === b ? 0 : Math.min(change(a, b, way), change(b, a, way))))),
      );
      slack += Math.max(0, found.cost - before - least);
      ends = [found];
    }
  }
  const best = ends.reduce((a, b) => (b.cost < a.cost ? b : a));
  return { path: best.path, seconds: best.cost, bound: best.cost - slack, exact };
}

/** Stations go upward from the collarbone; closing strokes run from above down. */
function walked(items: readonly Candidate[], ends: readonly End[], way: Way, down: boolean): End {
  const height = (c: Candidate) => handAt(c)[1];
  const order = [...items].sort((a, b) => (down ? height(b) - height(a) : height(a) - height(b)) || a.index - b.index);
  return ends
    .map((e) =>
      order.reduce<End>((s, b) => ({ cost: s.cost + change(s.path.at(-1) ?? null, b, way), path: [...s.path, b] }), e),
    )
    .reduce((a, b) => (b.cost < a.cost ? b : a));
}

/** Held and Karp's program over subsets, with precedence: for each last step the cheapest way to have done all. */
function bySubsets(items: readonly Candidate[], ends: readonly End[], way: Way): End[] {
  const n = items.length;
  const sets = masksOf(items, ends[0]!.path);
  const cost = new Float64Array(n << n).fill(Infinity);
  const from = new Int8Array(n << n).fill(-1);
  const between = items.map((a) => items.map((b) => change(a, b, way)));
  const entry = items.map((b, j) =>
    ends.map((e) => e.cost + change(e.path.at(-1) ?? null, b, way) + historyCost(sets[j]!, 0, true)),
  );
  const bestEntry = entry.map((costs) => costs.indexOf(Math.min(...costs)));
  for (let j = 0; j < n; j++) if (sets[j]!.must === 0) cost[(1 << j) * n + j] = entry[j]![bestEntry[j]!]!;
  for (let done = 1; done < 1 << n; done++)
    for (let last = 0; last < n; last++) {
      const c = cost[done * n + last]!;
      if (c === Infinity) continue;
      for (let j = 0; j < n; j++) {
        const m = sets[j]!;
        if (done & (1 << j) || (m.must & ~done) !== 0) continue;
        const next = c + between[last]![j]! + historyCost(m, done, items[last]!.area === items[j]!.area);
        const key = (done | (1 << j)) * n + j;
        if (next < cost[key]! - 1e-9) {
          cost[key] = next;
          from[key] = last;
        }
      }
    }
  const full = (1 << n) - 1;
  return items.flatMap((_, end) => {
    if (cost[full * n + end] === Infinity) return [];
    const path: Candidate[] = [];
    let done = full;
    let last = end;
    let first = end;
    while (last >= 0) {
      path.unshift(items[last]!);
      first = last;
      const before: number = from[done * n + last]!;
      done &= ~(1 << last);
      last = before;
    }
    return [{ cost: cost[full * n + end]!, path: [...ends[bestEntry[first]!]!.path, ...path] }];
  });
}

/** The best few hundred beginnings, lengthened step by step, then mended; for blocks too large for all subsets. */
function byBeam(items: readonly Candidate[], ends: readonly End[], way: Way): End {
  const sets = masksOf(items, ends[0]!.path);
  type State = { cost: number; done: number; last: number; path: Candidate[]; entry: End };
  let layer: State[] = ends.map((e) => ({ cost: e.cost, done: 0, last: -1, path: [], entry: e }));
  for (let k = 0; k < items.length; k++) {
    const next = new Map<string, State>();
    for (const s of layer)
      items.forEach((b, j) => {
        if (s.done & (1 << j) || (sets[j]!.must & ~s.done) !== 0) return;
        const before = s.path.at(-1) ?? s.entry.path.at(-1) ?? null;
        const sameArea = s.last < 0 || items[s.last]!.area === b.area;
        const cost = s.cost + change(before, b, way) + historyCost(sets[j]!, s.done, sameArea);
        const key = `${s.done | (1 << j)}:${j}`;
        const had = next.get(key);
        if (!had || cost < had.cost - 1e-9)
          next.set(key, { cost, done: s.done | (1 << j), last: j, path: [...s.path, b], entry: s.entry });
      });
    layer = [...next]
      .sort((a, b) => a[1].cost - b[1].cost || (a[0] < b[0] ? -1 : 1))
      .slice(0, ORDER_BEAM)
      .map(([, s]) => s);
  }
  const best = layer.reduce((a, b) => (b.cost < a.cost ? b : a));
  return mended(best.path, best.entry, items, sets, way);
}

/** Runs of one to four steps moved elsewhere for as long as that saves something. */
function mended(start: Candidate[], entry: End, items: readonly Candidate[], sets: readonly Masks[], way: Way): End {
  const at = new Map(items.map((c, i) => [c, i]));
  const costOf = (path: readonly Candidate[]): number => {
    let cost = entry.cost;
    let done = 0;
    let last = entry.path.at(-1) ?? null;
    for (const [k, b] of path.entries()) {
      const j = at.get(b)!;
      if ((sets[j]!.must & ~done) !== 0) return Infinity;
      cost += change(last, b, way) + historyCost(sets[j]!, done, k === 0 || last!.area === b.area);
      done |= 1 << j;
      last = b;
    }
    return cost;
  };
  let path = start;
  let cost = costOf(path);
  for (let better = true; better;) {
    better = false;
    for (let length = 1; length <= 4; length++)
      for (let from = 0; from + length <= path.length; from++) {
        const run = path.slice(from, from + length);
        const rest = [...path.slice(0, from), ...path.slice(from + length)];
        for (let to = 0; to <= rest.length; to++) {
          const next = [...rest.slice(0, to), ...run, ...rest.slice(to)];
          const c = costOf(next);
          if (c < cost - 1e-9) {
            path = next;
            cost = c;
            better = true;
          }
        }
      }
  }
  return { cost, path: [...entry.path, ...path] };
}
