import type { ZxcvbnFactory } from '@zxcvbn-ts/core';

/** Guesses below which a password is among the first anybody tries: 10 to the 6th, the library's own step. */
const LEAST_SCORE = 2;
let judge: Promise<ZxcvbnFactory> | null = null;
/** The lists are long and asked for when a practice is opened only. */
async function makeJudge(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory: Factory }, { adjacencyGraphs, dictionary }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ]);
  return new Factory({ dictionary, graphs: adjacencyGraphs });
}

/** True for one of the common passwords, or one made of them, of keys in a row, or of what the form says beside it. */
export async function isCommonPassword(password: string, beside: readonly string[]): Promise<boolean> {
  return (await (judge ??= makeJudge())).check(password, [...beside]).score < LEAST_SCORE;
}
