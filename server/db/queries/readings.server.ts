import { QueryTypes, type Transaction } from 'sequelize';
import type { EarlierReadings, MeasureKey, Reading } from '../../../core/measures/reading.ts';
import { database } from '../connection.ts';
import { ReadingModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';

const plainReading = (r: ReadingModel): Reading => ({
  measure: r.measure, complaintId: r.complaintId, place: r.place, side: r.side, phase: r.phase, value: r.value, source: r.source, takenAt: r.takenAt.toISOString(), visitId: r.visitId,
});

export const readingsOfVisit = byPractice(async (practiceId: string, visitId: string): Promise<Reading[]> => {
  if (!isUuid(visitId)) return [];
  database();
  return readingsIn(practiceId, visitId);
});

/** The same, inside a transaction that holds the visit. */
export const readingsIn = async (practiceId: string, visitId: string, transaction?: Transaction): Promise<Reading[]> => (await ReadingModel.findAll({ where: { practiceId, visitId }, order: [['takenAt', 'ASC']], transaction })).map(plainReading);

/** How many earlier readings of one thing are shown beside it. */
export const SHOWN_BEFORE = 6;

/**
 * The latest few of each thing that was read before a visit. Re-tests right after work are left out; a complaint is one
 * thing, whichever side it is said to be on.
 */
export const readingsBefore = byPractice(async (practiceId: string, visit: { id: string; clientId: string; startsAt: string }): Promise<EarlierReadings[]> => {
  // Which things there are, then a few steps down an index for each: what it costs grows with the things, hardly with their readings.
  const [rows] = (await database().query(
    `select thing.measure, thing.complaint_id as "complaintId", thing.place, thing.side, latest.values from
       (select distinct measure, complaint_id, place, case when complaint_id is null then side else 'both' end as side from readings where practice_id = :practiceId and client_id = :clientId) thing,
       lateral (select array_agg(value::float8 order by taken_at) as values from
         (select value, taken_at from readings r
          where r.practice_id = :practiceId and r.client_id = :clientId and r.measure = thing.measure and r.place = thing.place and (thing.complaint_id is not null or r.side = thing.side) and r.complaint_id is not distinct from thing.complaint_id
            and r.phase <> 'after' and r.taken_at < :before and r.visit_id is distinct from :visitId
          order by r.taken_at desc limit ${SHOWN_BEFORE}) few) latest
     where latest.values is not null`,
    { replacements: { practiceId, clientId: visit.clientId, visitId: visit.id, before: new Date(visit.startsAt) } },
  )) as [EarlierReadings[], unknown];
  return rows;
});

/** A rating as a course needs it: when, how much, where taken; after the work or not. */
export interface CourseRating {
  complaintId: string;
  atMs: number;
  value: number;
  source: Reading['source'];
  after: boolean;
}
/** Ratings of one client that a course is drawn from, at most: the latest. A rating a day for five years. */
const MOST_RATINGS = 2000;

/** Ratings "now" of a client's complaints, oldest first. */
export const ratingsOfClient = byPractice(async (practiceId: string, clientId: string): Promise<CourseRating[]> => {
  if (!isUuid(clientId)) return [];
  const rated: MeasureKey = 'nrs-now';
  const rows = await database().query<CourseRating>(
    `select complaint_id as "complaintId", (extract(epoch from taken_at) * 1000)::float8 as "atMs", value::float8 as value, source, phase = 'after' as after
     from readings where practice_id = :practiceId and client_id = :clientId and measure = :rated and complaint_id is not null order by taken_at desc, id desc limit ${MOST_RATINGS}`,
    { replacements: { practiceId, clientId, rated }, type: QueryTypes.SELECT },
  );
  return rows.reverse();
});

/** The first and the latest reading before the work of everything that belongs to no complaint, oldest first. */
export const endsOfClient = byPractice(async (practiceId: string, clientId: string): Promise<Reading[]> => {
  if (!isUuid(clientId)) return [];
  const end = (way: 'asc' | 'desc') => `(select distinct on (measure, place, side) measure, place, side, phase, value::float8 as value, source, taken_at as "takenAt", visit_id as "visitId", id
     from readings where practice_id = :practiceId and client_id = :clientId and complaint_id is null and phase <> 'after' order by measure, place, side, taken_at ${way}, id ${way})`;
  const rows = await database().query<Omit<Reading, 'takenAt' | 'complaintId'> & { takenAt: Date; id: string }>(`select * from (${end('asc')} union ${end('desc')}) ends order by "takenAt", id`, { replacements: { practiceId, clientId }, type: QueryTypes.SELECT });
  return rows.map(({ id: _id, ...r }) => ({ ...r, complaintId: null, takenAt: r.takenAt.toISOString() }));
});

/** Ratings before and after the work of some visits. */
export const ratingsOfVisits = byPractice(async (practiceId: string, visitIds: readonly string[]): Promise<{ visitId: string; complaintId: string; phase: string; value: number }[]> => {
  const ids = visitIds.filter(isUuid);
  if (!ids.length) return [];
  const rated: MeasureKey = 'nrs-now';
  return database().query(`select visit_id as "visitId", complaint_id as "complaintId", phase, value::float8 as value from readings where practice_id = :practiceId and visit_id in (:ids) and measure = :rated`, { replacements: { practiceId, ids, rated }, type: QueryTypes.SELECT });
});
