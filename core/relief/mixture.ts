import { normalCdf } from './normal.ts';
import { BEFORE, COMPONENTS, Filter, type Update, LEVEL, type ModelReading, SHIFT, smoothedLevels } from './state.ts';

/** Mean and standard deviation of a quantity over all models. */
export interface Estimate {
  mean: number;
  sd: number;
}

const CHANGE = (f: Filter): number => f.change;
const CHANGE_VARIANCE = (f: Filter): number => f.changeVariance;

/** All models on one course, mixed by how well each foretold the readings so far. */
export class Mixture {
  readonly filters: Filter[];
  private readonly updates: Update[][];
  private mixed: Float64Array | null = null;

  constructor(workDay: number, censored = true) {
    this.filters = COMPONENTS.map((c) => new Filter(c, workDay, censored));
    this.updates = this.filters.map(() => []);
  }

  /** @param keep Remember what the way back needs: for the smoothed level. */
  take(reading: ModelReading, keep = false): void {
    this.mixed = null;
    for (let k = 0; k < this.filters.length; k++) {
      const update = this.filters[k]!.take(reading, keep);
      if (update) this.updates[k]!.push(update);
    }
  }

  /** Of each model; they sum to 1. */
  get weights(): Float64Array {
    if (this.mixed) return this.mixed;
    const weights = Float64Array.from(this.filters, (f) => Math.log(f.component.weight) + f.logLikelihood);
    const most = weights.reduce((a, b) => Math.max(a, b), -Infinity);
    let sum = 0;
    for (let k = 0; k < weights.length; k++) sum += weights[k] = Math.exp(weights[k]! - most);
    for (let k = 0; k < weights.length; k++) weights[k] = weights[k]! / sum;
    return (this.mixed = weights);
  }

  /** Natural logarithm of how well the whole foretold the readings. */
  get logLikelihood(): number {
    const logs = this.filters.map((f) => Math.log(f.component.weight) + f.logLikelihood);
    const most = Math.max(...logs);
    return most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0));
  }

  private mean(of: (f: Filter) => number): number {
    const { weights, filters } = this;
    let mean = 0;
    for (let k = 0; k < filters.length; k++) mean += weights[k]! * of(filters[k]!);
    return mean;
  }
  private over(meanOf: (f: Filter) => number, varianceOf: (f: Filter) => number): Estimate {
    const mean = this.mean(meanOf);
    return { mean, sd: Math.sqrt(this.mean((f) => varianceOf(f) + (meanOf(f) - mean) ** 2)) };
  }

  /** Level now less the level before the work, in points. */
  get change(): Estimate {
    return this.over(CHANGE, CHANGE_VARIANCE);
  }
  get changeMean(): number {
    return this.mean(CHANGE);
  }
  get before(): number {
    return this.mean((f) => f.mean[BEFORE]!);
  }
  get level(): number {
    return this.mean((f) => f.mean[LEVEL]!);
  }
  /** How much higher the other setting is rated. */
  get shift(): Estimate {
    return this.over(
      (f) => f.mean[SHIFT]!,
      (f) => f.variance(SHIFT),
    );
  }

  /** Chance that the change lies below `points`. */
  changeBelow(points: number): number {
    const { weights, filters } = this;
    let sum = 0;
    for (let k = 0; k < filters.length; k++) {
      const f = filters[k]!;
      const sd = Math.sqrt(f.changeVariance);
      sum += weights[k]! * (sd > 0 ? normalCdf((points - f.change) / sd) : f.change < points ? 1 : 0);
    }
    return sum;
  }

  /** Bounds that hold the change with the chance `cover`, as much left out on either side. */
  changeInterval(cover: number): { low: number; high: number } {
    const at = (chance: number): number => {
      let [low, high] = [-40, 40];
      for (let i = 0; i < 80; i++) {
        const middle = (low + high) / 2;
        if (this.changeBelow(middle) < chance) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    };
    return { low: at((1 - cover) / 2), high: at((1 + cover) / 2) };
  }

  /** What a reading on a later day would be foretold to be, knowing the readings so far. */
  forecast(day: number, other: boolean): Estimate {
    const told = new Map(this.filters.map((f) => [f, f.forecast(day, other)]));
    return this.over(
      (f) => told.get(f)!.mean,
      (f) => told.get(f)!.variance,
    );
  }

  /** The level at each kept reading as all readings tell it; from the first kept one on all must be kept. */
  smoothed(): Estimate[] {
    const ways = this.updates.map(smoothedLevels);
    return (ways[0] ?? []).map((_, i) => {
      const { weights } = this;
      let mean = 0;
      for (let k = 0; k < ways.length; k++) mean += weights[k]! * ways[k]![i]!.mean;
      let variance = 0;
      for (let k = 0; k < ways.length; k++)
        variance += weights[k]! * (ways[k]![i]!.variance + (ways[k]![i]!.mean - mean) ** 2);
      return { mean, sd: Math.sqrt(variance) };
    });
  }
}
