import type { Migration } from '../migrate.ts';
import { partsOf } from '../partitioning.ts';

const ownPractice = (table: string, grants: string): string => `
${partsOf(table)}
alter table ${table} enable row level security;
create policy own_practice on ${table} using (practice_id = current_practice()) with check (practice_id = current_practice());
grant ${grants} on ${table} to velvet_app;`;
const OF_SOMEBODY = `
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  practitioner_id uuid not null, at timestamptz not null default now()`;
const BELONGS = `
  primary key (practice_id, id),
  foreign key (practice_id, practitioner_id) references practitioners (practice_id, id)
) partition by hash (practice_id);`;

/**
 * Words pressed without seeing, what a practice agreed on for them, checks of a pad against weights, and tempo without a
 * pad. Whether colleagues see how somebody knows the words is theirs to say. Answers of Find it against the clock say
 * how long they took.
 */
const WORDS = `
create table pad_words (${OF_SOMEBODY},
  word text not null, contact text not null, kpa double precision not null check (kpa >= 0 and kpa <= 5000),
  sensor text not null, is_stand_in boolean not null, ${BELONGS}
${ownPractice('pad_words', 'select, insert')}
create index on pad_words (practice_id, practitioner_id, at);

create table pad_scale (
  practice_id uuid not null references practices on delete cascade, is_stand_in boolean not null, word text not null,
  kpa double precision not null check (kpa > 0 and kpa <= 5000), agreed_by uuid not null,
  agreed_at timestamptz not null default now(), primary key (practice_id, is_stand_in, word),
  foreign key (practice_id, agreed_by) references practitioners (practice_id, id)
) partition by hash (practice_id);
${ownPractice('pad_scale', 'select, insert, update, delete')}

create table pad_checks (${OF_SOMEBODY},
  sensor text not null, is_stand_in boolean not null, weights jsonb not null, ${BELONGS}
${ownPractice('pad_checks', 'select, insert')}
create index on pad_checks (practice_id, sensor, at);

create table tempo_tries (${OF_SOMEBODY},
  kind text not null check (kind in ('taps', 'breath')), asked text not null, score jsonb not null, ${BELONGS}
${ownPractice('tempo_tries', 'select, insert')}
create index on tempo_tries (practice_id, practitioner_id, at);

alter table trainer_answers add took_ms integer check (took_ms between 0 and 3600000);
alter table practitioners add shows_words boolean not null default false;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(WORDS, { transaction });
};
