import { Op, type Transaction } from 'sequelize';
import { chained, FIRST_HASH } from '../../audit-chain.ts';
import { database } from '../connection.ts';
import { AuditModel, PractitionerModel } from '../models/index.ts';

/** Who did what to which record: ids and keys only, never what a client said. */
export interface AuditAbout {
  [key: string]: string | number | string[];
}

const entryOf = (a: { seq: number; at: Date; what: string; practitionerId: string | null; about: Record<string, unknown> }) => ({ seq: a.seq, at: a.at.toISOString(), what: a.what, by: a.practitionerId, about: a.about });

/** Appends to the practice's trail, in the transaction of what it tells about. Two at once wait for each other. */
export async function writeAudit(who: { practiceId: string; practitionerId: string | null }, what: string, about: AuditAbout, transaction: Transaction): Promise<void> {
  const { practiceId, practitionerId } = who;
  await database().query('select pg_advisory_xact_lock(7310043, hashtext(:practiceId))', { replacements: { practiceId }, transaction });
  const last = await AuditModel.findOne({ where: { practiceId, seq: { [Op.ne]: null } }, order: [['seq', 'DESC']], transaction });
  const seq = Number(last?.seq ?? 0) + 1;
  const at = new Date();
  await AuditModel.create({ practiceId, practitionerId, at, what, about, seq, hash: chained(last?.hash ?? FIRST_HASH, entryOf({ seq, at, what, practitionerId, about })) }, { transaction });
}

export interface AuditRow {
  seq: number;
  at: string;
  what: string;
  by: string;
  about: AuditAbout;
}

/** The latest entries, newest first, and whether the whole chain still fits. */
export async function auditTrail(practiceId: string, limit: number): Promise<{ rows: AuditRow[]; entries: number; brokenAt: number | null }> {
  database();
  const [all, people] = await Promise.all([AuditModel.findAll({ where: { practiceId, seq: { [Op.ne]: null } }, order: [['seq', 'ASC']] }), PractitionerModel.findAll({ where: { practiceId }, attributes: ['id', 'name'] })]);
  let before = FIRST_HASH;
  let brokenAt: number | null = null;
  for (const [i, a] of all.entries()) {
    const seq = Number(a.seq);
    if (brokenAt === null && (seq !== i + 1 || a.hash !== chained(before, entryOf({ ...a.get(), seq })))) brokenAt = seq;
    before = a.hash!;
  }
  const names = new Map(people.map((p) => [p.id, p.name]));
  const rows = all.slice(-limit).toReversed().map((a) => ({ seq: Number(a.seq), at: a.at.toISOString(), what: a.what, by: names.get(a.practitionerId ?? '') ?? '', about: a.about as AuditAbout }));
  return { rows, entries: all.length, brokenAt };
}
