import {
  doneRibbon,
  type DoneRibbon,
  type FeltLengths,
  type GuideEvent,
  type Learned,
  learnedFrom,
  lengthsOf,
  readStepRecords,
  runRecord,
  type StepRecord,
  unevenSteps,
} from '../../../core/guide/index.ts';
import { techniquesWorked } from '../../../core/relief/index.ts';
import { hasEnded } from '../../../core/record/index.ts';
import { expandRoutine, type Lack, stepsOf, withSides, type Routine } from '../../../core/routine/index.ts';
import type { OneSide } from '../../../core/words/index.ts';
import { Op, QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { RunEventModel, RunModel, VisitModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { eventRow, storedEvent, storedRoutine } from '../stored.ts';
import { refreshCoursesOf } from './courses.server.ts';
import { lockVisit } from './shared.server.ts';

export interface Run {
  id: string;
  visitId: string;
  routine: Routine;
  status: 'open' | 'done' | 'stopped';
  steps: StepRecord[] | null;
  createdAt: string;
  /** How far the clock of the device that drives it is ahead of ours; null before it said so. */
  clockAheadMs: number | null;
  events: GuideEvent[];
}

async function withEvents(run: RunModel): Promise<Run> {
  const events = await RunEventModel.findAll({
    where: { practiceId: run.practiceId, runId: run.id },
    order: [
      ['atMs', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  return {
    id: run.id,
    visitId: run.visitId,
    routine: storedRoutine(run.routine)!,
    status: run.status,
    steps: run.steps && readStepRecords(run.steps),
    createdAt: run.createdAt.toISOString(),
    clockAheadMs: run.clockAheadMs,
    events: events.map(storedEvent),
  };
}

export const runsOfVisit = byPractice(async (practiceId: string, visitId: string): Promise<Run[]> => {
  if (!isUuid(visitId)) return [];
  database();
  return Promise.all(
    (await RunModel.findAll({ where: { practiceId, visitId }, order: [['createdAt', 'ASC']] })).map(withEvents),
  );
});

/**
 * The open run of a visit, or a new one of the visit's routine under the id that the device made for it. Two devices
 * that ask at once get the same run; the same device asking twice begins once.
 */
export const openRun = byPractice(
  async (
    practiceId: string,
    visitId: string,
    runId: string,
    { by = null, sorer = null }: { by?: string | null; sorer?: OneSide | null } = {},
  ): Promise<Run | null> => {
    if (!isUuid(visitId) || !isUuid(runId)) return null;
    const run = await database().transaction(async (transaction) => {
      const visit = await lockVisit(practiceId, visitId, transaction);
      const routine = visit && storedRoutine(visit.routine);
      if (!routine?.items.length) return null;
      const open = await RunModel.findOne({ where: { practiceId, visitId, status: 'open' }, transaction });
      if (open) return open;
      // An id that stands for another run, of whomever, is none for this one.
      if (await RunModel.count({ where: { practiceId, id: runId }, transaction })) return null;
      return RunModel.create(
        {
          id: runId,
          practiceId,
          visitId,
          routine: withSides(routine, sorer),
          status: 'open',
          steps: null,
          createdAt: new Date(),
          practitionerId: by,
        },
        { transaction },
      );
    });
    return run && withEvents(run);
  },
);

/** A practitioner’s latest runs, of which the next ones are estimated: hands grow quicker. Our choice. */
const LATEST_RUNS = 40;

/** What a practitioner’s own latest runs tell of how long things take. */
export const learnedBy = byPractice(async (practiceId: string, practitionerId: string): Promise<Learned> => {
  database();
  const runs = await RunModel.findAll({
    attributes: ['felt'],
    where: { practiceId, practitionerId, felt: { [Op.ne]: null } },
    order: [['createdAt', 'DESC']],
    limit: LATEST_RUNS,
  });
  return learnedFrom(runs.map((r) => r.felt as FeltLengths));
});

/**
 * What one side got less of than planned in the latest ended run of this client's earlier visits, so that this visit's
 * plan can make it up; null without such a visit.
 */
export const lacksBefore = byPractice(async (practiceId: string, visitId: string): Promise<Lack[] | null> => {
  if (!isUuid(visitId)) return null;
  if (!(await VisitModel.count({ where: { practiceId, id: visitId } }))) return null;
  const [row] = await database().query<{ routine: unknown; steps: StepRecord[] }>(
    `select r.routine, r.steps from visits now join visits v on v.practice_id = now.practice_id and v.client_id = now.client_id and v.starts_at < now.starts_at
     join runs r on r.practice_id = v.practice_id and r.visit_id = v.id
     where now.practice_id = :practiceId and now.id = :visitId and r.steps is not null order by v.starts_at desc, r.created_at desc limit 1`,
    { replacements: { practiceId, visitId }, type: QueryTypes.SELECT },
  );
  if (!row) return [];
  const techniques = new Map(stepsOf(storedRoutine(row.routine)!).map((s) => [s.id, s.technique]));
  return unevenSteps(readStepRecords(row.steps)).flatMap(({ stepId, ...lack }) => {
    const technique = techniques.get(stepId);
    return technique ? [{ technique, ...lack }] : [];
  });
});

/** Posts of a course that have room for what was done at them. Our choice. */
const LATEST_DRAWN = 24;

/** What was really done at the latest visits of a client that were guided, the latest first. */
export const doneAtVisits = byPractice(
  async (practiceId: string, clientId: string): Promise<(DoneRibbon & { visitId: string; startsAt: string })[]> => {
    if (!isUuid(clientId)) return [];
    const rows = await database().query<{ id: string; at: Date; steps: StepRecord[] }>(
      `select v.id, v.starts_at as at, r.steps from visits v
       join lateral (select steps from runs where practice_id = v.practice_id and visit_id = v.id and steps is not null order by created_at desc limit 1) r on true
       where v.practice_id = :practiceId and v.client_id = :clientId order by v.starts_at desc limit ${LATEST_DRAWN}`,
      { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
    );
    return rows.map(({ id, at, steps }) => ({
      visitId: id,
      startsAt: at.toISOString(),
      ...doneRibbon(readStepRecords(steps)),
    }));
  },
);

/** A device's clock may go this much faster than ours over a run. Our choice. */
const CLOCK_SLACK_MS = 60_000;
/** The first events of a run may have been on their way for this long. Our choice. */
const SLOW_WAY_MS = 5_000;

export type Taken =
  { taken: string[]; status: Run['status'] } | 'missing' | 'closed' | 'not-allowed' | 'from-the-future';

/**
 * Take events from the device, each id once, and acknowledge them. How far the device's clock is ahead is noted with
 * the first ones; from then on the server's clock decides what "now" is. When the log says that the run has ended,
 * planned against done is worked out from the whole log and stored, and nothing is taken any more: events that are
 * known are acknowledged again, new ones are refused, except that a stopped run can be taken up again.
 */
export const takeEvents = byPractice(
  async (
    practiceId: string,
    visitId: string,
    runId: string,
    events: readonly GuideEvent[],
    deviceNowMs: number | null,
    nowMs: number = Date.now(),
    /** Whether a stopped run of this routine may go on as the visit is screened now. */
    mayGoOn: (routine: Routine) => boolean = () => true,
  ): Promise<Taken> => {
    if (!isUuid(visitId) || !isUuid(runId)) return 'missing';
    return database().transaction(async (transaction): Promise<Taken> => {
      const run = await RunModel.findOne({
        where: { practiceId, visitId, id: runId },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!run) return 'missing';
      const ids = events.map((e) => e.id);
      if (run.status !== 'open') {
        const known = await RunEventModel.count({ where: { practiceId, runId, id: ids }, transaction });
        if (known === new Set(ids).size) return { taken: ids, status: run.status };
        // A stopped run is taken up again, by what comes first after it stopped, while its visit goes on and no other run
        // is open in it.
        if (run.status !== 'stopped' || events[0]?.kind !== 'take-up') return 'closed';
        const last = await RunEventModel.max<number, RunEventModel>('atMs', {
          where: { practiceId, runId },
          transaction,
        });
        if (events.some((e) => e.atMs < Number(last))) return 'closed';
        const visit = await lockVisit(practiceId, visitId, transaction);
        const others = await RunModel.count({ where: { practiceId, visitId, status: 'open' }, transaction });
        if (!visit || hasEnded(visit.stage) || others) return 'closed';
        if (!mayGoOn(storedRoutine(run.routine)!)) return 'not-allowed';
      }
      if (run.clockAheadMs === null && deviceNowMs !== null)
        await run.update({ clockAheadMs: deviceNowMs - nowMs }, { transaction });
      // What the way took with the first ones made the device look late by as much; no more than that is given back.
      const first = run.clockAheadMs ?? 0;
      const ahead = deviceNowMs === null ? first : Math.min(Math.max(first, deviceNowMs - nowMs), first + SLOW_WAY_MS);
      const deviceNow = nowMs + ahead;
      if (events.some((e) => e.atMs > deviceNow + CLOCK_SLACK_MS)) return 'from-the-future';
      await RunEventModel.bulkCreate(
        events.map((e) => ({ runId, practiceId, ...eventRow(e) })),
        { transaction, ignoreDuplicates: true },
      );
      const log = await RunEventModel.findAll({
        where: { practiceId, runId },
        order: [
          ['atMs', 'ASC'],
          ['id', 'ASC'],
        ],
        transaction,
      });
      const replayed = log.map(storedEvent);
      // What has been pressed has happened: the way to us makes the device's clock look late by as much as it took.
      const now = Math.max(deviceNow, replayed[replayed.length - 1]?.atMs ?? 0);
      const routine = storedRoutine(run.routine)!;
      const { state, steps } = runRecord(expandRoutine(routine), replayed, now);
      const status = state.status === 'done' || state.status === 'stopped' ? state.status : 'open';
      const ended =
        status === 'open'
          ? { steps: null, felt: null, worked: [], endedAt: null }
          : {
              steps,
              felt: lengthsOf(routine, replayed, now),
              worked: techniquesWorked(routine, steps),
              endedAt: new Date(replayed[replayed.length - 1]!.atMs),
            };
      await run.update({ status, ...ended }, { transaction });
      if (status !== 'open') {
        const visit = await VisitModel.findOne({ where: { practiceId, id: visitId }, transaction });
        if (visit) await refreshCoursesOf(practiceId, visit.clientId, transaction);
      }
      return { taken: ids, status };
    });
  },
);
