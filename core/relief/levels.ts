import { Mixture } from './mixture.ts';
import { type CoursePoint, DAY_MS } from './ratings.ts';

/** The usual level at one reading as all readings tell it, on 0–10. */
export interface LevelAt {
  /** Milliseconds since 1970. */
  atMs: number;
  level: number;
  /** Where it lies with 95 %. */
  low: number;
  high: number;
}

/** So many readings back the level is drawn; each costs the way back once more. */
const LATEST = 120;
const Z975 = 1.959963984540054;
/** A hundredth of a point is finer than the eye. */
const kept = (v: number): number => Math.round(Math.min(10, Math.max(0, v)) * 100) / 100;

/**
 * The level of the latest readings, smoothed: for the eye, nothing is judged by it.
 * @param startDay Day of the course on which the work began; null while none has.
 * @param firstMs Moment of day 0.
 */
export function levelsOf(points: readonly CoursePoint[], startDay: number | null, firstMs: number): LevelAt[] {
  if (!points.length) return [];
  const workDay = startDay === null ? Infinity : Math.max(startDay, points[0]!.day);
  const mixture = new Mixture(workDay);
  const from = Math.max(0, points.length - LATEST);
  points.forEach((p, i) =>
    mixture.take({ day: p.day, value: p.value, other: p.setting !== points[0]!.setting }, i >= from),
  );
  return mixture.smoothed().map(({ mean, sd }, i) => ({
    atMs: firstMs + points[from + i]!.day * DAY_MS,
    level: kept(mean),
    low: kept(mean - Z975 * sd),
    high: kept(mean + Z975 * sd),
  }));
}
