import { randomLcg, randomNormal } from 'd3';
import { type CoursePoint, judgePoints, type Verdict } from '../../core/relief/index.ts';

/** Made-up clients whose truth is known: how often the method says what is so. */
export interface Trial {
  /** As it stands in the table of the method. */
  name: string;
  /** Ratings before the work; it begins with the last of them. */
  before: number;
  ratings: number;
  everyDays: number;
  /** Standard deviation of what is not level, points. */
  sd: number;
  /** Correlation of the noise of two days that follow each other. */
  perDay: number;
  /** True usual level, so many days after the work began; negative before. */
  level: (worked: number) => number;
  /** Only clients whose first rating was at least this are taken. */
  firstAtLeast?: number;
}

const trial = (name: string, over: Partial<Trial> = {}): Trial => ({
  name,
  before: 1,
  ratings: 24,
  everyDays: 3,
  sd: 1.5,
  perDay: 0,
  level: () => 5,
  ...over,
});
const step = (from: number, to: number) => (worked: number) => (worked > 0 ? to : from);
const slowly = (from: number, to: number, days: number) => (worked: number) =>
  from + (to - from) * Math.min(1, Math.max(0, worked / days));
const STICKY = { perDay: 0.6 };
const DAILY = { everyDays: 1, perDay: 0.6 };
const SELECTED = { firstAtLeast: 7 };

/** What the method must not say: nothing has changed in any of these. */
export const UNCHANGED: readonly Trial[] = [
  trial('no change'),
  trial('no change, 4 before', { before: 4 }),
  trial('no change, correlation 0.3', { perDay: 0.3 }),
  trial('no change, correlation 0.6', STICKY),
  trial('no change, correlation 0.6, 4 before', { ...STICKY, before: 4 }),
  trial('no change, SD 1.0', { sd: 1 }),
  trial('no change, SD 2.0', { sd: 2 }),
  trial('no change, daily, correlation 0.6', DAILY),
  trial('no change, daily, correlation 0.6, 4 before', { ...DAILY, before: 4 }),
  trial('no change, level 1.5', { level: () => 1.5 }),
  trial('no change, level 1.5, 4 before', { level: () => 1.5, before: 4 }),
  trial('no change, level 3', { level: () => 3 }),
  trial('no change, level 7', { level: () => 7 }),
  trial('no change, level 8.5', { level: () => 8.5 }),
  trial('no change, level 8.5, 4 before', { level: () => 8.5, before: 4 }),
  trial('selection, 1 before', SELECTED),
  trial('selection, 4 before', { ...SELECTED, before: 4 }),
  trial('selection, correlation 0.6, 1 before', { ...SELECTED, ...STICKY }),
  trial('selection, daily, correlation 0.6, 1 before', { ...SELECTED, ...DAILY }),
  trial('selection, daily, correlation 0.6, 4 before', { ...SELECTED, ...DAILY, before: 4 }),
];
/** What it should see. */
export const CHANGED: readonly Trial[] = [
  trial('step 7 to 3, 1 before', { level: step(7, 3) }),
  trial('step 7 to 3, 3 before', { level: step(7, 3), before: 3 }),
  trial('step 7 to 3, 4 before', { level: step(7, 3), before: 4 }),
  trial('step 7 to 3, 6 before', { level: step(7, 3), before: 6 }),
  trial('step 7 to 3, 4 before, SD 1.0', { level: step(7, 3), before: 4, sd: 1 }),
  trial('step 7 to 3, 4 before, SD 2.0', { level: step(7, 3), before: 4, sd: 2 }),
  trial('step 7 to 3, 4 before, correlation 0.6', { level: step(7, 3), before: 4, ...STICKY }),
  trial('step 7 to 3, 4 before, daily, correlation 0.6', { level: step(7, 3), before: 4, ...DAILY }),
  trial('step 7 to 4.5, 4 before', { level: step(7, 4.5), before: 4 }),
  trial('step 3 to 1, 4 before', { level: step(3, 1), before: 4 }),
  trial('step 8.5 to 5, 4 before', { level: step(8.5, 5), before: 4 }),
  trial('slow 7 to 4 over 8 weeks', { level: slowly(7, 4, 56), before: 3 }),
  trial('slow 7 to 4 over 8 weeks, 6 before', { level: slowly(7, 4, 56), before: 6 }),
  trial('step 4 to 7, 4 before', { level: step(4, 7), before: 4 }),
  trial('step 4 to 7, 1 before', { level: step(4, 7) }),
];

export interface TrialResult {
  name: string;
  clients: number;
  /** Per cent of clients who ever heard it, and who hear it at the end. */
  ever: Record<Verdict, number>;
  end: Record<Verdict, number>;
  betterBy12: number;
  /** Per cent whose 95 % interval at the end holds the true change; null where it was not asked. */
  holdsTruth: number | null;
}

/** Ratings of one made-up client; whole numbers from 0 to 10. */
function ratingsOf(t: Trial, normal: () => number): { points: CoursePoint[]; workDay: number } {
  const workDay = (t.before - 1) * t.everyDays;
  const kept = t.perDay ** t.everyDays;
  for (;;) {
    let noise = t.sd * normal();
    const points = Array.from({ length: t.ratings }, (_, i): CoursePoint => {
      if (i) noise = kept * noise + Math.sqrt(1 - kept * kept) * t.sd * normal();
      const day = i * t.everyDays;
      const value = Math.min(10, Math.max(0, Math.round(t.level(day - workDay) + noise)));
      return { day, value, setting: 'home' };
    });
    if (points[0]!.value >= (t.firstAtLeast ?? 0)) return { points, workDay };
  }
}

/** Each row has a seed of its own, from its name; the same row gives the same clients. */
export function runTrial(t: Trial, clients: number): TrialResult {
  const sum = [...t.name].reduce((so, letter, i) => so + letter.charCodeAt(0) * (i + 1), 2026);
  const normal = randomNormal.source(randomLcg((sum * 0.618034) % 1))();
  const ever: Partial<Record<Verdict, number>> = {};
  const end: Partial<Record<Verdict, number>> = {};
  let betterBy12 = 0;
  let held = 0;
  let asked = 0;
  for (let i = 0; i < clients; i++) {
    const { points, workDay } = ratingsOf(t, normal);
    const j = judgePoints(points, workDay);
    for (const verdict of new Set(j.verdicts)) ever[verdict] = (ever[verdict] ?? 0) + 1;
    end[j.verdict] = (end[j.verdict] ?? 0) + 1;
    if (j.verdicts.slice(0, 12).includes('better')) betterBy12++;
    // Where 90 % are shown, 95 % were not worked out; where a level is cut to the scale, so is the truth.
    if (j.verdict !== 'about-same' && j.interval) {
      const clamp = (v: number) => Math.min(10, Math.max(0, v));
      const truth = t.level(points[points.length - 1]!.day - workDay) - t.level(-1);
      const shown = clamp(j.before! + truth) - clamp(j.before!);
      asked++;
      if (shown >= j.interval.low - 1e-9 && shown <= j.interval.high + 1e-9) held++;
    }
  }
  const percent = (of: Partial<Record<Verdict, number>>): Record<Verdict, number> =>
    new Proxy({} as Record<Verdict, number>, {
      get: (_, verdict) => ((of[verdict as Verdict] ?? 0) / clients) * 100,
    });
  return {
    name: t.name,
    clients,
    ever: percent(ever),
    end: percent(end),
    betterBy12: (betterBy12 / clients) * 100,
    holdsTruth: asked ? (held / asked) * 100 : null,
  };
}
