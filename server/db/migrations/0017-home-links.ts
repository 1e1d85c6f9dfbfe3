import type { Migration } from '../migrate.ts';

/**
 * Private links for clients at home: the secret itself is known to nobody here, only its hash is. What comes in through
 * one lies under the id that the phone made for it, so that sending twice does no harm.
 */
const TABLES = `
alter table practices add column contact text not null default '';
create table client_links (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  client_id uuid not null references clients on delete cascade, plan_id uuid not null, token_hash text not null unique,
  made_by uuid not null references practitioners, made_at timestamptz not null default now(), expires_on date not null, ended_at timestamptz, used_at timestamptz,
  primary key (practice_id, id), foreign key (practice_id, plan_id) references home_plans (practice_id, id) on delete cascade
);
create unique index client_links_in_use on client_links (practice_id, plan_id) where ended_at is null;
alter table home_runs add column done jsonb, add column counts boolean not null default true, add column stopped text, add column lengths jsonb, add column before_value smallint;
create table home_after (
  practice_id uuid not null references practices on delete cascade, id uuid not null, client_id uuid not null references clients on delete cascade,
  run_id uuid not null, value smallint, felt text[] not null, note text not null, at timestamptz not null, primary key (practice_id, id)
);
create index home_after_run on home_after (practice_id, run_id);
create table home_flags (
  practice_id uuid not null references practices on delete cascade, id uuid not null, client_id uuid not null references clients on delete cascade,
  yes text[] not null, at timestamptz not null, seen_at timestamptz, seen_by uuid references practitioners, primary key (practice_id, id)
);
create index home_flags_open on home_flags (practice_id, client_id) where seen_at is null;
alter table client_links enable row level security;
alter table home_after enable row level security;
alter table home_flags enable row level security;
create policy own_practice on client_links using (practice_id = current_practice()) with check (practice_id = current_practice());
create policy own_practice on home_after using (practice_id = current_practice()) with check (practice_id = current_practice());
create policy own_practice on home_flags using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on client_links to velvet_app;
grant select, insert on home_after to velvet_app;
grant select, insert, update on home_flags to velvet_app;
create function link_of(hash text) returns table (id uuid, "practiceId" uuid, "clientId" uuid, "planId" uuid)
  language sql stable security definer set search_path = public, pg_temp as $$
  select l.id, l.practice_id, l.client_id, l.plan_id from client_links l join practices p on p.id = l.practice_id
  where l.token_hash = hash and l.ended_at is null and l.expires_on >= (now() at time zone p.time_zone)::date $$;
revoke all on function link_of(text) from public;
grant execute on function link_of(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
