import type { StepRecord } from '../../../core/guide/index.ts';
import type { HandStrength } from '../../../core/proposal/index.ts';
import type { Routine } from '../../../core/routine/index.ts';
import type { ComplaintKind } from '../../../core/words/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { StandsWith } from './across.server.ts';
import { COUNTED, type Counted, standsOf } from './stands.ts';

/** What somebody did within a span. */
export interface WorkDone {
  id: string;
  name: string;
  /** Visits that were finished. */
  visits: number;
  /** Of these, as booked. */
  bookedMinutes: number;
  /** Of these, from the first step of the guide to the last. */
  workedMinutes: number;
  /** Booked, and nobody came. */
  missed: number;
  cancelled: number;
}
export const workDone = byPractice((practiceId: string, from: Date, to: Date): Promise<WorkDone[]> =>
  database().query<WorkDone>(
    `select p.id, p.name, count(*) filter (where v.stage = 'done')::int as visits,
     coalesce(sum(v.booked_minutes) filter (where v.stage = 'done'), 0)::int as "bookedMinutes",
     coalesce(round(sum(w.seconds) filter (where v.stage = 'done') / 60), 0)::int as "workedMinutes",
     count(*) filter (where v.stage = 'missed')::int as missed, count(*) filter (where v.stage = 'cancelled')::int as cancelled
     from visits v join practitioners p on p.practice_id = v.practice_id and p.id = v.practitioner_id
     left join lateral (select sum((s->>'doneSeconds')::float8) as seconds from runs r cross join lateral jsonb_array_elements(r.steps) s
       where r.practice_id = v.practice_id and r.visit_id = v.id and r.steps is not null) w on true
     where v.practice_id = :practiceId and v.starts_at >= :from and v.starts_at < :to group by p.id, p.name order by lower(p.name), p.id`,
    { replacements: { practiceId, from, to }, type: QueryTypes.SELECT },
  ),
);

/** How clients stand with a complaint of each kind: told from five clients up. */
export const standsByComplaint = byPractice(
  async (practiceId: string): Promise<(StandsWith & { id: ComplaintKind })[]> => {
    const rows = await database().query<{ id: ComplaintKind; clients: number } & Counted>(
      `with used as (select distinct kind as id, client_id from complaints where practice_id = :practiceId and not closed),
       told as (select k.kind, s.client_id, bool_or(s.verdict = 'worse') as worse, bool_or(s.verdict = 'better') as better,
         bool_or(s.verdict in ('about-same', 'low-steady')) as same
         from course_states s join complaints k on k.id = s.complaint_id and k.practice_id = s.practice_id and not k.closed
         where s.practice_id = :practiceId and s.verdict not in ('no-readings', 'before-work', 'too-early') group by 1, 2)
       select u.id, count(*)::int as clients, ${COUNTED} from used u left join told t on t.client_id = u.client_id and t.kind = u.id group by u.id order by u.id`,
      { replacements: { practiceId }, type: QueryTypes.SELECT },
    );
    return rows.map(({ id, clients, ...counted }) => ({ id, clients, stands: standsOf(counted) }));
  },
);

/** A run of somebody within a span, with how strong they are. */
export interface RunOfHands {
  practitionerId: string;
  strength: HandStrength;
  beganAt: string;
  routine: Routine;
  steps: StepRecord[];
}
/** So many runs are looked at, the latest of a span. */
export const MOST_RUNS = 5000;
export const runsOfHands = byPractice(async (practiceId: string, from: Date, to: Date): Promise<RunOfHands[]> => {
  const rows = await database().query<Omit<RunOfHands, 'beganAt' | 'routine'> & { at: Date; routine: unknown }>(
    `select v.practitioner_id as "practitionerId", p.hand_strength as strength, r.created_at as at, r.routine, r.steps
     from runs r join visits v on v.practice_id = r.practice_id and v.id = r.visit_id
     join practitioners p on p.practice_id = v.practice_id and p.id = v.practitioner_id
     where r.practice_id = :practiceId and r.steps is not null and r.created_at >= :from and r.created_at < :to
     order by r.created_at desc limit ${MOST_RUNS}`,
    { replacements: { practiceId, from, to }, type: QueryTypes.SELECT },
  );
  return rows.map(({ at, routine, ...r }) => ({ ...r, beganAt: at.toISOString(), routine: storedRoutine(routine)! }));
});
