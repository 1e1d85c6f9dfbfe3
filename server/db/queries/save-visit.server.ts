import type { Transaction } from 'sequelize';
import type { MeasureKey, ReadingPhase } from '../../../core/measures/reading.ts';
import type { Routine } from '../../../core/routine/model.ts';
import type { Side } from '../../../core/units.ts';
import { hasEnded, type Referral, type Screen, type VisitRecord, type VisitStage } from '../../../core/visit/model.ts';
import type { Findings } from '../../../core/visit/findings.ts';
import { database } from '../connection.ts';
import { ComplaintModel, ReadingModel, VisitModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { plainVisit, type Visit } from './visits.server.ts';
import { isUuid } from './shared.server.ts';

export interface ReadingEntry {
  measure: MeasureKey;
  complaintId: string | null;
  place: string;
  side: Side;
  phase: ReadingPhase;
  /** null takes the entry away. */
  value: number | null;
}

/** One change to a visit. Everything the five stages write goes through here. */
export type VisitPatch =
  | { kind: 'screen'; screen: Screen }
  | { kind: 'readings'; entries: ReadingEntry[] }
  | { kind: 'routine'; routine: Routine }
  | { kind: 'record'; record: VisitRecord }
  | { kind: 'findings'; findings: Findings }
  | { kind: 'stage'; stage: VisitStage; referral?: Referral };

export type SaveResult = { result: 'saved'; version: number } | { result: 'stale'; visit: Visit } | { result: 'ended'; visit: Visit } | { result: 'missing' } | { result: 'refused'; message: string };

/**
 * Apply a change in one transaction, only when the visit still has the version it was made on. A change sent again
 * after a lost answer (same `saveId`) is acknowledged without being done twice. `allow` sees the locked visit and may
 * refuse with a message.
 */
export async function saveVisit(
  who: { practiceId: string; practitionerId: string },
  visitId: string,
  write: { saveId: string; expectedVersion: number; patch: VisitPatch },
  allow: (visit: Visit) => string | null = () => null,
): Promise<SaveResult> {
  if (!isUuid(visitId)) return { result: 'missing' };
  return database().transaction(async (transaction): Promise<SaveResult> => {
    const visit = await VisitModel.findOne({ where: { practiceId: who.practiceId, id: visitId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!visit) return { result: 'missing' };
    if (visit.lastSaveId === write.saveId) return { result: 'saved', version: visit.version };
    if (visit.version !== write.expectedVersion) return { result: 'stale', visit: plainVisit(visit) };
    if (hasEnded(visit.stage)) return { result: 'ended', visit: plainVisit(visit) };
    const refusal = allow(plainVisit(visit));
    if (refusal) return { result: 'refused', message: refusal };
    const missing = await applyPatch(who, visit, write.patch, transaction);
    if (missing) return { result: 'missing' };
    // save, not update: update would write these two fields only and leave the patch behind.
    visit.set({ version: visit.version + 1, lastSaveId: write.saveId });
    await visit.save({ transaction });
    return { result: 'saved', version: visit.version };
  });
}

/** True when the patch names a complaint that is not this client's. */
async function applyPatch(who: { practiceId: string; practitionerId: string }, visit: VisitModel, patch: VisitPatch, transaction: Transaction): Promise<boolean> {
  switch (patch.kind) {
    case 'screen':
      visit.set({ screen: patch.screen });
      return false;
    case 'routine':
      visit.set({ routine: patch.routine });
      return false;
    case 'record':
      visit.set({ record: patch.record });
      return false;
    case 'findings':
      visit.set({ findings: patch.findings });
      return false;
    case 'readings':
      return writeReadings(who, visit, patch.entries, transaction);
    case 'stage':
      visit.set({ stage: patch.stage, endedAt: hasEnded(patch.stage) ? new Date() : null, referral: patch.referral ?? visit.referral });
      if (hasEnded(patch.stage))
        await writeAudit(who, `visit-${patch.stage}`, { visit: visit.id, cautions: patch.referral?.cautions ?? [] }, transaction);
      return false;
  }
}

async function writeReadings(who: { practiceId: string; practitionerId: string }, visit: VisitModel, entries: readonly ReadingEntry[], transaction: Transaction): Promise<boolean> {
  const complaints = new Set((await ComplaintModel.findAll({ where: { practiceId: who.practiceId, clientId: visit.clientId }, attributes: ['id'], transaction })).map((c) => c.id));
  if (entries.some((e) => e.complaintId !== null && !complaints.has(e.complaintId))) return true;
  for (const entry of entries) {
    const { value, ...key } = entry;
    const where = { practiceId: who.practiceId, visitId: visit.id, ...key };
    if (value === null) {
      await ReadingModel.destroy({ where, transaction });
      continue;
    }
    const known = await ReadingModel.findOne({ where, transaction });
    if (known) await known.update({ value, takenBy: who.practitionerId, takenAt: new Date() }, { transaction });
    else await ReadingModel.create({ ...where, clientId: visit.clientId, value, source: 'studio', takenBy: who.practitionerId, takenAt: new Date() }, { transaction });
  }
  return false;
}
