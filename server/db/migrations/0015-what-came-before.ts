import { readStepRecords, type StepRecord } from '../../../core/guide/index.ts';
import { techniquesWorked } from '../../../core/relief/index.ts';
import { QueryTypes } from 'sequelize';
import type { Migration } from '../migrate.ts';
import { storedRoutine } from '../stored.ts';

/**
 * Which techniques a run worked and when it ended; what was done before easier days; how techniques of a practice scatter; what a
 * practitioner decided on seeing how a client fares, written once.
 */
const TABLES = `
alter table runs add column worked text[] not null default '{}', add column ended_at timestamptz;
update runs r set ended_at = coalesce((select to_timestamp(max(e.at_ms) / 1000) from run_events e where e.practice_id = r.practice_id and e.run_id = r.id), r.created_at) where r.status <> 'open';
alter table course_states add column preceded jsonb not null default '{"uses": 0, "variance": null, "rows": []}';
-- What belongs to no complaint, among thousands of ratings that do.
create index readings_measured on readings (practice_id, client_id, measure, place, side, taken_at) where complaint_id is null;
alter table practices add column effect_spread jsonb not null default '{"pairs": 0, "meanSquare": 0}';
create table decisions (
  practice_id uuid not null references practices on delete cascade, id uuid not null default gen_random_uuid(),
  client_id uuid not null references clients on delete cascade, proposed text not null, choice text not null, reason text not null,
  decided_by uuid not null references practitioners, decided_at timestamptz not null, primary key (practice_id, id)
);
create index decisions_of on decisions (practice_id, client_id, decided_at desc);
alter table decisions enable row level security;
create policy own_practice on decisions using (practice_id = current_practice()) with check (practice_id = current_practice());
grant select, insert on decisions to velvet_app;
`;

const AT_ONCE = 200;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(TABLES, { transaction });
  for (let after = '00000000-0000-0000-0000-000000000000'; ;) {
    const runs = await sequelize.query<{ id: string; routine: unknown; steps: StepRecord[] }>(
      `select id, routine, steps from runs where steps is not null and id > :after order by id limit ${AT_ONCE}`,
      { replacements: { after }, type: QueryTypes.SELECT, transaction },
    );
    for (const { id, routine, steps } of runs)
      await sequelize.query(
        'update runs set worked = array(select jsonb_array_elements_text(cast(:worked as jsonb))) where id = :id',
        {
          replacements: {
            id,
            worked: JSON.stringify(techniquesWorked(storedRoutine(routine)!, readStepRecords(steps))),
          },
          transaction,
        },
      );
    if (runs.length < AT_ONCE) return;
    after = runs[runs.length - 1]!.id;
  }
};
