import { type Stands, STANDS_FROM_CLIENTS } from '../../../core/record/index.ts';

/** How each client of a practice stands, as `told`: one part of a query that groups clients by what was done with them. */
export const STANDS_OF_CLIENTS = `told as (
  select s.client_id, bool_or(s.verdict = 'worse') as worse, bool_or(s.verdict = 'better') as better, bool_or(s.verdict in ('about-same', 'low-steady')) as same
  from course_states s join complaints k on k.id = s.complaint_id and k.practice_id = s.practice_id and not k.closed
  where s.practice_id = :practiceId and s.verdict not in ('no-readings', 'before-work', 'too-early') group by 1
)`;
/** Counts over `told t`. */
export const COUNTED = `count(t.client_id)::int as told,
  count(*) filter (where t.worse)::int as worse, count(*) filter (where t.better and not t.worse)::int as better,
  count(*) filter (where t.same and not t.better and not t.worse)::int as same`;
export interface Counted {
  told: number;
  better: number;
  worse: number;
  same: number;
}
/** Null while they are too few to tell. */
export const standsOf = ({ told, ...counts }: Counted): Stands | null =>
  told < STANDS_FROM_CLIENTS ? null : { of: told, ...counts };
