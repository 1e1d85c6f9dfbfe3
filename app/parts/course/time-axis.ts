import { scaleLinear } from 'd3';

/** Where the courses of one page are drawn: all on the same days. px of the drawing. */
export const PLOT = { width: 824, left: 30, right: 604, gauge: 640, words: 656 } as const;

export interface TimeAxis {
  /** px of a moment. */
  x: (ms: number) => number;
  fromMs: number;
  toMs: number;
}

const DAY_MS = 86_400_000;
/** A course is never drawn over less than a week. */
const LEAST_DAYS = 7;

export function timeAxis(moments: readonly number[]): TimeAxis {
  const fromMs = moments.length ? moments.reduce((a, b) => Math.min(a, b)) : 0;
  const latest = moments.length ? moments.reduce((a, b) => Math.max(a, b)) : 0;
  const toMs = Math.max(latest, fromMs + LEAST_DAYS * DAY_MS);
  // Room for half a mark on either side.
  return { x: scaleLinear([fromMs, toMs], [PLOT.left + 6, PLOT.right - 8]), fromMs, toMs };
}

/** Those of the labels that have room beside each other; the last always stands. */
export function withRoom<T>(labels: readonly T[], at: (label: T) => { start: number; end: number }): Set<T> {
  const shown = new Set<T>();
  const last = labels[labels.length - 1];
  if (last === undefined) return shown;
  const end = at(last).start;
  let free = -Infinity;
  for (const label of labels.slice(0, -1)) {
    const { start, end: until } = at(label);
    if (start < free || until > end) continue;
    shown.add(label);
    free = until;
  }
  shown.add(last);
  return shown;
}

/** Moves blocks of words that stand at heights apart until none lies over another; order stays, all stay inside. */
export function apart(blocks: readonly { y: number; tall: number }[], least: number, most: number): number[] {
  const order = blocks.map((b, i) => ({ ...b, i })).sort((a, b) => a.y - b.y);
  let free = least;
  for (const one of order) {
    one.y = Math.max(one.y, free);
    free = one.y + one.tall;
  }
  let until = most;
  for (const one of [...order].reverse()) {
    one.y = Math.min(one.y, until - one.tall);
    until = one.y;
  }
  return order.sort((a, b) => a.i - b.i).map((o) => o.y);
}
