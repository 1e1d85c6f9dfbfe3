import { QueryTypes } from 'sequelize';
import type { CsvClient, CsvReading, CsvRunStep } from '../../../core/exchange/index.ts';
import { byPractice } from '../scope.ts';
import { database } from '../connection.ts';

/** Rows that are read, and go out, at once: whatever lies in a practice, no more of it is held. */
const PAGE = 2000;
/** Behind which row a page begins. */
interface After {
  at: string;
  id: string;
}
type Paged<Row> = Row & { _at: string; _id: string };

/** All rows of a question, page by page, each beginning behind the last row of the one before. */
async function* pages<Row extends object>(
  practiceId: string,
  ask: (practiceId: string, after: After | null) => Promise<Paged<Row>[]>,
): AsyncGenerator<Row[]> {
  let after: After | null = null;
  for (;;) {
    const rows = await ask(practiceId, after);
    const last = rows.at(-1);
    if (!last) return;
    after = { at: last._at, id: last._id };
    yield rows.map(({ _at, _id, ...row }) => row as unknown as Row);
  }
}

const UTC = (column: string) => `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
const EXACT = (column: string) => `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US')`;
const BEHIND = (at: string, id: string) =>
  `(cast(:at as text) is null or (${at}, ${id}) > (cast(:at as timestamp) at time zone 'UTC', cast(:id as uuid)))`;

const readingsAfter = byPractice(async (practiceId: string, after: After | null) =>
  database().query<Paged<CsvReading>>(
    `select r.id, r.client_id, c.name as client, r.complaint_id, coalesce(nullif(k.label, ''), k.kind, '') as complaint, r.measure, r.place, r.side, r.phase,
       r.value::float8 as value, r.source, ${UTC('r.taken_at')} as taken_at, r.visit_id, ${EXACT('r.taken_at')} as _at, r.id as _id
     from readings r join clients c on c.practice_id = r.practice_id and c.id = r.client_id left join complaints k on k.practice_id = r.practice_id and k.id = r.complaint_id
     where r.practice_id = :practiceId and ${BEHIND('r.taken_at', 'r.id')} order by r.taken_at, r.id limit ${PAGE}`,
    { replacements: { practiceId, at: after?.at ?? null, id: after?.id ?? null }, type: QueryTypes.SELECT },
  ),
);
export const allReadings = (practiceId: string) => pages<CsvReading>(practiceId, readingsAfter);

const clientsAfter = byPractice(async (practiceId: string, after: After | null) =>
  database().query<Paged<CsvClient>>(
    `with page as (select * from clients c where c.practice_id = :practiceId and ${BEHIND('c.created_at', 'c.id')} order by c.created_at, c.id limit ${PAGE})
     select c.id as client_id, c.name, c.about, c.email, c.note, coalesce((select string_agg(a, ', ') from jsonb_array_elements_text(c.allergies) a), '') as allergies,
       k.id as complaint_id, k.kind as complaint, k.side, coalesce(k.label, '') as called, coalesce(k.onset, '') as since, coalesce(k.triggers, '') as set_off_by, coalesce(k.goal, '') as goal,
       ${EXACT('c.created_at')} as _at, c.id as _id
     from page c left join complaints k on k.practice_id = c.practice_id and k.client_id = c.id and not k.closed order by c.created_at, c.id, k.position`,
    { replacements: { practiceId, at: after?.at ?? null, id: after?.id ?? null }, type: QueryTypes.SELECT },
  ),
);
export const allClients = (practiceId: string) => pages<CsvClient>(practiceId, clientsAfter);

const runStepsAfter = byPractice(async (practiceId: string, after: After | null) =>
  database().query<Paged<CsvRunStep>>(
    `with page as (select * from runs r where r.practice_id = :practiceId and r.steps is not null and ${BEHIND('r.created_at', 'r.id')} order by r.created_at, r.id limit ${PAGE / 10})
     select r.id as run_id, r.visit_id, v.client_id, c.name as client, ${UTC('r.created_at')} as began_at, s.n::int as step, coalesce(jsonb_path_query_first(r.routine, '$.** ? (@.id == $id).technique', jsonb_build_object('id', s.step->'stepId')) #>> '{}', '') as technique,
       coalesce(s.step->>'outcome', case when (s.step->>'doneSeconds')::float8 = 0 then 'skipped' when (s.step->>'doneSeconds')::float8 < (s.step->>'plannedSeconds')::float8 then 'part' else 'done' end) as outcome,
       (s.step->>'plannedSeconds')::float8 as planned_seconds, (s.step->>'doneSeconds')::float8 as done_seconds, ${EXACT('r.created_at')} as _at, r.id as _id
     from page r join visits v on v.practice_id = r.practice_id and v.id = r.visit_id join clients c on c.practice_id = v.practice_id and c.id = v.client_id
     cross join lateral jsonb_array_elements(r.steps) with ordinality s(step, n) order by r.created_at, r.id, s.n`,
    { replacements: { practiceId, at: after?.at ?? null, id: after?.id ?? null }, type: QueryTypes.SELECT },
  ),
);
export const allRunSteps = (practiceId: string) => pages<CsvRunStep>(practiceId, runStepsAfter);
