import type { GuideEvent, GuideMoment } from '../../core/guide/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { learnedBy, openRun, takeEvents } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { bareStep, hold, routineOf } from '../support/routines.ts';
import {
  asOwner,
  addClient,
  addVisit,
  closeDatabase,
  openFreshDatabase,
  openPractice,
  type Tenant,
} from './database.ts';

const T = 1_800_000_000_000;
const routine = routineOf([bareStep('a', [hold(30)], { pauses: { findPlaceSeconds: 4 } })]);
let tenant: Tenant;
beforeAll(() => openFreshDatabase());
beforeEach(async () => {
  tenant = await openPractice();
});
afterAll(closeDatabase);

/** A whole run in which the hands found the place after so many seconds. */
async function played(seconds: number, by: string, { toTheEnd = true } = {}): Promise<void> {
  const visitId = await addVisit(tenant, (await addClient(tenant)).id);
  await saveVisit(tenant, visitId, { saveId: randomUUID(), expectedVersion: 1, patch: { kind: 'routine', routine } });
  const run = (await openRun(tenant.practiceId, visitId, randomUUID(), { by }))!;
  const event = (moment: GuideMoment, at: number): GuideEvent => ({ ...moment, id: randomUUID(), atMs: T + at * 1000 });
  const events = [
    event({ kind: 'start' }, 0),
    event({ kind: 'wait-for-hands', on: true }, 0.001),
    event({ kind: 'go-on' }, seconds),
  ];
  const nowMs = T + (toTheEnd ? 100_000 : seconds * 1000 + 10);
  await takeEvents(tenant.practiceId, visitId, run.id, events, nowMs, nowMs);
}

async function addColleague(): Promise<string> {
  const id = randomUUID();
  await asOwner(
    `insert into practitioners (id, practice_id, name, email, password_hash, role) values (:id, :practiceId, 'Rafe Oyelaran', :email, '-', 'practitioner')`,
    { id, practiceId: tenant.practiceId, email: `${id}@harbour-row.example` },
  );
  return id;
}

describe('what own runs tell', () => {
  test('is the middle of the ended ones, of this practitioner alone', async () => {
    const me = tenant.practitionerId;
    for (const seconds of [6, 8, 9, 20]) await played(seconds, me);
    await played(1, me, { toTheEnd: false });
    await played(1, await addColleague());
    expect((await learnedBy(tenant.practiceId, me)).hands).toEqual({});
    await played(7, me);
    expect((await learnedBy(tenant.practiceId, me)).hands['find-place']).toEqual({
      seconds: 8,
      leastSeconds: 6,
      mostSeconds: 20,
      runs: 5,
    });
    const elsewhere = await openPractice();
    expect((await learnedBy(elsewhere.practiceId, me)).hands).toEqual({});
  });
  test('goes by the latest forty: hands grow quicker', async () => {
    const me = tenant.practitionerId;
    for (let i = 0; i < 15; i++) await played(30, me);
    for (let i = 0; i < 40; i++) await played(5, me);
    expect((await learnedBy(tenant.practiceId, me)).hands['find-place']).toMatchObject({ seconds: 5, mostSeconds: 5 });
  });
});
