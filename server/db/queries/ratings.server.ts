import type { MeasureKey } from '../../../core/measures/index.ts';
import type { KeptRating } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { ComplaintModel, ReadingModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCourse } from './courses.server.ts';
import { once } from './once.server.ts';

const RATED: MeasureKey = 'nrs-now';
/** Older ones stand in the course; they are no longer corrected by hand. */
const LATEST = 40;

/** The latest ratings of a complaint that belong to no visit, the latest first. */
export const keptRatings = byPractice(
  async (practiceId: string, clientId: string, complaintId: string): Promise<KeptRating[]> => {
    if (!isUuid(clientId) || !isUuid(complaintId)) return [];
    const rows = await database().query<Omit<KeptRating, 'at'> & { at: Date }>(
      `select r.id, r.complaint_id as "complaintId", r.value::float8 as value, r.taken_at as at, r.source, p.name as by from readings r
       left join practitioners p on p.practice_id = r.practice_id and p.id = r.taken_by
       where r.practice_id = :practiceId and r.client_id = :clientId and r.complaint_id = :complaintId and r.measure = :rated and r.phase = 'between' and r.visit_id is null
       order by r.taken_at desc, r.id desc limit ${LATEST}`,
      { replacements: { practiceId, clientId, complaintId, rated: RATED }, type: QueryTypes.SELECT },
    );
    return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
  },
);

interface Said {
  value: number;
  at: Date;
  source: 'home' | 'telephone' | 'studio';
}

/** Writes down what a client said between visits, once for a key. */
export const keepRating = byPractice(
  async (who: Member, clientId: string, complaintId: string, said: Said, key?: string): Promise<boolean> => {
    if (!isUuid(clientId) || !isUuid(complaintId)) return false;
    const { practiceId } = who;
    return database().transaction(async (transaction) => {
      const complaint = await ComplaintModel.findOne({ where: { practiceId, clientId, id: complaintId }, transaction });
      if (!complaint) return false;
      await once(practiceId, key, 'rating', transaction, async () => {
        const { id } = await ReadingModel.create(
          {
            practiceId,
            clientId,
            visitId: null,
            complaintId,
            measure: RATED,
            place: '',
            side: complaint.side,
            phase: 'between',
            value: said.value,
            source: said.source,
            takenBy: who.practitionerId,
            takenAt: said.at,
          },
          { transaction },
        );
        await writeAudit(who, 'rating-kept', { client: clientId, rating: id, value: said.value }, transaction);
        await refreshCourse(practiceId, clientId, complaintId, transaction);
        return id;
      });
      return true;
    });
  },
);

/** A rating of a client that belongs to no visit, locked. */
const betweenVisits = (practiceId: string, clientId: string, id: string, transaction: Transaction) =>
  ReadingModel.findOne({
    where: { practiceId, clientId, id, measure: RATED, phase: 'between', visitId: null },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });

/** As the trail keeps it. */
const told = (value: number, at: Date, source: string): string => `${value}, ${at.toISOString()}, ${source}`;

/** Corrects it; the old value and time stay in the trail. */
export const correctRating = byPractice(
  async (who: Member, clientId: string, id: string, { value, at, source }: Said): Promise<boolean> => {
    if (!isUuid(clientId) || !isUuid(id)) return false;
    return database().transaction(async (transaction) => {
      const rating = await betweenVisits(who.practiceId, clientId, id, transaction);
      if (!rating?.complaintId) return false;
      const before = told(rating.value, rating.takenAt, rating.source);
      const after = told(value, at, source);
      if (before === after) return true;
      await rating.update({ value, takenAt: at, source, takenBy: who.practitionerId }, { transaction });
      await writeAudit(who, 'rating-corrected', { client: clientId, rating: id, before, after }, transaction);
      await refreshCourse(who.practiceId, clientId, rating.complaintId, transaction);
      return true;
    });
  },
);

/** Takes it away; what it said stays in the trail. */
export const removeRating = byPractice(async (who: Member, clientId: string, id: string): Promise<boolean> => {
  if (!isUuid(clientId) || !isUuid(id)) return false;
  return database().transaction(async (transaction) => {
    const rating = await betweenVisits(who.practiceId, clientId, id, transaction);
    if (!rating?.complaintId) return false;
    const before = told(rating.value, rating.takenAt, rating.source);
    await rating.destroy({ transaction });
    await writeAudit(who, 'rating-removed', { client: clientId, rating: id, before }, transaction);
    await refreshCourse(who.practiceId, clientId, rating.complaintId, transaction);
    return true;
  });
});
