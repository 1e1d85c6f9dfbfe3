import type { TrainerGrade } from '../learning/index.ts';

/**
 * The find-it trainer. An answer is graded by how far it lies from the place, against how near the neighbours are and
 * how finely a fingertip can tell.
 */

/** Errors in mm up to which an answer counts as easy, good and hard: a half, one and two fingertip radii. Our choice. */
export const GRADE_LIMITS_MM = { easy: 4, good: 8, hard: 15 } as const;

export interface Judged {
  /** How far off, in mm. */
  errorMm: number;
  /** What the scheduler is told. */
  grade: TrainerGrade;
  /** Another place that lies nearer to the mark than the one asked for. */
  takenFor: string | null;
}

/**
 * Judge a mark by how far it lies from the place asked for and from its neighbours.
 * @param awayMm Of each place that may be meant, in mm over the skin; `asked` must be among them.
 */
export function judgeMark(awayMm: Readonly<Record<string, number>>, asked: string): Judged {
  const errorMm = awayMm[asked];
  if (errorMm === undefined) throw new RangeError(`${asked} is not on this sheet`);
  const nearest = Object.keys(awayMm).reduce((a, b) => (awayMm[b]! < awayMm[a]! ? b : a), asked);
  const takenFor = nearest !== asked && awayMm[nearest]! < errorMm - 0.5 ? nearest : null;
  const { easy, good, hard } = GRADE_LIMITS_MM;
  // A mark that another place has a better claim to is never better than hard.
  const byError: TrainerGrade =
    errorMm <= easy ? 'easy' : errorMm <= good ? 'good' : errorMm <= hard ? 'hard' : 'again';
  const grade = takenFor && (byError === 'easy' || byError === 'good') ? 'hard' : byError;
  return { errorMm, grade, takenFor };
}

export interface TrainerDay {
  /** YYYY-MM-DD. */
  day: string;
  /** Questions answered on it. */
  asked: number;
  /** Median error in mm of answers that were on the right view; null when there was none. */
  medianErrorMm: number | null;
}

/** Answers by day, oldest first. `dayOf` gives the day of a time in the practice's zone. */
export function progressByDay(
  answers: readonly { at: string; errorMm: number | null }[],
  dayOf: (at: string) => string,
): TrainerDay[] {
  const days = new Map<string, number[]>();
  const counts = new Map<string, number>();
  for (const a of answers) {
    const day = dayOf(a.at);
    counts.set(day, (counts.get(day) ?? 0) + 1);
    if (a.errorMm !== null) days.set(day, [...(days.get(day) ?? []), a.errorMm]);
  }
  return [...counts]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, asked]) => {
      const errors = (days.get(day) ?? []).sort((a, b) => a - b);
      const middle = errors.length >> 1;
      return {
        day,
        asked,
        medianErrorMm: errors.length
          ? errors.length % 2
            ? errors[middle]!
            : (errors[middle - 1]! + errors[middle]!) / 2
          : null,
      };
    });
}
