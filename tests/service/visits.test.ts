import { type Client, EMPTY_RECORD, type ReadingEntry, type VisitPatch } from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { storedCourses } from '../../server/db/queries/courses.server.ts';
import { readingsOfVisit } from '../../server/db/queries/readings.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import {
  createVisit,
  findVisit,
  noteReferralOutcome,
  openReferrals,
  reviewsDue,
  visitBefore,
  visitNumber,
  visitsBetween,
} from '../../server/db/queries/visits.server.ts';
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

let tenant: Tenant;
let client: Client;
let visitId: string;
beforeAll(async () => {
  await openFreshDatabase();
  tenant = await openPractice();
});
beforeEach(async () => {
  client = await addClient(tenant);
  visitId = await addVisit(tenant, client.id);
});
afterAll(closeDatabase);

const write = (expectedVersion: number, patch: VisitPatch, saveId: string = randomUUID()) =>
  saveVisit(tenant, visitId, { saveId, expectedVersion, patch });
const tender = (value: number | null, over: Partial<ReadingEntry> = {}): VisitPatch => ({
  kind: 'readings',
  entries: [
    {
      measure: 'tenderness',
      complaintId: null,
      place: 'masseter-superficial',
      side: 'left',
      phase: 'before',
      value,
      ...over,
    },
  ],
});

describe('writing', () => {
  test('a visit opened twice by one press is one visit, by two presses two', async () => {
    const open = (once: string) =>
      createVisit(tenant.practiceId, {
        clientId: client.id,
        practitionerId: tenant.practitionerId,
        startsAt: new Date(),
        once,
      });
    const key = randomUUID();
    const [a, b, c] = await Promise.all([open(key), open(key), open(randomUUID())]);
    expect(a).toBe(b);
    expect(c).not.toBe(a);
  });
  test('each write raises the version', async () => {
    expect(await write(1, { kind: 'stage', stage: 'assess' })).toEqual({ result: 'saved', version: 2 });
    expect(await write(2, { kind: 'routine', routine: routineFrom(['temple-circles']) })).toEqual({
      result: 'saved',
      version: 3,
    });
    expect(await findVisit(tenant.practiceId, visitId)).toMatchObject({
      stage: 'assess',
      version: 3,
      routine: { name: 'Test' },
    });
  });
  test('a stale write is refused with what is stored, and changes nothing', async () => {
    await write(1, { kind: 'routine', routine: routineFrom(['temple-circles'], { name: 'theirs' }) });
    const result = await write(1, {
      kind: 'routine',
      routine: routineFrom(['stay-masseter-superficial'], { name: 'mine' }),
    });
    expect(result).toMatchObject({ result: 'stale', visit: { version: 2, routine: { name: 'theirs' } } });
    expect((await findVisit(tenant.practiceId, visitId))!.routine!.name).toBe('theirs');
  });
  test('a write sent again after a lost answer is acknowledged once', async () => {
    const saveId = randomUUID();
    expect(await write(1, tender(2), saveId)).toEqual({ result: 'saved', version: 2 });
    expect(await write(1, tender(2), saveId)).toEqual({ result: 'saved', version: 2 });
    expect((await readingsOfVisit(tenant.practiceId, visitId)).length).toBe(1);
  });
  test('however many others came between, it is still known', async () => {
    const saveId = randomUUID();
    await write(1, tender(2), saveId);
    await write(2, tender(3, { side: 'right' }));
    await write(3, { kind: 'stage', stage: 'assess' });
    expect(await write(1, tender(2), saveId)).toEqual({ result: 'saved', version: 2 });
    expect((await findVisit(tenant.practiceId, visitId))!.version).toBe(4);
  });
  test('another change under a known id is refused and not written', async () => {
    const saveId = randomUUID();
    await write(1, tender(2), saveId);
    expect(await write(1, tender(3), saveId)).toMatchObject({ result: 'refused' });
    expect(await write(2, tender(3), saveId)).toMatchObject({ result: 'refused' });
    expect((await readingsOfVisit(tenant.practiceId, visitId)).map((r) => r.value)).toEqual([2]);
  });
  test('a product that is not the practice’s is refused', async () => {
    const screen = { answers: {}, preparation: [] };
    expect(await write(1, { kind: 'screen', screen: { ...screen, product: randomUUID() } })).toMatchObject({
      result: 'refused',
    });
    expect(await write(1, { kind: 'screen', screen: { ...screen, product: 'oil' } })).toMatchObject({
      result: 'refused',
    });
    expect(await write(1, { kind: 'screen', screen })).toMatchObject({ result: 'saved' });
  });
  test('of ten writers at once on one version exactly one gets through', async () => {
    const results = await Promise.all(Array.from({ length: 10 }, (_, i) => write(1, tender(i % 4))));
    expect(results.filter((r) => r.result === 'saved').length).toBe(1);
    expect(results.filter((r) => r.result === 'stale').length).toBe(9);
  });
  test('what the caller does not allow is refused with its reason', async () => {
    const result = await saveVisit(
      tenant,
      visitId,
      { saveId: randomUUID(), expectedVersion: 1, patch: { kind: 'stage', stage: 'guide' } },
      () => 'A red flag.',
    );
    expect(result).toEqual({ result: 'refused', message: 'A red flag.' });
    expect((await findVisit(tenant.practiceId, visitId))!.stage).toBe('screen');
  });
  test('a visit that has ended takes no more', async () => {
    await write(1, { kind: 'stage', stage: 'done' });
    expect((await findVisit(tenant.practiceId, visitId))!.endedAt).not.toBeNull();
    expect(await write(2, tender(1))).toMatchObject({ result: 'ended' });
    expect(await readingsOfVisit(tenant.practiceId, visitId)).toEqual([]);
  });
  test('a visit that is not there', async () =>
    expect(
      await saveVisit(tenant, randomUUID(), { saveId: randomUUID(), expectedVersion: 1, patch: tender(1) }),
    ).toEqual({ result: 'missing' }));
});

describe('readings', () => {
  test('a second entry of the same place replaces the first; null takes it away', async () => {
    await write(1, tender(2));
    await write(2, tender(3));
    expect((await readingsOfVisit(tenant.practiceId, visitId)).map((r) => r.value)).toEqual([3]);
    await write(3, tender(null));
    expect(await readingsOfVisit(tenant.practiceId, visitId)).toEqual([]);
  });
  test('sides, phases and places are kept apart', async () => {
    await write(1, {
      kind: 'readings',
      entries: [
        {
          measure: 'tenderness',
          complaintId: null,
          place: 'masseter-superficial',
          side: 'left',
          phase: 'before',
          value: 3,
        },
        {
          measure: 'tenderness',
          complaintId: null,
          place: 'masseter-superficial',
          side: 'right',
          phase: 'before',
          value: 1,
        },
        {
          measure: 'tenderness',
          complaintId: null,
          place: 'masseter-superficial',
          side: 'left',
          phase: 'after',
          value: 2,
        },
      ],
    });
    expect(
      (await readingsOfVisit(tenant.practiceId, visitId)).map((r) => `${r.side} ${r.phase} ${r.value}`).sort(),
    ).toEqual(['left after 2', 'left before 3', 'right before 1']);
  });
  test('a complaint of somebody else is not accepted, and the whole write falls', async () => {
    const other = await addClient(tenant, 'Petr Lindqvist');
    const entries: ReadingEntry[] = [
      {
        measure: 'tenderness',
        complaintId: null,
        place: 'masseter-superficial',
        side: 'left',
        phase: 'before',
        value: 2,
      },
      { measure: 'nrs-now', complaintId: other.complaints[0]!.id, place: '', side: 'left', phase: 'before', value: 5 },
    ];
    expect(await write(1, { kind: 'readings', entries })).toMatchObject({ result: 'refused' });
    expect((await readingsOfVisit(tenant.practiceId, visitId)).length).toBe(0);
  });
  test('decimal millimetres come back as they went in', async () => {
    await write(1, tender(41.5, { measure: 'opening-mm', place: '', side: 'midline' }));
    expect((await readingsOfVisit(tenant.practiceId, visitId))[0]).toMatchObject({
      measure: 'opening-mm',
      value: 41.5,
      source: 'studio',
    });
  });
  test('courses for Today leave out what was rated right after the work and closed complaints', async () => {
    const jaw = client.complaints[0]!;
    const rate = (phase: 'before' | 'after', value: number): ReadingEntry => ({
      measure: 'nrs-now',
      complaintId: jaw.id,
      place: '',
      side: 'left',
      phase,
      value,
    });
    await write(1, { kind: 'readings', entries: [rate('before', 6), rate('after', 3)] });
    expect((await storedCourses(tenant.practiceId, [client.id])).map((c) => c.recent)).toEqual([[6]]);
    await write(2, { kind: 'readings', entries: [{ ...rate('before', 6), value: null }] });
    expect(await storedCourses(tenant.practiceId, [client.id])).toEqual([]);
    await write(3, { kind: 'readings', entries: [rate('before', 5)] });
    await asOwner('update complaints set closed = true where id = :id', { id: jaw.id });
    expect(await storedCourses(tenant.practiceId, [client.id])).toEqual([]);
    expect(await storedCourses(tenant.practiceId, [])).toEqual([]);
  });
});

describe('order in time', () => {
  test('visits are numbered, and know the one before', async () => {
    const earlier = await addVisit(tenant, client.id, new Date(Date.now() - 7 * 86_400_000));
    const visit = (await findVisit(tenant.practiceId, visitId))!;
    expect(await visitNumber(tenant.practiceId, visit)).toBe(2);
    expect((await visitBefore(tenant.practiceId, visit))!.id).toBe(earlier);
  });
  test('the visits of a span come in order with names', async () => {
    const from = new Date(Date.now() - 3_600_000);
    const rows = await visitsBetween(tenant.practiceId, from, new Date(Date.now() + 3_600_000));
    expect(rows.find((r) => r.id === visitId)).toMatchObject({
      clientName: 'Noor Halvorsen',
      practitioner: 'Imke Dahl',
      stage: 'screen',
    });
    expect(rows.map((r) => r.startsAt)).toEqual(rows.map((r) => r.startsAt).sort());
  });
});

describe('what needs a look', () => {
  test('a stopped visit is an open referral until its outcome is noted', async () => {
    await write(1, {
      kind: 'stage',
      stage: 'stopped',
      referral: { cautions: ['thunderclap'], seeWho: 'Emergency services now.', outcome: null, outcomeOn: null },
    });
    expect((await openReferrals(tenant.practiceId)).map((r) => r.visitId)).toContain(visitId);
    expect(await noteReferralOutcome(tenant, visitId, 'Seen, settled.', '2027-03-09')).toBe(true);
    expect((await openReferrals(tenant.practiceId)).map((r) => r.visitId)).not.toContain(visitId);
    expect((await findVisit(tenant.practiceId, visitId))!.referral).toMatchObject({
      cautions: ['thunderclap'],
      outcome: 'Seen, settled.',
      outcomeOn: '2027-03-09',
    });
  });
  test('an outcome belongs to a stopped visit only', async () =>
    expect(await noteReferralOutcome(tenant, visitId, 'x', '2027-03-09')).toBe(false));
  test('stopping leaves a line in the audit trail', async () => {
    await write(1, {
      kind: 'stage',
      stage: 'stopped',
      referral: { cautions: ['fever'], seeWho: '', outcome: null, outcomeOn: null },
    });
    const rows = await asOwner(`select what, about from audit where about->>'visit' = :id`, { id: visitId });
    expect(rows).toEqual([{ what: 'visit-stopped', about: { visit: visitId, cautions: ['fever'] } }]);
  });
  test('a review counts from the latest finished visit of a client', async () => {
    const record = (reviewOn: string): VisitPatch => ({ kind: 'record', record: { ...EMPTY_RECORD, reviewOn } });
    await write(1, record('2027-03-09'));
    await write(2, { kind: 'stage', stage: 'done' });
    const mine = async (day: string) =>
      (await reviewsDue(tenant.practiceId, day)).reviews.filter((r) => r.clientId === client.id);
    expect(await mine('2027-03-08')).toEqual([]);
    expect((await mine('2027-03-09')).map((r) => r.reviewOn)).toEqual(['2027-03-09']);
    const later = await addVisit(tenant, client.id, new Date(Date.now() + 60_000));
    visitId = later;
    await write(1, { kind: 'stage', stage: 'done' });
    expect(await mine('2027-12-31')).toEqual([]);
  });
});
