import type { Migration } from '../migrate.ts';

/**
 * Colleagues: who has left opens nothing any more, and one-time links let somebody in: a new colleague, or one who is
 * known here and needs a password. A link's secret is kept as a hash, and tells whose it is before anybody is signed in.
 * A second factor is asked for once its first code was right; a code opens once only (last_step). A client may be in
 * the hands of one practitioner.
 */
const COLLEAGUES = `
alter table practitioners add left_at timestamptz;
alter table practitioners drop constraint practitioners_role_check;
alter table practitioners add constraint practitioners_role_check check (role in ('assistant', 'practitioner', 'owner'));
create table invitations (
  id uuid primary key default gen_random_uuid(), practice_id uuid not null references practices on delete cascade,
  practitioner_id uuid references practitioners on delete cascade, name text not null, role text not null check (role in ('assistant', 'practitioner', 'owner')),
  token_hash text not null unique, made_by uuid not null references practitioners, made_at timestamptz not null default now(), expires_at timestamptz not null
);
create index on invitations (practice_id, made_at);
create table second_factors (
  practitioner_id uuid primary key references practitioners on delete cascade, practice_id uuid not null references practices on delete cascade,
  secret text not null, asked_since timestamptz, last_step bigint not null default 0, spare_hashes text[] not null default '{}'
);
alter table second_factors enable row level security;
create policy own_practice on second_factors using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update, delete on second_factors to velvet_app;
alter table clients add practitioner_id uuid references practitioners;
create index on clients (practice_id, practitioner_id);
alter table invitations enable row level security;
create policy own_practice on invitations using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, delete on invitations to velvet_app;
create or replace function account_of(address text) returns table (id uuid, practice_id uuid, name text, password_hash text)
  language sql stable security definer set search_path = public, pg_temp as $$
  select id, practice_id, name, password_hash from practitioners where email = address and left_at is null $$;
create or replace function session_of(hash text) returns table ("practitionerId" uuid, name text, email text, role text, "practiceId" uuid, "practiceName" text, "timeZone" text, "expiresAt" timestamptz)
  language sql stable security definer set search_path = public, pg_temp as $$
  select p.id, p.name, p.email, p.role, r.id, r.name, r.time_zone, s.expires_at
  from sessions s join practitioners p on p.id = s.practitioner_id and p.left_at is null join practices r on r.id = s.practice_id where s.token_hash = hash and s.expires_at > now() $$;
create function invitation_of(hash text) returns table (id uuid, "practiceId" uuid, practice text, "practitionerId" uuid, name text, email text)
  language sql stable security definer set search_path = public, pg_temp as $$
  select i.id, r.id, r.name, p.id, coalesce(p.name, i.name), coalesce(p.email, '')
  from invitations i join practices r on r.id = i.practice_id left join practitioners p on p.id = i.practitioner_id
  where i.token_hash = hash and i.expires_at > now() and (i.practitioner_id is null or p.left_at is null) $$;
revoke all on function invitation_of(text) from public;
grant execute on function invitation_of(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(COLLEAGUES, { transaction });
};
