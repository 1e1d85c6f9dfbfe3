import { InputError } from '../words/index.ts';
import { averageOf, varianceOf } from './interval.ts';
import type { Touch } from './touch.ts';

/** Standard acceleration of free fall, m/s²: exact (3rd CGPM 1901). Where one stands it differs by up to 0.3 %. */
const GRAVITY = 9.80665;
/** Weights a pad is checked with, g. Our choice: within what presses on a face. */
export const CHECK_WEIGHTS_G = [100, 500, 1000] as const;

/** What a pad read under a weight. */
export interface WeightRead {
  grams: number;
  readN: number;
}
/** A check of a pad against weights. */
export interface PadCheck {
  id: string;
  /** ISO 8601. */
  at: string;
  sensor: string;
  weights: WeightRead[];
}

/** Force of a weight, N. */
export const weightN = (grams: number): number => (grams / 1000) * GRAVITY;
/** By how much a pad reads too much (more than 0) or too little, of what is true. */
export const offShare = ({ grams, readN }: WeightRead): number => readN / weightN(grams) - 1;

/** A reading of a weight is the mean of so long, once it stands still: its two halves agree within this share, and its SD is at most that. */
const STILL_MS = 2000;
const HALVES_AGREE = 0.01;
const SD_MOST = 0.05;
/** Less than this is no weight, N. */
const LEAST_WEIGHT_N = 0.2;

/**
 * What stands on a pad, N: the mean of its last two seconds.
 * @returns null while nothing stands there, or it still moves
 */
export function standingN(trace: readonly Touch[]): number | null {
  const last = trace.at(-1);
  if (!last) return null;
  const still = trace.filter((t) => t.atMs > last.atMs - STILL_MS);
  if (last.atMs - trace[0]!.atMs < STILL_MS || still.length < 20) return null;
  const forces = still.map((t) => t.forceN);
  const mean = averageOf(forces);
  if (mean < LEAST_WEIGHT_N || Math.sqrt(varianceOf(forces)) > SD_MOST * mean) return null;
  const half = forces.length >> 1;
  return Math.abs(averageOf(forces.slice(0, half)) - averageOf(forces.slice(half))) <= HALVES_AGREE * mean
    ? mean
    : null;
}

/** @throws InputError where a weight was not read, is read twice, or reads what no weight could */
export function readWeights(weights: readonly WeightRead[]): WeightRead[] {
  if (!weights.length) throw new InputError('weights', 'at least one weight is accepted');
  weights.forEach(({ grams, readN }, i) => {
    if (weights.findIndex((w) => w.grams === grams) !== i)
      throw new InputError(`weights[${i}].grams`, 'each weight once is accepted');
    if (!(grams >= 20 && grams <= 5000)) throw new InputError(`weights[${i}].grams`, '20 to 5000 g are accepted');
    if (!(readN >= 0 && readN <= 500)) throw new InputError(`weights[${i}].readN`, '0 to 500 N are accepted');
  });
  return [...weights].sort((a, b) => a.grams - b.grams);
}

/** A check older than this, or off by more, marks the scores. Our choice. */
const CHECK_DAYS = 30;
const OFF_MOST = 0.05;
export type PadStanding = 'never' | 'old' | 'off' | 'good';
/** Whether the figures of a pad may be relied on at a moment. */
export function padStanding(check: Pick<PadCheck, 'at' | 'weights'> | null, now: Date): PadStanding {
  if (!check) return 'never';
  if (check.weights.some((w) => Math.abs(offShare(w)) > OFF_MOST)) return 'off';
  return now.getTime() - new Date(check.at).getTime() > CHECK_DAYS * 86_400_000 ? 'old' : 'good';
}

/** How a pad's reading moved between two checks, by the weights that both have; null where they share none. */
export function driftBetween(before: Pick<PadCheck, 'weights'>, after: Pick<PadCheck, 'weights'>): number | null {
  const moved = after.weights.flatMap((w) => {
    const was = before.weights.find((b) => b.grams === w.grams);
    return was ? [offShare(w) - offShare(was)] : [];
  });
  return moved.length ? moved.reduce((sum, m) => sum + m, 0) / moved.length : null;
}
