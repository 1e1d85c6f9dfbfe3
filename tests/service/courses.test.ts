import { randomUUID } from 'node:crypto';
import { beforeEach, expect, test } from 'vitest';
import type { Client, VisitPatch } from '../../core/record/index.ts';
import { emptyRoutine, newStep } from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { findClient, updateClient } from '../../server/db/queries/clients.server.ts';
import { storedCourses } from '../../server/db/queries/courses.server.ts';
import { keepRating } from '../../server/db/queries/ratings.server.ts';
import { openingOfClient, readingsOfVisit, seriesOfClient } from '../../server/db/queries/readings.server.ts';
import { openRun, takeEvents } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { findVisit, noteReferralOutcome } from '../../server/db/queries/visits.server.ts';
import { addClient, addVisit, ownPractice } from './database.ts';

const own = ownPractice();
let client: Client;
let visitId: string;
const write = async (patch: VisitPatch) => {
  const visit = (await findVisit(own.tenant.practiceId, visitId))!;
  const saved = await saveVisit(own.tenant, visitId, { saveId: randomUUID(), expectedVersion: visit.version, patch });
  expect(saved.result).toBe('saved');
};
const course = async () => (await storedCourses(own.tenant.practiceId, [client.id]))[0]!;
const routineOf = (technique: string) => ({
  ...emptyRoutine('R'),
  items: [newStep(CATALOGUE.techniques.get(technique)!, 's1')],
});
/** One that works on the client's complaint, the jaw, and one that does not. */
const JAW = 'masseter-spot-massage';
const OTHER = [...CATALOGUE.techniques.values()].find((t) => !t.serves.includes('jaw') && t.phase === 'release')!.id;

beforeEach(async () => {
  client = await addClient(own.tenant);
  expect(client.complaints[0]!.kind).toBe('jaw');
  visitId = await addVisit(own.tenant, client.id);
  await write({
    kind: 'readings',
    entries: [
      { measure: 'nrs-now', complaintId: client.complaints[0]!.id, place: '', side: 'both', phase: 'before', value: 6 },
    ],
  });
});

test('the work on a complaint begins with the end of the first run that serves it', async () => {
  await write({ kind: 'routine', routine: routineOf(JAW) });
  expect((await course()).workBeganMs).toBeNull();
  const runId = randomUUID();
  await openRun(own.tenant.practiceId, visitId, runId);
  const atMs = Date.now();
  const events = [
    { id: 'event-0001', kind: 'start' as const, atMs },
    { id: 'event-0002', kind: 'stop' as const, atMs: atMs + 30_000, reason: 'out of time' },
  ];
  expect(await takeEvents(own.tenant.practiceId, visitId, runId, events, Date.now())).toMatchObject({
    status: 'stopped',
  });
  expect((await course()).workBeganMs).toBeCloseTo(atMs + 30_000, -1);
  expect((await course()).judgement.verdict).toBe('before-work');
  // What is rated later is judged as work, and the beginning stays.
  await keepRating(own.tenant, client.id, client.complaints[0]!.id, {
    value: 5,
    at: new Date(atMs + 60_000),
    source: 'home',
  });
  expect((await course()).judgement).toMatchObject({ verdict: 'too-early', readingsBefore: 1, readings: 2 });
});

test('a finished visit without a run counts by its routine, one that serves something else does not', async () => {
  await write({ kind: 'routine', routine: routineOf(OTHER) });
  await write({ kind: 'stage', stage: 'done' });
  expect((await course()).workBeganMs).toBeNull();
  visitId = await addVisit(own.tenant, client.id);
  await write({ kind: 'routine', routine: routineOf(JAW) });
  await write({ kind: 'stage', stage: 'done' });
  const ended = Date.parse((await findVisit(own.tenant.practiceId, visitId))!.endedAt!);
  expect((await course()).workBeganMs).toBeCloseTo(ended, -1);
});

test('a complaint that turns out to be of another kind looks for the beginning of its work anew', async () => {
  await write({ kind: 'routine', routine: routineOf(JAW) });
  await write({ kind: 'stage', stage: 'done' });
  expect((await course()).workBeganMs).not.toBeNull();
  const other = (['puffiness', 'sinus', 'eye-strain'] as const).find(
    (k) => !CATALOGUE.techniques.get(JAW)!.serves.includes(k),
  )!;
  const { id, version, ...rest } = (await findClient(own.tenant.practiceId, client.id))!;
  const complaints = rest.complaints.map((c, i) => ({ ...c, kind: i ? c.kind : other }));
  expect(await updateClient(own.tenant, id, version, { ...rest, complaints })).toBe('saved');
  expect(await course()).toMatchObject({ kind: other, workBeganMs: null });
});

test('a course of a measure reaches back to the very first reading, however many came since', async () => {
  const opening = async (value: number) =>
    write({
      kind: 'readings',
      entries: [{ measure: 'opening-mm', complaintId: null, place: '', side: 'midline', phase: 'before', value }],
    });
  await opening(30);
  for (let i = 1; i <= 14; i++) {
    visitId = await addVisit(own.tenant, client.id);
    await opening(30 + i);
  }
  const values = (await seriesOfClient(own.tenant.practiceId, client.id)).map((r) => r.value);
  expect([values[0], values.at(-1), values.length]).toEqual([30, 44, 13]);
});

test('how far the mouth may open is what was measured last before the work, and of two sides that click the earlier', async () => {
  const take = (
    entries: [measure: 'opening-mm' | 'click-opening-mm', side: 'midline' | 'left' | 'right', value: number][],
    phase: 'before' | 'after' = 'before',
  ) =>
    write({
      kind: 'readings',
      entries: entries.map(([measure, side, value]) => ({
        ...{ measure, complaintId: null, place: '', side, phase, value },
      })),
    });
  const { practiceId } = own.tenant;
  expect(await openingOfClient(practiceId, client.id)).toEqual({});
  await take([
    ['opening-mm', 'midline', 30],
    ['click-opening-mm', 'left', 15],
  ]);
  visitId = await addVisit(own.tenant, client.id);
  await take([
    ['opening-mm', 'midline', 34],
    ['click-opening-mm', 'left', 26],
    ['click-opening-mm', 'right', 22],
  ]);
  // What work made of it is not what it is the next time.
  await take([['opening-mm', 'midline', 41]], 'after');
  expect(await openingOfClient(practiceId, client.id)).toEqual({ comfortableMm: 34, clickMm: 22 });
  // The side that is not measured again still clicks where it did.
  visitId = await addVisit(own.tenant, client.id);
  await take([['click-opening-mm', 'left', 28]]);
  expect(await openingOfClient(practiceId, client.id)).toEqual({ comfortableMm: 34, clickMm: 22 });
  expect(await openingOfClient(randomUUID(), client.id)).toEqual({});
});

test('a worst of the week below its average is refused, whichever is written last, and nothing of it is kept', async () => {
  const week = (measure: 'nrs-worst-week' | 'nrs-average-week', value: number) => ({
    measure,
    complaintId: client.complaints[0]!.id,
    place: '',
    side: 'both' as const,
    phase: 'before' as const,
    value,
  });
  const said = async (...entries: ReturnType<typeof week>[]) => {
    const { version } = (await findVisit(own.tenant.practiceId, visitId))!;
    return saveVisit(own.tenant, visitId, {
      saveId: randomUUID(),
      expectedVersion: version,
      patch: { kind: 'readings', entries },
    });
  };
  const words = 'The worst of the past week (3) cannot lie below its average (6).';
  const both = [week('nrs-worst-week', 3), week('nrs-average-week', 6)];
  expect(await said(...both)).toEqual({ result: 'refused', message: words });
  expect((await said(both[1]!)).result).toBe('saved');
  expect(await said(both[0]!)).toEqual({ result: 'refused', message: words });
  expect((await readingsOfVisit(own.tenant.practiceId, visitId)).map((r) => r.measure)).toEqual([
    'nrs-now',
    'nrs-average-week',
  ]);
  expect((await said(week('nrs-worst-week', 6))).result).toBe('saved');
});

test('a red flag refers until what came of it is known', async () => {
  await write({
    kind: 'stage',
    stage: 'stopped',
    referral: { cautions: ['x'], seeWho: '', outcome: null, outcomeOn: null },
  });
  expect((await course()).judgement).toMatchObject({ advice: 'refer', because: ['a red flag was answered yes'] });
  await noteReferralOutcome(own.tenant, visitId, 'Nothing found', '2026-01-01');
  expect((await course()).judgement.advice).toBe('go-on');
});
