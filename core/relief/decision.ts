import { type Advice, ADVICE, type KeptJudgement } from './judgement.ts';

/** What a practitioner decided on seeing how a client fares. */
export interface Decision {
  proposed: Advice;
  choice: Advice;
  /** Why, where it is another than was proposed; else may be empty. */
  reason: string;
  /** Who decided. */
  by: string;
  /** ISO 8601. */
  at: string;
}

/** What is proposed for a client: the most pressing of what their courses ask for. */
export const adviceOfAll = (judgements: readonly Pick<KeptJudgement, 'advice'>[]): Advice =>
  ADVICE[Math.max(0, ...judgements.map((j) => ADVICE.indexOf(j.advice)))]!;
