import { type MeasureAnswers, measureOf } from '../core/measures/index.ts';
import type { Transaction } from 'sequelize';
import { ScoreModel, type VisitModel } from '../server/db/models/index.ts';

/** Invented answers of the made-up clients, by name and days ago. */
const ANSWERS: Record<string, [daysAgo: number, measure: string, answers: MeasureAnswers][]> = {
  'Noor Halvorsen': [
    [24, 'graded-pain', { days: 90, now: 6, worst: 8, average: 6, kept: 3, daily: 4, social: 5, work: 6 }],
    [24, 'own-activities', { w1: 'Yawn', i1: 2, w2: 'Play a whole rehearsal', i2: 4, w3: 'Chew an apple', i3: 3 }],
    [24, 'distress', { i1: 6 }],
    [16, 'distress', { i1: 5 }],
    [8, 'own-activities', { w1: 'Yawn', i1: 5, w2: 'Play a whole rehearsal', i2: 6, w3: 'Chew an apple', i3: 6 }],
    [8, 'distress', { i1: 3 }],
  ],
  'Wilma Okonjo': [[7, 'distress', { i1: 5 }]],
};

export async function seedScores(
  practiceId: string,
  name: string,
  takenBy: string,
  visits: ReadonlyMap<number, VisitModel>,
  transaction: Transaction,
): Promise<void> {
  for (const [daysAgo, measure, answers] of ANSWERS[name] ?? []) {
    const visit = visits.get(daysAgo);
    const def = measureOf(measure);
    if (!visit || !def) continue;
    const { value, words } = def.score(answers);
    await ScoreModel.create(
      {
        practiceId,
        clientId: visit.clientId,
        visitId: visit.id,
        measure,
        ruleVersion: def.version,
        answers,
        value,
        words,
        takenBy,
        takenAt: new Date(visit.startsAt.getTime() + 6 * 60_000),
      },
      { transaction },
    );
  }
}
