import type { Touch } from './touch.ts';

/** One press of a trace. */
export interface Press {
  startMs: number;
  endMs: number;
  /** Over the part in which it was held. */
  meanKpa: number;
  /** SD over that part. */
  wobbleKpa: number;
  /** How quickly it rose, kPa a second. */
  riseKpaPerSecond: number;
}

/** A reading stands until the next one, but never longer: what was lost says nothing. */
const STANDS_MS = 50;
/** A dip or a loss of readings this short does not end a press. */
const DIP_MS = 80;
/** Shorter than this is no press. */
const LEAST_MS = 60;
/** It is held while it is above this share of its own level, which nine tenths of its readings do not pass. */
const HELD_SHARE = 0.9;
const LEVEL = 0.9;

/** For how long a reading stands, ms. */
export const standsMs = (trace: readonly Touch[], i: number): number =>
  Math.min(STANDS_MS, (trace[i + 1]?.atMs ?? trace[i]!.atMs) - trace[i]!.atMs);

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

function pressOf(readings: readonly Touch[]): Press {
  const level = quantile(
    readings.map((t) => t.kpa).sort((a, b) => a - b),
    LEVEL,
  );
  const isHeld = (t: Touch) => t.kpa >= HELD_SHARE * level;
  const from = readings.findIndex(isHeld);
  const held = readings.slice(from, readings.findLastIndex(isHeld) + 1).map((t) => t.kpa);
  const meanKpa = held.reduce((sum, kpa) => sum + kpa, 0) / held.length;
  const squares = held.reduce((sum, kpa) => sum + (kpa - meanKpa) ** 2, 0);
  const startMs = readings[0]!.atMs;
  return {
    startMs,
    endMs: readings.at(-1)!.atMs,
    meanKpa,
    wobbleKpa: held.length > 1 ? Math.sqrt(squares / (held.length - 1)) : 0,
    riseKpaPerSecond: (1000 * (readings[from]!.kpa - readings[0]!.kpa)) / Math.max(10, readings[from]!.atMs - startMs),
  };
}

/**
 * The presses of a trace, in order. One begins above a quarter of what is aimed at and ends below a sixth of it, so that
 * a trembling hand does not make two of one.
 * @param aimKpa the least of the aim
 */
export function pressesOf(trace: readonly Touch[], aimKpa: number): Press[] {
  const found: Touch[][] = [];
  let open: Touch[] | null = null;
  for (const touch of trace) {
    if (!open) {
      if (touch.kpa < aimKpa / 4) continue;
      const last = found.at(-1);
      open = last && touch.atMs - last.at(-1)!.atMs < DIP_MS ? found.pop()! : [];
    }
    if (touch.kpa >= aimKpa / 6) open.push(touch);
    else {
      found.push(open);
      open = null;
    }
  }
  if (open) found.push(open);
  return found.filter((p) => p.length > 1 && p.at(-1)!.atMs - p[0]!.atMs >= LEAST_MS).map(pressOf);
}
