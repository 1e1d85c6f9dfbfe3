import type { Migration } from '../migrate.ts';

/**
 * Counts a table anew while it is being filled: how rows are best looked for depends on how many there are, and nothing
 * is known of those that came within the same transaction. Only its owner may do that; where another one is at it, that
 * one's count has to do. A third of the usual sample is enough for that, and is quick; the database's own count follows.
 */
const SIZES = `
create function sizes_anew(wanted text) returns void language plpgsql security definer set search_path = public, pg_temp set default_statistics_target = 30 as $$
begin
  if not exists (select 1 from pg_class where relname = wanted and relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and relrowsecurity) then
    raise exception 'no table of a practice: %', wanted;
  end if;
  execute format('analyze (skip_locked) public.%I', wanted);
end $$;
revoke all on function sizes_anew(text) from public;
grant execute on function sizes_anew(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(SIZES, { transaction });
};
