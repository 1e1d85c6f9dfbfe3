import { belowNormal } from './normal.ts';

/** Size of the state: usual level before the work, usual level now, slow noise, shift of the other setting. */
const SIZE = 4;
export const BEFORE = 0;
export const LEVEL = 1;
const NOISE = 2;
export const SHIFT = 3;

/** One of the models that are run side by side. */
export interface Component {
  /** Standard deviation of the slow noise, in points. */
  slowSd: number;
  /** Days in which the slow noise falls to 1/e. */
  slowDays: number;
  /** Standard deviation of the noise of one rating, in points. */
  ratingSd: number;
  /** Standard deviation of what the first four days of work may move, in points. */
  jump: number;
  /** Variance that the level gains each day of work, in points². */
  driftPerDay: number;
  /** Weight before any reading; all sum to 1. */
  weight: number;
}

/**
 * How the work of a course is modelled. Chosen by simulation on other seeds than those the method is tested with; not
 * measured on clients.
 */
export const START = {
  /** Usual level, points on 0–10. */
  levelMean: 5.5,
  levelSd: 3,
  shiftSd: 1.5,
  /** People come when it is worst: the first reading alone lies higher and scatters more. */
  firstHigher: 0.3,
  firstExtraVariance: 0.7 ** 2,
  /** Days in which a jump is over. */
  jumpDays: 4,
} as const;

const SCATTER: readonly [factor: number, weight: number][] = [
  [0.6, 0.1],
  [0.85, 0.4],
  [1.15, 0.4],
  [1.6, 0.1],
];
const NOISES: readonly [slowSd: number, slowDays: number, ratingSd: number, weight: number][] = [
  [0.3, 2, 1.4, 0.5],
  [1.3, 2.5, 0.6, 0.5],
];
/** As before, a step, a drift. */
const MOVES: readonly [jump: number, driftPerDay: number, weight: number][] = [
  [1, 0.001, 0.2],
  [4, 0.01, 0.5],
  [1, 0.05, 0.3],
];

/** Every scatter with every noise with every movement: 24. */
export const COMPONENTS: readonly Component[] = SCATTER.flatMap(([factor, scatterWeight]) =>
  NOISES.flatMap(([slowSd, slowDays, ratingSd, noiseWeight]) =>
    MOVES.map(([jump, driftPerDay, moveWeight]) => ({
      slowSd: slowSd * factor,
      slowDays,
      ratingSd: ratingSd * factor,
      jump,
      driftPerDay,
      weight: scatterWeight * noiseWeight * moveWeight,
    })),
  ),
);

/** One reading of a course. */
export interface ModelReading {
  /** Days, from any origin; not decreasing. */
  day: number;
  /** 0–10. */
  value: number;
  /** Taken in the other setting than the first reading. */
  other: boolean;
}

/** Variance that the level has gained since the work began. */
export const movedVariance = ({ jump, driftPerDay }: Component, day: number, workDay: number): number => {
  const worked = Math.max(day - workDay, 0);
  return (jump ** 2 * Math.min(worked, START.jumpDays)) / START.jumpDays + driftPerDay * worked;
};

/** Where each entry of the symmetric covariance stands in its ten numbers. */
const BB = 0;
const BL = 1;
const BN = 2;
const BS = 3;
const LL = 4;
const LN = 5;
const LS = 6;
const NN = 7;
const NS = 8;
const SS = 9;
const ROWS = [
  [BB, BL, BN, BS],
  [BL, LL, LN, LS],
  [BN, LN, NN, NS],
  [BS, LS, NS, SS],
] as const;

/** What a reading taught one model: kept for the way back. */
export interface Update {
  /** State and its covariance just before the reading. */
  mean: Float64Array;
  cov: Float64Array;
  /** P·H, and the weights of the residual and of the information. */
  gain: Float64Array;
  residual: number;
  information: number;
  /** Share of the slow noise that was left since the reading before. */
  kept: number;
  design: readonly number[];
}

/**
 * One model on one course: state, covariance and how well it foretold the readings so far. Written out for its four
 * states and for what a reading can see of them, because a long course runs it half a million times.
 */
export class Filter {
  readonly mean = Float64Array.of(START.levelMean, START.levelMean, 0, 0);
  /** The ten numbers of the symmetric covariance. */
  readonly cov = new Float64Array(10);
  logLikelihood = 0;
  readonly component: Component;
  private day: number | null = null;
  private readonly gain = new Float64Array(SIZE);
  private readonly workDay: number;
  private readonly censored: boolean;

  /**
   * @param workDay Day on which the work began; Infinity while it has not.
   * @param censored 0 and 10 are read as "below 0.5" and "above 9.5".
   */
  constructor(component: Component, workDay: number, censored = true) {
    this.component = component;
    this.workDay = workDay;
    this.censored = censored;
    this.cov[BB] = this.cov[BL] = this.cov[LL] = START.levelSd ** 2;
    this.cov[NN] = component.slowSd ** 2;
    this.cov[SS] = START.shiftSd ** 2;
  }

  /** Another filter in the same state: what comes after leaves this one as it is. */
  copy(): Filter {
    const other = new Filter(this.component, this.workDay, this.censored);
    other.mean.set(this.mean);
    other.cov.set(this.cov);
    other.logLikelihood = this.logLikelihood;
    other.day = this.day;
    return other;
  }

  /** Moves to a day; gives the share of the slow noise that is left. */
  moveTo(day: number): number {
    const { component, cov, mean } = this;
    if (this.day === null) {
      this.day = day;
      return 1;
    }
    const kept = Math.exp(-(day - this.day) / component.slowDays);
    mean[NOISE] = mean[NOISE]! * kept;
    cov[BN] = cov[BN]! * kept;
    cov[LN] = cov[LN]! * kept;
    cov[NS] = cov[NS]! * kept;
    cov[NN] = cov[NN]! * kept * kept + component.slowSd ** 2 * (1 - kept * kept);
    if (day > this.workDay)
      cov[LL] =
        cov[LL]! + movedVariance(component, day, this.workDay) - movedVariance(component, this.day, this.workDay);
    this.day = day;
    return kept;
  }

  /** Variance of a reading at the day reached; leaves P·H in `gain`. A reading sees a level, the noise, maybe the shift. */
  private foresee(isBefore: boolean, other: boolean, isFirst: boolean): number {
    const { gain, cov, component } = this;
    for (let i = 0; i < SIZE; i++) {
      const row = ROWS[i]!;
      gain[i] = cov[row[isBefore ? BEFORE : LEVEL]!]! + cov[row[NOISE]!]! + (other ? cov[row[SHIFT]!]! : 0);
    }
    return (
      gain[isBefore ? BEFORE : LEVEL]! +
      gain[NOISE]! +
      (other ? gain[SHIFT]! : 0) +
      component.ratingSd ** 2 +
      (isFirst ? START.firstExtraVariance : 0)
    );
  }

  private expected(isBefore: boolean, other: boolean, isFirst: boolean): number {
    const { mean } = this;
    return (
      mean[isBefore ? BEFORE : LEVEL]! + mean[NOISE]! + (other ? mean[SHIFT]! : 0) + (isFirst ? START.firstHigher : 0)
    );
  }

  private shrink(information: number): void {
    const { gain, cov } = this;
    for (let i = 0; i < SIZE; i++)
      for (let j = i; j < SIZE; j++) {
        const at = ROWS[i]![j]!;
        cov[at] = cov[at]! - gain[i]! * gain[j]! * information;
      }
  }

  /** Takes a reading in; with `keep` what the way back needs is given. */
  take(reading: ModelReading, keep = false): Update | null {
    const isFirst = this.day === null;
    const kept = this.moveTo(reading.day);
    const isBefore = reading.day <= this.workDay;
    const before = keep ? { mean: this.mean.slice(), cov: this.cov.slice() } : null;
    const variance = this.foresee(isBefore, reading.other, isFirst);
    const expected = this.expected(isBefore, reading.other, isFirst);
    const edge = !this.censored ? 0 : reading.value <= 0 ? -1 : reading.value >= 10 ? 1 : 0;
    let residual: number;
    let information: number;
    if (edge) {
      const sd = Math.sqrt(variance);
      const alpha = (edge * (expected - (edge < 0 ? 0.5 : 9.5))) / sd;
      const { lambda, logCdf } = belowNormal(alpha);
      residual = (edge * lambda) / sd;
      information = (lambda * (lambda + alpha)) / variance;
      this.logLikelihood += logCdf;
    } else {
      const off = reading.value - expected;
      residual = off / variance;
      information = 1 / variance;
      this.logLikelihood -= (Math.log(2 * Math.PI * variance) + (off * off) / variance) / 2;
    }
    for (let i = 0; i < SIZE; i++) this.mean[i] = this.mean[i]! + this.gain[i]! * residual;
    this.shrink(information);
    return (
      before && {
        ...before,
        gain: this.gain.slice(),
        residual,
        information,
        kept,
        design: [isBefore ? 1 : 0, isBefore ? 0 : 1, 1, reading.other ? 1 : 0],
      }
    );
  }

  /** What a reading on a later day would be foretold to be, with this filter left as it is. */
  forecast(day: number, other: boolean): { mean: number; variance: number } {
    const then = this.copy();
    then.moveTo(day);
    const isBefore = day <= this.workDay;
    return { mean: then.expected(isBefore, other, false), variance: then.foresee(isBefore, other, false) };
  }

  /** Knows as much as after a reading on that day, whatever it says: the covariance alone. */
  imagine(day: number, other: boolean): void {
    this.moveTo(day);
    this.shrink(1 / this.foresee(day <= this.workDay, other, false));
  }

  /** Variance of one of the four states. */
  variance(at: number): number {
    return this.cov[ROWS[at]![at]!]!;
  }
  /** Mean of the change since before the work. */
  get change(): number {
    return this.mean[LEVEL]! - this.mean[BEFORE]!;
  }
  /** Variance of the change since before the work. */
  get changeVariance(): number {
    return Math.max(this.cov[LL]! + this.cov[BB]! - 2 * this.cov[BL]!, 0);
  }
}

/**
 * The level at each reading as all readings tell it, one [mean, variance] each: backwards over what was learned, without
 * any inverse (de Jong 1989; Durbin and Koopman 2012, §4.4). What was learned may begin later than the course.
 */
export function smoothedLevels(updates: readonly Update[]): { mean: number; variance: number }[] {
  const out: { mean: number; variance: number }[] = [];
  let r = new Float64Array(SIZE);
  let n = new Float64Array(SIZE * SIZE);
  for (let step = updates.length - 1; step >= 0; step--) {
    const { mean, cov, gain, residual, information, design, kept } = updates[step]!;
    // M = I − h·k·Hᵀ
    const m = (i: number, j: number) => (i === j ? 1 : 0) - gain[i]! * information * design[j]!;
    const backR = new Float64Array(SIZE);
    const nm = new Float64Array(SIZE * SIZE);
    for (let i = 0; i < SIZE; i++) {
      backR[i] = design[i]! * residual;
      for (let j = 0; j < SIZE; j++) {
        backR[i] = backR[i]! + m(j, i) * r[j]!;
        for (let k = 0; k < SIZE; k++) nm[i * SIZE + j] = nm[i * SIZE + j]! + n[i * SIZE + k]! * m(k, j);
      }
    }
    const backN = new Float64Array(SIZE * SIZE);
    for (let i = 0; i < SIZE; i++)
      for (let j = 0; j < SIZE; j++) {
        let sum = design[i]! * information * design[j]!;
        for (let k = 0; k < SIZE; k++) sum += m(k, i) * nm[k * SIZE + j]!;
        backN[i * SIZE + j] = sum;
      }
    const row = ROWS[LEVEL]!;
    let level = mean[LEVEL]!;
    let variance = cov[LL]!;
    for (let i = 0; i < SIZE; i++) {
      level += cov[row[i]!]! * backR[i]!;
      for (let j = 0; j < SIZE; j++) variance -= cov[row[i]!]! * backN[i * SIZE + j]! * cov[row[j]!]!;
    }
    out.push({ mean: level, variance: Math.max(variance, 0) });
    // Back over the time since the reading before: only the slow noise has changed by itself.
    r = backR;
    r[NOISE] = r[NOISE]! * kept;
    n = backN;
    for (let i = 0; i < SIZE; i++) {
      n[i * SIZE + NOISE] = n[i * SIZE + NOISE]! * kept;
      n[NOISE * SIZE + i] = n[NOISE * SIZE + i]! * kept;
    }
  }
  return out.reverse();
}
