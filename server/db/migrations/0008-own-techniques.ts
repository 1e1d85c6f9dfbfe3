import type { Migration } from '../migrate.ts';

/** Techniques that a practice made itself. Never deleted: routines that hold one keep it. */
const TABLE = `
create table techniques (
  practice_id uuid not null references practices on delete cascade, id text not null, body jsonb not null,
  retired boolean not null default false, version integer not null default 1, created_by uuid not null references practitioners, updated_at timestamptz not null,
  primary key (practice_id, id)
);
create unique index techniques_name on techniques (practice_id, lower(body->>'name')) where not retired;
alter table techniques enable row level security;
create policy own_practice on techniques using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update on techniques to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLE, { transaction });
};
