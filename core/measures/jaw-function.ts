import { answered, meanOf, missingOf, sum, wholeAnswers, type ItemAnswer, type Scored } from './answers.ts';

/**
 * Jaw functional limitation, 8 and 20 items, 0 (none) to 10 (severe) over a month (Ohrbach, Larsson, List. J Orofac
 * Pain 2008;22:219–230, sure; how many may be missing: from memory). No official bands.
 */
export function jawLimitation8(answers: readonly ItemAnswer[]): Scored<{ score: number }> {
  const score = meanOf(wholeAnswers(answers, 8, 0, 10), 2);
  return score === null ? { scorable: false, why: 'more than two answers are missing' } : { scorable: true, score };
}

export interface JawLimitation20 {
  /** 0–10. */
  chewing: number;
  /** 0–10. */
  mobility: number;
  /** 0–10. */
  expression: number;
  /** Mean of the three parts, not of the twenty items. */
  score: number;
}

export function jawLimitation20(answers: readonly ItemAnswer[]): Scored<JawLimitation20> {
  const all = wholeAnswers(answers, 20, 0, 10);
  const chewing = meanOf(all.slice(0, 6), 2);
  const mobility = meanOf(all.slice(6, 10), 1);
  const expression = meanOf(all.slice(12, 20), 2);
  if (chewing === null || mobility === null || expression === null)
    return { scorable: false, why: 'too many answers of one part are missing' };
  return { scorable: true, chewing, mobility, expression, score: (chewing + mobility + expression) / 3 };
}

/**
 * Oral behaviours, 21 items 0–4, sum 0–84 (Markiewicz, Ohrbach, McCall. J Orofac Pain 2006;20:306–316; sure). Two sets
 * of bands are in use; these words are our choice.
 */
export type BehaviourBand = 'ordinary' | 'raised' | 'high';
export function oralBehaviours(answers: readonly ItemAnswer[]): Scored<{ score: number; band: BehaviourBand }> {
  const all = wholeAnswers(answers, 21, 0, 4);
  if (missingOf(all)) return { scorable: false, why: 'every question has to be answered' };
  const score = sum(answered(all));
  return { scorable: true, score, band: score >= 25 ? 'high' : score >= 17 ? 'raised' : 'ordinary' };
}
