import {
  EMPTY_SCREEN,
  readRecord,
  type Reaction,
  type Referral,
  type ReviewDue,
  type RoutineOrigin,
  type Visit,
  type VisitStage,
  withFindings,
} from '../../../core/record/index.ts';
import type { Routine } from '../../../core/routine/index.ts';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { ClientModel, PractitionerModel, VisitModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCoursesOf } from './courses.server.ts';
import { once } from './once.server.ts';

export const plainVisit = (v: VisitModel): Visit => ({
  id: v.id,
  clientId: v.clientId,
  practitionerId: v.practitionerId,
  startsAt: v.startsAt.toISOString(),
  stage: v.stage,
  screen: v.screen,
  bookedMinutes: v.bookedMinutes,
  routine: storedRoutine(v.routine),
  origin: v.routineOrigin,
  record: v.record && readRecord(v.record),
  findings: withFindings(v.findings),
  referral: v.referral,
  endedAt: v.endedAt?.toISOString() ?? null,
  version: v.version,
});

/** Bookings that came to nothing: no visit. */
const CAME_NOT: VisitStage[] = ['cancelled', 'missed'];

export const findVisit = byPractice(async (practiceId: string, id: string): Promise<Visit | null> => {
  if (!isUuid(id)) return null;
  database();
  const visit = await VisitModel.findOne({ where: { practiceId, id } });
  return visit && plainVisit(visit);
});

/** What was done with a client before. */
interface EarlierRoutine {
  visitId: string;
  at: string;
  routine: Routine;
  origin: RoutineOrigin | null;
}
const EARLIER_SHOWN = 12;
/** Routines of the same client's earlier visits that have steps, the latest first; null without such a visit. */
export const earlierRoutines = byPractice(
  async (practiceId: string, visitId: string): Promise<EarlierRoutine[] | null> => {
    if (!isUuid(visitId)) return null;
    database();
    const visit = await VisitModel.findOne({ where: { practiceId, id: visitId } });
    if (!visit) return null;
    const before = await VisitModel.findAll({
      where: {
        practiceId,
        clientId: visit.clientId,
        startsAt: { [Op.lt]: visit.startsAt },
        routine: { [Op.ne]: null },
      },
      order: [['startsAt', 'DESC']],
      limit: EARLIER_SHOWN,
    });
    return before.flatMap((v) => {
      const routine = storedRoutine(v.routine);
      return routine?.items.length
        ? [{ visitId: v.id, at: v.startsAt.toISOString(), routine, origin: v.routineOrigin }]
        : [];
    });
  },
);

/** What a list of visits shows of each. */
export interface VisitLine {
  id: string;
  practitionerId: string;
  roomId: string | null;
  startsAt: string;
  minutes: number | null;
  stage: VisitStage;
  routine: string | null;
  reactions: Reaction[];
  note: string;
}
export const VISITS_SHOWN = 25;

/** A page of a client's visits, latest first, those before a moment or all; one more than shown says that there are more. */
export const visitsOfClient = byPractice(
  async (
    practiceId: string,
    clientId: string,
    before: Date | null = null,
    limit: number = VISITS_SHOWN + 1,
  ): Promise<VisitLine[]> => {
    if (!isUuid(clientId)) return [];
    const rows = await database().query<Omit<VisitLine, 'startsAt'> & { startsAt: Date }>(
      `select id, starts_at as "startsAt", booked_minutes as minutes, practitioner_id as "practitionerId", room_id as "roomId", stage, routine->>'name' as routine, coalesce(record->'reactions', '[]') as reactions, coalesce(record->>'note', '') as note
     from visits where practice_id = :practiceId and client_id = :clientId ${before ? 'and starts_at < :before' : ''} order by starts_at desc, id limit :limit`,
      { replacements: { practiceId, clientId, before, limit }, type: QueryTypes.SELECT },
    );
    return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
  },
);

/** When a client's visits began, first to last: those whose time has come or that somebody worked in. The latest thousand. */
export const visitTimes = byPractice(async (practiceId: string, clientId: string, now: Date): Promise<string[]> => {
  if (!isUuid(clientId)) return [];
  const rows = await database().query<{ at: Date }>(
    `select starts_at as at from visits where practice_id = :practiceId and client_id = :clientId and (starts_at <= :now or stage <> 'screen') and stage not in ('cancelled', 'missed') order by starts_at desc limit 1000`,
    { replacements: { practiceId, clientId, now }, type: QueryTypes.SELECT },
  );
  return rows.reverse().map((r) => r.at.toISOString());
});

/** The latest visit of a span that still goes on. */
export const openVisitBetween = byPractice(
  async (
    practiceId: string,
    clientId: string,
    from: Date,
    to: Date,
  ): Promise<{ id: string; stage: VisitStage } | null> => {
    if (!isUuid(clientId)) return null;
    const [found] = await database().query<{ id: string; stage: VisitStage }>(
      `select id, stage from visits where practice_id = :practiceId and client_id = :clientId and starts_at >= :from and starts_at < :to and stage not in ('done', 'stopped', 'postponed', 'cancelled', 'missed') order by starts_at desc limit 1`,
      { replacements: { practiceId, clientId, from, to }, type: QueryTypes.SELECT },
    );
    return found ?? null;
  },
);

export interface VisitRow {
  id: string;
  clientId: string;
  clientName: string;
  practitioner: string;
  startsAt: string;
  minutes: number | null;
  stage: VisitStage;
  /** Nobody has worked with the client yet. */
  isFirst: boolean;
}

/** Visits that begin within a span, in order. */
export const visitsBetween = byPractice(async (practiceId: string, from: Date, to: Date): Promise<VisitRow[]> => {
  const [rows] = (await database().query(
    `select v.id, v.client_id as "clientId", c.name as "clientName", p.name as practitioner, v.starts_at as "startsAt", v.booked_minutes as minutes, v.stage,
     not exists (select 1 from visits o where o.practice_id = v.practice_id and o.client_id = v.client_id and o.stage not in ('screen', 'cancelled', 'missed')) as "isFirst"
     from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id join practitioners p on p.id = v.practitioner_id
     where v.practice_id = :practiceId and v.starts_at >= :from and v.starts_at < :to order by v.starts_at, lower(c.name)`,
    { replacements: { practiceId, from, to } },
  )) as [(Omit<VisitRow, 'startsAt'> & { startsAt: Date })[], unknown];
  return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
});

/** Visits stopped at screening whose outcome is not known yet. */
export const openReferrals = byPractice(
  async (
    practiceId: string,
  ): Promise<{ visitId: string; clientId: string; clientName: string; startsAt: string; referral: Referral }[]> => {
    const [rows] = (await database().query(
      `select v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.starts_at as "startsAt", v.referral
     from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id
     where v.practice_id = :practiceId and v.stage = 'stopped' and v.referral->>'outcome' is null order by v.starts_at limit 40`,
      { replacements: { practiceId } },
    )) as [{ visitId: string; clientId: string; clientName: string; startsAt: Date; referral: Referral }[], unknown];
    return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
  },
);

/** A visit that is to be opened. */
export interface NewVisit {
  clientId: string;
  practitionerId: string;
  startsAt: Date;
  bookedMinutes?: number;
  roomId?: string | null;
  once?: string;
  /** Begun with: a copy, held against the screening as soon as there is one. */
  routine?: Routine | null;
  /** Where that was copied from. */
  origin?: RoutineOrigin | null;
}

/** Opens a visit inside a transaction, once for a key. Null when client, practitioner or room are not of this practice. */
export async function createVisitIn(
  practiceId: string,
  { once: key, routine = null, origin = null, ...own }: NewVisit,
  transaction: Transaction,
): Promise<string | null> {
  if (!isUuid(own.clientId)) return null;
  const [client, practitioner] = await Promise.all([
    ClientModel.count({ where: { practiceId, id: own.clientId }, transaction }),
    PractitionerModel.count({ where: { practiceId, id: own.practitionerId }, transaction }),
  ]);
  if (!client || !practitioner) return null;
  return once(practiceId, key, `visit of ${own.clientId}`, transaction, async () => {
    const visit = await VisitModel.create(
      {
        practiceId,
        ...own,
        stage: 'screen',
        screen: EMPTY_SCREEN,
        routine,
        routineOrigin: origin,
        record: null,
        referral: null,
        endedAt: null,
      },
      { transaction },
    );
    return visit.id;
  });
}
export const createVisit = byPractice((practiceId: string, input: NewVisit): Promise<string | null> =>
  database().transaction((transaction) => createVisitIn(practiceId, input, transaction)),
);

/** How many visits of the client began up to this one: its number. */
export const visitNumber = byPractice(
  async (practiceId: string, visit: Pick<Visit, 'clientId' | 'startsAt'>): Promise<number> => {
    database();
    return VisitModel.count({
      where: {
        practiceId,
        clientId: visit.clientId,
        startsAt: { [Op.lte]: new Date(visit.startsAt) },
        stage: { [Op.notIn]: CAME_NOT },
      },
    });
  },
);

/** The latest visit of the client before this one. */
export const visitBefore = byPractice(
  async (practiceId: string, visit: Pick<Visit, 'clientId' | 'startsAt'>): Promise<Visit | null> => {
    database();
    const found = await VisitModel.findOne({
      where: {
        practiceId,
        clientId: visit.clientId,
        startsAt: { [Op.lt]: new Date(visit.startsAt) },
        stage: { [Op.notIn]: CAME_NOT },
      },
      order: [['startsAt', 'DESC']],
    });
    return found && plainVisit(found);
  },
);

/** Notes what came of a referral, once; it then leaves Today. */
export const noteReferralOutcome = byPractice(
  async (
    who: { practiceId: string; practitionerId: string },
    visitId: string,
    outcome: string,
    outcomeOn: string,
  ): Promise<boolean> => {
    if (!isUuid(visitId)) return false;
    return database().transaction(async (transaction) => {
      const visit = await VisitModel.findOne({
        where: { practiceId: who.practiceId, id: visitId, stage: 'stopped' },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!visit?.referral) return false;
      await visit.update({ referral: { ...visit.referral, outcome, outcomeOn } }, { transaction });
      await refreshCoursesOf(who.practiceId, visit.clientId, transaction);
      await writeAudit(who, 'outcome-noted', { visit: visitId }, transaction);
      return true;
    });
  },
);

/** Reviews agreed at a client's latest finished visit that fall due up to a day: the nearest ones, earliest first, and how many there are. */
export const reviewsDue = byPractice(
  async (practiceId: string, upToDay: string, limit: number = 40): Promise<{ reviews: ReviewDue[]; total: number }> => {
    const rows = await database().query<ReviewDue & { total: number }>(
      `select review_visit_id as "visitId", id as "clientId", name as "clientName", to_char(review_on, 'YYYY-MM-DD') as "reviewOn", count(*) over ()::int as total from clients
     where practice_id = :practiceId and review_on <= :upToDay order by review_on desc, lower(name) desc limit :limit`,
      { replacements: { practiceId, upToDay, limit }, type: QueryTypes.SELECT },
    );
    return { reviews: rows.map(({ total: _total, ...r }) => r).reverse(), total: rows[0]?.total ?? 0 };
  },
);

/** The routine of a client's latest visit that has one, of today or before; null without. */
export const latestRoutine = byPractice(async (practiceId: string, clientId: string): Promise<Routine | null> => {
  if (!isUuid(clientId)) return null;
  const [row] = await database().query<{ routine: unknown }>(
    `select routine from visits where practice_id = :practiceId and client_id = :clientId and routine is not null and jsonb_array_length(routine->'items') > 0
       and stage not in ('cancelled', 'missed', 'stopped') and starts_at < now() + interval '1 day' order by starts_at desc limit 1`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return row ? storedRoutine(row.routine) : null;
});
