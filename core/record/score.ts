import type { MeasureAnswers } from '../measures/index.ts';

/** A questionnaire as it was answered at a visit. */
export interface TakenScore {
  /** Visit it was taken at. */
  visitId: string;
  /** Id in the registry. */
  measure: string;
  /** As they were given. */
  answers: MeasureAnswers;
  /** Null when it could not be scored, or not yet. */
  value: number | null;
  /** The result in words. */
  words: string;
  /** ISO 8601. */
  takenAt: string;
}
