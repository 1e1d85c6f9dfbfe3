import { InputError } from '../words/index.ts';

/**
 * Numeric rating scale 0–10. `Δ = follow-up − baseline` (negative = less pain); `per cent = (baseline − follow-up) /
 * baseline × 100`, undefined at baseline 0. Never compare different recall windows.
 */
/**
 * Bands by IMMPACT (Dworkin et al., J Pain 2008;9:105–121: 10–20 % minimal, ≥ 30 % moderate, ≥ 50 % substantial; sure).
 * The source leaves 20–30 % unnamed; it is counted as minimal (our choice).
 */
export type NrsBand = 'worse' | 'no-important-change' | 'minimal' | 'moderate' | 'substantial' | 'undefined';

export interface NrsChange {
  /** Points; below 0 is less. */
  delta: number;
  /** null when the baseline is 0. */
  percent: number | null;
  /** Which share of the baseline it is. */
  band: NrsBand;
  /** A fall of at least 2 points (Farrar et al., Pain 2001;94:149–158; sure). */
  twoPoints: boolean;
}

/** @throws InputError unless the value is a whole number from 0 to 10. */
export function nrsScore(value: unknown, field = 'rating'): number {
  if (typeof value !== 'number' || !Number.isInteger(value) || value < 0 || value > 10)
    throw new InputError(field, 'a whole number from 0 to 10 is accepted');
  return value;
}

/** Change between two values, which may be means of a diary week. Thresholds are tested without division by the result. */
export function nrsChange(baseline: number, followUp: number): NrsChange {
  for (const [field, v] of [
    ['baseline', baseline],
    ['followUp', followUp],
  ] as const)
    if (!Number.isFinite(v) || v < 0 || v > 10) throw new InputError(field, 'a number from 0 to 10 is accepted');
  const delta = followUp - baseline;
  const twoPoints = -delta >= 2;
  if (baseline === 0)
    return { delta, percent: null, band: followUp > 0 ? 'undefined' : 'no-important-change', twoPoints };
  const fall = (baseline - followUp) * 100;
  const reaches = (percent: number) => fall >= percent * baseline;
  const band: NrsBand =
    delta > 0
      ? 'worse'
      : reaches(50)
        ? 'substantial'
        : reaches(30)
          ? 'moderate'
          : reaches(10)
            ? 'minimal'
            : 'no-important-change';
  return { delta, percent: ((baseline - followUp) / baseline) * 100, band, twoPoints };
}

/** Mean of the recorded days of a diary; missing days (null) stay missing. @throws InputError when nothing is recorded. */
export function diaryMean(days: readonly (number | null)[]): number {
  const recorded = days.filter((d): d is number => d !== null).map((d) => nrsScore(d, 'diary'));
  if (!recorded.length) throw new InputError('diary', 'at least one recorded day is needed');
  return recorded.reduce((a, b) => a + b, 0) / recorded.length;
}

export interface SessionRelief {
  /** Sum of pain differences × time, point·min. */
  spid: number;
  /** Share of the greatest possible, 0–100 %; null at baseline 0. */
  percentOfMost: number | null;
  /** Area under the pain curve, point·min. */
  area: number;
  /** Points. */
  timeWeightedMean: number;
}

/** Relief over one session by the trapezoid rule; times in minutes, increasing, the first is the baseline. */
export function sessionRelief(minutes: readonly number[], ratings: readonly number[]): SessionRelief {
  if (minutes.length !== ratings.length || minutes.length < 2)
    throw new InputError('ratings', 'at least two times with a rating each are needed');
  if (minutes.some((t, i) => i > 0 && t <= minutes[i - 1]!)) throw new InputError('minutes', 'times must increase');
  const values = ratings.map((r) => nrsScore(r));
  const baseline = values[0]!;
  const area = values.slice(1).reduce((sum, v, i) => sum + ((v + values[i]!) / 2) * (minutes[i + 1]! - minutes[i]!), 0);
  const length = minutes[minutes.length - 1]! - minutes[0]!;
  const spid = baseline * length - area;
  return {
    spid,
    percentOfMost: baseline ? (spid / (baseline * length)) * 100 : null,
    area,
    timeWeightedMean: area / length,
  };
}

/** Why a worst and an average of one week cannot both be so; null where they can, or one of them is not known. */
export const weekContradiction = (worst: number | undefined, average: number | undefined): string | null =>
  worst !== undefined && average !== undefined && worst < average
    ? `The worst of the past week (${worst}) cannot lie below its average (${average}).`
    : null;
