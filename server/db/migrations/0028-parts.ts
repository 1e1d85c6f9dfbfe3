import { QueryTypes } from 'sequelize';
import type { Migration } from '../migrate.ts';
import { DIRECTORY, partitionByPractice } from '../partitioning.ts';

/** Whatever a client was, by the practice, so that one part is looked through and not all. */
const ERASE = `
create or replace function erase_client(wanted uuid) returns boolean language plpgsql security definer set search_path = public, pg_temp as $$
declare ours uuid := current_practice();
begin
  perform 1 from clients where practice_id = ours and id = wanted for update;
  if not found then return false; end if;
  delete from made_once where practice_id = ours and made_id in (
    select wanted::text union all select id::text from visits where practice_id = ours and client_id = wanted
    union all select id::text from readings where practice_id = ours and client_id = wanted
    union all select id::text from home_plans where practice_id = ours and client_id = wanted
    union all select id::text from complaints where practice_id = ours and client_id = wanted);
  delete from clients where practice_id = ours and id = wanted;
  return true;
end $$;
`;

/** The rows of a practice lie together: all its tables in parts by practice, every key led by it. */
export const up = async (migration: Migration): Promise<void> => {
  const { sequelize, transaction } = migration;
  const tables = await sequelize.query<{ name: string }>(
    `select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'practice_id'
     where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname not in (:directory) order by c.relname`,
    { type: QueryTypes.SELECT, replacements: { directory: DIRECTORY }, transaction },
  );
  await partitionByPractice(
    migration,
    tables.map((t) => t.name),
  );
  await sequelize.query(ERASE, { transaction });
};
