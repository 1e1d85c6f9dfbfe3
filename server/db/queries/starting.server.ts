import type { Transaction } from 'sequelize';
import { STARTING_ROUTINES } from '../../../reference/routines/index.ts';
import { database } from '../connection.ts';
import { TemplateModel } from '../models/index.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** Puts in the starting routines that are not there, under their own names or, where one is taken, with a mark. */
export async function plantStartingRoutines(who: Member, at: Date, transaction: Transaction): Promise<number> {
  const { practiceId } = who;
  const there = await TemplateModel.findAll({ where: { practiceId }, attributes: ['origin', 'name'], transaction });
  const origins = new Set(there.map((t) => t.origin));
  const names = new Set(there.map((t) => t.name.toLowerCase()));
  const missing = STARTING_ROUTINES.filter((s) => !origins.has(s.id));
  await TemplateModel.bulkCreate(
    missing.map(({ id, routine }) => {
      const name = names.has(routine.name.toLowerCase()) ? `${routine.name} (as it came)` : routine.name;
      const body = { ...routine, name };
      return { practiceId, name, body, createdBy: who.practitionerId, updatedAt: at, origin: id };
    }),
    { transaction },
  );
  return missing.length;
}

/** Brings back what came with the application and is missing: in a practice of an earlier version, or deleted. */
export const bringStartingRoutines = byPractice((who: Member): Promise<number> =>
  database().transaction(async (transaction) => {
    await database().query('select 1 from practices where id = :id for update', {
      replacements: { id: who.practiceId },
      transaction,
    });
    const brought = await plantStartingRoutines(who, new Date(), transaction);
    if (brought) await writeAudit(who, 'starting-routines-brought', { routines: brought }, transaction);
    return brought;
  }),
);
