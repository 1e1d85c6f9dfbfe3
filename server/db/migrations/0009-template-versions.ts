import type { Migration } from '../migrate.ts';

/** What a template was before each change, with who changed it. Written once, never changed, gone with its template. */
const TABLE = `
create table template_versions (
  practice_id uuid not null references practices on delete cascade, template_id uuid not null references templates on delete cascade,
  version integer not null, name text not null, body jsonb not null, changed_by uuid not null references practitioners, changed_at timestamptz not null,
  primary key (practice_id, template_id, version)
);
alter table template_versions enable row level security;
create policy own_practice on template_versions using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert on template_versions to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLE, { transaction });
};
