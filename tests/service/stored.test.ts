import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { openRun, runsOfVisit, takeEvents } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { findTemplate, saveTemplate } from '../../server/db/queries/templates.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import {
  addClient,
  addVisit,
  asOwner,
  closeDatabase,
  openFreshDatabase,
  openPractice,
  type Tenant,
} from './database.ts';

/** Documents as an earlier version left them in the database. */
const old = readFileSync('docs/formats/routine-1.example.json', 'utf8');
let tenant: Tenant;
let visitId: string;
beforeAll(async () => {
  await openFreshDatabase();
  tenant = await openPractice();
  visitId = await addVisit(tenant, (await addClient(tenant)).id);
});
afterAll(closeDatabase);

test('a routine of version 1 is read in the present form, in a visit and as a template, and stays as it was stored', async () => {
  const templateId = await saveTemplate(tenant, 'Old', routineFrom(['temple-circles']));
  await asOwner('update visits set routine = :old where id = :visitId', { old, visitId });
  await asOwner('update templates set body = :old where id = :templateId', { old, templateId });
  const visit = (await findVisit(tenant.practiceId, visitId))!;
  expect([visit.routine!.schemaVersion, visit.routine!.items.length]).toEqual([2, 15]);
  expect((await findTemplate(tenant.practiceId, templateId))!.body).toEqual(visit.routine);
  const [kept] = await asOwner<{ routine: { schemaVersion: number } }>(
    'select routine from visits where id = :visitId',
    { visitId },
  );
  expect(kept!.routine.schemaVersion).toBe(1);
});

test('it goes on from there: the next write stores the present version, and a run of it can be played', async () => {
  const visit = (await findVisit(tenant.practiceId, visitId))!;
  const saved = await saveVisit(tenant, visitId, {
    saveId: randomUUID(),
    expectedVersion: visit.version,
    patch: { kind: 'routine', routine: { ...visit.routine!, name: 'Carried on' } },
  });
  expect(saved.result).toBe('saved');
  const run = (await openRun(tenant.practiceId, visitId, randomUUID()))!;
  expect(run.routine.items).toEqual(visit.routine!.items);
});

test('a run with the events and the routine of before is read, and goes on', async () => {
  const [run] = await runsOfVisit(tenant.practiceId, visitId);
  await asOwner('update runs set routine = :old where id = :id', { old, id: run!.id });
  const rows = [
    ['start', null],
    ['harden', null],
    ['note', 'warm'],
    ['compare', JSON.stringify({ doneSide: 'left', sameHead: true, sameLight: true, differs: ['warmth'] })],
  ] as const;
  for (const [i, [kind, text]] of rows.entries())
    await asOwner(
      'insert into run_events (run_id, id, practice_id, kind, at_ms, text) values (:run, :id, :practice, :kind, :at, :text)',
      { run: run!.id, id: randomUUID(), practice: tenant.practiceId, kind, at: 1000 + i, text },
    );
  const [read] = await runsOfVisit(tenant.practiceId, visitId);
  expect(read!.events.map(({ id: _id, atMs: _atMs, ...e }) => e)).toEqual([
    { kind: 'start' },
    { kind: 'firmer' },
    { kind: 'note', words: 'warm' },
    { kind: 'compare', compare: { doneSide: 'left', sameHead: true, sameLight: true, differs: ['warmth'] } },
  ]);
  const taken = await takeEvents(
    tenant.practiceId,
    visitId,
    run!.id,
    [{ id: randomUUID(), kind: 'stop', reason: 'Out of time', atMs: 60_000 }],
    60_000,
    60_000,
  );
  expect(taken).toMatchObject({ status: 'stopped' });
  const [stopped] = await runsOfVisit(tenant.practiceId, visitId);
  expect(stopped!.steps![0]!.work.length).toBeGreaterThan(0);
});

test('an id of a run that stands for another one begins none', async () => {
  const [run] = await runsOfVisit(tenant.practiceId, visitId);
  const other = await addVisit(tenant, (await addClient(tenant)).id);
  await saveVisit(tenant, other, {
    saveId: randomUUID(),
    expectedVersion: 1,
    patch: { kind: 'routine', routine: routineFrom(['temple-circles']) },
  });
  expect(await openRun(tenant.practiceId, other, run!.id)).toBeNull();
  expect(await openRun(tenant.practiceId, other, 'no uuid')).toBeNull();
  const id = randomUUID();
  const both = await Promise.all([openRun(tenant.practiceId, other, id), openRun(tenant.practiceId, other, id)]);
  expect(both.map((r) => r?.id)).toEqual([id, id]);
});
