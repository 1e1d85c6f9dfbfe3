import type { Migration } from '../migrate.ts';

/** When the work on a complaint began, what is judged of its ratings, and after how long a practice reviews. */
const COLUMNS = `
alter table complaints add column work_began_at timestamptz;
alter table practices add column review_days integer not null default 21 check (review_days between 7 and 180);
-- Worked out anew from the ratings by the upkeep that follows.
delete from course_states;
alter table course_states drop column baseline, drop column current, drop column days, add column judgement jsonb not null, add column drawn jsonb not null default '{"levels": [], "opinions": null}';
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(COLUMNS, { transaction });
};
