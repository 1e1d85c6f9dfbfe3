import type { Migration } from '../migrate.ts';

/** Reminders by e-mail, for clients who agreed: what was made to be sent, and what became of it. */
const TABLES = `
alter table clients add column email text not null default '';
alter table practices add column reminds boolean not null default false, add column mail_from text not null default '';
create table reminders (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  client_id uuid not null references clients on delete cascade, kind text not null, about text not null, due_on date not null,
  address text not null, subject text not null, body text not null, made_at timestamptz not null default now(),
  sent_at timestamptz, via text check (via in ('mail', 'file')), tries integer not null default 0, next_try_at timestamptz, failure text not null default '',
  primary key (practice_id, id), unique (practice_id, kind, about)
);
create index reminders_latest on reminders (practice_id, made_at desc);
create index reminders_of_client on reminders (practice_id, client_id);
alter table reminders enable row level security;
create policy own_practice on reminders using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on reminders to velvet_app;
create function practices_that_remind() returns setof uuid language sql stable security definer set search_path = public, pg_temp as $$
  select id from practices where reminds order by id $$;
revoke all on function practices_that_remind() from public;
grant execute on function practices_that_remind() to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
