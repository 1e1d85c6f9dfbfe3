import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';

/** How well something was known. Spaced repetition over days is left to the FSRS scheduler (package ts-fsrs). */
export type TrainerGrade = 'again' | 'hard' | 'good' | 'easy';

const RATINGS: Record<TrainerGrade, Grade> = {
  again: Rating.Again,
  hard: Rating.Hard,
  good: Rating.Good,
  easy: Rating.Easy,
};
/** No random scatter of intervals: equal answers give equal days. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: true });

export interface TrainerCard {
  /** State of the scheduler. */
  card: Card;
  /** ISO 8601. */
  due: Date;
}
export const newTrainerCard = (now: Date): TrainerCard => {
  const card = createEmptyCard(now);
  return { card, due: card.due };
};

/** The card after an answer, with the day it comes back. `card` may be as it was read from JSON. */
export function afterAnswer(card: Card | null, grade: TrainerGrade, now: Date): TrainerCard {
  const before = card
    ? { ...card, due: new Date(card.due), ...(card.last_review ? { last_review: new Date(card.last_review) } : {}) }
    : createEmptyCard(now);
  const { card: after } = scheduler.next(before, now, RATINGS[grade]);
  return { card: after, due: after.due };
}

/** What to ask next: the longest overdue first, then one that was never asked, then the one due soonest. */
export function nextQuestion(
  keys: readonly string[],
  due: Readonly<Record<string, Date>>,
  now: Date,
  last: string | null,
): string | null {
  const open = keys.length > 1 ? keys.filter((k) => k !== last) : keys;
  const overdue = open.filter((k) => due[k] && due[k] <= now).sort((a, b) => due[a]!.getTime() - due[b]!.getTime());
  if (overdue[0]) return overdue[0];
  const fresh = open.find((k) => !due[k]);
  if (fresh) return fresh;
  return [...open].sort((a, b) => due[a]!.getTime() - due[b]!.getTime())[0] ?? null;
}
