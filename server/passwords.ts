import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** Guesses below which a password is among the first anybody tries: 10 to the 6th, the library's own step. */
const LEAST_SCORE = 2;
let judge: ZxcvbnFactory | null = null;

/** True for one of the common passwords, or one made of them, of keys in a row, or of what the form says beside it. */
export function isCommonPassword(password: string, beside: readonly string[]): boolean {
  judge ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  return judge.check(password, [...beside]).score < LEAST_SCORE;
}
