import { InputError } from '../words/index.ts';
import { sum, type Scored } from './answers.ts';

/**
 * Eye strain at screens. The 16-symptom tally needs its authors' permission: frequencies and intensities are entered,
 * the wording is not shipped (Seguí et al. J Clin Epidemiol 2015;68:662–673; scoring sure).
 */
export interface EyeSymptom {
  /** 0 never, 1 occasionally, 2 often or always. */
  frequency: number;
  /** 1 moderate, 2 intense; of no account when never. */
  intensity: number;
}

const EYE_STRAIN_CUTOFF = 6;

/** frequency × intensity, recoded 0, 1 or 2 → 1, 4 → 2; sum 0–32; six and more counts as screen-related symptoms. */
export function eyeStrainTally(symptoms: readonly (EyeSymptom | null)[]): Scored<{ score: number; reached: boolean }> {
  if (!Array.isArray(symptoms) || symptoms.length !== 16)
    throw new InputError('symptoms', '16 symptoms are accepted, null for one that is missing');
  symptoms.forEach((s, i) => {
    if (!s) return;
    if (![0, 1, 2].includes(s.frequency)) throw new InputError(`symptoms[${i}].frequency`, '0, 1 or 2 is accepted');
    if (s.frequency > 0 && ![1, 2].includes(s.intensity))
      throw new InputError(`symptoms[${i}].intensity`, '1 or 2 is accepted');
  });
  if (symptoms.some((s) => s === null)) return { scorable: false, why: 'every symptom has to be answered' };
  const score = sum(
    symptoms.map((s) => {
      const product = s!.frequency === 0 ? 0 : s!.frequency * s!.intensity;
      return product === 4 ? 2 : product === 0 ? 0 : 1;
    }),
  );
  return { scorable: true, score, reached: score >= EYE_STRAIN_CUTOFF };
}

/**
 * Ocular surface: sum × 25 ÷ answered, 0–100, from a 12-item form that needs permission (Schiffman et al. Arch
 * Ophthalmol 2000;118:615–621; sure). Cut at 13, 23 and 33 on the unrounded value (our choice).
 */
export type SurfaceBand = 'ordinary' | 'mild' | 'moderate' | 'severe';
export function ocularSurface(total: number, itemsAnswered: number): Scored<{ score: number; band: SurfaceBand }> {
  if (!Number.isInteger(itemsAnswered) || itemsAnswered < 0 || itemsAnswered > 12)
    throw new InputError('itemsAnswered', 'a whole number from 0 to 12 is accepted');
  if (!Number.isInteger(total) || total < 0 || total > itemsAnswered * 4)
    throw new InputError('total', `a whole number from 0 to ${itemsAnswered * 4} is accepted`);
  if (itemsAnswered === 0) return { scorable: false, why: 'no item was answered' };
  const score = (total * 25) / itemsAnswered;
  return {
    scorable: true,
    score,
    band: score >= 33 ? 'severe' : score >= 23 ? 'moderate' : score >= 13 ? 'mild' : 'ordinary',
  };
}

/** Breaks of 20 s every 20 minutes of screen time; the one that falls on the end can be left out. Common practice. */
export const screenBreaks = (minutes: number): { breaks: number; withoutLast: number; restSeconds: number } => {
  if (!Number.isInteger(minutes) || minutes < 0 || minutes > 1440)
    throw new InputError('minutes', 'a whole number from 0 to 1440 is accepted');
  const breaks = Math.floor(minutes / 20);
  return { breaks, withoutLast: Math.max(0, Math.floor((minutes - 1) / 20)), restSeconds: breaks * 20 };
};

/** Mean hours a day of a week from working and free days. */
export const weeklyScreenHours = (workDay: number, freeDay: number): number => {
  for (const [field, h] of [
    ['workDay', workDay],
    ['freeDay', freeDay],
  ] as const)
    if (!(h >= 0 && h <= 24)) throw new InputError(field, '0 to 24 hours are accepted');
  return (5 * workDay + 2 * freeDay) / 7;
};
