import { database } from '../connection.ts';
import { TrainerAnswerModel, TrainerCardModel } from '../models/index.ts';
import { byPractice } from '../scope.ts';
import { once } from './once.server.ts';

export interface TrainerAnswer {
  place: string;
  at: string;
  errorMm: number | null;
  takenFor: string | null;
  grade: string;
  /** How long it took, ms; null where it was not against the clock. */
  tookMs: number | null;
}

/** Everything one practitioner has been asked, and what they answered in the last quarter, oldest first. */
export const trainerState = byPractice(
  async (
    practiceId: string,
    practitionerId: string,
  ): Promise<{ cards: { place: string; card: object; due: string }[]; answers: TrainerAnswer[] }> => {
    database();
    const [cards, answers] = await Promise.all([
      TrainerCardModel.findAll({ where: { practiceId, practitionerId } }),
      TrainerAnswerModel.findAll({ where: { practiceId, practitionerId }, order: [['at', 'DESC']], limit: 1000 }),
    ]);
    return {
      cards: cards.map((c) => ({ place: c.place, card: c.card, due: c.due.toISOString() })),
      answers: answers.toReversed().map((a) => ({
        place: a.place,
        at: a.at.toISOString(),
        errorMm: a.errorMm === null ? null : Number(a.errorMm),
        takenFor: a.takenFor,
        grade: a.grade,
        tookMs: a.tookMs,
      })),
    };
  },
);

/** The answer and the new state of its card, together or not at all, and once for a key. */
export const recordTrainerAnswer = byPractice(
  async (
    practiceId: string,
    practitionerId: string,
    answer: Omit<TrainerAnswer, 'at' | 'tookMs'> & { at: Date; tookMs?: number | null },
    card: { card: object; due: Date },
    key?: string,
  ): Promise<void> => {
    await database().transaction((transaction) =>
      once(practiceId, key, 'answer', transaction, async () => {
        const made = await TrainerAnswerModel.create({ practiceId, practitionerId, ...answer }, { transaction });
        await TrainerCardModel.upsert({ practiceId, practitionerId, place: answer.place, ...card }, { transaction });
        return made.id;
      }),
    );
  },
);
