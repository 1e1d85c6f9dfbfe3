import {
  becauseOf,
  hasEnded,
  isCorrectable,
  type ReadingEntry,
  type SaveResult,
  type StoredVisit,
  type Visit,
  type VisitPatch,
} from '../../../core/record/index.ts';
import {
  type MeasureAnswers,
  measureOf,
  type ReadingPhase,
  scoreSoFar,
  weekContradiction,
} from '../../../core/measures/index.ts';
import { createHash } from 'node:crypto';
import { Op, Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { canonical } from '../../audit-chain.ts';
import {
  ClientModel,
  ComplaintModel,
  ProductModel,
  ReadingModel,
  ScoreModel,
  VisitModel,
  VisitWriteModel,
} from '../models/index.ts';
import type { Member } from './accounts.server.ts';
import { noteCorrection } from './amendments.server.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCourse, refreshCoursesOf } from './courses.server.ts';
import { readingsIn } from './readings.server.ts';
import { scoresIn } from './scores.server.ts';
import { plainVisit } from './visits.server.ts';
import { byPractice, isUuid } from '../scope.ts';
import { lockVisit } from './shared.server.ts';

interface Write {
  saveId: string;
  expectedVersion: number;
  patch: VisitPatch;
}

/** What a write says, whatever order its fields came in; the referral is worked out here and is no part of it. */
const bodyHash = (patch: VisitPatch): string =>
  createHash('sha256')
    .update(canonical(patch.kind === 'stage' ? { kind: patch.kind, stage: patch.stage } : patch))
    .digest('hex');

/** What a visit holds, as it is stored. */
const asStored = async (practiceId: string, visit: VisitModel, transaction: Transaction): Promise<StoredVisit> => ({
  visit: plainVisit(visit),
  readings: await readingsIn(practiceId, visit.id, transaction),
  scores: await scoresIn(practiceId, visit.id, transaction),
});
export const storedVisit = byPractice(async (practiceId: string, visitId: string): Promise<StoredVisit | null> => {
  if (!isUuid(visitId)) return null;
  // Entries and readings of one moment.
  return database().transaction(
    { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
    async (transaction) => {
      const visit = await VisitModel.findOne({ where: { practiceId, id: visitId }, transaction });
      return visit && asStored(practiceId, visit, transaction);
    },
  );
});

/**
 * Apply a change in one transaction, only when the visit still has the version it was made on. Every write is known by
 * its own id and the hash of what it said: sent again after a lost answer it is acknowledged without being done twice,
 * however many others came between; another change under the same id is refused. `allow` sees the locked visit and may
 * refuse with a message.
 */
export const saveVisit = byPractice(
  async (
    who: Member,
    visitId: string,
    write: Write,
    allow: (visit: Visit) => string | null = () => null,
  ): Promise<SaveResult> => {
    if (!isUuid(visitId)) return { result: 'missing' };
    const { practiceId } = who;
    const bodyOf = bodyHash(write.patch);
    return database().transaction(async (transaction): Promise<SaveResult> => {
      const visit = await lockVisit(practiceId, visitId, transaction);
      if (!visit) return { result: 'missing' };
      const known = await VisitWriteModel.findOne({
        where: { practiceId, visitId, saveId: write.saveId },
        transaction,
      });
      if (known)
        return known.bodyHash === bodyOf
          ? { result: 'saved', version: known.version }
          : { result: 'refused', message: 'Another entry was written under this id before.' };
      const stored = () => asStored(practiceId, visit, transaction);
      if (visit.version !== write.expectedVersion) return { result: 'stale', ...(await stored()) };
      const why = becauseOf(write.patch);
      if (hasEnded(visit.stage)) {
        if (!why || !isCorrectable(write.patch)) return { result: 'ended', ...(await stored()) };
        await noteCorrection(who, visit, write.patch, why, transaction);
      }
      const refusal = allow(plainVisit(visit)) ?? (await applyPatch(who, visit, write.patch, transaction));
      if (refusal) return { result: 'refused', message: refusal };
      // save, not update: update would write this field only and leave the patch behind.
      visit.set({ version: visit.version + 1 });
      await visit.save({ transaction });
      await VisitWriteModel.create(
        { practiceId, visitId, saveId: write.saveId, bodyHash: bodyOf, version: visit.version },
        { transaction },
      );
      return { result: 'saved', version: visit.version };
    });
  },
);

/** Why the change cannot be made, or null when it is. */
async function applyPatch(
  who: Member,
  visit: VisitModel,
  patch: VisitPatch,
  transaction: Transaction,
): Promise<string | null> {
  switch (patch.kind) {
    case 'screen':
      if (patch.screen.product !== undefined && !(await isProduct(who.practiceId, patch.screen.product, transaction)))
        return 'This product is not one of the practice’s.';
      visit.set({ screen: patch.screen });
      return null;
    case 'routine':
      visit.set({ routine: patch.routine, ...(patch.origin === undefined ? {} : { routineOrigin: patch.origin }) });
      return null;
    case 'record':
      visit.set({ record: patch.record });
      return null;
    case 'findings':
      visit.set({ findings: patch.findings });
      return null;
    case 'readings':
      return writeReadings(who, visit, patch.entries, transaction);
    case 'answers':
      return writeAnswers(who, visit, patch.measure, patch.answers, transaction);
    case 'stage':
      visit.set({
        stage: patch.stage,
        endedAt: hasEnded(patch.stage) ? new Date() : null,
        referral: patch.referral ?? visit.referral,
      });
      if (hasEnded(patch.stage))
        await writeAudit(
          who,
          `visit-${patch.stage}`,
          { visit: visit.id, cautions: patch.referral?.cautions ?? [] },
          transaction,
        );
      if (patch.stage === 'done') await keepReview(visit, transaction);
      // What is judged knows of the work and of the red flag.
      if (hasEnded(patch.stage)) {
        await visit.save({ transaction });
        await refreshCoursesOf(who.practiceId, visit.clientId, transaction);
      }
      return null;
  }
}

/** When something read or scored now was taken: of an ended visit while it went on, whenever the slip is mended. */
const takenAt = ({ endedAt, startsAt }: VisitModel, phase: ReadingPhase): Date =>
  !endedAt ? new Date() : phase === 'after' || endedAt < startsAt ? endedAt : startsAt;

const isProduct = async (practiceId: string, id: string, transaction: Transaction): Promise<boolean> =>
  isUuid(id) && (await ProductModel.count({ where: { practiceId, id }, transaction })) > 0;

/** The review of the latest finished visit is the client's; Today asks for it there. */
async function keepReview(
  { practiceId, clientId, id, startsAt, record }: VisitModel,
  transaction: Transaction,
): Promise<void> {
  const later = await VisitModel.count({
    where: { practiceId, clientId, stage: 'done', startsAt: { [Op.gt]: startsAt } },
    transaction,
  });
  if (!later)
    await ClientModel.update(
      { reviewOn: record?.reviewOn || null, reviewVisitId: id },
      { where: { practiceId, id: clientId }, transaction },
    );
}

/** Answers are kept as they are given, scored or not yet; none at all takes the measure back. */
async function writeAnswers(
  who: Member,
  visit: VisitModel,
  measure: string,
  answers: MeasureAnswers | null,
  transaction: Transaction,
): Promise<string | null> {
  const { practiceId } = who;
  const where = { practiceId, visitId: visit.id, measure };
  if (!answers) {
    await ScoreModel.destroy({ where, transaction });
    return null;
  }
  const def = measureOf(measure);
  if (!def) return 'This measure is not known.';
  const { value, words } = scoreSoFar(def, answers);
  const fields = { ruleVersion: def.version, answers, value, words, takenBy: who.practitionerId };
  const at = takenAt(visit, 'before');
  const known = await ScoreModel.findOne({ where, transaction });
  if (known) await known.update({ ...fields, takenAt: visit.endedAt ? known.takenAt : at }, { transaction });
  else await ScoreModel.create({ ...where, clientId: visit.clientId, ...fields, takenAt: at }, { transaction });
  return null;
}

/** Why the ratings of the past week would not go together after the change; null where they do. */
async function weekAgainst(
  practiceId: string,
  visitId: string,
  entries: readonly ReadingEntry[],
  transaction: Transaction,
): Promise<string | null> {
  const week = entries.filter((e) => e.measure === 'nrs-worst-week' || e.measure === 'nrs-average-week');
  if (!week.some((e) => e.value !== null)) return null;
  const kept = await readingsIn(practiceId, visitId, transaction);
  for (const { complaintId, phase } of week) {
    const of = (measure: ReadingEntry['measure']): number | undefined => {
      const so = (r: Omit<ReadingEntry, 'value'>) =>
        r.measure === measure && r.complaintId === complaintId && r.phase === phase;
      const written = entries.findLast(so);
      return written ? (written.value ?? undefined) : kept.find(so)?.value;
    };
    const against = weekContradiction(of('nrs-worst-week'), of('nrs-average-week'));
    if (against) return against;
  }
  return null;
}

async function writeReadings(
  who: Member,
  visit: VisitModel,
  entries: readonly ReadingEntry[],
  transaction: Transaction,
): Promise<string | null> {
  const complaints = new Set(
    (
      await ComplaintModel.findAll({
        where: { practiceId: who.practiceId, clientId: visit.clientId },
        attributes: ['id'],
        transaction,
      })
    ).map((c) => c.id),
  );
  if (entries.some((e) => e.complaintId !== null && !complaints.has(e.complaintId)))
    return 'This complaint is not this client’s.';
  const against = await weekAgainst(who.practiceId, visit.id, entries, transaction);
  if (against) return against;
  for (const entry of entries) {
    const { value, ...key } = entry;
    const where = { practiceId: who.practiceId, visitId: visit.id, ...key };
    if (value === null) {
      await ReadingModel.destroy({ where, transaction });
      continue;
    }
    const known = await ReadingModel.findOne({ where, transaction });
    const at = takenAt(visit, entry.phase);
    if (known)
      await known.update(
        { value, takenBy: who.practitionerId, takenAt: visit.endedAt ? known.takenAt : at },
        { transaction },
      );
    else
      await ReadingModel.create(
        {
          ...where,
          clientId: visit.clientId,
          value,
          source: 'studio',
          takenBy: who.practitionerId,
          takenAt: at,
        },
        { transaction },
      );
  }
  const rated = new Set(entries.flatMap((e) => (e.measure === 'nrs-now' && e.complaintId ? [e.complaintId] : [])));
  for (const complaint of rated) await refreshCourse(who.practiceId, visit.clientId, complaint, transaction);
  return null;
}
