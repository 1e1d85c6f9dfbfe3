import { runRecord, type GuideEvent, type GuideEventKind, type StepRecord } from '../../../core/guide/machine.ts';
import { expandRoutine } from '../../../core/routine/cues.ts';
import type { Routine } from '../../../core/routine/model.ts';
import { database } from '../connection.ts';
import { RunEventModel, RunModel, VisitModel } from '../models/index.ts';
import { isUuid } from './shared.server.ts';

export interface Run {
  id: string;
  visitId: string;
  routine: Routine;
  status: 'open' | 'done' | 'stopped';
  steps: StepRecord[] | null;
  createdAt: string;
  events: GuideEvent[];
}

async function withEvents(run: RunModel): Promise<Run> {
  const events = await RunEventModel.findAll({ where: { practiceId: run.practiceId, runId: run.id }, order: [['atMs', 'ASC'], ['id', 'ASC']] });
  return {
    id: run.id, visitId: run.visitId, routine: run.routine, status: run.status, steps: run.steps, createdAt: run.createdAt.toISOString(),
    events: events.map((e) => ({ id: e.id, kind: e.kind as GuideEventKind, atMs: e.atMs, ...(e.text === null ? {} : { text: e.text }) })),
  };
}

export async function runsOfVisit(practiceId: string, visitId: string): Promise<Run[]> {
  if (!isUuid(visitId)) return [];
  database();
  return Promise.all((await RunModel.findAll({ where: { practiceId, visitId }, order: [['createdAt', 'ASC']] })).map(withEvents));
}

/** The open run of a visit, or a new one of the visit's routine. Two devices that ask at once get the same run. */
export async function openRun(practiceId: string, visitId: string): Promise<Run | null> {
  if (!isUuid(visitId)) return null;
  const run = await database().transaction(async (transaction) => {
    const visit = await VisitModel.findOne({ where: { practiceId, id: visitId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!visit?.routine?.steps.length) return null;
    const open = await RunModel.findOne({ where: { practiceId, visitId, status: 'open' }, transaction });
    return open ?? RunModel.create({ practiceId, visitId, routine: visit.routine, status: 'open', steps: null, createdAt: new Date() }, { transaction });
  });
  return run && withEvents(run);
}

/**
 * Take events from the device, each id once, and acknowledge them. When the log says that the run has ended, planned
 * against done is worked out from the whole log and stored.
 */
export async function takeEvents(practiceId: string, runId: string, events: readonly GuideEvent[], nowMs: number): Promise<{ taken: string[]; status: Run['status'] } | null> {
  if (!isUuid(runId)) return null;
  return database().transaction(async (transaction) => {
    const run = await RunModel.findOne({ where: { practiceId, id: runId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!run) return null;
    await RunEventModel.bulkCreate(events.map((e) => ({ runId, id: e.id, practiceId, kind: e.kind, atMs: e.atMs, text: e.text ?? null })), { transaction, ignoreDuplicates: true });
    const log = await RunEventModel.findAll({ where: { practiceId, runId }, order: [['atMs', 'ASC'], ['id', 'ASC']], transaction });
    const cues = expandRoutine(run.routine);
    const replayed = log.map((e) => ({ id: e.id, kind: e.kind as GuideEventKind, atMs: e.atMs, ...(e.text === null ? {} : { text: e.text }) }));
    const { state, steps } = runRecord(cues, run.routine.steps.map((s) => s.pressure), replayed, nowMs);
    const status = state.status === 'done' || state.status === 'stopped' ? state.status : 'open';
    await run.update({ status, steps: status === 'open' ? null : steps }, { transaction });
    return { taken: events.map((e) => e.id), status };
  });
}
