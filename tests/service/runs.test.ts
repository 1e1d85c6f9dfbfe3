import type { GuideEvent, PlainKind } from '../../core/guide/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { lacksBefore, openRun, runsOfVisit, takeEvents } from '../../server/db/queries/runs.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import {
  deleteTemplate,
  findTemplate,
  findTemplatesByName,
  hideTemplate,
  listTemplates,
  renameTemplate,
  saveTemplate,
  templatesInUse,
} from '../../server/db/queries/templates.server.ts';
import { stepsOf } from '../../core/routine/index.ts';
import { bringStartingRoutines } from '../../server/db/queries/starting.server.ts';
import { STARTING_ROUTINES } from '../../reference/routines/index.ts';
import { bareStep, hold, routineFrom, routineOf } from '../support/routines.ts';
import { addClient, addVisit, closeDatabase, openFreshDatabase, openPractice, type Tenant } from './database.ts';

let tenant: Tenant;
let visitId: string;
const routine = routineOf([bareStep('a', [hold(30)], { mode: 'each' }), bareStep('b', [hold(20)])]);
beforeAll(async () => {
  await openFreshDatabase();
  tenant = await openPractice();
});
beforeEach(async () => {
  visitId = await addVisit(tenant, (await addClient(tenant)).id);
  await saveVisit(tenant, visitId, { saveId: randomUUID(), expectedVersion: 1, patch: { kind: 'routine', routine } });
});
afterAll(closeDatabase);

const event = (kind: PlainKind | 'stop' | 'note', atMs: number, text = ''): GuideEvent => {
  const at = { id: randomUUID(), atMs };
  return kind === 'stop'
    ? { ...at, kind, reason: text }
    : kind === 'note'
      ? { ...at, kind, words: text }
      : { ...at, kind };
};
/** A run as a device asks for it, under an id of its own. */
const open = (practiceId: string, visit: string, id: string = randomUUID()) => openRun(practiceId, visit, id);
const T = 1_800_000_000_000;
/** What the device sends, with the server's clock at the same moment. */
const take = (runId: string, events: GuideEvent[], nowMs: number) =>
  takeEvents(tenant.practiceId, visitId, runId, events, nowMs, nowMs);

describe('a stopped run', () => {
  const stoppedRun = async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await take(run.id, [event('start', T), event('stop', T + 5000, 'Out of time')], T + 6000);
    return run.id;
  };
  const statusOf = async () => (await runsOfVisit(tenant.practiceId, visitId)).map((r) => r.status);
  test('is taken up again, and what was worked is counted on from there', async () => {
    const id = await stoppedRun();
    expect(await statusOf()).toEqual(['stopped']);
    expect(await take(id, [event('take-up', T + 60_000)], T + 60_000)).toMatchObject({ status: 'open' });
    await take(id, [event('stop', T + 70_000)], T + 70_000);
    const [run] = await runsOfVisit(tenant.practiceId, visitId);
    expect(run!.steps![0]!.doneSeconds).toBeCloseTo(15, 3);
  });
  test('takes nothing else, nor that while another run is open or once the visit has ended', async () => {
    const id = await stoppedRun();
    expect(await take(id, [event('resume', T + 60_000)], T + 60_000)).toBe('closed');
    const next = (await open(tenant.practiceId, visitId))!;
    expect(await take(id, [event('take-up', T + 60_000)], T + 60_000)).toBe('closed');
    await take(next.id, [event('start', T + 61_000), event('stop', T + 62_000)], T + 63_000);
    const { version } = (await findVisit(tenant.practiceId, visitId))!;
    await saveVisit(tenant, visitId, {
      saveId: randomUUID(),
      expectedVersion: version,
      patch: { kind: 'stage', stage: 'done' },
    });
    expect(await take(id, [event('take-up', T + 90_000)], T + 90_000)).toBe('closed');
    expect(await statusOf()).toEqual(['stopped', 'stopped']);
  });
  test('takes it up only by what comes first after it stopped, and only as the visit is screened now', async () => {
    const id = await stoppedRun();
    expect(await take(id, [event('take-up', T + 1000)], T + 60_000)).toBe('closed');
    expect(await take(id, [event('note', T + 60_000, 'x'), event('take-up', T + 60_000)], T + 60_000)).toBe('closed');
    const asked = (may: boolean) =>
      takeEvents(tenant.practiceId, visitId, id, [event('take-up', T + 60_000)], T + 60_000, T + 60_000, () => may);
    expect(await asked(false)).toBe('not-allowed');
    expect(await statusOf()).toEqual(['stopped']);
    expect(await asked(true)).toMatchObject({ status: 'open' });
  });
  test('that ran to its end is not taken up', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await take(run.id, [event('start', T)], T + 500_000);
    expect(await take(run.id, [event('take-up', T + 500_000)], T + 500_000)).toBe('closed');
  });
});

describe('runs', () => {
  test('two devices that open at once get the same run', async () => {
    const runs = await Promise.all([
      open(tenant.practiceId, visitId),
      open(tenant.practiceId, visitId),
      open(tenant.practiceId, visitId),
    ]);
    expect(new Set(runs.map((r) => r!.id)).size).toBe(1);
  });
  test('a visit without a routine has nothing to run', async () => {
    const empty = await addVisit(tenant, (await addClient(tenant)).id);
    expect(await open(tenant.practiceId, empty)).toBeNull();
  });
  test('the routine is kept as it was when the run began', async () => {
    await open(tenant.practiceId, visitId);
    await saveVisit(tenant, visitId, {
      saveId: randomUUID(),
      expectedVersion: 2,
      patch: { kind: 'routine', routine: routineFrom(['temple-circles']) },
    });
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.routine.items.length).toBe(2);
  });
  test('each event is taken once, however often it is sent', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    const batch = [event('start', T), event('note', T + 5000, 'warm')];
    expect(await take(run.id, batch, T + 6000)).toEqual({ taken: batch.map((e) => e.id), status: 'open' });
    await take(run.id, batch, T + 7000);
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.events).toEqual(batch);
  });
  test('events that arrive out of order are replayed in order', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    const [start, pause] = [event('start', T), event('pause', T + 10_000)];
    await take(run.id, [pause], T + 11_000);
    await take(run.id, [start], T + 12_000);
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.events.map((e) => e.kind)).toEqual(['start', 'pause']);
  });
  test('when time is up the run is done and planned against done is stored', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await take(run.id, [event('start', T)], T);
    expect(await take(run.id, [], T + 80_001)).toMatchObject({ status: 'done' });
    const [stored] = await runsOfVisit(tenant.practiceId, visitId);
    expect(stored!.steps).toMatchObject([
      { stepId: 'a', plannedSeconds: 60, doneSeconds: 60, left: { doneSeconds: 30 }, right: { doneSeconds: 30 } },
      { stepId: 'b', doneSeconds: 20 },
    ]);
  });
  test('a stop is stored with what each side got, and another run may begin', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await take(run.id, [event('start', T), event('stop', T + 40_000, 'Out of time')], T + 50_000);
    const [stored] = await runsOfVisit(tenant.practiceId, visitId);
    expect(stored).toMatchObject({
      status: 'stopped',
      steps: [{ left: { doneSeconds: 30 }, right: { doneSeconds: 10 } }, { doneSeconds: 0 }],
    });
    expect((await open(tenant.practiceId, visitId))!.id).not.toBe(run.id);
  });
  test('a run that is not there', async () => expect(await take(randomUUID(), [], T)).toBe('missing'));
});

describe('a run that has ended', () => {
  const ended = async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    const log = [event('start', T), event('stop', T + 40_000, 'Out of time')];
    await take(run.id, log, T + 50_000);
    return { run, log };
  };
  const stored = async () => (await runsOfVisit(tenant.practiceId, visitId))[0]!;
  test('takes nothing more', async () => {
    const { run } = await ended();
    const before = await stored();
    expect(await take(run.id, [event('back', T + 1000)], T + 60_000)).toBe('closed');
    expect(await take(run.id, [], 1)).toEqual({ taken: [], status: 'stopped' });
    expect(await stored()).toEqual(before);
  });
  test('tells the next plan of this client, and of nobody else, what a side lacked', async () => {
    const { clientId } = (await findVisit(tenant.practiceId, visitId))!;
    await ended();
    const next = await addVisit(tenant, clientId, new Date(Date.now() + 60_000));
    const technique = stepsOf(routine)[0]!.technique;
    expect(await lacksBefore(tenant.practiceId, next)).toEqual([{ technique, side: 'right', seconds: 20 }]);
    expect(await lacksBefore(tenant.practiceId, visitId)).toEqual([]);
    expect(await lacksBefore(randomUUID(), next)).toBeNull();
    const other = await addVisit(tenant, (await addClient(tenant)).id, new Date(Date.now() + 60_000));
    expect(await lacksBefore(tenant.practiceId, other)).toEqual([]);
  });
  test('acknowledges again what it knows', async () => {
    const { run, log } = await ended();
    expect(await take(run.id, log, T)).toEqual({ taken: log.map((e) => e.id), status: 'stopped' });
  });
});

describe('the clock of a run', () => {
  test('is the server’s: a device that says later afterwards ends nothing', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await takeEvents(tenant.practiceId, visitId, run.id, [event('start', T)], T, T);
    expect(await takeEvents(tenant.practiceId, visitId, run.id, [], T + 900_000, T + 10_000)).toMatchObject({
      status: 'open',
    });
    expect(await takeEvents(tenant.practiceId, visitId, run.id, [], T, T + 80_001)).toMatchObject({ status: 'done' });
  });
  test('minds a device whose clock is wrong by hours', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    const ahead = 5 * 3_600_000;
    await takeEvents(tenant.practiceId, visitId, run.id, [event('start', T + ahead)], T + ahead, T);
    expect(await takeEvents(tenant.practiceId, visitId, run.id, [], null, T + 79_000)).toMatchObject({
      status: 'open',
    });
    expect(await takeEvents(tenant.practiceId, visitId, run.id, [], null, T + 80_001)).toMatchObject({
      status: 'done',
    });
  });
  test('a slow way for the first events hides none of the later ones', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await takeEvents(tenant.practiceId, visitId, run.id, [event('start', T)], T, T + 3000);
    expect(
      await takeEvents(
        tenant.practiceId,
        visitId,
        run.id,
        [event('stop', T + 10_000, 'Out of time')],
        T + 10_000,
        T + 10_020,
      ),
    ).toMatchObject({ status: 'stopped' });
  });
  test('a slow way for the first events does not hold up the end', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await takeEvents(tenant.practiceId, visitId, run.id, [event('start', T)], T, T + 900);
    expect(await takeEvents(tenant.practiceId, visitId, run.id, [], T + 80_001, T + 80_020)).toMatchObject({
      status: 'done',
    });
  });
  test('refuses what has not happened yet', async () => {
    const run = (await open(tenant.practiceId, visitId))!;
    await take(run.id, [event('start', T)], T);
    expect(await take(run.id, [event('stop', T + 3_600_000)], T + 1000)).toBe('from-the-future');
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.events).toHaveLength(1);
  });
});

describe('templates', () => {
  const boss = () => ({ ...tenant, role: 'owner' as const });
  const colleague = () => ({
    practiceId: tenant.practiceId,
    practitionerId: randomUUID(),
    role: 'practitioner' as const,
  });
  const keep = (name: string) => saveTemplate(tenant, name, routineFrom(['temple-circles']));
  test('are kept under a name of their own', async () => {
    const id = await keep('Evening headache');
    expect(await keep('evening HEADACHE')).toBe('name-taken');
    expect(await findTemplate(tenant.practiceId, id)).toMatchObject({
      name: 'Evening headache',
      version: 1,
      body: { name: 'Evening headache' },
    });
    expect((await listTemplates(tenant.practiceId)).find((t) => t.id === id)!.createdBy).toBe('Imke Dahl');
    expect(await findTemplatesByName(tenant.practiceId, 'evening', 5)).toEqual([{ id, name: 'Evening headache' }]);
  });
  test('are changed and deleted by who made them, and by the owner', async () => {
    const id = await keep('The owner’s');
    expect(await deleteTemplate(colleague(), id)).toBe('not-yours');
    expect(await renameTemplate(colleague(), id, 1, 'Mine now')).toBe('not-yours');
    expect((await findTemplate(tenant.practiceId, id))!.name).toBe('The owner’s');
    expect(await deleteTemplate({ ...tenant, role: 'practitioner' }, id)).toBe('deleted');
  });
  test('kept twice by one press is one', async () => {
    const key = randomUUID();
    const made = await Promise.all(
      [1, 2, 3].map(() => saveTemplate(tenant, 'Pressed', routineFrom(['temple-circles']), key)),
    );
    expect(new Set(made).size).toBe(1);
  });
  test('a hidden one is in no list, and can be shown again by who made it and by the owner', async () => {
    const id = await keep('Out of sight');
    const inUse = async () => (await templatesInUse(tenant.practiceId, 'out of', 10)).map((t) => t.id);
    expect(await hideTemplate(colleague(), id, true)).toBe('not-yours');
    expect(await inUse()).toEqual([id]);
    expect(await hideTemplate(boss(), id, true)).toBe('saved');
    expect(await inUse()).toEqual([]);
    expect(await findTemplatesByName(tenant.practiceId, 'out of', 5)).toEqual([]);
    expect((await listTemplates(tenant.practiceId)).find((t) => t.id === id)!.hidden).toBe(true);
    expect(await hideTemplate(boss(), id, false)).toBe('saved');
    expect(await inUse()).toEqual([id]);
  });
  test('a new practice begins with the routines of the trade; what is missing can be brought back, once', async () => {
    const origins = async () =>
      (await listTemplates(tenant.practiceId)).map((t) => t.origin).filter((origin) => origin !== null);
    expect((await origins()).sort()).toEqual(STARTING_ROUTINES.map((s) => s.id).sort());
    const [gone] = (await listTemplates(tenant.practiceId)).filter((t) => t.origin === 'two-balls');
    await deleteTemplate(boss(), gone!.id);
    await keep('Two balls for jaw, nose and brow');
    const brought = await Promise.all([bringStartingRoutines(tenant), bringStartingRoutines(tenant)]);
    expect(brought.sort()).toEqual([0, 1]);
    expect(await origins()).toHaveLength(STARTING_ROUTINES.length);
    expect((await listTemplates(tenant.practiceId)).find((t) => t.origin === 'two-balls')!.name).toBe(
      'Two balls for jaw, nose and brow (as it came)',
    );
  });
  test('renaming minds version and names', async () => {
    const [a] = [await keep('First'), await keep('Second')];
    expect(await renameTemplate(boss(), a, 1, 'Third')).toBe('saved');
    expect(await renameTemplate(boss(), a, 1, 'Fourth')).toBe('stale');
    expect(await renameTemplate(boss(), a, 2, 'second')).toBe('name-taken');
    expect(await renameTemplate(boss(), randomUUID(), 1, 'x')).toBe('missing');
  });
  test('deleting one leaves the visits that used it', async () => {
    const id = await keep('To go');
    expect([await deleteTemplate(boss(), id), await deleteTemplate(boss(), id)]).toEqual(['deleted', 'missing']);
  });
});
