import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCoursesOf } from './courses.server.ts';

/** How long a practice keeps what is old; null where it said nothing. */
export interface Retention {
  visitsYears: number | null;
  photosMonths: number | null;
}
export const retentionOf = byPractice(async (practiceId: string): Promise<Retention> => {
  const [row] = await database().query<Retention>(
    'select keep_visits_years as "visitsYears", keep_photos_months as "photosMonths" from practices where id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return row!;
});
export const setRetention = byPractice(async (who: Member, { visitsYears, photosMonths }: Retention): Promise<void> => {
  const { practiceId } = who;
  await database().transaction(async (transaction) => {
    await database().query(
      'update practices set keep_visits_years = :visitsYears, keep_photos_months = :photosMonths where id = :practiceId',
      { replacements: { practiceId, visitsYears, photosMonths }, transaction },
    );
    await writeAudit(who, 'retention-set', {}, transaction);
  });
});

/** What is older than it is kept, of one client. */
export interface OldOfClient {
  clientId: string;
  name: string;
  visits: number;
  photos: number;
  /** ISO 8601, of the oldest. */
  oldestAt: string;
  /** Nothing newer is there: the whole record may be let go instead. */
  isAll: boolean;
}
/** A day this many years and months ago, as the database counts; open visits and those ahead are never old. */
const VISITS_BEFORE = `now() - make_interval(years => p.keep_visits_years)`;
const PHOTOS_BEFORE = `now() - make_interval(months => p.keep_photos_months)`;

/** Everybody of whom something is older than the practice keeps it, the oldest first. */
export const whatIsOld = byPractice(async (practiceId: string): Promise<OldOfClient[]> => {
  const rows = await database().query<Omit<OldOfClient, 'oldestAt'> & { oldest: Date }>(
    `select c.id as "clientId", c.name, v.n as visits, f.n as photos, least(v.oldest, f.oldest) as oldest, v.n > 0 and v.newer = 0 as "isAll"
     from practices p join clients c on c.practice_id = p.id
       cross join lateral (select count(*) filter (where starts_at < ${VISITS_BEFORE})::int as n, min(starts_at) filter (where starts_at < ${VISITS_BEFORE}) as oldest,
         count(*) filter (where starts_at >= ${VISITS_BEFORE})::int as newer from visits where practice_id = p.id and client_id = c.id) v
       cross join lateral (select count(*) filter (where taken_at < ${PHOTOS_BEFORE})::int as n, min(taken_at) filter (where taken_at < ${PHOTOS_BEFORE}) as oldest
         from photos where practice_id = p.id and client_id = c.id) f
     where p.id = :practiceId and (v.n > 0 or f.n > 0) order by oldest, c.id limit 500`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ oldest, ...r }) => ({ ...r, oldestAt: oldest.toISOString() }));
});

/** Erases of somebody what is older than the practice keeps it, now, whatever a list said before. */
export const eraseOld = byPractice(
  async (who: Member, clientId: string, what: 'visits' | 'photos'): Promise<number> => {
    const { practiceId } = who;
    if (!isUuid(clientId)) return 0;
    return database().transaction(async (transaction) => {
      const ask = { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction } as const;
      const [row] =
        what === 'visits'
          ? await database().query<{ n: number }>(
              `select erase_visits_before(:clientId, ${VISITS_BEFORE}) as n from practices p where p.id = :practiceId and p.keep_visits_years is not null`,
              ask,
            )
          : await database().query<{ n: number }>(
              `with gone as (delete from photos f using practices p where p.id = :practiceId and f.practice_id = p.id and f.client_id = :clientId and f.taken_at < ${PHOTOS_BEFORE} returning f.id)
               select count(*)::int as n from gone`,
              ask,
            );
      const n = row?.n ?? 0;
      if (!n) return 0;
      if (what === 'visits') await refreshCoursesOf(practiceId, clientId, transaction);
      await writeAudit(who, `old-${what}-erased`, { client: clientId, [what]: n }, transaction);
      return n;
    });
  },
);
