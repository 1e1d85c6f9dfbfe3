import { median } from 'd3';
import { useState } from 'react';

/** So many places make a round against the clock. */
export const ROUND_PLACES = 10;

interface RoundAnswer {
  errorMm: number;
  tookMs: number;
}
export interface Round {
  answers: RoundAnswer[];
  isOver: boolean;
}
/** What a round was, as far as it has come: how far off in the middle, and how long all of it took. */
export const roundSums = ({ answers }: Round): { medianMm: number; seconds: number } | null =>
  answers.length
    ? {
        medianMm: median(answers, (a) => a.errorMm)!,
        seconds: answers.reduce((sum, a) => sum + a.tookMs, 0) / 1000,
      }
    : null;

/** Ten places against the clock: only the time between the question and the mark counts, not that of reading the answer. */
export function useRound() {
  const [round, setRound] = useState<Round | null>(null);
  return {
    round,
    isRunning: round !== null && !round.isOver,
    begin: () => setRound({ answers: [], isOver: false }),
    end: () => setRound(null),
    note: (answer: RoundAnswer) =>
      setRound((of) => {
        if (!of || of.isOver) return of;
        const answers = [...of.answers, answer];
        return { answers, isOver: answers.length === ROUND_PLACES };
      }),
  };
}
