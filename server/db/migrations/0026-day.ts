import type { Migration } from '../migrate.ts';

/**
 * The working day: rooms with the minutes that their turning over takes, the hours of the practice and what goes around
 * a routine, who waits for a time, and a practitioner's own calendar, opened by a secret that is kept as a hash.
 */
const DAY = `
alter table practices add before_minutes integer not null default 15 check (before_minutes between 0 and 120),
  add after_minutes integer not null default 5 check (after_minutes between 0 and 120),
  add day_from text not null default '09:00', add day_until text not null default '19:00';
create table rooms (
  id uuid primary key default gen_random_uuid(), practice_id uuid not null references practices on delete cascade, name text not null,
  change_minutes integer not null check (change_minutes between 0 and 120), is_closed boolean not null default false, version integer not null default 1
);
create unique index on rooms (practice_id, lower(name));
alter table visits add room_id uuid references rooms;
create index on visits (practice_id, room_id, starts_at) where room_id is not null;
create table waiting (
  id uuid primary key default gen_random_uuid(), practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  practitioner_id uuid references practitioners, minutes integer not null check (minutes between 5 and 480), weekdays integer[] not null default '{}',
  part_of_day text not null check (part_of_day in ('any', 'morning', 'afternoon', 'evening')), made_by uuid not null references practitioners,
  made_at timestamptz not null default now()
);
create unique index on waiting (practice_id, client_id);
create table calendar_links (
  practitioner_id uuid primary key references practitioners on delete cascade, practice_id uuid not null references practices on delete cascade,
  token_hash text not null unique, with_names boolean not null, made_at timestamptz not null default now()
);
alter table rooms enable row level security;
create policy own_practice on rooms using (practice_id = current_practice()) with check (practice_id = current_practice());
alter table waiting enable row level security;
create policy own_practice on waiting using (practice_id = current_practice()) with check (practice_id = current_practice());
alter table calendar_links enable row level security;
create policy own_practice on calendar_links using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on rooms to velvet_app;
grant select, insert, update, delete on waiting to velvet_app;
grant select, insert, update, delete on calendar_links to velvet_app;
create function calendar_of(hash text) returns table ("practiceId" uuid, practice text, "timeZone" text, "practitionerId" uuid, name text, "withNames" boolean)
  language sql stable security definer set search_path = public, pg_temp as $$
  select r.id, r.name, r.time_zone, p.id, p.name, l.with_names from calendar_links l join practices r on r.id = l.practice_id
  join practitioners p on p.id = l.practitioner_id and p.left_at is null where l.token_hash = hash $$;
revoke all on function calendar_of(text) from public;
grant execute on function calendar_of(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(DAY, { transaction });
};
