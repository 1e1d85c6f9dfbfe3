import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { routineSeconds, stepsOf } from '../../core/routine/index.ts';
import {
  changeTemplate,
  earlierVersions,
  findTemplate,
  renameTemplate,
  saveTemplate,
  templateAsOf,
} from '../../server/db/queries/templates.server.ts';
import { openRun } from '../../server/db/queries/runs.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { templateLines } from '../../server/db/queries/template-lines.server.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { createVisit, earlierRoutines, findVisit } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import { database } from '../../server/db/connection.ts';
import { inPractice } from '../../server/db/scope.ts';
import { addClient, addVisit, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
const owner = (who: Tenant) => ({ ...who, role: 'owner' as const });
const ONE = routineFrom(['temple-circles']);
const TWO = routineFrom(['temple-circles', 'masseter-warm-hold']);
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

describe('versions of a routine', () => {
  test('each change keeps what was there, with who changed it; a stale one changes nothing', async () => {
    const id = await saveTemplate(mine, 'Calm', ONE);
    expect(await earlierVersions(mine.practiceId, id)).toEqual([]);
    expect(await changeTemplate(owner(mine), id, 1, { ...TWO, name: 'Calm' })).toBe('saved');
    expect(await changeTemplate(owner(mine), id, 1, ONE)).toBe('stale');
    expect(await renameTemplate(owner(mine), id, 2, 'Calmer')).toBe('saved');
    const now = (await findTemplate(mine.practiceId, id))!;
    expect([now.version, now.name, now.body.name, stepsOf(now.body).length]).toEqual([3, 'Calmer', 'Calmer', 2]);
    const earlier = await earlierVersions(mine.practiceId, id);
    expect(earlier.map((v) => [v.version, v.name, stepsOf(v.body).length])).toEqual([
      [2, 'Calm', 2],
      [1, 'Calm', 1],
    ]);
    expect(earlier.every((v) => v.changedBy.length > 0)).toBe(true);
    // Its name is a part of it: kept with the change, and not one that another routine has.
    await saveTemplate(mine, 'Taken', ONE);
    expect(await changeTemplate(owner(mine), id, 3, { ...TWO, name: 'taken' })).toBe('name-taken');
    expect(await changeTemplate(owner(mine), id, 3, { ...TWO, name: 'Calmest' })).toBe('saved');
    expect((await findTemplate(mine.practiceId, id))!.name).toBe('Calmest');
    expect(await earlierVersions(mine.practiceId, id)).toHaveLength(3);
  });
  test('another practice neither reads nor changes them, and a colleague changes nothing that is not theirs', async () => {
    const id = await saveTemplate(theirs, 'Secret', ONE);
    expect(await changeTemplate(owner(theirs), id, 1, { ...TWO, name: 'Secret' })).toBe('saved');
    const colleague = { ...theirs, practitionerId: crypto.randomUUID(), role: 'practitioner' as const };
    expect(await changeTemplate(colleague, id, 2, ONE)).toBe('not-yours');
    expect(await earlierVersions(mine.practiceId, id)).toEqual([]);
    expect(await changeTemplate(owner(mine), id, 2, ONE)).toBe('missing');
    expect((await findTemplate(theirs.practiceId, id))!.version).toBe(2);
  });
});

test('lines of a list follow each change, by version and by the practice’s techniques, and are of this practice only', async () => {
  const id = await saveTemplate(mine, 'In a list', ONE);
  const line = async (who = mine) =>
    (await templateLines(who.practiceId, CATALOGUE, 'as they are')).find((l) => l.id === id);
  const before = (await line())!;
  expect([before.version, before.steps.length, before.seconds]).toEqual([1, 1, routineSeconds(ONE)]);
  await changeTemplate(owner(mine), id, 1, { ...TWO, name: 'In a list' });
  const after = (await line())!;
  expect([after.version, after.steps.length, after.seconds]).toEqual([2, 2, routineSeconds(TWO)]);
  expect(await line()).toEqual(after);
  expect(await line(theirs)).toBeUndefined();
});

describe('beginning with what there is', () => {
  test('a visit begun with a routine has its own copy of it', async () => {
    const client = await addClient(mine);
    const made = (await createVisit(mine.practiceId, {
      clientId: client.id,
      practitionerId: mine.practitionerId,
      startsAt: new Date(),
      routine: TWO,
    }))!;
    expect((await findVisit(mine.practiceId, made))!.routine).toEqual(TWO);
  });
  test('routines of the same client’s earlier visits, the latest first; none of others', async () => {
    const client = await addClient(mine);
    const other = await addClient(mine);
    const at = (day: number) => new Date(Date.UTC(2026, 2, day, 10));
    const begin = (clientId: string, day: number, routine: typeof ONE | null) =>
      createVisit(mine.practiceId, { clientId, practitionerId: mine.practitionerId, startsAt: at(day), routine });
    await begin(client.id, 1, ONE);
    await begin(client.id, 8, TWO);
    await begin(client.id, 9, null);
    await begin(other.id, 7, ONE);
    const now = (await begin(client.id, 15, null))!;
    await begin(client.id, 20, ONE);
    const found = (await earlierRoutines(mine.practiceId, now))!;
    expect(found.map((f) => [f.at.slice(0, 10), stepsOf(f.routine).length])).toEqual([
      ['2026-03-08', 2],
      ['2026-03-01', 1],
    ]);
    expect(await earlierRoutines(theirs.practiceId, now)).toBeNull();
    expect(await earlierRoutines(mine.practiceId, await addVisit(mine, other.id))).toHaveLength(1);
  });
});

describe('where a visit’s routine came from', () => {
  const keep = (visitId: string, expectedVersion: number, origin?: { template: string; version: number } | null) =>
    saveVisit(mine, visitId, {
      saveId: crypto.randomUUID(),
      expectedVersion,
      patch: { kind: 'routine', routine: ONE, ...(origin === undefined ? {} : { origin }) },
    });
  test('is kept, stays while nothing new is said, goes when told so, and is told with the earlier routines', async () => {
    const client = await addClient(mine);
    const template = await saveTemplate(mine, 'Origin', ONE);
    const origin = { template, version: 1 };
    const visitId = (await createVisit(mine.practiceId, {
      clientId: client.id,
      practitionerId: mine.practitionerId,
      startsAt: new Date(Date.now() - 3_600_000),
      routine: ONE,
      origin,
    }))!;
    expect((await findVisit(mine.practiceId, visitId))!.origin).toEqual(origin);
    await keep(visitId, 1);
    expect((await findVisit(mine.practiceId, visitId))!.origin).toEqual(origin);
    const later = await addVisit(mine, client.id);
    expect((await earlierRoutines(mine.practiceId, later))![0]!.origin).toEqual(origin);
    await keep(visitId, 2, null);
    expect((await findVisit(mine.practiceId, visitId))!.origin).toBeNull();
  });
  test('what it was then is found, of this practice only', async () => {
    const id = await saveTemplate(mine, 'As it was', ONE);
    await changeTemplate(owner(mine), id, 1, { ...TWO, name: 'As it was' });
    const now = (await findTemplate(mine.practiceId, id))!;
    expect(stepsOf((await templateAsOf(mine.practiceId, now, 1))!)).toHaveLength(1);
    expect(stepsOf((await templateAsOf(mine.practiceId, now, 2))!)).toHaveLength(2);
    expect(await templateAsOf(mine.practiceId, now, 7)).toBeNull();
    expect(await templateAsOf(theirs.practiceId, now, 1)).toBeNull();
  });
  test('a list says when a copy was last worked with and with how many; what was only composed is no use', async () => {
    const template = await saveTemplate(mine, 'Used', ONE);
    const line = async () => (await templateLines(mine.practiceId, CATALOGUE, '')).find((t) => t.id === template)!;
    const [one, two] = [await addClient(mine), await addClient(mine)];
    for (const client of [one, one, two]) {
      const visitId = await addVisit(mine, client.id);
      await keep(visitId, 1, { template, version: 1 });
      if (client === two) continue;
      await openRun(mine.practiceId, visitId, crypto.randomUUID());
    }
    expect(await line()).toMatchObject({ clients: 1 });
    expect(Date.now() - Date.parse((await line()).usedAt!)).toBeLessThan(60_000);
  });
  test('how the complaints of its clients stand is told from five clients up', async () => {
    const template = await saveTemplate(mine, 'Relieved', ONE);
    const line = async () => (await templateLines(mine.practiceId, CATALOGUE, '')).find((t) => t.id === template)!;
    const verdicts = ['better', 'better', 'worse', 'about-same', 'too-early', 'cannot-tell'];
    for (const [i, verdict] of verdicts.entries()) {
      const client = await addClient(mine);
      const visitId = await addVisit(mine, client.id);
      await keep(visitId, 1, { template, version: 1 });
      await openRun(mine.practiceId, visitId, crypto.randomUUID());
      await inPractice(mine.practiceId, () =>
        database().query(
          `insert into course_states (complaint_id, practice_id, client_id, rule_version, verdict, advice, judgement, ratings, recent) values (:id, :practiceId, :client, 1, :verdict, 'go-on', '{}', 9, '[]')
           on conflict (practice_id, complaint_id) do update set verdict = excluded.verdict, ratings = 9`,
          { replacements: { id: client.complaints[0]!.id, practiceId: mine.practiceId, client: client.id, verdict } },
        ),
      );
      // Of those whose course says something: too early is not told.
      if (i === 4) expect((await line()).relief).toBeNull();
    }
    expect(await line()).toMatchObject({ clients: 6, relief: { of: 5, better: 2, worse: 1, same: 1 } });
  });
});
