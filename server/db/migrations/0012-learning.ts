import type { Migration } from '../migrate.ts';

/** Who guided a run, and how long in it took what ends by feel, so that the next plan can be estimated from it. */
const COLUMNS = `
alter table runs add column practitioner_id uuid references practitioners, add column felt jsonb;
update runs r set practitioner_id = v.practitioner_id from visits v where v.practice_id = r.practice_id and v.id = r.visit_id;
create index runs_felt_by on runs (practice_id, practitioner_id, created_at desc) where felt is not null;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(COLUMNS, { transaction });
};
