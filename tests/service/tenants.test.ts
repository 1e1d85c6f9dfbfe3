import type { Client } from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { findClient, findClients, listClients, updateClient } from '../../server/db/queries/clients.server.ts';
import { storedCourses, coursesToLookAt } from '../../server/db/queries/courses.server.ts';
import {
  seriesOfClient,
  ratingsOver,
  ratingsOfVisits,
  readingsOfVisit,
} from '../../server/db/queries/readings.server.ts';
import { openRun, runsOfVisit, takeEvents } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import {
  deleteTemplate,
  findTemplate,
  listTemplates,
  renameTemplate,
  saveTemplate,
} from '../../server/db/queries/templates.server.ts';
import {
  createVisit,
  findVisit,
  noteReferralOutcome,
  openReferrals,
  reviewsDue,
  visitBefore,
  visitNumber,
  visitsBetween,
  visitsOfClient,
} from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import { addClient, addVisit, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

/** Two practices side by side: no query of one ever touches a row of the other. */
let mine: Tenant;
let theirs: Tenant;
let client: Client;
let visitId: string;
let stoppedId: string;
let templateId: string;
let runId: string;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
  client = await addClient(theirs);
  visitId = await addVisit(theirs, client.id);
  stoppedId = await addVisit(theirs, client.id);
  templateId = await saveTemplate(theirs, 'Secret', routineFrom(['temple-circles']));
  const write = (id: string, expectedVersion: number, patch: Parameters<typeof saveVisit>[2]['patch']) =>
    saveVisit(theirs, id, { saveId: randomUUID(), expectedVersion, patch });
  await write(visitId, 1, { kind: 'routine', routine: routineFrom(['temple-circles']) });
  await write(visitId, 2, {
    kind: 'readings',
    entries: [
      { measure: 'nrs-now', complaintId: client.complaints[0]!.id, place: '', side: 'left', phase: 'before', value: 6 },
    ],
  });
  await write(stoppedId, 1, {
    kind: 'record',
    record: { reactions: [], where: [], tellNext: '', note: '', product: '', nextOn: '', reviewOn: '2027-01-01' },
  });
  await write(stoppedId, 2, {
    kind: 'stage',
    stage: 'stopped',
    referral: { cautions: [], seeWho: '', outcome: null, outcomeOn: null },
  });
  runId = (await openRun(theirs.practiceId, visitId, randomUUID()))!.id;
});
afterAll(closeDatabase);

describe('reading another practice’s rows finds nothing', () => {
  test('by id', async () => {
    const p = mine.practiceId;
    expect(await findClient(p, client.id)).toBeNull();
    expect(await findVisit(p, visitId)).toBeNull();
    expect(await findTemplate(p, templateId)).toBeNull();
    expect([
      await visitsOfClient(p, client.id),
      await readingsOfVisit(p, visitId),
      await seriesOfClient(p, client.id),
      await ratingsOfVisits(p, [visitId]),
      await runsOfVisit(p, visitId),
    ]).toEqual([[], [], [], [], []]);
    expect(await ratingsOver(p, client.id, { from: new Date(0), to: new Date() })).toEqual([]);
    expect(await visitNumber(p, (await findVisit(theirs.practiceId, visitId))!)).toBe(0);
    expect(await visitBefore(p, (await findVisit(theirs.practiceId, visitId))!)).toBeNull();
  });
  test('in lists', async () => {
    const p = mine.practiceId;
    expect((await listClients(p, { find: '', sort: 'name', descending: false, page: 1, pageSize: 50 })).total).toBe(0);
    expect([
      await findClients(p, 'noor', 9),
      (await listTemplates(p)).filter((t) => t.origin === null),
      await storedCourses(p, [client.id]),
      await openReferrals(p),
    ]).toEqual([[], [], [], []]);
    expect([await reviewsDue(p, '2099-01-01'), await coursesToLookAt(p, new Date(), 9)]).toEqual([
      { reviews: [], total: 0 },
      { courses: [], total: 0 },
    ]);
    expect(await visitsBetween(p, new Date(0), new Date('2100-01-01'))).toEqual([]);
  });
});

describe('writing to another practice’s rows does nothing', () => {
  test('each writer answers as if it were not there', async () => {
    const p = mine.practiceId;
    expect(await updateClient(mine, client.id, 1, { ...client, name: 'Taken' })).toBe('missing');
    expect(
      await saveVisit(mine, visitId, {
        saveId: randomUUID(),
        expectedVersion: 3,
        patch: { kind: 'stage', stage: 'done' },
      }),
    ).toEqual({ result: 'missing' });
    expect(
      await createVisit(p, { clientId: client.id, practitionerId: mine.practitionerId, startsAt: new Date() }),
    ).toBeNull();
    expect(
      await createVisit(theirs.practiceId, {
        clientId: client.id,
        practitionerId: mine.practitionerId,
        startsAt: new Date(),
      }),
    ).toBeNull();
    expect(await noteReferralOutcome(mine, stoppedId, 'x', '2027-01-01')).toBe(false);
    expect(await renameTemplate({ ...mine, role: 'owner' }, templateId, 1, 'Taken')).toBe('missing');
    expect(await deleteTemplate({ ...mine, role: 'owner' }, templateId)).toBe('missing');
    expect(await openRun(p, visitId, randomUUID())).toBeNull();
    expect(await takeEvents(p, visitId, runId, [{ id: randomUUID(), kind: 'start', atMs: 1 }], 2)).toBe('missing');
  });
  test('and nothing of theirs has changed', async () => {
    expect((await findClient(theirs.practiceId, client.id))!.name).toBe('Noor Halvorsen');
    expect(await findVisit(theirs.practiceId, visitId)).toMatchObject({ stage: 'screen', version: 3 });
    expect((await findTemplate(theirs.practiceId, templateId))!.name).toBe('Secret');
    expect((await runsOfVisit(theirs.practiceId, visitId))[0]!.events).toEqual([]);
  });
  test('a reading that names their complaint is refused in a visit of mine', async () => {
    const own = await addClient(mine, 'Petr Lindqvist');
    const visit = await addVisit(mine, own.id);
    expect(
      await saveVisit(mine, visit, {
        saveId: randomUUID(),
        expectedVersion: 1,
        patch: {
          kind: 'readings',
          entries: [
            {
              measure: 'nrs-now',
              complaintId: client.complaints[0]!.id,
              place: '',
              side: 'left',
              phase: 'before',
              value: 3,
            },
          ],
        },
      }),
    ).toMatchObject({ result: 'refused' });
  });
});
