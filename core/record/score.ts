import type { MeasureAnswers } from '../measures/index.ts';

/** A questionnaire as it was answered at a visit. */
export interface TakenScore {
  visitId: string;
  measure: string;
  answers: MeasureAnswers;
  /** Null when it could not be scored, or not yet. */
  value: number | null;
  words: string;
  takenAt: string;
}
