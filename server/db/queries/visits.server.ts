import { Op } from 'sequelize';
import type { Routine } from '../../../core/routine/model.ts';
import { EMPTY_SCREEN, type Referral, type Screen, type VisitRecord, type VisitStage } from '../../../core/visit/model.ts';
import { withFindings, type Findings } from '../../../core/visit/findings.ts';
import { database } from '../connection.ts';
import { ClientModel, PractitionerModel, VisitModel } from '../models/index.ts';
import { isUuid } from './shared.server.ts';

export interface Visit {
  id: string;
  clientId: string;
  practitionerId: string;
  startsAt: string;
  stage: VisitStage;
  screen: Screen;
  routine: Routine | null;
  record: VisitRecord | null;
  findings: Findings;
  referral: Referral | null;
  endedAt: string | null;
  version: number;
}

export const plainVisit = (v: VisitModel): Visit => ({
  id: v.id, clientId: v.clientId, practitionerId: v.practitionerId, startsAt: v.startsAt.toISOString(), stage: v.stage, screen: v.screen,
  routine: v.routine, record: v.record, findings: withFindings(v.findings), referral: v.referral, endedAt: v.endedAt?.toISOString() ?? null, version: v.version,
});

export async function findVisit(practiceId: string, id: string): Promise<Visit | null> {
  if (!isUuid(id)) return null;
  database();
  const visit = await VisitModel.findOne({ where: { practiceId, id } });
  return visit && plainVisit(visit);
}

/** All visits of a client, first to last. */
export async function visitsOfClient(practiceId: string, clientId: string): Promise<Visit[]> {
  if (!isUuid(clientId)) return [];
  database();
  return (await VisitModel.findAll({ where: { practiceId, clientId }, order: [['startsAt', 'ASC']] })).map(plainVisit);
}

export interface VisitRow {
  id: string;
  clientId: string;
  clientName: string;
  practitioner: string;
  startsAt: string;
  stage: VisitStage;
}

/** Visits that begin within a span, in order. */
export async function visitsBetween(practiceId: string, from: Date, to: Date): Promise<VisitRow[]> {
  const [rows] = (await database().query(
    `select v.id, v.client_id as "clientId", c.name as "clientName", p.name as practitioner, v.starts_at as "startsAt", v.stage
     from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id join practitioners p on p.id = v.practitioner_id
     where v.practice_id = :practiceId and v.starts_at >= :from and v.starts_at < :to order by v.starts_at, lower(c.name)`,
    { replacements: { practiceId, from, to } },
  )) as [(Omit<VisitRow, 'startsAt'> & { startsAt: Date })[], unknown];
  return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
}

/** Visits stopped at screening whose outcome is not known yet. */
export async function openReferrals(practiceId: string): Promise<{ visitId: string; clientId: string; clientName: string; startsAt: string; referral: Referral }[]> {
  const [rows] = (await database().query(
    `select v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.starts_at as "startsAt", v.referral
     from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id
     where v.practice_id = :practiceId and v.stage = 'stopped' and v.referral->>'outcome' is null order by v.starts_at`,
    { replacements: { practiceId } },
  )) as [{ visitId: string; clientId: string; clientName: string; startsAt: Date; referral: Referral }[], unknown];
  return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
}

/** Opens a visit. Null when client or practitioner are not of this practice. */
export async function createVisit(practiceId: string, input: { clientId: string; practitionerId: string; startsAt: Date }): Promise<string | null> {
  if (!isUuid(input.clientId)) return null;
  database();
  const [client, practitioner] = await Promise.all([
    ClientModel.count({ where: { practiceId, id: input.clientId } }),
    PractitionerModel.count({ where: { practiceId, id: input.practitionerId } }),
  ]);
  if (!client || !practitioner) return null;
  const visit = await VisitModel.create({ practiceId, ...input, stage: 'screen', screen: EMPTY_SCREEN, routine: null, record: null, referral: null, endedAt: null });
  return visit.id;
}

/** How many visits of the client began up to this one: its number. */
export async function visitNumber(practiceId: string, visit: Pick<Visit, 'clientId' | 'startsAt'>): Promise<number> {
  database();
  return VisitModel.count({ where: { practiceId, clientId: visit.clientId, startsAt: { [Op.lte]: new Date(visit.startsAt) } } });
}

/** The latest visit of the client before this one. */
export async function visitBefore(practiceId: string, visit: Pick<Visit, 'clientId' | 'startsAt'>): Promise<Visit | null> {
  database();
  const found = await VisitModel.findOne({ where: { practiceId, clientId: visit.clientId, startsAt: { [Op.lt]: new Date(visit.startsAt) } }, order: [['startsAt', 'DESC']] });
  return found && plainVisit(found);
}

export async function noteReferralOutcome(practiceId: string, visitId: string, outcome: string, outcomeOn: string): Promise<boolean> {
  if (!isUuid(visitId)) return false;
  database();
  const visit = await VisitModel.findOne({ where: { practiceId, id: visitId, stage: 'stopped' } });
  if (!visit?.referral) return false;
  await visit.update({ referral: { ...visit.referral, outcome, outcomeOn } });
  return true;
}

export interface ReviewDue {
  visitId: string;
  clientId: string;
  clientName: string;
  /** YYYY-MM-DD */
  reviewOn: string;
}

/** Reviews agreed at a client's latest recorded visit that fall due up to a day. */
export async function reviewsDue(practiceId: string, upToDay: string): Promise<ReviewDue[]> {
  const [rows] = (await database().query(
    `select * from (
       select distinct on (v.client_id) v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.record->>'reviewOn' as "reviewOn"
       from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id
       where v.practice_id = :practiceId and v.stage = 'done' order by v.client_id, v.starts_at desc) latest
     where "reviewOn" <> '' and "reviewOn" <= :upToDay order by "reviewOn", "clientName"`,
    { replacements: { practiceId, upToDay } },
  )) as [ReviewDue[], unknown];
  return rows;
}
