import { InputError } from '../words/index.ts';
import { answered, mean, wholeAnswers, type ItemAnswer, type Scored } from './answers.ts';

/** Global change, seven points; a responder says 1 or 2 (Guy 1976, sure). The reversed variant counts 6 and 7 of 1 no change … 7 a great deal better. */
export function globalChange(
  value: number,
  variant: 'one-is-best' | 'seven-is-best',
): { value: number; responder: boolean; worse: boolean } {
  if (!Number.isInteger(value) || value < 1 || value > 7)
    throw new InputError('value', 'a whole number from 1 to 7 is accepted');
  return variant === 'one-is-best'
    ? { value, responder: value <= 2, worse: value >= 5 }
    : { value, responder: value >= 6, worse: false };
}

/**
 * The client's own activities, 0 cannot … 10 as before, one to five of them (Stratford, Gill, Westaway, Binkley.
 * Physiother Can 1995;47:258–263; sure). The change of the mean counts from 2, of one activity from 3. Activities that
 * were added later are shown but not averaged (our choice).
 */
const OWN_ACTIVITIES_MDC = { mean: 2, single: 3 } as const;
export interface OwnActivities {
  /** Mean, 0–10. */
  before: number;
  /** Mean, 0–10. */
  after: number;
  /** Points. */
  change: number;
  /** More than the measure’s own error. */
  beyondError: boolean;
}
export function ownActivities(before: readonly number[], after: readonly ItemAnswer[]): Scored<OwnActivities> {
  if (before.length < 1 || before.length > 5) throw new InputError('before', 'one to five activities are accepted');
  wholeAnswers(before, before.length, 0, 10);
  wholeAnswers(after, after.length, 0, 10);
  const same = after.slice(0, before.length);
  if (answered(same).length < before.length)
    return { scorable: false, why: 'the same activities have to be rated again' };
  const [b, a] = [mean(before), mean(answered(same))];
  return {
    scorable: true,
    before: b,
    after: a,
    change: a - b,
    beyondError: Math.abs(a - b) >= OWN_ACTIVITIES_MDC.mean,
  };
}

/** Profile of one's own symptoms, 0 best … 6 worst: the mean of those that were scored both times (Paterson. BMJ 1996;312:1016–1020). Over 1 is clearly meaningful (sure), from 0.5 small (from memory). */
export type ProfileChange = 'none' | 'small' | 'meaningful';
export function ownSymptomProfile(
  before: readonly ItemAnswer[],
  after: readonly ItemAnswer[],
): Scored<{ before: number; after: number; change: number; size: ProfileChange }> {
  wholeAnswers(before, 4, 0, 6);
  wholeAnswers(after, 4, 0, 6);
  if (before.some((b, i) => (b === null) !== (after[i] === null)))
    return { scorable: false, why: 'the same lines have to be scored both times' };
  const [b, a] = [answered(before), answered(after)];
  if (!b.length) return { scorable: false, why: 'nothing was scored' };
  const change = mean(a) - mean(b);
  return {
    scorable: true,
    before: mean(b),
    after: mean(a),
    change,
    size: Math.abs(change) > 1 ? 'meaningful' : Math.abs(change) >= 0.5 ? 'small' : 'none',
  };
}

export interface Goal {
  /** −2 much less … 0 as expected … +2 much more than expected. */
  attained: number;
  /** Importance, with difficulty if used; above 0. */
  weight: number;
}
const CORRELATION = 0.3;
/** Goal attainment as a T score, 50 = as expected on the whole (Kiresuk, Sherman. Community Ment Health J 1968;4:443–453; sure). */
export function goalAttainment(goals: readonly Goal[]): number {
  if (goals.length < 1 || goals.length > 10) throw new InputError('goals', 'one to ten goals are accepted');
  goals.forEach((g, i) => {
    if (!Number.isInteger(g.attained) || Math.abs(g.attained) > 2)
      throw new InputError(`goals[${i}].attained`, 'a whole number from -2 to 2 is accepted');
    if (!(g.weight > 0 && g.weight <= 100))
      throw new InputError(`goals[${i}].weight`, 'a number above 0 and up to 100 is accepted');
  });
  const weighted = goals.reduce((s, g) => s + g.weight * g.attained, 0);
  const squares = goals.reduce((s, g) => s + g.weight ** 2, 0);
  const total = goals.reduce((s, g) => s + g.weight, 0);
  return 50 + (10 * weighted) / Math.sqrt((1 - CORRELATION) * squares + CORRELATION * total ** 2);
}
