import type { Migration } from '../migrate.ts';

/** How hard somebody can press with each part of the hand, in N, where it was measured. */
export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(`alter table practitioners add hand_strength jsonb not null default '{}'`, { transaction });
};
