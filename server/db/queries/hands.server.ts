import type { StepRecord } from '../../../core/guide/index.ts';
import type { HandStrength } from '../../../core/proposal/index.ts';
import type { Routine } from '../../../core/routine/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** How hard somebody can press, in N, with what was measured. */
export const strengthOf = byPractice(async (practiceId: string, practitionerId: string): Promise<HandStrength> => {
  if (!isUuid(practitionerId)) return {};
  const [row] = await database().query<{ strength: HandStrength }>(
    'select hand_strength as strength from practitioners where practice_id = :practiceId and id = :practitionerId',
    { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
  );
  return row?.strength ?? {};
});

export const setStrength = byPractice((who: Member, strength: HandStrength): Promise<void> =>
  database().transaction(async (transaction) => {
    await database().query(
      'update practitioners set hand_strength = :strength where practice_id = :practiceId and id = :practitionerId',
      {
        replacements: {
          practiceId: who.practiceId,
          practitionerId: who.practitionerId,
          strength: JSON.stringify(strength),
        },
        transaction,
      },
    );
    await writeAudit(who, 'hand-strength-set', {}, transaction);
  }),
);

/** A run of a visit that has ended: what was really done. */
export interface RunOfVisit {
  visitId: string;
  routine: Routine;
  steps: StepRecord[];
  beganAtMs: number;
}
export const endedRuns = byPractice(async (practiceId: string, visitIds: readonly string[]): Promise<RunOfVisit[]> => {
  if (!visitIds.length) return [];
  const rows = await database().query<{ visitId: string; routine: unknown; steps: StepRecord[]; at: Date }>(
    `select visit_id as "visitId", routine, steps, created_at as at from runs
       where practice_id = :practiceId and visit_id in (:visitIds) and steps is not null order by created_at`,
    { replacements: { practiceId, visitIds: [...visitIds] }, type: QueryTypes.SELECT },
  );
  return rows.map(({ at, routine, ...r }) => ({ ...r, routine: storedRoutine(routine)!, beganAtMs: at.getTime() }));
});
