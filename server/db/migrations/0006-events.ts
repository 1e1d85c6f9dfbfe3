import type { Migration } from '../migrate.ts';

/** What belongs to an event of a run has a form of its own; a practice has a school that its routines begin with. */
const CHANGES = `
alter table run_events add column payload jsonb;
alter table practices add column school text not null default 'neck-first';
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(CHANGES, { transaction });
};
