import type { Migration } from '../migrate.ts';

/**
 * A link may also be for a first visit that stands in the book. What is told through it is kept apart from any record
 * until a practitioner has asked again and confirmed it.
 */
const TABLES = `
alter table client_links alter column plan_id drop not null, alter column expires_on drop not null, add column visit_id uuid references visits on delete cascade,
  add constraint client_links_of_one_thing check ((plan_id is null) <> (visit_id is null) and (plan_id is null) = (expires_on is null));
create unique index client_links_of_visit on client_links (practice_id, visit_id) where ended_at is null;
create table said_before (
  practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  question text not null, answer text not null, at timestamptz not null, primary key (practice_id, client_id, question)
);
alter table said_before enable row level security;
create policy own_practice on said_before using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on said_before to velvet_app;
drop function link_of(text);
create function link_of(hash text) returns table (id uuid, "practiceId" uuid, "clientId" uuid, "planId" uuid, "visitId" uuid)
  language sql stable security definer set search_path = public, pg_temp as $$
  select l.id, l.practice_id, l.client_id, l.plan_id, l.visit_id from client_links l join practices p on p.id = l.practice_id
  left join visits v on v.practice_id = l.practice_id and v.id = l.visit_id
  where l.token_hash = hash and l.ended_at is null and case when l.visit_id is null then l.expires_on >= (now() at time zone p.time_zone)::date
    else v.stage = 'screen' and (v.starts_at at time zone p.time_zone)::date >= (now() at time zone p.time_zone)::date end $$;
revoke all on function link_of(text) from public;
grant execute on function link_of(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
};
