import type { Override } from '../../../core/limits/index.ts';
import { hasEnded } from '../../../core/record/index.ts';
import { database } from '../connection.ts';
import { OverrideModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { byPractice, isUuid } from '../scope.ts';
import { lockVisit } from './shared.server.ts';

const plain = (o: OverrideModel): Override => ({
  caution: o.caution,
  reason: o.reason,
  signedName: o.signedName,
  signedAt: o.signedAt.toISOString(),
});

export const overridesOf = byPractice(async (practiceId: string, visitId: string): Promise<Override[]> => {
  if (!isUuid(visitId)) return [];
  database();
  return (await OverrideModel.findAll({ where: { practiceId, visitId }, order: [['signedAt', 'ASC']] })).map(plain);
});

/** Signs an override for one visit and writes it into the trail. It cannot be taken back, only noted anew. */
export const signOverride = byPractice(
  async (
    who: { practiceId: string; practitionerId: string; name: string },
    visitId: string,
    caution: string,
    reason: string,
  ): Promise<Override | 'missing' | 'ended' | 'signed-before'> => {
    if (!isUuid(visitId)) return 'missing';
    return database().transaction(async (transaction) => {
      const visit = await lockVisit(who.practiceId, visitId, transaction);
      if (!visit) return 'missing';
      if (hasEnded(visit.stage)) return 'ended';
      if (await OverrideModel.count({ where: { practiceId: who.practiceId, visitId, caution }, transaction }))
        return 'signed-before';
      const row = await OverrideModel.create(
        {
          practiceId: who.practiceId,
          visitId,
          caution,
          reason,
          signedBy: who.practitionerId,
          signedName: who.name,
          signedAt: new Date(),
        },
        { transaction },
      );
      await writeAudit(who, 'caution-overridden', { visit: visitId, caution }, transaction);
      return plain(row);
    });
  },
);
