import { type FeltLengths, type Learned, learnedFrom } from '../../../core/guide/index.ts';
import { QueryTypes } from 'sequelize';
import type { Felt, HomeLook, HomeRunTold } from '../../../core/record/index.ts';
import { FELT_TO_TELL, HOME_SILENT_DAYS } from '../../../core/schedule/index.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';

/** So long a thing from home is told on Today, or until the next visit. Our choice. */
const TOLD_DAYS = 7;

/** Plans that nobody does any more, and what was felt more than once. */
export const homeLooks = byPractice(
  async (practiceId: string, today: string, now: Date, limit: number): Promise<HomeLook[]> => {
    const replacements = {
      practiceId,
      today,
      since: new Date(now.getTime() - TOLD_DAYS * 86_400_000),
      now,
      silentDays: HOME_SILENT_DAYS,
      felt: [...FELT_TO_TELL],
      limit,
    };
    const ask = <T extends object>(sql: string) =>
      database().query<T & { clientId: string; clientName: string }>(sql, { replacements, type: QueryTypes.SELECT });
    const who = 'c.id as "clientId", c.name as "clientName"';
    // A visit since then: it was, or could have been, talked about.
    const unseen = (at: string) =>
      `not exists (select 1 from visits v where v.practice_id = c.practice_id and v.client_id = c.id and v.stage not in ('cancelled', 'missed') and v.starts_at > ${at} and v.starts_at <= :now)`;
    const [silent, felt] = await Promise.all([
      ask<{ days: number }>(
        `select ${who}, (cast(:today as date) - s.last)::int as days from home_plans p
         join clients c on c.practice_id = p.practice_id and c.id = p.client_id
         cross join lateral (select coalesce(max(r.ran_on), (p.plan->>'from')::date - 1) as last from home_runs r where r.practice_id = p.practice_id and r.plan_id = p.id) s
         where p.practice_id = :practiceId and p.ended_at is null and p.plan->>'until' >= :today and cast(:today as date) - s.last > :silentDays
         order by days desc, c.name limit :limit`,
      ),
      ask<{ felt: Felt; times: number }>(
        `select ${who}, f.felt, count(*)::int as times from home_after a cross join lateral unnest(a.felt) as f(felt)
         join clients c on c.practice_id = a.practice_id and c.id = a.client_id
         where a.practice_id = :practiceId and a.at >= :since and f.felt in (:felt) and ${unseen('a.at')}
         group by c.id, c.name, f.felt having count(*) > 1 order by count(*) desc, c.name limit :limit`,
      ),
    ]);
    return [
      ...felt.map((f) => ({ ...f, kind: 'felt' as const })),
      ...silent.map((s) => ({ ...s, kind: 'silent' as const })),
    ];
  },
);

const LATEST_TOLD = 30;

/** The latest runs of a client at home that have anything to tell but that they were. */
export const homeRunsTold = byPractice(async (practiceId: string, clientId: string): Promise<HomeRunTold[]> => {
  if (!isUuid(clientId)) return [];
  const rows = await database().query<Omit<HomeRunTold, 'at'> & { at: Date }>(
    `select r.id, r.ended_at as at, r.counts, r.stopped, r.before_value as before, a.value as after, coalesce(a.felt, '{}') as felt, coalesce(a.note, '') as note
     from home_runs r left join lateral (select value, felt, note from home_after where practice_id = r.practice_id and run_id = r.id order by at desc limit 1) a on true
     where r.practice_id = :practiceId and r.client_id = :clientId and (r.stopped is not null or r.before_value is not null or a.felt is not null)
     order by r.ended_at desc limit ${LATEST_TOLD}`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
});

/** A client's latest runs, of which the next ones are estimated. Our choice. */
const LATEST_LENGTHS = 40;

/** What a client's own runs at home tell of how long things take them. */
export const learnedAtHome = byPractice(async (practiceId: string, clientId: string): Promise<Learned> => {
  if (!isUuid(clientId)) return learnedFrom([]);
  const rows = await database().query<{ lengths: FeltLengths }>(
    `select lengths from home_runs where practice_id = :practiceId and client_id = :clientId and lengths is not null order by ended_at desc limit ${LATEST_LENGTHS}`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return learnedFrom(rows.map((r) => r.lengths));
});
