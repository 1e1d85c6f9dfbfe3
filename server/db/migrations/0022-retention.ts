import type { Migration } from '../migrate.ts';

/** Visits that are older than a practice keeps them go by a function of the owner, for the own practice only. */
const TABLES = `
create function erase_visits_before(wanted uuid, before timestamptz) returns integer language plpgsql security definer set search_path = public, pg_temp as $$
declare gone integer;
begin
  perform 1 from clients where id = wanted and practice_id = current_practice() for update;
  if not found then return 0; end if;
  delete from made_once where practice_id = current_practice() and made_id in (
    select id::text from visits where practice_id = current_practice() and client_id = wanted and starts_at < before);
  delete from visits where practice_id = current_practice() and client_id = wanted and starts_at < before;
  get diagnostics gone = row_count;
  return gone;
end $$;
revoke all on function erase_visits_before(uuid, timestamptz) from public;
grant execute on function erase_visits_before(uuid, timestamptz) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
