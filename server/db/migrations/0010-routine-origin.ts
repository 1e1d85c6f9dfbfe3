import type { Migration } from '../migrate.ts';

/** Which of the practice's routines a visit's own one was copied from, and as what it stood then. */
const COLUMN = `
alter table visits add column routine_origin jsonb;
create index visits_by_routine on visits (practice_id, (routine_origin->>'template')) where routine_origin is not null;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(COLUMN, { transaction });
};
