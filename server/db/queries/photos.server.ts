import { hasEnded, type Photo, type PhotoPhase } from '../../../core/record/index.ts';
import type { PhotoMarks } from '../../../core/measures/index.ts';
import { database } from '../connection.ts';
import { PhotoModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { byPractice, isUuid } from '../scope.ts';
import { lockVisit } from './shared.server.ts';

interface Who {
  practiceId: string;
  practitionerId: string;
}
const FIELDS = ['practiceId', 'id', 'visitId', 'phase', 'widthPx', 'heightPx', 'landmarks', 'version', 'takenAt'];
const plain = (p: PhotoModel): Photo => ({
  id: p.id,
  visitId: p.visitId,
  phase: p.phase,
  widthPx: p.widthPx,
  heightPx: p.heightPx,
  landmarks: p.landmarks,
  version: p.version,
  takenAt: p.takenAt.toISOString(),
});

export const photoBytes = byPractice(
  async (practiceId: string, visitId: string, id: string): Promise<Buffer | null> => {
    if (!isUuid(visitId) || !isUuid(id)) return null;
    database();
    return (await PhotoModel.findOne({ where: { practiceId, visitId, id }, attributes: ['bytes'] }))?.bytes ?? null;
  },
);

/** One photo before and one after the work; a second one of the same phase takes the place of the first. */
export const keepPhoto = byPractice(
  async (
    who: Who,
    visitId: string,
    phase: PhotoPhase,
    picture: { bytes: Buffer; widthPx: number; heightPx: number },
  ): Promise<Photo | 'missing' | 'ended'> => {
    if (!isUuid(visitId)) return 'missing';
    return database().transaction(async (transaction) => {
      const visit = await lockVisit(who.practiceId, visitId, transaction);
      if (!visit) return 'missing';
      if (hasEnded(visit.stage)) return 'ended';
      await PhotoModel.destroy({ where: { practiceId: who.practiceId, visitId, phase }, transaction });
      const row = await PhotoModel.create(
        {
          practiceId: who.practiceId,
          clientId: visit.clientId,
          visitId,
          phase,
          ...picture,
          takenBy: who.practitionerId,
          takenAt: new Date(),
        },
        { transaction },
      );
      await writeAudit(who, 'photo-kept', { visit: visitId, photo: row.id, phase }, transaction);
      return plain(row);
    });
  },
);

export const markPhoto = byPractice(
  async (
    practiceId: string,
    visitId: string,
    id: string,
    expectedVersion: number,
    landmarks: PhotoMarks,
  ): Promise<Photo | 'missing' | 'stale'> => {
    if (!isUuid(visitId) || !isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      const row = await PhotoModel.findOne({
        where: { practiceId, visitId, id },
        attributes: FIELDS,
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!row) return 'missing';
      if (row.version !== expectedVersion) return 'stale';
      await row.update({ landmarks, version: row.version + 1 }, { transaction });
      return plain(row);
    });
  },
);

/** Erased as a whole, also after the visit has ended: whoever consented may take it back at any time. */
export const erasePhoto = byPractice(async (who: Who, visitId: string, id: string): Promise<boolean> => {
  if (!isUuid(visitId) || !isUuid(id)) return false;
  return database().transaction(async (transaction) => {
    const count = await PhotoModel.destroy({ where: { practiceId: who.practiceId, visitId, id }, transaction });
    if (count) await writeAudit(who, 'photo-erased', { visit: visitId, photo: id }, transaction);
    return count > 0;
  });
});

export const photoSize = byPractice(
  async (practiceId: string, visitId: string, id: string): Promise<{ width: number; height: number } | null> => {
    if (!isUuid(visitId) || !isUuid(id)) return null;
    database();
    const row = await PhotoModel.findOne({ where: { practiceId, visitId, id }, attributes: ['widthPx', 'heightPx'] });
    return row && { width: row.widthPx, height: row.heightPx };
  },
);
