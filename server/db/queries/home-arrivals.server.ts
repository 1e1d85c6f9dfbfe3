import { QueryTypes, type Transaction } from 'sequelize';
import { lengthsOf, runRecord } from '../../../core/guide/index.ts';
import type { HomeFlag } from '../../../core/record/index.ts';
import { techniquesWorked } from '../../../core/relief/index.ts';
import { expandRoutine, type Routine } from '../../../core/routine/index.ts';
import { countsAsDone, happenedAt, type HomeItem, isWarning } from '../../../core/schedule/index.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { refreshCourse, refreshCoursesOf } from './courses.server.ts';
import type { LinkHolder } from './links.server.ts';

interface Into {
  holder: LinkHolder;
  zone: string;
  made: Date;
  routine: Routine;
  now: Date;
  transaction: Transaction;
}

/**
 * Keeps what a phone sends, each item once, in whatever order; all of it or nothing. @returns the ids that are kept now
 * for good: those of another plan are answered too, so that a phone does not send them for ever.
 */
export const takeFromHome = byPractice(
  async (holder: LinkHolder, zone: string, items: readonly HomeItem[], sentAt: Date, now: Date): Promise<string[]> => {
    const { practiceId, clientId, planId } = holder;
    return database().transaction(async (transaction) => {
      // The lock of the client: two sendings at once are taken one after the other.
      await database().query('select 1 from clients where practice_id = :practiceId and id = :clientId for update', {
        replacements: { practiceId, clientId },
        transaction,
      });
      const [plan] = await database().query<{ made: Date; routine: unknown }>(
        `select made_at as made, plan->'routine' as routine from home_plans where practice_id = :practiceId and client_id = :clientId and id = :planId`,
        { replacements: { practiceId, clientId, planId }, type: QueryTypes.SELECT, transaction },
      );
      const into: Into = { holder, zone, now, transaction, made: plan!.made, routine: storedRoutine(plan!.routine)! };
      let anyRun = false;
      const rated = new Set<string>();
      for (const item of items) {
        if (item.planId !== planId) continue;
        const at = happenedAt(new Date(item.at), sentAt, now, into.made);
        if (item.kind === 'run') anyRun = (await takeRun(into, item, at, sentAt)) || anyRun;
        else if (item.kind === 'rating') {
          if (await keepHomeRating(holder, item, at, transaction)) rated.add(item.complaintId);
        } else if (item.kind === 'after') await takeAfter(into, item, at);
        else await keepFlag(holder, item.id, item.yes, at, transaction);
      }
      if (anyRun) await refreshCoursesOf(practiceId, clientId, transaction);
      else for (const id of [...rated].sort()) await refreshCourse(practiceId, clientId, id, transaction);
      return items.map((i) => i.id);
    });
  },
);

async function takeRun(
  { holder, zone, made, routine, now, transaction }: Into,
  item: HomeItem & { kind: 'run' },
  at: Date,
  sentAt: Date,
): Promise<boolean> {
  const { practiceId, clientId, planId } = holder;
  const cues = expandRoutine(routine);
  const endedMs = item.events.reduce((last, e) => Math.max(last, e.atMs), Date.parse(item.at));
  const { state, steps } = runRecord(cues, item.events, endedMs);
  const worked = techniquesWorked(routine, steps);
  const stopped = state.status === 'done' ? null : (state.stopReason ?? '');
  // Begun and left before anything was done: nothing to keep, but for a reason that is one.
  if (!worked.length && !isWarning(stopped)) return false;
  const rows = await database().query(
    `insert into home_runs (practice_id, id, client_id, plan_id, ran_on, ended_at, told, worked, done, stopped, before_value, lengths, counts)
     values (:practiceId, :id, :clientId, :planId, (cast(:startedAt as timestamptz) at time zone :zone)::date, :at, false,
       array(select jsonb_array_elements_text(cast(:worked as jsonb))), cast(:done as jsonb), :stopped, :before, cast(:lengths as jsonb), :counts)
     on conflict do nothing returning id`,
    {
      replacements: {
        practiceId,
        id: item.id,
        clientId,
        planId,
        startedAt: happenedAt(new Date(item.startedAt), sentAt, now, made).toISOString(),
        zone,
        at,
        worked: JSON.stringify(worked),
        done: JSON.stringify(steps),
        lengths: JSON.stringify(lengthsOf(routine, item.events, endedMs)),
        stopped,
        before: item.before,
        counts: countsAsDone(steps),
      },
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  // Pain, dizziness, numbness, something new: the plan waits as after a yes, until somebody has seen to it.
  if (isWarning(stopped)) await keepFlag(holder, item.id, [`stopped: ${stopped}`], at, transaction);
  return rows.length > 0;
}

/** A number that a client gives by themselves; false where it is known, or for nothing of theirs. */
export async function keepHomeRating(
  { practiceId, clientId }: Pick<LinkHolder, 'practiceId' | 'clientId'>,
  { id, complaintId, value }: { id: string; complaintId: string; value: number },
  at: Date,
  transaction: Transaction,
): Promise<boolean> {
  const rows = await database().query(
    `insert into readings (practice_id, id, client_id, visit_id, complaint_id, measure, place, side, phase, value, source, taken_by, taken_at)
     select k.practice_id, :id, k.client_id, null, k.id, 'nrs-now', '', k.side, 'between', :value, 'home', null, :at
     from complaints k where k.practice_id = :practiceId and k.client_id = :clientId and k.id = :complaintId on conflict do nothing returning id`,
    { replacements: { practiceId, clientId, id, complaintId, value, at }, type: QueryTypes.SELECT, transaction },
  );
  return rows.length > 0;
}

const takeAfter = (
  { holder: { practiceId, clientId }, transaction }: Into,
  { id, runId, value, felt, note }: HomeItem & { kind: 'after' },
  at: Date,
) =>
  database().query(
    `insert into home_after (practice_id, id, client_id, run_id, value, felt, note, at)
     values (:practiceId, :id, :clientId, :runId, :value, array(select jsonb_array_elements_text(cast(:felt as jsonb))), :note, :at) on conflict do nothing`,
    { replacements: { practiceId, clientId, id, runId, value, felt: JSON.stringify(felt), note, at }, transaction },
  );

/** No yes at all is nothing that anybody has to see. */
export const keepFlag = (
  { practiceId, clientId }: Pick<LinkHolder, 'practiceId' | 'clientId'>,
  id: string,
  yes: readonly string[],
  at: Date,
  transaction: Transaction,
): Promise<unknown> =>
  database().query(
    `insert into home_flags (practice_id, id, client_id, yes, at, seen_at)
     values (:practiceId, :id, :clientId, array(select jsonb_array_elements_text(cast(:yes as jsonb))), :at, case when :none then cast(:at as timestamptz) end) on conflict do nothing`,
    { replacements: { practiceId, clientId, id, yes: JSON.stringify(yes), none: !yes.length, at }, transaction },
  );

/** Those of the practice, or of one client, the latest first. */
export const openHomeFlags = byPractice(async (practiceId: string, clientId?: string): Promise<HomeFlag[]> => {
  const rows = await database().query<Omit<HomeFlag, 'at'> & { at: Date }>(
    `select f.id, f.client_id as "clientId", c.name as "clientName", f.yes, f.at from home_flags f join clients c on c.practice_id = f.practice_id and c.id = f.client_id
     where f.practice_id = :practiceId and f.seen_at is null ${clientId ? 'and f.client_id = :clientId' : ''} order by f.at desc limit 50`,
    { replacements: { practiceId, clientId: clientId ?? null }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
});

/** Seen to: the plan may be gone on with. False where there is no such flag. */
export const seeToFlag = byPractice(async (who: Member, clientId: string, id: string): Promise<boolean> => {
  if (!isUuid(clientId) || !isUuid(id)) return false;
  const { practiceId, practitionerId } = who;
  return database().transaction(async (transaction) => {
    const rows = await database().query(
      'update home_flags set seen_at = now(), seen_by = :practitionerId where practice_id = :practiceId and client_id = :clientId and id = :id and seen_at is null returning id',
      { replacements: { practiceId, practitionerId, clientId, id }, type: QueryTypes.SELECT, transaction },
    );
    if (!rows.length) return false;
    await writeAudit(who, 'home-flag-seen', { client: clientId }, transaction);
    return true;
  });
});
