import type { MeasureKey } from '../../../core/measures/index.ts';
import { readStepRecords, type StepRecord } from '../../../core/guide/index.ts';
import {
  COURSE_RULE_VERSION,
  type CourseFacts,
  type CourseOf,
  courseState,
  type DrawnOfCourse,
  type EffectSpread,
  FORGET_AFTER_DAYS,
  helpedBy,
  type HelpedBefore,
  type Preceded,
  type RatedAt,
  SILENT_AFTER_DAYS,
  workedOn,
} from '../../../core/relief/index.ts';
import type { ComplaintKind } from '../../../core/words/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import { catalogueOf } from './techniques.server.ts';

const RATED: MeasureKey = 'nrs-now';

/** How a practice judges, beside the ratings themselves. */
async function factsOf(
  practiceId: string,
  clientId: string,
  complaintId: string,
  transaction: Transaction,
): Promise<CourseFacts> {
  const [row] = await database().query<{ began: Date | null; kind: ComplaintKind; days: number; red: boolean }>(
    `select k.work_began_at as began, k.kind, p.review_days as days,
       exists (select 1 from visits v where v.practice_id = k.practice_id and v.client_id = k.client_id and v.stage = 'stopped' and v.referral->>'outcome' is null) as red
     from complaints k join practices p on p.id = k.practice_id where k.practice_id = :practiceId and k.id = :complaintId`,
    { replacements: { practiceId, complaintId }, type: QueryTypes.SELECT, transaction },
  );
  if (!row) return { workStartMs: null };
  let began = row.began;
  if (!began) {
    began = await workBegan(practiceId, clientId, row.kind, transaction);
    if (began)
      await database().query(
        'update complaints set work_began_at = :began where practice_id = :practiceId and id = :complaintId',
        { replacements: { began, practiceId, complaintId }, transaction },
      );
  }
  return { workStartMs: began?.getTime() ?? null, redFlag: row.red, reviewDays: row.days };
}

/** Visits that are looked through at once for the first that worked on a complaint. */
const AT_ONCE = 20;

/** End of the first run that worked on a kind of complaint, or of a finished visit whose routine does and that has no run. */
async function workBegan(
  practiceId: string,
  clientId: string,
  kind: ComplaintKind,
  transaction: Transaction,
): Promise<Date | null> {
  const catalogue = await catalogueOf(practiceId, transaction);
  for (let offset = 0; ; offset += AT_ONCE) {
    const visits = await database().query<{ routine: unknown; steps: StepRecord[] | null; ended: Date }>(
      `select coalesce(r.routine, v.routine) as routine, r.steps,
         coalesce(r.ended_at, v.ended_at, v.starts_at) as ended
       from visits v left join runs r on r.practice_id = v.practice_id and r.visit_id = v.id and r.status <> 'open'
       where v.practice_id = :practiceId and v.client_id = :clientId and (r.id is not null or v.stage = 'done') and coalesce(r.routine, v.routine) is not null
       order by v.starts_at, r.created_at limit ${AT_ONCE} offset :offset`,
      { replacements: { practiceId, clientId, offset }, type: QueryTypes.SELECT, transaction },
    );
    const first = visits.find((v) =>
      workedOn(kind, storedRoutine(v.routine)!, v.steps && readStepRecords(v.steps), catalogue),
    );
    if (first) return first.ended;
    if (visits.length < AT_ONCE) return null;
  }
}

/** So many runs back it is looked what came before easier days. Our choice. */
const LATEST_RUNS = 1000;

/** Works out how a complaint's ratings stand, in the transaction that wrote one of them or changed what is known beside. */
export async function refreshCourse(
  practiceId: string,
  clientId: string,
  complaintId: string,
  transaction: Transaction,
): Promise<void> {
  const rows = await database().query<{ value: number; at: Date; source: RatedAt['source']; after: boolean }>(
    `select value::float8 as value, taken_at as at, source, phase = 'after' as after from readings where practice_id = :practiceId and complaint_id = :complaintId and measure = :measure order by taken_at, id`,
    { replacements: { practiceId, complaintId, measure: RATED }, type: QueryTypes.SELECT, transaction },
  );
  const told = (isAfter: boolean) =>
    rows.filter((r) => r.after === isAfter).map((r) => ({ value: r.value, atMs: r.at.getTime(), source: r.source }));
  const facts = await factsOf(practiceId, clientId, complaintId, transaction);
  const runs = await database().query<{ at: Date; worked: string[] }>(
    `(select r.ended_at as at, r.worked from visits v join runs r on r.practice_id = v.practice_id and r.visit_id = v.id
       where v.practice_id = :practiceId and v.client_id = :clientId and r.ended_at is not null)
     union all (select ended_at as at, worked from home_runs where practice_id = :practiceId and client_id = :clientId)
     order by at desc limit ${LATEST_RUNS}`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
  );
  const s = courseState(
    told(false),
    facts,
    runs.map(({ at, worked }) => ({ atMs: at.getTime(), techniques: worked })),
    told(true),
  );
  await database().query(
    `insert into course_states (complaint_id, practice_id, client_id, rule_version, verdict, advice, judgement, drawn, preceded, ratings, recent, last_at, last_home_at)
     values (:complaintId, :practiceId, :clientId, :rule, :verdict, :advice, :judgement, :drawn, :preceded, :ratings, :recent, :lastAt, :lastHomeAt)
     on conflict (practice_id, complaint_id) do update set rule_version = excluded.rule_version, verdict = excluded.verdict, advice = excluded.advice, judgement = excluded.judgement, drawn = excluded.drawn, preceded = excluded.preceded,
       ratings = excluded.ratings, recent = excluded.recent, last_at = excluded.last_at, last_home_at = excluded.last_home_at`,
    {
      replacements: {
        practiceId,
        clientId,
        complaintId,
        rule: COURSE_RULE_VERSION,
        verdict: s.judgement.verdict,
        advice: s.judgement.advice,
        judgement: JSON.stringify(s.judgement),
        drawn: JSON.stringify(s.drawn),
        preceded: JSON.stringify(s.preceded),
        ratings: s.ratings,
        recent: JSON.stringify(s.recent),
        lastAt: s.lastAtMs === null ? null : new Date(s.lastAtMs),
        lastHomeAt: s.lastHomeAtMs === null ? null : new Date(s.lastHomeAtMs),
      },
      transaction,
    },
  );
}

/** A complaint is of another kind now: when the work on it began is looked for anew. */
export async function workAnew(
  practiceId: string,
  clientId: string,
  complaintId: string,
  transaction: Transaction,
): Promise<void> {
  await database().query(
    'update complaints set work_began_at = null where practice_id = :practiceId and id = :complaintId',
    { replacements: { practiceId, complaintId }, transaction },
  );
  await refreshCourse(practiceId, clientId, complaintId, transaction);
}

/** All rated complaints of a client: after a run, and where a red flag stopped a visit or its outcome is known. */
export async function refreshCoursesOf(practiceId: string, clientId: string, transaction: Transaction): Promise<void> {
  const rows = await database().query<{ id: string }>(
    'select complaint_id as id from course_states where practice_id = :practiceId and client_id = :clientId order by complaint_id',
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
  );
  for (const { id } of rows) await refreshCourse(practiceId, clientId, id, transaction);
}

/** The practice judges otherwise from now on: what is kept no longer holds, and is worked out anew by the upkeep. */
export const outdateCourses = (practiceId: string, transaction: Transaction): Promise<unknown> =>
  database().query('update course_states set rule_version = 0 where practice_id = :practiceId', {
    replacements: { practiceId },
    transaction,
  });

/** Complaints rated under an older rule, or before their state was kept; some at a time. */
export const refreshOutdatedCourses = byPractice(
  async (practiceId: string, judged: (done: number) => void = () => {}): Promise<number> => {
    let done = 0;
    for (;;) {
      const rows = await database().query<{ id: string; client: string }>(
        `select k.id, k.client_id as client from complaints k left join course_states s on s.complaint_id = k.id
       where k.practice_id = :practiceId and s.rule_version is distinct from :rule and exists (select 1 from readings r where r.practice_id = k.practice_id and r.complaint_id = k.id) limit 50`,
        { replacements: { practiceId, rule: COURSE_RULE_VERSION }, type: QueryTypes.SELECT },
      );
      if (!rows.length) return done;
      await database().transaction(async (transaction) => {
        for (const { id, client } of rows) await refreshCourse(practiceId, client, id, transaction);
      });
      done += rows.length;
      judged(done);
    }
  },
);

const COLUMNS = `s.client_id as "clientId", c.name as "clientName", s.complaint_id as "complaintId", k.kind, k.label, k.side, (extract(epoch from k.work_began_at) * 1000)::float8 as "workBeganMs",
  (select (extract(epoch from max(d.decided_at)) * 1000)::float8 from decisions d where d.practice_id = s.practice_id and d.client_id = s.client_id) as "decidedMs", s.judgement, s.ratings, s.recent,
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

interface BesideCourse {
  drawn: DrawnOfCourse;
  preceded: Preceded;
}
/** What is drawn of the courses of one client, and what came before easier days, by complaint. */
export const drawnCourses = byPractice(
  async (practiceId: string, clientId: string): Promise<Map<string, BesideCourse>> => {
    if (!isUuid(clientId)) return new Map();
    const rows = await database().query<BesideCourse & { id: string }>(
      'select complaint_id as id, drawn, preceded from course_states where practice_id = :practiceId and client_id = :clientId',
      { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
    );
    return new Map(rows.map(({ id, ...beside }) => [id, beside]));
  },
);

/** How techniques scatter over the clients of a practice; learned by the upkeep. */
export const effectSpreadOf = byPractice(async (practiceId: string): Promise<EffectSpread> => {
  const [row] = await database().query<{ spread: EffectSpread }>(
    'select effect_spread as spread from practices where id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return row!.spread;
});

/** What came before easier days, of each complaint of a client, as a proposal takes it. */
export const helpedBefore = byPractice(async (practiceId: string, clientId: string): Promise<HelpedBefore[]> => {
  const [courses, spread] = await Promise.all([drawnCourses(practiceId, clientId), effectSpreadOf(practiceId)]);
  return [...courses].map(([complaintId, { preceded }]) => ({ complaintId, techniques: helpedBy(preceded, spread) }));
});

/** Courses that may need a look now, the most pressing first and the latest first, at most so many; and how many there are. */
export const coursesToLookAt = byPractice(
  async (practiceId: string, now: Date, limit: number): Promise<{ courses: CourseOf[]; total: number }> => {
    const days = (n: number) => new Date(now.getTime() - n * 86_400_000);
    const rows = await database().query<CourseOf & { total: number }>(
      `select ${COLUMNS}, count(*) over ()::int as total from ${FROM}
     where s.practice_id = :practiceId and s.last_at >= :since and (s.last_home_at <= :silentSince or s.advice = 'refer'
         or s.advice <> 'go-on' and not exists (select 1 from decisions d where d.practice_id = s.practice_id and d.client_id = s.client_id and d.decided_at >= s.last_at))
     order by s.advice = 'refer' desc, s.verdict = 'worse' desc, s.advice = 'review' desc, s.advice = 'adjust' desc, s.last_at desc, s.complaint_id limit :limit`,
      {
        replacements: { practiceId, since: days(FORGET_AFTER_DAYS), silentSince: days(SILENT_AFTER_DAYS), limit },
        type: QueryTypes.SELECT,
      },
    );
    return { courses: rows.map(({ total: _total, ...course }) => course), total: rows[0]?.total ?? 0 };
  },
);
