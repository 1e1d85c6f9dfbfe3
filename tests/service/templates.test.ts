import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { routineSeconds, stepsOf } from '../../core/routine/index.ts';
import {
  changeTemplate,
  earlierVersions,
  findTemplate,
  renameTemplate,
  saveTemplate,
} from '../../server/db/queries/templates.server.ts';
import { templateLines } from '../../server/db/queries/template-lines.server.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { createVisit, earlierRoutines, findVisit } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
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
