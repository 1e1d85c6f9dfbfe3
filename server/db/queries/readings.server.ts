import type { EarlierReadings, MeasureKey, Reading } from '../../../core/measures/reading.ts';
import { database } from '../connection.ts';
import { ReadingModel } from '../models/index.ts';
import { isUuid } from './shared.server.ts';

export const plainReading = (r: ReadingModel): Reading => ({
  measure: r.measure, complaintId: r.complaintId, place: r.place, side: r.side, phase: r.phase, value: r.value, source: r.source, takenAt: r.takenAt.toISOString(), visitId: r.visitId,
});

export async function readingsOfVisit(practiceId: string, visitId: string): Promise<Reading[]> {
  if (!isUuid(visitId)) return [];
  database();
  return (await ReadingModel.findAll({ where: { practiceId, visitId }, order: [['takenAt', 'ASC']] })).map(plainReading);
}

/** How many earlier readings of one thing are shown beside it. */
export const SHOWN_BEFORE = 6;

/**
 * The latest few of each thing that was read before a visit. Re-tests right after work are left out; a complaint is one
 * thing, whichever side it is said to be on.
 */
export async function readingsBefore(practiceId: string, visit: { id: string; clientId: string; startsAt: string }): Promise<EarlierReadings[]> {
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
}

/** All readings of a client, oldest first. */
export async function readingsOfClient(practiceId: string, clientId: string): Promise<Reading[]> {
  if (!isUuid(clientId)) return [];
  database();
  return (await ReadingModel.findAll({ where: { practiceId, clientId }, order: [['takenAt', 'ASC']] })).map(plainReading);
}

export interface CourseRow {
  clientId: string;
  clientName: string;
  complaintId: string;
  kind: string;
  label: string;
  side: string;
  value: number;
  takenAt: string;
  source: 'studio' | 'home' | 'imported';
}

/** Ratings "now" of every open complaint of the practice, or of some clients, oldest first; for Today. */
export async function ratingsNow(practiceId: string, clientIds: readonly string[] | null = null): Promise<CourseRow[]> {
  if (clientIds && !clientIds.length) return [];
  const measure: MeasureKey = 'nrs-now';
  const [rows] = (await database().query(
    `select r.client_id as "clientId", c.name as "clientName", k.id as "complaintId", k.kind, k.label, k.side, r.value::float8 as value, r.taken_at as "takenAt", r.source
     from readings r join complaints k on k.id = r.complaint_id and k.practice_id = r.practice_id and not k.closed join clients c on c.id = r.client_id and c.practice_id = r.practice_id
     where r.practice_id = :practiceId and r.measure = :measure and r.phase <> 'after' ${clientIds ? 'and r.client_id in (:clientIds)' : ''} order by k.position, r.taken_at`,
    { replacements: { practiceId, measure, clientIds } },
  )) as [(Omit<CourseRow, 'takenAt'> & { takenAt: Date })[], unknown];
  return rows.map((r) => ({ ...r, takenAt: r.takenAt.toISOString() }));
}
