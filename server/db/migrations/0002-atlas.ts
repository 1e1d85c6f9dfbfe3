import type { Migration } from '../migrate.ts';

/** Measures of a client's head and hand, and what a practitioner has learned to find. */
const TABLES = `
create table body_measures (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, client_id uuid not null references clients on delete cascade,
  taken_on date not null, values_mm jsonb not null, taken_by uuid references practitioners, created_at timestamptz not null default now()
);
create index on body_measures (practice_id, client_id, taken_on);
create table trainer_cards (
  practitioner_id uuid not null references practitioners on delete cascade, place text not null, practice_id uuid not null references practices on delete cascade,
  card jsonb not null, due timestamptz not null, primary key (practitioner_id, place)
);
create index on trainer_cards (practice_id, practitioner_id, due);
create table trainer_answers (
  id uuid primary key, practice_id uuid not null references practices on delete cascade, practitioner_id uuid not null references practitioners on delete cascade,
  place text not null, at timestamptz not null, error_mm numeric, taken_for text, grade text not null
);
create index on trainer_answers (practice_id, practitioner_id, at);
`;

/** Names that changed when the tables of cautions and of lymph nodes became whole. */
const CAUTIONS = {
  fever: 'fever-infection',
  throat: 'throat-airway',
  'headache-change': 'headache-pattern-change',
  trigeminal: 'trigeminal-neuralgia',
};
const NODES = { terminus: 'supraclavicular', 'deep-cervical': 'deep-cervical-upper' };

/** What was stored under the old names, in the new ones. */
export const renamed = async ({ sequelize, transaction }: Migration): Promise<void> => {
  for (const [from, to] of Object.entries(CAUTIONS)) {
    await sequelize.query(
      `update visits set screen = replace(screen::text, :from, :to)::jsonb where screen::text like '%' || :from || '%'`,
      { transaction, replacements: { from: `"${from}":`, to: `"${to}":` } },
    );
    await sequelize.query(
      `update visits set referral = replace(referral::text, :from, :to)::jsonb where referral::text like '%' || :from || '%'`,
      { transaction, replacements: { from: `"${from}"`, to: `"${to}"` } },
    );
  }
  for (const [from, to] of Object.entries(NODES))
    for (const [table, column] of [
      ['visits', 'routine'],
      ['templates', 'body'],
      ['runs', 'routine'],
    ] as const)
      await sequelize.query(
        `update ${table} set ${column} = regexp_replace(regexp_replace(${column}::text, :kindFirst, :kindFirstTo, 'g'), :idFirst, :idFirstTo, 'g')::jsonb where ${column}::text like '%"' || :from || '"%'`,
        {
          transaction,
          replacements: {
            from,
            kindFirst: `"kind": "node", "id": "${from}"`,
            kindFirstTo: `"kind": "node", "id": "${to}"`,
            idFirst: `"id": "${from}", "kind": "node"`,
            idFirstTo: `"id": "${to}", "kind": "node"`,
          },
        },
      );
};

export const up = async (migration: Migration): Promise<void> => {
  await migration.sequelize.query(TABLES, { transaction: migration.transaction });
  await renamed(migration);
};
