import type { MeasureKey } from '../../../core/measures/index.ts';
import {
  COURSE_RULE_VERSION,
  type CourseOf,
  courseState,
  FORGET_AFTER_DAYS,
  type RatedAt,
  SILENT_AFTER_DAYS,
} from '../../../core/relief/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';

const RATED: MeasureKey = 'nrs-now';

/** Works out how a complaint's ratings stand, in the transaction that wrote one of them. */
export async function refreshCourse(
  practiceId: string,
  clientId: string,
  complaintId: string,
  transaction: Transaction,
): Promise<void> {
  const rows = await database().query<{ value: number; at: Date; source: RatedAt['source'] }>(
    `select value::float8 as value, taken_at as at, source from readings where practice_id = :practiceId and complaint_id = :complaintId and measure = :measure and phase <> 'after' order by taken_at, id`,
    { replacements: { practiceId, complaintId, measure: RATED }, type: QueryTypes.SELECT, transaction },
  );
  const s = courseState(rows.map((r) => ({ value: r.value, atMs: r.at.getTime(), source: r.source })));
  await database().query(
    `insert into course_states (complaint_id, practice_id, client_id, rule_version, verdict, advice, baseline, current, days, ratings, recent, last_at, last_home_at)
     values (:complaintId, :practiceId, :clientId, :rule, :verdict, :advice, :baseline, :current, :days, :ratings, :recent, :lastAt, :lastHomeAt)
     on conflict (complaint_id) do update set rule_version = excluded.rule_version, verdict = excluded.verdict, advice = excluded.advice, baseline = excluded.baseline, current = excluded.current,
       days = excluded.days, ratings = excluded.ratings, recent = excluded.recent, last_at = excluded.last_at, last_home_at = excluded.last_home_at`,
    {
      replacements: {
        ...s,
        practiceId,
        clientId,
        complaintId,
        rule: COURSE_RULE_VERSION,
        recent: JSON.stringify(s.recent),
        lastAt: s.lastAtMs === null ? null : new Date(s.lastAtMs),
        lastHomeAt: s.lastHomeAtMs === null ? null : new Date(s.lastHomeAtMs),
      },
      transaction,
    },
  );
}

/** Complaints rated under an older rule, or before their state was kept; a few hundred at a time. */
export const refreshOutdatedCourses = byPractice(async (practiceId: string): Promise<number> => {
  let done = 0;
  for (;;) {
    const rows = await database().query<{ id: string; client: string }>(
      `select k.id, k.client_id as client from complaints k left join course_states s on s.complaint_id = k.id
       where k.practice_id = :practiceId and s.rule_version is distinct from :rule and exists (select 1 from readings r where r.practice_id = k.practice_id and r.complaint_id = k.id) limit 200`,
      { replacements: { practiceId, rule: COURSE_RULE_VERSION }, type: QueryTypes.SELECT },
    );
    if (!rows.length) return done;
    await database().transaction(async (transaction) => {
      for (const { id, client } of rows) await refreshCourse(practiceId, client, id, transaction);
    });
    done += rows.length;
  }
});

const COLUMNS = `s.client_id as "clientId", c.name as "clientName", s.complaint_id as "complaintId", k.kind, k.label, k.side, s.verdict, s.advice, s.baseline, s.current, s.days, s.ratings, s.recent,
  (extract(epoch from s.last_at) * 1000)::float8 as "lastAtMs", (extract(epoch from s.last_home_at) * 1000)::float8 as "lastHomeAtMs"`;
const FROM = `course_states s join complaints k on k.id = s.complaint_id and k.practice_id = s.practice_id and not k.closed join clients c on c.id = s.client_id and c.practice_id = s.practice_id`;

/** Courses of some clients, each in the order of their complaints. */
export const storedCourses = byPractice(
  async (practiceId: string, clientIds: readonly string[]): Promise<CourseOf[]> => {
    const ids = clientIds.filter(isUuid);
    if (!ids.length) return [];
    return database().query<CourseOf>(
      `select ${COLUMNS} from ${FROM} where s.practice_id = :practiceId and s.client_id in (:ids) and s.ratings > 0 order by k.position`,
      { replacements: { practiceId, ids }, type: QueryTypes.SELECT },
    );
  },
);

/** Courses that may need a look now, worse first and the latest first, at most so many; and how many there are. */
export const coursesToLookAt = byPractice(
  async (practiceId: string, now: Date, limit: number): Promise<{ courses: CourseOf[]; total: number }> => {
    const days = (n: number) => new Date(now.getTime() - n * 86_400_000);
    const rows = await database().query<CourseOf & { total: number }>(
      `select ${COLUMNS}, count(*) over ()::int as total from ${FROM}
     where s.practice_id = :practiceId and s.last_at >= :since and (s.verdict = 'worse' or (s.verdict = 'no-clear-change' and s.advice = 'review') or s.last_home_at <= :silentSince)
     order by s.verdict = 'worse' desc, s.verdict = 'no-clear-change' desc, s.last_at desc, s.complaint_id limit :limit`,
      {
        replacements: { practiceId, since: days(FORGET_AFTER_DAYS), silentSince: days(SILENT_AFTER_DAYS), limit },
        type: QueryTypes.SELECT,
      },
    );
    return { courses: rows.map(({ total: _total, ...course }) => course), total: rows[0]?.total ?? 0 };
  },
);
