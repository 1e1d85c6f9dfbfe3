import type { ReadingSource } from '../measures/index.ts';

/** A dated rating of one complaint. */
export interface RatedAt {
  /** Milliseconds since 1970. */
  atMs: number;
  /** 0–10. */
  value: number;
  /** Who took it. */
  source: ReadingSource;
}
export const DAY_MS = 86_400_000;
/** Ratings of one setting so close to the earliest of them are one. */
const SAME_MOMENT_MS = 30 * 60_000;

type Setting = 'studio' | 'home';
/** One rating on a course. */
export interface CoursePoint {
  /** Days since the first rating, as a fraction. */
  day: number;
  /** 0–10; the middle where several were of one moment. */
  value: number;
  /** Where it was rated; what is told by telephone was felt at home, imported ratings count as the studio’s. */
  setting: Setting;
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/**
 * Ratings in any order as a course: those of one setting within half an hour of the earliest become one at that time,
 * with the middle value.
 */
export function coursePoints(ratings: readonly RatedAt[]): CoursePoint[] {
  const settingOf = (r: RatedAt): Setting => (r.source === 'home' || r.source === 'telephone' ? 'home' : 'studio');
  const moments: { atMs: number; setting: Setting; values: number[] }[] = [];
  for (const setting of ['studio', 'home'] as const) {
    let open: (typeof moments)[number] | null = null;
    for (const r of ratings.filter((one) => settingOf(one) === setting).sort((a, b) => a.atMs - b.atMs)) {
      if (open && r.atMs - open.atMs <= SAME_MOMENT_MS) open.values.push(r.value);
      else moments.push((open = { atMs: r.atMs, setting, values: [r.value] }));
    }
  }
  // A stable order: of two moments at the same time the studio's is first.
  moments.sort((a, b) => a.atMs - b.atMs);
  const first = moments[0]?.atMs ?? 0;
  return moments.map(({ atMs, setting, values }) => ({
    day: (atMs - first) / DAY_MS,
    value: middle(values),
    setting,
  }));
}

/** When the first of the ratings was taken; null without one. */
export const firstRatedMs = (ratings: readonly RatedAt[]): number | null =>
  ratings.length ? Math.min(...ratings.map((r) => r.atMs)) : null;
