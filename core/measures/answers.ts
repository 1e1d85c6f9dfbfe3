import { InputError } from '../words/index.ts';

/** An answer to one item; null = not answered. A missing item is missing, never 0. */
export type ItemAnswer = number | null;

/** A score, or why there is none. */
export type Scored<T> = ({ scorable: true } & T) | { scorable: false; why: string };

/** @throws InputError when an answer is no whole number of its range; null passes. */
export function wholeAnswers(
  answers: readonly ItemAnswer[],
  count: number,
  least: number,
  most: number,
): readonly ItemAnswer[] {
  if (!Array.isArray(answers) || answers.length !== count)
    throw new InputError('answers', `${count} answers are accepted, null for one that is missing`);
  answers.forEach((a, i) => {
    if (a !== null && (!Number.isInteger(a) || a < least || a > most))
      throw new InputError(`answers[${i}]`, `a whole number from ${least} to ${most} is accepted`);
  });
  return answers;
}

export const answered = (answers: readonly ItemAnswer[]): number[] => answers.filter((a): a is number => a !== null);
export const missingOf = (answers: readonly ItemAnswer[]): number => answers.length - answered(answers).length;
export const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
export const mean = (values: readonly number[]): number => sum(values) / values.length;

/** Mean of what was answered, when at most `mayMiss` are missing; else null. */
export function meanOf(answers: readonly ItemAnswer[], mayMiss: number): number | null {
  const given = answered(answers);
  return given.length > 0 && missingOf(answers) <= mayMiss ? mean(given) : null;
}
