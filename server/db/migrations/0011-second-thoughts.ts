import type { Migration } from '../migrate.ts';

/**
 * What was added to a visit after it had ended, and what was corrected in it: the old value beside the new one, who and
 * when. Written once, never changed. A visit keeps how long it was booked for. Names are found in spite of a slip.
 */
const TABLES = `
create extension if not exists fuzzystrmatch;
create table visit_amendments (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  visit_id uuid not null references visits on delete cascade, written_by uuid not null references practitioners, written_at timestamptz not null,
  words text not null, changes jsonb not null, primary key (practice_id, id)
);
create index visit_amendments_of on visit_amendments (practice_id, visit_id, written_at);
alter table visit_amendments enable row level security;
create policy own_practice on visit_amendments using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert on visit_amendments to velvet_app;
alter table visits add column booked_minutes integer check (booked_minutes between 5 and 480);
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
