import type { Migration } from '../migrate.ts';

/** Practices, people, visits, readings, routines and runs. Every row of the work belongs to one practice. */
const TABLES = `
create table practices (
  id uuid primary key, name text not null, time_zone text not null, created_at timestamptz not null default now()
);
create table practitioners (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, name text not null,
  email text not null unique check (email = lower(email)), password_hash text not null, role text not null check (role in ('owner', 'practitioner')),
  created_at timestamptz not null default now()
);
create table sessions (
  token_hash text primary key, practice_id uuid not null references practices on delete cascade,
  practitioner_id uuid not null references practitioners on delete cascade, expires_at timestamptz not null
);
create index on sessions (expires_at);
-- Counted before anyone is signed in, so these belong to no practice.
create table sign_in_attempts (key varchar(255) primary key, points integer not null default 0, expire bigint);
create table clients (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, name text not null, about text not null default '',
  note text not null default '', pressure_cap text, finger_widths_mm jsonb, habit_side text, version integer not null default 1,
  created_at timestamptz not null default now()
);
create index on clients (practice_id, lower(name));
create table complaints (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  kind text not null, label text not null default '', side text not null, onset text not null default '', triggers text not null default '', goal text not null default '',
  position integer not null, closed boolean not null default false
);
create index on complaints (practice_id, client_id, position);
create table visits (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  practitioner_id uuid not null references practitioners, starts_at timestamptz not null, stage text not null, screen jsonb not null,
  routine jsonb, record jsonb, referral jsonb, ended_at timestamptz, version integer not null default 1, last_save_id text
);
create index on visits (practice_id, starts_at);
create index on visits (practice_id, client_id, starts_at);
create table readings (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  visit_id uuid references visits on delete cascade, complaint_id uuid references complaints on delete cascade, measure text not null,
  place text not null default '', side text not null, phase text not null, value numeric not null, source text not null,
  taken_by uuid references practitioners, taken_at timestamptz not null
);
create index on readings (practice_id, client_id, taken_at);
create unique index readings_once on readings (visit_id, measure, coalesce(complaint_id::text, ''), place, side, phase) where visit_id is not null;
create table templates (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, name text not null, body jsonb not null,
  created_by uuid not null references practitioners, updated_at timestamptz not null, version integer not null default 1
);
create unique index templates_name on templates (practice_id, lower(name));
create table runs (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, visit_id uuid not null references visits on delete cascade,
  routine jsonb not null, status text not null check (status in ('open', 'done', 'stopped')), steps jsonb, created_at timestamptz not null
);
create unique index runs_one_open on runs (visit_id) where status = 'open';
create index on runs (practice_id, visit_id, created_at);
create table run_events (
  run_id uuid not null references runs on delete cascade, id text not null, practice_id uuid not null references practices on delete cascade,
  kind text not null, at_ms numeric not null, text text, primary key (run_id, id)
);
create table audit (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, practitioner_id uuid references practitioners,
  at timestamptz not null, what text not null, about jsonb not null
);
create index on audit (practice_id, at);
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
