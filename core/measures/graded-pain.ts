import { InputError } from '../words/index.ts';
import { answered, mean, sum, wholeAnswers, type ItemAnswer, type Scored } from './answers.ts';

/**
 * Graded chronic pain, version 2.0 with its 30-day window (Von Korff, Ormel, Keefe, Dworkin. Pain 1992;50:133–149;
 * scoring as in the DC/TMD set; sure unless marked). The form is used unaltered and credited; from memory that no
 * permission is needed to reproduce it.
 */
export interface GradedPain {
  /** Characteristic pain intensity 0–100. */
  intensity: number;
  /** Interference 0–100. */
  interference: number;
  /** 0–3. */
  dayPoints: number;
  /** 0–3. */
  interferencePoints: number;
  /** 0–6. */
  disabilityPoints: number;
  /** 0–4. */
  grade: 0 | 1 | 2 | 3 | 4;
  /** The grade in words. */
  words: string;
  /** Licensed care is suggested. */
  suggestCare: boolean;
}

const WORDS = [
  'no pain in six months',
  'low intensity, not limiting much',
  'high intensity, not limiting much',
  'moderately limiting',
  'severely limiting',
] as const;
/** From this grade on, licensed care is suggested. Our choice, in line with what the grade is for. */
const SUGGEST_CARE_FROM = 3;

export interface GradedPainAnswers {
  /** Days with pain in six months, 0–180. */
  daysInSixMonths: number | null;
  /** Now, worst and average of 30 days, 0–10. */
  pain: readonly ItemAnswer[];
  /** Days kept from usual activities in 30 days, 0–30. */
  daysKept: number | null;
  /** Daily, social and leisure, work: 0–10. */
  interference: readonly ItemAnswer[];
}

/** What of the answers cannot both be so: the later one, and both in words. Null where all go together. */
export function painContradiction(a: {
  days: number | null;
  now: number | null;
  worst: number | null;
  average: number | null;
  kept: number | null;
}): { field: 'now' | 'worst' | 'average' | 'kept'; other: 'days' | 'worst'; words: string } | null {
  const names = {
    now: 'pain right now',
    worst: 'worst pain',
    average: 'average pain',
    kept: 'days kept from activities',
  };
  if (a.days === 0)
    for (const field of ['now', 'worst', 'average', 'kept'] as const)
      if (a[field])
        return { field, other: 'days', words: `0 days with pain and ${names[field]} ${a[field]} cannot both be` };
  for (const field of ['average', 'now'] as const)
    if (a.worst !== null && (a[field] ?? 0) > a.worst)
      return { field, other: 'worst', words: `worst pain ${a.worst} cannot lie below ${names[field]} ${a[field]}` };
  return null;
}

/** @throws InputError for an answer out of its range, and for two that cannot both be so. */
export function gradedPain({ daysInSixMonths, pain, daysKept, interference }: GradedPainAnswers): Scored<GradedPain> {
  const days = (value: number | null, field: string, most: number) => {
    if (value !== null && (!Number.isInteger(value) || value < 0 || value > most))
      throw new InputError(field, `a whole number from 0 to ${most} is accepted`);
  };
  days(daysInSixMonths, 'daysInSixMonths', 180);
  days(daysKept, 'daysKept', 30);
  wholeAnswers(pain, 3, 0, 10);
  wholeAnswers(interference, 3, 0, 10);
  const [now, worst, average] = pain as [ItemAnswer, ItemAnswer, ItemAnswer];
  const against = painContradiction({ days: daysInSixMonths, now, worst, average, kept: daysKept });
  if (against) throw new InputError(against.field, against.words);
  if (daysInSixMonths === null || daysKept === null || answered(pain).length < 3 || answered(interference).length < 3)
    return { scorable: false, why: 'every question has to be answered' };
  const intensity = mean(answered(pain)) * 10;
  const hindered = sum(answered(interference));
  const dayPoints = daysKept >= 6 ? 3 : daysKept >= 3 ? 2 : daysKept === 2 ? 1 : 0;
  // Whole sums decide, so that rounding never does.
  const interferencePoints = hindered >= 21 ? 3 : hindered >= 15 ? 2 : hindered >= 9 ? 1 : 0;
  const disabilityPoints = dayPoints + interferencePoints;
  const high = sum(answered(pain)) >= 15;
  const grade = daysInSixMonths === 0 ? 0 : disabilityPoints >= 5 ? 4 : disabilityPoints >= 3 ? 3 : high ? 2 : 1;
  return {
    scorable: true,
    intensity,
    interference: (hindered / 3) * 10,
    dayPoints,
    interferencePoints,
    disabilityPoints,
    grade,
    words: WORDS[grade],
    suggestCare: grade >= SUGGEST_CARE_FROM,
  };
}
