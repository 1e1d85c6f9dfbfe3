import { InputError } from '../words/index.ts';
import { answered, missingOf, sum, wholeAnswers, type ItemAnswer, type Scored } from './answers.ts';

/**
 * Perceived stress, ten and four items, 0–4 (Cohen, Kamarck, Mermelstein. J Health Soc Behav 1983;24:385–396; sure).
 * Commercial use needs permission: answers are entered by number, the wording is not shipped. The three bands of the
 * long form are in wide use but not the authors'; the short form has none.
 */
export type StressBand = 'low' | 'moderate' | 'high';
/** Items counted the other way round, 1-based. */
const REVERSED_10: ReadonlySet<number> = new Set([4, 5, 7, 8]);
const REVERSED_4: ReadonlySet<number> = new Set([2, 3]);

export interface Stress {
  /** Points. */
  score: number;
  /** The same answer throughout, which reversed items make unlikely. */
  checkAnswers: boolean;
}

function stressScore(answers: readonly ItemAnswer[], count: number, reversed: ReadonlySet<number>): Scored<Stress> {
  const all = wholeAnswers(answers, count, 0, 4);
  if (missingOf(all)) return { scorable: false, why: 'every question has to be answered' };
  const given = answered(all);
  return {
    scorable: true,
    score: sum(given.map((a, i) => (reversed.has(i + 1) ? 4 - a : a))),
    checkAnswers: new Set(given).size === 1,
  };
}

export function perceivedStress10(answers: readonly ItemAnswer[]): Scored<Stress & { band: StressBand }> {
  const scored = stressScore(answers, 10, REVERSED_10);
  return scored.scorable
    ? { ...scored, band: scored.score >= 27 ? 'high' : scored.score >= 14 ? 'moderate' : 'low' }
    : scored;
}

/** Items 2, 4, 5 and 10 of the long form, its second and third reversed. */
export const perceivedStress4 = (answers: readonly ItemAnswer[]): Scored<Stress> => stressScore(answers, 4, REVERSED_4);

/** Present distress, 0–10; no bands. */
export function distress(value: number): number {
  if (!Number.isInteger(value) || value < 0 || value > 10)
    throw new InputError('value', 'a whole number from 0 to 10 is accepted');
  return value;
}
