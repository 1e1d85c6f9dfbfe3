import type { Migration } from '../migrate.ts';

/** Scored measures of a visit: answers as they were given, the version of the rule, and what it made of them. */
const TABLES = `
create table scores (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  visit_id uuid not null references visits on delete cascade, measure text not null, rule_version integer not null, answers jsonb not null,
  value numeric, words text not null, taken_by uuid references practitioners, taken_at timestamptz not null
);
create unique index scores_once on scores (visit_id, measure);
create index on scores (practice_id, client_id, taken_at);
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
