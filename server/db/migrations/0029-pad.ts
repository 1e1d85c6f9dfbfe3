import type { Migration } from '../migrate.ts';
import { partsOf } from '../partitioning.ts';

/** Tries on a force pad: what was asked, how it went, on which sensor. */
const PAD = `
create table pad_tries (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  practitioner_id uuid not null, at timestamptz not null default now(), technique text not null, kind text not null,
  contact text not null, pressure text not null, per_minute integer not null check (per_minute between 1 and 200),
  sensor text not null, is_stand_in boolean not null, is_blind boolean not null, score jsonb not null,
  primary key (practice_id, id),
  foreign key (practice_id, practitioner_id) references practitioners (practice_id, id)
) partition by hash (practice_id);
${partsOf('pad_tries')}
create index on pad_tries (practice_id, practitioner_id, technique, at);
alter table pad_tries enable row level security;
create policy own_practice on pad_tries using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert on pad_tries to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(PAD, { transaction });
};
