import { randomLcg, randomNormal } from 'd3';
import { type CoursePoint, drawnToNought, precededOf, type RunDone } from '../../core/relief/index.ts';

/** Made-up clients who use three techniques at random, of which one does nothing, one little and one more. */
export interface PrecededTrial {
  /** As it stands in the check values. */
  name: string;
  ratings: number;
  everyDays: number;
  /** Correlation of the noise of two days that follow each other. */
  perDay: number;
  /** Share of the gaps between ratings in which a technique is used. */
  use: number;
  /** Share of an effect that is still there one rating later. */
  stays: number;
}
/** True effects on the next rating, points. */
export const TRUTH = [0, -0.3, -0.8] as const;
const TECHNIQUES = ['nothing', 'little', 'more'] as const;
const [LEVEL, SD] = [5, 1.5];

const trial = (name: string, over: Partial<PrecededTrial> = {}): PrecededTrial => ({
  name,
  ratings: 40,
  everyDays: 1.5,
  perDay: 0.3,
  use: 0.4,
  stays: 0,
  ...over,
});
export const PRECEDED_TRIALS: readonly PrecededTrial[] = [
  trial('40 ratings'),
  trial('24 ratings', { ratings: 24 }),
  trial('24 ratings, every third day, correlation 0.6', { ratings: 24, everyDays: 3, perDay: 0.6 }),
  trial('40 ratings, daily, correlation 0.6', { everyDays: 1, perDay: 0.6 }),
  trial('40 ratings, half of the effect stays', { stays: 0.5 }),
  trial('40 ratings, rare use (0.2)', { use: 0.2 }),
];

export interface PrecededResult {
  clients: number;
  /** Per technique: per cent of intervals that hold the truth, means, root mean squared errors, mean half width. */
  coverage: number[];
  meanPlain: number[];
  meanDrawn: number[];
  errorPlain: number[];
  errorDrawn: number[];
  halfWidth: number[];
}

const DAY_MS = 86_400_000;

export function runPrecededTrial(t: PrecededTrial, clients: number): PrecededResult {
  const seed = [...t.name].reduce((so, letter, i) => so + letter.charCodeAt(0) * (i + 1), 4711);
  const random = randomLcg((seed * 0.618034) % 1);
  const normal = randomNormal.source(random)();
  const kept = t.perDay ** t.everyDays;
  const sums = TRUTH.map(() => ({ n: 0, held: 0, plain: 0, drawn: 0, plain2: 0, drawn2: 0, half: 0 }));
  for (let c = 0; c < clients; c++) {
    const runs: RunDone[] = [];
    const points: CoursePoint[] = [];
    let noise = SD * normal();
    let carried = 0;
    for (let i = 0; i < t.ratings; i++) {
      const day = i * t.everyDays;
      let effect = carried * t.stays;
      if (i) {
        noise = kept * noise + Math.sqrt(1 - kept * kept) * SD * normal();
        const techniques = TECHNIQUES.filter(() => random() < t.use);
        effect += techniques.reduce((sum, name) => sum + TRUTH[TECHNIQUES.indexOf(name)]!, 0);
        // Something else is always done, so that every gap is a use.
        runs.push({ atMs: (day - t.everyDays / 2) * DAY_MS, techniques: ['breath', ...techniques] });
      }
      carried = effect;
      points.push({ day, value: Math.min(10, Math.max(0, Math.round(LEVEL + noise + effect))), setting: 'home' });
    }
    const told = precededOf(points, 0, 0, runs);
    TECHNIQUES.forEach((name, k) => {
      const row = told.rows.find((r) => r.techniques.includes(name));
      if (!row || row.effect === null) return;
      const sum = sums[k]!;
      const shown = drawnToNought({ effect: row.effect, error: row.error! }, told.variance!, {
        pairs: 0,
        meanSquare: 0,
      });
      sum.n++;
      if (row.low! <= TRUTH[k]! && row.high! >= TRUTH[k]!) sum.held++;
      sum.plain += row.effect;
      sum.drawn += shown;
      sum.plain2 += (row.effect - TRUTH[k]!) ** 2;
      sum.drawn2 += (shown - TRUTH[k]!) ** 2;
      sum.half += (row.high! - row.low!) / 2;
    });
  }
  return {
    clients,
    coverage: sums.map((s) => (s.held / s.n) * 100),
    meanPlain: sums.map((s) => s.plain / s.n),
    meanDrawn: sums.map((s) => s.drawn / s.n),
    errorPlain: sums.map((s) => Math.sqrt(s.plain2 / s.n)),
    errorDrawn: sums.map((s) => Math.sqrt(s.drawn2 / s.n)),
    halfWidth: sums.map((s) => s.half / s.n),
  };
}
