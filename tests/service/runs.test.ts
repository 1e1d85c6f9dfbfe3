import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import type { GuideEvent } from '../../core/guide/machine.ts';
import { openRun, runsOfVisit, takeEvents } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { deleteTemplate, findTemplate, findTemplatesByName, listTemplates, renameTemplate, saveTemplate } from '../../server/db/queries/templates.server.ts';
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

const event = (kind: GuideEvent['kind'], atMs: number, text?: string): GuideEvent => ({ id: randomUUID(), kind, atMs, ...(text === undefined ? {} : { text }) });
const T = 1_800_000_000_000;

describe('runs', () => {
  test('two devices that open at once get the same run', async () => {
    const runs = await Promise.all([openRun(tenant.practiceId, visitId), openRun(tenant.practiceId, visitId), openRun(tenant.practiceId, visitId)]);
    expect(new Set(runs.map((r) => r!.id)).size).toBe(1);
  });
  test('a visit without a routine has nothing to run', async () => {
    const empty = await addVisit(tenant, (await addClient(tenant)).id);
    expect(await openRun(tenant.practiceId, empty)).toBeNull();
  });
  test('the routine is kept as it was when the run began', async () => {
    await openRun(tenant.practiceId, visitId);
    await saveVisit(tenant, visitId, { saveId: randomUUID(), expectedVersion: 2, patch: { kind: 'routine', routine: routineFrom(['temple-circles']) } });
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.routine.steps.length).toBe(2);
  });
  test('each event is taken once, however often it is sent', async () => {
    const run = (await openRun(tenant.practiceId, visitId))!;
    const batch = [event('start', T), event('note', T + 5000, 'warm')];
    expect(await takeEvents(tenant.practiceId, run.id, batch, T + 6000)).toEqual({ taken: batch.map((e) => e.id), status: 'open' });
    await takeEvents(tenant.practiceId, run.id, batch, T + 7000);
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.events).toEqual(batch);
  });
  test('events that arrive out of order are replayed in order', async () => {
    const run = (await openRun(tenant.practiceId, visitId))!;
    const [start, pause] = [event('start', T), event('pause', T + 10_000)];
    await takeEvents(tenant.practiceId, run.id, [pause], T + 11_000);
    await takeEvents(tenant.practiceId, run.id, [start], T + 12_000);
    expect((await runsOfVisit(tenant.practiceId, visitId))[0]!.events.map((e) => e.kind)).toEqual(['start', 'pause']);
  });
  test('when time is up the run is done and planned against done is stored', async () => {
    const run = (await openRun(tenant.practiceId, visitId))!;
    await takeEvents(tenant.practiceId, run.id, [event('start', T)], T);
    expect(await takeEvents(tenant.practiceId, run.id, [], T + 80_001)).toMatchObject({ status: 'done' });
    const [stored] = await runsOfVisit(tenant.practiceId, visitId);
    expect(stored!.steps).toMatchObject([{ stepId: 'a', plannedSeconds: 60, doneSeconds: 60, left: { doneSeconds: 30 }, right: { doneSeconds: 30 } }, { stepId: 'b', doneSeconds: 20 }]);
  });
  test('a stop is stored with what each side got, and another run may begin', async () => {
    const run = (await openRun(tenant.practiceId, visitId))!;
    await takeEvents(tenant.practiceId, run.id, [event('start', T), event('stop', T + 40_000, 'Out of time')], T + 50_000);
    const [stored] = await runsOfVisit(tenant.practiceId, visitId);
    expect(stored).toMatchObject({ status: 'stopped', steps: [{ left: { doneSeconds: 30 }, right: { doneSeconds: 10 } }, { doneSeconds: 0 }] });
    expect((await openRun(tenant.practiceId, visitId))!.id).not.toBe(run.id);
  });
  test('a run that is not there', async () => expect(await takeEvents(tenant.practiceId, randomUUID(), [], T)).toBeNull());
});

describe('templates', () => {
  const keep = (name: string) => saveTemplate(tenant, name, routineFrom(['temple-circles']));
  test('are kept under a name of their own', async () => {
    const id = await keep('Evening headache');
    expect(await keep('evening HEADACHE')).toBe('name-taken');
    expect(await findTemplate(tenant.practiceId, id)).toMatchObject({ name: 'Evening headache', version: 1, body: { name: 'Evening headache' } });
    expect((await listTemplates(tenant.practiceId)).find((t) => t.id === id)!.createdBy).toBe('Imke Dahl');
    expect(await findTemplatesByName(tenant.practiceId, 'evening', 5)).toEqual([{ id, name: 'Evening headache' }]);
  });
  test('renaming minds version and names', async () => {
    const [a] = [await keep('First'), await keep('Second')];
    expect(await renameTemplate(tenant.practiceId, a, 1, 'Third')).toBe('saved');
    expect(await renameTemplate(tenant.practiceId, a, 1, 'Fourth')).toBe('stale');
    expect(await renameTemplate(tenant.practiceId, a, 2, 'second')).toBe('name-taken');
    expect(await renameTemplate(tenant.practiceId, randomUUID(), 1, 'x')).toBe('missing');
  });
  test('deleting one leaves the visits that used it', async () => {
    const id = await keep('To go');
    expect([await deleteTemplate(tenant.practiceId, id), await deleteTemplate(tenant.practiceId, id)]).toEqual([true, false]);
  });
});
