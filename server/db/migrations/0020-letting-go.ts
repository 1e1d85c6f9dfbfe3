import type { Migration } from '../migrate.ts';

/**
 * A client can be let go. What the law asks a practice to keep stays as one closed file until a day that was said; it is
 * found, worked with and changed by nobody. The rows themselves go by a function of the owner, for the own practice only.
 */
const TABLES = `
create table kept_records (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  name text not null, reason text not null, keep_until date not null, file bytea not null, made_by uuid not null references practitioners, made_at timestamptz not null default now(),
  primary key (practice_id, id)
);
alter table kept_records enable row level security;
create policy own_practice on kept_records using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, delete on kept_records to velvet_app;
grant delete on reminders to velvet_app;
create function erase_client(wanted uuid) returns boolean language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform 1 from clients where id = wanted and practice_id = current_practice() for update;
  if not found then return false; end if;
  delete from made_once where practice_id = current_practice() and made_id in (
    select wanted::text union all select id::text from visits where client_id = wanted union all select id::text from readings where client_id = wanted
    union all select id::text from home_plans where client_id = wanted union all select id::text from complaints where client_id = wanted);
  delete from clients where id = wanted and practice_id = current_practice();
  return true;
end $$;
revoke all on function erase_client(uuid) from public;
grant execute on function erase_client(uuid) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
