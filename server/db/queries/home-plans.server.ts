import type { KeptHomePlan } from '../../../core/record/index.ts';
import { techniquesWorked } from '../../../core/relief/index.ts';
import { emptyRoutine, stepsOf } from '../../../core/routine/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { ClientModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCoursesOf } from './courses.server.ts';
import { once } from './once.server.ts';

type Plan = Pick<KeptHomePlan, 'steps' | 'timesADay' | 'weekdays' | 'from' | 'until' | 'reviewOn' | 'shown'>;
/** As it lies in the database: its steps are a routine like any other, so that an older document is read as one. */
type StoredPlan = Omit<Plan, 'steps'> & { routine: unknown; words: Record<string, string> };

const stored = ({ steps, ...rest }: Plan): StoredPlan => ({
  ...rest,
  routine: { ...emptyRoutine('Home plan'), items: steps.map((s) => s.step) },
  words: Object.fromEntries(steps.map((s) => [s.step.id, s.words])),
});
const read = ({ routine, words, ...rest }: StoredPlan): Plan => ({
  ...rest,
  steps: stepsOf(storedRoutine(routine)!).map((step) => ({ step, words: words[step.id] ?? '' })),
});

/** Earlier plans that are shown. */
const PLANS_SHOWN = 12;

/** The plans of a client, the latest first; only the latest can be in force. */
export const homePlansOf = byPractice(async (practiceId: string, clientId: string): Promise<KeptHomePlan[]> => {
  if (!isUuid(clientId)) return [];
  const rows = await database().query<{
    id: string;
    number: number;
    plan: StoredPlan;
    by: string;
    made: Date;
    ended: Date | null;
    runs: string[];
  }>(
    `select p.id, p.number, p.plan, m.name as by, p.made_at as made, p.ended_at as ended,
       array(select r.ran_on::text from home_runs r where r.practice_id = p.practice_id and r.plan_id = p.id and r.counts order by r.ran_on) as runs
     from home_plans p join practitioners m on m.practice_id = p.practice_id and m.id = p.made_by
     where p.practice_id = :practiceId and p.client_id = :clientId order by p.number desc limit ${PLANS_SHOWN}`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id, number, plan, by, made, ended, runs }) => ({
    ...read(plan),
    id,
    number,
    by,
    madeAt: made.toISOString(),
    endedAt: ended?.toISOString() ?? null,
    runDays: runs,
  }));
});

const end = (practiceId: string, clientId: string, transaction: Transaction) =>
  database().query<{ id: string }>(
    'update home_plans set ended_at = now() where practice_id = :practiceId and client_id = :clientId and ended_at is null returning id',
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
  );

/** Keeps a plan, once for a key; the one before is ended by it and stays as it was. False where the client is not this practice’s. */
export const keepHomePlan = byPractice(
  async (who: Member, clientId: string, plan: Plan, key?: string): Promise<boolean> => {
    if (!isUuid(clientId)) return false;
    const { practiceId, practitionerId } = who;
    return database().transaction(async (transaction) => {
      // The lock of the client: two plans at once get two numbers, one after the other.
      const client = await ClientModel.findOne({
        where: { practiceId, id: clientId },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!client) return false;
      await once(practiceId, key, 'home-plan', transaction, async () => {
        await end(practiceId, clientId, transaction);
        const [row] = await database().query<{ id: string; number: number }>(
          `insert into home_plans (practice_id, client_id, number, plan, made_by, made_at)
           select :practiceId, :clientId, coalesce(max(number), 0) + 1, cast(:plan as jsonb), :practitionerId, now()
           from home_plans where practice_id = :practiceId and client_id = :clientId returning id, number`,
          {
            replacements: { practiceId, clientId, plan: JSON.stringify(stored(plan)), practitionerId },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        await writeAudit(who, 'home-plan-kept', { client: clientId, plan: row!.number }, transaction);
        return row!.id;
      });
      return true;
    });
  },
);

/** Ends the plan in force; false where there is none. */
export const endHomePlan = byPractice(async (who: Member, clientId: string): Promise<boolean> => {
  if (!isUuid(clientId)) return false;
  return database().transaction(async (transaction) => {
    const ended = await end(who.practiceId, clientId, transaction);
    if (!ended.length) return false;
    await writeAudit(who, 'home-plan-ended', { client: clientId }, transaction);
    return true;
  });
});

/** Runs of a plan, the first of them first. */
export const runsOfPlan = byPractice(
  async (practiceId: string, planId: string): Promise<{ day: string; at: string }[]> => {
    const rows = await database().query<{ day: string; at: Date }>(
      'select ran_on::text as day, ended_at as at from home_runs where practice_id = :practiceId and plan_id = :planId and counts order by ended_at',
      { replacements: { practiceId, planId }, type: QueryTypes.SELECT },
    );
    return rows.map((r) => ({ day: r.day, at: r.at.toISOString() }));
  },
);

/** What the client tells of one day, or what is ticked on paper: takes the place of what was told of it before. */
export const noteHomeRuns = byPractice(
  async (
    who: Member,
    clientId: string,
    { planId, day, times, by }: { planId: string; day: string; times: number; by: Date },
  ): Promise<'noted' | 'missing' | 'outside'> => {
    if (!isUuid(clientId) || !isUuid(planId)) return 'missing';
    const { practiceId, practitionerId } = who;
    return database().transaction(async (transaction) => {
      const [row] = await database().query<{ plan: StoredPlan }>(
        'select plan from home_plans where practice_id = :practiceId and client_id = :clientId and id = :planId for update',
        { replacements: { practiceId, clientId, planId }, type: QueryTypes.SELECT, transaction },
      );
      if (!row) return 'missing';
      if (day < row.plan.from || day > row.plan.until) return 'outside';
      await database().query(
        'delete from home_runs where practice_id = :practiceId and plan_id = :planId and ran_on = :day and told',
        { replacements: { practiceId, planId, day }, transaction },
      );
      // They stand a second apart, so that each is one.
      await database().query(
        `insert into home_runs (practice_id, client_id, plan_id, ran_on, ended_at, told, worked, written_by)
         select :practiceId, :clientId, :planId, :day, cast(:by as timestamptz) - i * interval '1 second', true, array(select jsonb_array_elements_text(cast(:worked as jsonb))), :practitionerId
         from generate_series(1, :times) i`,
        {
          replacements: {
            practiceId,
            clientId,
            planId,
            day,
            by,
            times,
            worked: JSON.stringify(techniquesWorked(storedRoutine(row.plan.routine)!, null)),
            practitionerId,
          },
          transaction,
        },
      );
      await writeAudit(who, 'home-runs-noted', { client: clientId, day, times }, transaction);
      await refreshCoursesOf(practiceId, clientId, transaction);
      return 'noted';
    });
  },
);
