import type { Migration } from '../migrate.ts';

/** Rules, texts and products of a practice; consent, overrides, findings and photos of its clients; a chained audit trail. */
const TABLES = `
alter table clients add column habit_sides jsonb not null default '{}', add column allergies jsonb not null default '[]';
-- The one side kept so far was asked as "chews or holds an instrument on".
update clients set habit_sides = jsonb_build_object('chewing', habit_side) where habit_side is not null;
alter table clients drop column habit_side;
alter table visits add column findings jsonb not null default '{}';
create table practice_texts (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, kind text not null, version integer not null check (version > 0),
  body text not null, created_by uuid references practitioners, created_at timestamptz not null
);
create unique index practice_texts_version on practice_texts (practice_id, kind, version);
create table consents (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  kind text not null, text_version integer not null, given_at timestamptz not null, taken_by uuid references practitioners, withdrawn_at timestamptz
);
create index on consents (practice_id, client_id, kind, given_at);
create table local_rules (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, body jsonb not null, active boolean not null default true,
  version integer not null default 1, updated_at timestamptz not null
);
create index on local_rules (practice_id);
create table overrides (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, visit_id uuid not null references visits on delete cascade,
  caution text not null, reason text not null, signed_by uuid not null references practitioners, signed_name text not null, signed_at timestamptz not null
);
create unique index overrides_once on overrides (visit_id, caution);
create table products (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, body jsonb not null, retired boolean not null default false,
  version integer not null default 1, updated_at timestamptz not null
);
create index on products (practice_id);
create table patch_tests (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  product_id uuid not null references products on delete cascade, tested_on date not null, reacted boolean not null, noted_by uuid references practitioners, noted_at timestamptz not null
);
create index on patch_tests (practice_id, client_id);
create table photos (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  visit_id uuid not null references visits on delete cascade, phase text not null, bytes bytea not null, width_px integer not null, height_px integer not null,
  landmarks jsonb not null default '{}', version integer not null default 1, taken_by uuid references practitioners, taken_at timestamptz not null
);
create index on photos (practice_id, client_id, taken_at);
create unique index photos_once on photos (visit_id, phase);
-- What is shown beside an entry: the latest few of one thing.
create index readings_course on readings (client_id, measure, place, taken_at desc);
alter table audit add column seq bigint, add column hash text;
create unique index audit_seq on audit (practice_id, seq) where seq is not null;
-- What is in the trail stays as it is; only a practice that goes as a whole takes its trail along.
create function audit_is_append_only() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and not exists (select 1 from practices where id = old.practice_id) then return old; end if;
  raise exception 'the audit trail is append-only';
end $$;
create trigger audit_append_only before update or delete on audit for each row execute function audit_is_append_only();
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
