import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import { emptyRoutine, newStep } from '../../core/routine/index.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { homeOffer } from '../../server/access/home.server.ts';
import { endHomePlan, homePlansOf, keepHomePlan, noteHomeRuns } from '../../server/db/queries/home-plans.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let client: Client;
let visitId: string;
const ONESELF = [...CATALOGUE.techniques.values()].filter(
  (t) => t.by === 'client' && !t.tool && !t.isTest && t.pressure,
);
const HANDS = [...CATALOGUE.techniques.values()].find((t) => t.by === 'practitioner')!;
const step = newStep(ONESELF[0]!, 's1');
const plan = (over: object = {}) => ({
  steps: [{ step, words: 'Slowly, on both sides.' }],
  timesADay: 2,
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  from: '2026-11-02',
  until: '2026-11-15',
  reviewOn: '2026-11-16',
  shown: [],
  ...over,
});
const plans = () => homePlansOf(own.tenant.practiceId, client.id);
const save = async (patch: object, expectedVersion: number) =>
  expect(
    (await saveVisit(own.tenant, visitId, { saveId: randomUUID(), expectedVersion, patch: patch as never })).result,
  ).toBe('saved');

beforeEach(async () => {
  client = await addClient(own.tenant);
  visitId = await addVisit(own.tenant, client.id);
});

describe('a home plan', () => {
  test('is kept as it is; the next one ends it and it stays; the trail knows', async () => {
    expect(await keepHomePlan(own.tenant, client.id, plan())).toBe(true);
    expect(await keepHomePlan(own.tenant, client.id, plan({ timesADay: 1 }))).toBe(true);
    const [second, first] = await plans();
    expect(second).toMatchObject({ number: 2, timesADay: 1, endedAt: null, by: 'Imke Dahl' });
    expect(first).toMatchObject({ number: 1, timesADay: 2, endedAt: expect.any(String) as string });
    expect(first!.steps).toEqual([{ step, words: 'Slowly, on both sides.' }]);
    const what = await asOwner<{ what: string }>(
      `select what from audit where about->>'client' = :id and what like 'home%'`,
      {
        id: client.id,
      },
    );
    expect(what).toHaveLength(2);
  });
  test('sent twice is kept once; two at once get two numbers, one in force', async () => {
    const key = randomUUID();
    await Promise.all([
      keepHomePlan(own.tenant, client.id, plan(), key),
      keepHomePlan(own.tenant, client.id, plan(), key),
    ]);
    expect(await plans()).toHaveLength(1);
    await Promise.all([keepHomePlan(own.tenant, client.id, plan()), keepHomePlan(own.tenant, client.id, plan())]);
    const all = await plans();
    expect(all.map((p) => p.number)).toEqual([3, 2, 1]);
    expect(all.filter((p) => p.endedAt === null)).toHaveLength(1);
  });
  test('is ended once', async () => {
    await keepHomePlan(own.tenant, client.id, plan());
    expect(await endHomePlan(own.tenant, client.id)).toBe(true);
    expect(await endHomePlan(own.tenant, client.id)).toBe(false);
    expect((await plans())[0]!.endedAt).not.toBeNull();
  });
  test('what is told of a day takes the place of what was told before', async () => {
    await keepHomePlan(own.tenant, client.id, plan());
    const [kept] = await plans();
    const note = (times: number) =>
      noteHomeRuns(own.tenant, client.id, {
        planId: kept!.id,
        day: '2026-11-03',
        times,
        by: new Date('2026-11-03T12:00:00Z'),
      });
    expect(await note(2)).toBe('noted');
    expect((await plans())[0]!.runDays).toEqual(['2026-11-03', '2026-11-03']);
    await note(1);
    expect((await plans())[0]!.runDays).toEqual(['2026-11-03']);
    await note(0);
    expect((await plans())[0]!.runDays).toEqual([]);
    for (const day of ['2026-11-01', '2026-11-16'])
      expect(await noteHomeRuns(own.tenant, client.id, { planId: kept!.id, day, times: 1, by: new Date() })).toBe(
        'outside',
      );
    expect((await plans())[0]!.runDays).toEqual([]);
  });
  test('of another practice is none', async () => {
    await keepHomePlan(own.tenant, client.id, plan());
    const [kept] = await plans();
    const other = await openPractice('Other');
    expect(await homePlansOf(other.practiceId, client.id)).toEqual([]);
    expect(await keepHomePlan(other, client.id, plan())).toBe(false);
    expect(await endHomePlan(other, client.id)).toBe(false);
    expect(
      await noteHomeRuns(other, client.id, { planId: kept!.id, day: '2026-11-03', times: 1, by: new Date() }),
    ).toBe('missing');
    expect(await homeOffer(other.practiceId, client.id, new Set())).toBeNull();
    expect((await plans())[0]!.endedAt).toBeNull();
  });
});

describe('what it can be made of', () => {
  const firm = { ...step, pressure: { there: 'firm' as const, back: null } };
  const offer = async () => (await homeOffer(own.tenant.practiceId, client.id, new Set()))!;
  test('the steps of the latest routine that are for home, lighter; why the others are not', async () => {
    expect((await offer()).candidates).toEqual([]);
    await save({ kind: 'routine', routine: { ...emptyRoutine('R'), items: [firm, newStep(HANDS, 's2')] } }, 1);
    const told = await offer();
    expect(told.candidates.map((c) => [c.step.id, c.step.pressure!.there])).toEqual([['s1', 'light']]);
    expect(told.notHome).toEqual([{ name: HANDS.name, why: 'it needs your hands', tool: null }]);
  });
  test('what the latest screening takes away is taken away at home', async () => {
    await save({ kind: 'routine', routine: { ...emptyRoutine('R'), items: [firm] } }, 1);
    await asOwner(
      `update visits set screen = jsonb_set(screen, '{answers}', jsonb_build_object(:key, 'yes')) where id = :visitId`,
      {
        visitId,
        key: CAUTIONS.find((c) => c.severity === 'refer-out')!.key,
      },
    );
    expect((await offer()).candidates).toEqual([]);
    expect((await offer()).isScreened).toBe(true);
  });
  test('a plan in force is held against what was answered since', async () => {
    await keepHomePlan(
      own.tenant,
      client.id,
      plan({ steps: [{ step: { ...step, pressure: { there: 'light', back: null } }, words: 'Slowly.' }] }),
    );
    expect(await offer()).toMatchObject({ noLonger: [], isScreened: false });
    await asOwner(
      `update visits set screen = jsonb_set(screen, '{answers}', jsonb_build_object(:key, 'yes')) where id = :visitId`,
      {
        visitId,
        key: CAUTIONS.find((c) => c.severity === 'refer-out')!.key,
      },
    );
    expect((await offer()).noLonger).toMatchObject([{ name: ONESELF[0]!.name }]);
  });
  test('the steps of the plan in force stay to choose from', async () => {
    await keepHomePlan(
      own.tenant,
      client.id,
      plan({ steps: [{ step: { ...step, pressure: { there: 'light', back: null } }, words: 'Slowly.' }] }),
    );
    expect((await offer()).candidates.map((c) => c.step.technique)).toEqual([step.technique]);
  });
});
