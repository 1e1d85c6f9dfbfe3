import { InputError } from '../words/index.ts';

/**
 * Pressure-pain threshold: the pressure at which pressure first becomes pain. Round tip of 1 cm², ramp 30–50 kPa/s,
 * trials 30–60 s apart, mean of the second and third of three (customary, sure). Constants are exact.
 */
export const NEWTON_PER_KGF = 9.80665;
export const KPA_PER_NEWTON_PER_CM2 = 10;
export const NEWTON_PER_LBF = 4.4482216152605;
export const RAMP_KPA_PER_SECOND = { least: 30, most: 50 } as const;

export const newtonFrom = (kpa: number, areaCm2: number): number => (kpa * areaCm2) / KPA_PER_NEWTON_PER_CM2;
export const kpaFrom = (newton: number, areaCm2: number): number => (newton / areaCm2) * KPA_PER_NEWTON_PER_CM2;

export interface ThresholdTrial {
  /** Pressure at which it began to be sore, kPa. */
  kpa: number;
  /** Mean rise over the press, in kPa/s; null when it was not watched. */
  rampKpaPerSecond: number | null;
  /** The tip slipped or was lifted on the way. */
  slipped?: boolean;
}
export interface Threshold {
  /** In kPa. */
  kpa: number;
  /** On the tip, in N. */
  newton: number;
  /** On the tip, in kgf. */
  kgf: number;
  /** Second and third trial differ by more than a fifth of their mean: take another. Our choice. */
  unsteady: boolean;
  /** A trial whose ramp left 30–50 kPa/s. */
  rampOff: boolean;
  /** A trial in which the tip slipped. */
  slipped: boolean;
}

/** Units in which a dial may be read; forces are those on the tip. */
export const GAUGE_UNITS = ['kPa', 'N', 'kgf', 'lbf'] as const;
export type GaugeUnit = (typeof GAUGE_UNITS)[number];
const NEWTON_PER: Record<Exclude<GaugeUnit, 'kPa'>, number> = { N: 1, kgf: NEWTON_PER_KGF, lbf: NEWTON_PER_LBF };
export const kpaFromGauge = (value: number, unit: GaugeUnit, areaCm2: number): number =>
  unit === 'kPa' ? value : kpaFrom(value * NEWTON_PER[unit], areaCm2);

/** @throws InputError when there are not three trials, or one lies outside 1–2000 kPa. */
export function pressureThreshold(trials: readonly ThresholdTrial[], areaCm2 = 1): Threshold {
  if (trials.length !== 3) throw new InputError('trials', 'three trials are accepted');
  if (!(areaCm2 >= 0.1 && areaCm2 <= 5)) throw new InputError('areaCm2', '0.1 to 5 cm² is accepted');
  trials.forEach((t, i) => {
    if (!(t.kpa >= 1 && t.kpa <= 2000)) throw new InputError(`trials[${i}].kpa`, '1 to 2000 kPa is accepted');
  });
  const [, second, third] = trials as [ThresholdTrial, ThresholdTrial, ThresholdTrial];
  const kpa = (second.kpa + third.kpa) / 2;
  const newton = newtonFrom(kpa, areaCm2);
  return {
    kpa,
    newton,
    kgf: newton / NEWTON_PER_KGF,
    unsteady: Math.abs(second.kpa - third.kpa) > kpa / 5,
    rampOff: trials.some(
      (t) =>
        t.rampKpaPerSecond !== null &&
        (t.rampKpaPerSecond < RAMP_KPA_PER_SECOND.least || t.rampKpaPerSecond > RAMP_KPA_PER_SECOND.most),
    ),
    slipped: trials.some((t) => t.slipped),
  };
}

/** SEM = SD · √(1 − r), and the smallest change beyond error at 95 and 90 %. */
export function smallestChange(sd: number, reliability: number): { sem: number; mdc95: number; mdc90: number } {
  if (!(sd > 0)) throw new InputError('sd', 'a number above 0 is accepted');
  if (!(reliability >= 0 && reliability < 1)) throw new InputError('reliability', '0 to under 1 is accepted');
  const sem = sd * Math.sqrt(1 - reliability);
  return { sem, mdc95: 1.96 * Math.SQRT2 * sem, mdc90: 1.645 * Math.SQRT2 * sem };
}
