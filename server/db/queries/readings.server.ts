import type { CourseRating } from '../../../core/record/index.ts';
import type { EarlierReadings, MeasureKey, Reading } from '../../../core/measures/index.ts';
import type { JawLimits } from '../../../core/routine/index.ts';
import { literal, type Order, QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { ReadingModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';

const plainReading = (r: ReadingModel): Reading => ({
  measure: r.measure,
  complaintId: r.complaintId,
  place: r.place,
  side: r.side,
  phase: r.phase,
  value: r.value,
  source: r.source,
  takenAt: r.takenAt.toISOString(),
  visitId: r.visitId,
});

export const readingsOfVisit = byPractice(async (practiceId: string, visitId: string): Promise<Reading[]> => {
  if (!isUuid(visitId)) return [];
  database();
  return readingsIn(practiceId, visitId);
});

/** Many are written in one moment: those are told in one order, wherever and whenever they are read. */
const AS_TAKEN: Order = [
  ['takenAt', 'ASC'],
  ['measure', 'ASC'],
  literal(
    '(select k.position from complaints k where k.practice_id = "ReadingModel".practice_id and k.id = "ReadingModel".complaint_id)',
  ),
  ['place', 'ASC'],
  ['side', 'DESC'],
];

/** The same, inside a transaction that holds the visit. */
export const readingsIn = async (practiceId: string, visitId: string, transaction?: Transaction): Promise<Reading[]> =>
  (await ReadingModel.findAll({ where: { practiceId, visitId }, order: AS_TAKEN, transaction })).map(plainReading);

/** How many earlier readings of one thing are shown beside it. */
const SHOWN_BEFORE = 6;

/**
 * The latest few of each thing that was read before a visit, and its very first. Re-tests right after work are left
 * out; a complaint is one thing, whichever side it is said to be on.
 */
export const readingsBefore = byPractice(
  async (practiceId: string, visit: { id: string; clientId: string; startsAt: string }): Promise<EarlierReadings[]> => {
    const [rows] = (await database().query(
      `select measure, complaint_id as "complaintId", place, side, array_agg(value order by taken_at) filter (where nth <= ${SHOWN_BEFORE}) as values, (array_agg(value) filter (where age = 1))[1] as first from
       (select measure, complaint_id, place, thing_side as side, value, taken_at, row_number() over (partition by measure, complaint_id, place, thing_side order by taken_at desc) as nth,
         row_number() over (partition by measure, complaint_id, place, thing_side order by taken_at) as age from
         (select measure, complaint_id, place, case when complaint_id is null then side else 'both' end as thing_side, value::float8 as value, taken_at from readings
          where practice_id = :practiceId and client_id = :clientId and phase <> 'after' and taken_at < :before and visit_id is distinct from :visitId) read) latest
     where nth <= ${SHOWN_BEFORE} or age = 1 group by measure, complaint_id, place, side`,
      { replacements: { practiceId, clientId: visit.clientId, visitId: visit.id, before: new Date(visit.startsAt) } },
    )) as [EarlierReadings[], unknown];
    return rows;
  },
);

/**
 * How far a client's mouth opened when it was measured last before any work: the comfortable opening, and where it clicks
 * on its way, the earlier of both sides.
 */
export const openingOfClient = byPractice(async (practiceId: string, clientId: string): Promise<JawLimits> => {
  if (!isUuid(clientId)) return {};
  const measures: Record<keyof JawLimits, MeasureKey> = { comfortableMm: 'opening-mm', clickMm: 'click-opening-mm' };
  const rows = await database().query<{ measure: MeasureKey; mm: number }>(
    `select measure, min(value)::float8 as mm from
       (select distinct on (measure, side) measure, value from readings
        where practice_id = :practiceId and client_id = :clientId and measure in (:measures) and phase <> 'after'
        order by measure, side, taken_at desc, id desc) latest
     group by measure`,
    { replacements: { practiceId, clientId, measures: Object.values(measures) }, type: QueryTypes.SELECT },
  );
  const of = (measure: MeasureKey) => rows.find((r) => r.measure === measure)?.mm;
  return { comfortableMm: of(measures.comfortableMm), clickMm: of(measures.clickMm) };
});

/** Ratings of one complaint that are looked at closer, at most: a rating a day for five years. */
const MOST_RATINGS = 2000;

/** Ratings "now" of a client's complaints over some days, before the work and right after it, oldest first. */
export const ratingsOver = byPractice(
  async (practiceId: string, clientId: string, days: { from: Date; to: Date }): Promise<CourseRating[]> => {
    if (!isUuid(clientId)) return [];
    const rated: MeasureKey = 'nrs-now';
    return database().query<CourseRating>(
      `select k.id as "complaintId", r."atMs", r.value, r.source, r.after from complaints k cross join lateral (
         select round(extract(epoch from taken_at) * 1000)::float8 as "atMs", value::float8 as value, source, phase = 'after' as after from readings
         where practice_id = k.practice_id and complaint_id = k.id and measure = :rated and taken_at between :from and :to order by taken_at desc, id desc limit ${MOST_RATINGS}) r
       where k.practice_id = :practiceId and k.client_id = :clientId order by r."atMs"`,
      { replacements: { practiceId, clientId, rated, ...days }, type: QueryTypes.SELECT },
    );
  },
);

/** How many of the latest readings of one thing its course shows, beside the very first. */
const LATEST_OF_SERIES = 12;

/** The first and the latest few readings before the work of everything that belongs to no complaint, oldest first. */
export const seriesOfClient = byPractice(async (practiceId: string, clientId: string): Promise<Reading[]> => {
  if (!isUuid(clientId)) return [];
  const rows = await database().query<Omit<Reading, 'takenAt' | 'complaintId'> & { takenAt: Date; id: string }>(
    `select measure, place, side, phase, value::float8 as value, source, taken_at as "takenAt", visit_id as "visitId", id from
       (select *, row_number() over (partition by measure, place, side order by taken_at desc, id desc) as nth, row_number() over (partition by measure, place, side order by taken_at, id) as age
        from readings where practice_id = :practiceId and client_id = :clientId and complaint_id is null and phase <> 'after') read
     where nth <= ${LATEST_OF_SERIES} or age = 1 order by taken_at, measure, place, side desc, id`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id: _id, ...r }) => ({ ...r, complaintId: null, takenAt: r.takenAt.toISOString() }));
});

/** Ratings before and after the work of some visits. */
export const ratingsOfVisits = byPractice(
  async (
    practiceId: string,
    visitIds: readonly string[],
  ): Promise<{ visitId: string; complaintId: string; phase: string; value: number }[]> => {
    const ids = visitIds.filter(isUuid);
    if (!ids.length) return [];
    const rated: MeasureKey = 'nrs-now';
    return database().query(
      `select visit_id as "visitId", complaint_id as "complaintId", phase, value::float8 as value from readings where practice_id = :practiceId and visit_id in (:ids) and measure = :rated`,
      { replacements: { practiceId, ids, rated }, type: QueryTypes.SELECT },
    );
  },
);
