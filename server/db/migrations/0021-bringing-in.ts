import type { Migration } from '../migrate.ts';

/**
 * A file that is brought in lies here piece by piece between the look at it and the word to keep it, so that any process
 * can go on with it. How the columns of a table were named is kept for the next one. How long records are kept is what a
 * practice says; null where it said nothing.
 */
const TABLES = `
create table brought_files (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  name text not null, kind text not null check (kind in ('table', 'archive')), bytes bigint not null check (bytes > 0 and bytes <= 2000000000),
  made_by uuid not null references practitioners, made_at timestamptz not null default now(),
  primary key (practice_id, id)
);
create table brought_parts (
  practice_id uuid not null, file_id uuid not null, n integer not null, bytes bytea not null,
  primary key (practice_id, file_id, n), foreign key (practice_id, file_id) references brought_files (practice_id, id) on delete cascade
);
create table csv_mappings (
  practice_id uuid not null references practices on delete cascade, what text not null check (what in ('clients', 'readings')),
  ways jsonb not null, columns jsonb not null, primary key (practice_id, what)
);
alter table practices add column keep_visits_years integer check (keep_visits_years between 1 and 50);
alter table practices add column keep_photos_months integer check (keep_photos_months between 1 and 240);
`;
const WALL = (table: string) => `
alter table ${table} enable row level security;
create policy own_practice on ${table} using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert, update, delete on ${table} to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES + ['brought_files', 'brought_parts', 'csv_mappings'].map(WALL).join(''), {
    transaction,
  });
};
