import {
  type RatingDue,
  RATING_DUE_DAYS,
  STOPPED_AFTER_DAYS,
  type Stands,
  type StoppedComing,
} from '../../../core/record/index.ts';
import { complaintName, type ComplaintKind, type Side } from '../../../core/words/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import { COUNTED, type Counted, STANDS_OF_CLIENTS, standsOf } from './stands.ts';

/** How many are listed at most. */
const MOST = 50;
/** Who has not come for longer than this is no longer listed. Our choice. */
const FORGET_DAYS = 365;
const daysBefore = (now: Date, days: number) => new Date(now.getTime() - days * 86_400_000);

export interface StandsWith {
  /** Of a technique or a routine. */
  id: string;
  clients: number;
  /** Null while they are too few to tell. */
  stands: Stands | null;
}

/** How the clients stand with whom each technique was worked, in any order. */
export const standsByTechnique = byPractice(async (practiceId: string): Promise<StandsWith[]> => {
  const rows = await database().query<{ id: string; clients: number } & Counted>(
    `with used as (
       select distinct technique as id, v.client_id from visits v join runs r on r.practice_id = v.practice_id and r.visit_id = v.id
       cross join lateral unnest(r.worked) technique where v.practice_id = :practiceId
     ), ${STANDS_OF_CLIENTS}
     select u.id, count(*)::int as clients, ${COUNTED} from used u left join told t on t.client_id = u.client_id group by u.id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id, clients, ...counted }) => ({ id, clients, stands: standsOf(counted) }));
});

/** Who came at least twice, not lately, and has nothing booked; the latest first. */
export const stoppedComing = byPractice(
  async (practiceId: string, now: Date): Promise<{ people: StoppedComing[]; total: number }> => {
    const rows = await database().query<Omit<StoppedComing, 'lastAt'> & { at: Date; total: number }>(
      `select c.id as "clientId", c.name as "clientName", l.visits::int as visits, l.at, count(*) over ()::int as total
       from (select client_id, count(*) as visits, max(starts_at) as at from visits
             where practice_id = :practiceId and stage = 'done' and starts_at <= :now group by client_id) l
       join clients c on c.practice_id = :practiceId and c.id = l.client_id
       where l.visits >= 2 and l.at < :since and l.at > :forget
         and not exists (select 1 from visits v where v.practice_id = :practiceId and v.client_id = l.client_id and v.starts_at > :now and v.stage not in ('cancelled', 'missed'))
       order by l.at desc, c.id limit ${MOST}`,
      {
        replacements: {
          practiceId,
          now,
          since: daysBefore(now, STOPPED_AFTER_DAYS),
          forget: daysBefore(now, FORGET_DAYS),
        },
        type: QueryTypes.SELECT,
      },
    );
    return {
      people: rows.map(({ at, total: _total, ...who }) => ({ ...who, lastAt: at.toISOString() })),
      total: rows[0]?.total ?? 0,
    };
  },
);

/** Open complaints of those who came lately that nobody has rated for long; never rated first, then the longest ago. */
export const ratingsDue = byPractice(
  async (practiceId: string, now: Date): Promise<{ due: RatingDue[]; total: number }> => {
    const rows = await database().query<{
      clientId: string;
      clientName: string;
      kind: ComplaintKind;
      label: string;
      side: Side;
      at: Date | null;
      total: number;
    }>(
      `select c.id as "clientId", c.name as "clientName", k.kind, k.label, k.side, s.last_at as at, count(*) over ()::int as total
       from (select distinct client_id from visits where practice_id = :practiceId and starts_at between :came and :now and stage not in ('cancelled', 'missed')) v
       join clients c on c.practice_id = :practiceId and c.id = v.client_id
       join complaints k on k.practice_id = :practiceId and k.client_id = c.id and not k.closed
       left join course_states s on s.complaint_id = k.id and s.practice_id = k.practice_id
       where s.last_at is null or s.last_at < :since
       order by s.last_at nulls first, c.name, k.position limit ${MOST}`,
      {
        replacements: {
          practiceId,
          now,
          came: daysBefore(now, STOPPED_AFTER_DAYS),
          since: daysBefore(now, RATING_DUE_DAYS),
        },
        type: QueryTypes.SELECT,
      },
    );
    return {
      due: rows.map(({ clientId, clientName, at, ...complaint }) => ({
        clientId,
        clientName,
        complaint: complaintName(complaint),
        ratedAt: at?.toISOString() ?? null,
      })),
      total: rows[0]?.total ?? 0,
    };
  },
);
