import type { MeasureAnswers } from '../../../core/measures/catalogue.ts';
import { hasEnded } from '../../../core/visit/model.ts';
import { database } from '../connection.ts';
import { ScoreModel, VisitModel } from '../models/index.ts';
import { isUuid } from './shared.server.ts';

export interface TakenScore {
  visitId: string;
  measure: string;
  answers: MeasureAnswers;
  value: number | null;
  words: string;
  takenAt: string;
}

/** Every scored measure of a client, oldest first. */
export async function scoresOfClient(practiceId: string, clientId: string): Promise<TakenScore[]> {
  if (!isUuid(clientId)) return [];
  database();
  const rows = await ScoreModel.findAll({ where: { practiceId, clientId }, order: [['takenAt', 'DESC']], limit: 800 });
  return rows.toReversed().map((r) => ({ visitId: r.visitId, measure: r.measure, answers: r.answers, value: r.value === null ? null : Number(r.value), words: r.words, takenAt: r.takenAt.toISOString() }));
}

/** Kept once per visit and measure; taken again in the same visit, the later answers stand. */
export async function keepScore(practiceId: string, practitionerId: string, visitId: string, score: { measure: string; ruleVersion: number; answers: MeasureAnswers; value: number | null; words: string }): Promise<'kept' | 'missing' | 'ended'> {
  if (!isUuid(visitId)) return 'missing';
  return database().transaction(async (transaction) => {
    const visit = await VisitModel.findOne({ where: { practiceId, id: visitId }, transaction, lock: transaction.LOCK.SHARE });
    if (!visit) return 'missing';
    if (hasEnded(visit.stage)) return 'ended';
    const before = await ScoreModel.findOne({ where: { practiceId, visitId, measure: score.measure }, transaction, lock: transaction.LOCK.UPDATE });
    const fields = { ...score, takenBy: practitionerId, takenAt: new Date() };
    if (before) await before.set(fields).save({ transaction });
    else await ScoreModel.create({ practiceId, clientId: visit.clientId, visitId, ...fields }, { transaction });
    return 'kept';
  });
}
