import { type Columns, toColumns } from './columns.ts';
import { DAY_MS, type CoursePoint } from './ratings.ts';

/** Ratings of a course as they are drawn; those of one moment are one. */
export interface DrawnPoint {
  /** Milliseconds since 1970. */
  atMs: number;
  /** 0–10. */
  value: number;
  setting: 'studio' | 'home';
}
/** A rating right after the work of a visit. */
export interface AfterWork {
  atMs: number;
  value: number;
}
export interface DrawnPoints {
  points: Columns<DrawnPoint>;
  /** Before this each point is the middle of `binDays`; null where every rating is drawn. */
  middlesBeforeMs: number | null;
  binDays: number;
}

/** So many ratings are drawn one by one, the latest; what is older is drawn by this many middles. A page is no wider. Our choice. */
const ONE_BY_ONE = 240;
const MIDDLES = 120;

const middle = (sorted: readonly number[]): number =>
  (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2;

const columns = (rows: readonly DrawnPoint[]) => toColumns(rows, ['atMs', 'value', 'setting']);

/**
 * What is drawn of a long course: the latest ratings as they are, older ones by the middle of stretches of equal length,
 * each setting by itself. The judgement never sees these.
 */
export function drawnPoints(points: readonly CoursePoint[], firstMs: number): DrawnPoints {
  const at = (p: CoursePoint): DrawnPoint => ({ atMs: firstMs + p.day * DAY_MS, value: p.value, setting: p.setting });
  if (points.length <= ONE_BY_ONE + MIDDLES)
    return { points: columns(points.map(at)), middlesBeforeMs: null, binDays: 0 };
  const latest = points.slice(-ONE_BY_ONE);
  const older = points.slice(0, -ONE_BY_ONE);
  const binDays = (latest[0]!.day - older[0]!.day) / MIDDLES;
  const bins = new Map<string, { days: number[]; values: number[]; setting: CoursePoint['setting'] }>();
  for (const { day, value, setting } of older) {
    const key = `${Math.floor(day / binDays)} ${setting}`;
    const bin = bins.get(key) ?? { days: [], values: [], setting };
    bins.set(key, bin);
    bin.days.push(day);
    bin.values.push(value);
  }
  const middles = [...bins.values()].map(({ days, values, setting }) => ({
    atMs: firstMs + middle(days) * DAY_MS,
    value: middle(values.sort((a, b) => a - b)),
    setting,
  }));
  return {
    points: columns([...middles.sort((a, b) => a.atMs - b.atMs), ...latest.map(at)]),
    middlesBeforeMs: firstMs + latest[0]!.day * DAY_MS,
    binDays,
  };
}

/** Ratings right after the work that are drawn, the latest. Our choice. */
const AFTER_DRAWN = 60;
export const drawnAfter = (after: readonly AfterWork[]): Columns<AfterWork> =>
  toColumns([...after].sort((a, b) => a.atMs - b.atMs).slice(-AFTER_DRAWN), ['atMs', 'value']);
