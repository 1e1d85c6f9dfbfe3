import type { Migration } from '../migrate.ts';

/**
 * What clients do between visits: plans, of which one is in force, and what was done of them. A plan is never changed: a
 * change makes the next one.
 */
const TABLES = `
create table home_plans (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  client_id uuid not null references clients on delete cascade, number integer not null, plan jsonb not null,
  made_by uuid not null references practitioners, made_at timestamptz not null, ended_at timestamptz, primary key (practice_id, id)
);
create unique index home_plans_number on home_plans (practice_id, client_id, number);
create unique index home_plans_in_force on home_plans (practice_id, client_id) where ended_at is null;
create table home_runs (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  client_id uuid not null references clients on delete cascade, plan_id uuid not null, ran_on date not null, ended_at timestamptz not null,
  told boolean not null, worked text[] not null, written_by uuid references practitioners, primary key (practice_id, id),
  foreign key (practice_id, plan_id) references home_plans (practice_id, id) on delete cascade
);
create index home_runs_of on home_runs (practice_id, plan_id, ran_on);
create index home_runs_by_client on home_runs (practice_id, client_id, ended_at desc);
alter table home_plans enable row level security;
alter table home_runs enable row level security;
create policy own_practice on home_plans using (practice_id = current_practice()) with check (practice_id = current_practice());
create policy own_practice on home_runs using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on home_plans to velvet_app;
grant select, insert, delete on home_runs to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
