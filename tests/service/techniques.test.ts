import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { ownFrom, type OwnTechnique } from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import {
  addTechnique,
  catalogueOf,
  changeTechnique,
  importTechniques,
  ownTechniques,
} from '../../server/db/queries/techniques.server.ts';
import { hideTemplate, saveTemplate, templatesInUse } from '../../server/db/queries/templates.server.ts';
import { routineFrom } from '../support/routines.ts';
import { closeDatabase, openTwoPractices, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

const press = (name: string, id = `own-${randomUUID()}`): OwnTechnique =>
  ownFrom(CATALOGUE.techniques.get('masseter-pin-open')!, id, name);
const names = async (t: Tenant) => (await ownTechniques(t.practiceId)).map((k) => k.own.name);

describe('a practice’s own techniques', () => {
  test('are kept, found in its catalogue, and in nobody else’s', async () => {
    const own = press('Ours');
    expect(await addTechnique(mine, own)).toBe('saved');
    expect((await ownTechniques(mine.practiceId))[0]).toEqual({ own, retired: false, version: 1 });
    expect((await catalogueOf(mine.practiceId)).techniques.get(own.id)).toMatchObject({ name: 'Ours', own: true });
    expect((await catalogueOf(theirs.practiceId)).techniques.has(own.id)).toBe(false);
    expect(await changeTechnique(theirs, own.id, 1, { retired: true })).toBe('missing');
  });
  test('one press makes one', async () => {
    const key = randomUUID();
    const own = press('Pressed');
    await Promise.all([1, 2, 3].map(() => addTechnique(mine, own, key)));
    expect((await names(mine)).filter((n) => n === 'Pressed')).toHaveLength(1);
  });
  test('have names of their own among those in use; a retired one frees its name', async () => {
    const first = press('Twice');
    await addTechnique(mine, first);
    expect(await addTechnique(mine, press('TWICE'))).toBe('name-taken');
    expect(await changeTechnique(mine, first.id, 1, { retired: true })).toBe('saved');
    expect(await addTechnique(mine, press('Twice'))).toBe('saved');
    expect(await changeTechnique(mine, first.id, 2, { retired: false })).toBe('name-taken');
    // Retired, it is still known to the routines that hold it.
    expect((await catalogueOf(mine.practiceId)).techniques.get(first.id)).toMatchObject({ retired: true });
  });
  test('a change minds the version', async () => {
    const own = press('Versioned');
    await addTechnique(mine, own);
    const body = { ...own, cue: 'Another cue.' };
    expect(await changeTechnique(mine, own.id, 1, { body })).toBe('saved');
    expect(await changeTechnique(mine, own.id, 1, { body })).toBe('stale');
    expect((await ownTechniques(mine.practiceId)).find((t) => t.own.id === own.id)).toMatchObject({
      version: 2,
      own: { cue: 'Another cue.' },
    });
  });
});

describe('a file of them', () => {
  test('is taken in as a whole, once; in other words it is refused and nothing of it is kept', async () => {
    const [a, b] = [press('From a file'), press('Also from it')];
    expect(await importTechniques(theirs, [a, b])).toEqual({ added: 2, same: 0 });
    expect(await importTechniques(theirs, [a, b])).toEqual({ added: 0, same: 2 });
    const before = await names(theirs);
    expect(await importTechniques(theirs, [press('New'), { ...a, cue: 'Changed.' }])).toEqual({ taken: 'From a file' });
    expect(await importTechniques(theirs, [press('New'), press('new')])).toEqual({ taken: 'new' });
    expect(await names(theirs)).toEqual(before);
  });
  test('no more than a practice keeps', async () => {
    const many = Array.from({ length: 299 }, (_, i) => press(`Many ${i}`));
    expect(await importTechniques(theirs, many)).toBe('too-many');
    expect(await importTechniques(theirs, many.slice(0, 298))).toEqual({ added: 298, same: 0 });
    expect(await addTechnique(theirs, press('One more'))).toBe('too-many');
  });
});

test('hiding a template is for its own practice', async () => {
  const id = await saveTemplate(theirs, 'Theirs', routineFrom(['temple-circles']));
  expect(await hideTemplate({ ...mine, role: 'owner' }, id, true)).toBe('missing');
  expect(await templatesInUse(mine.practiceId, 'Theirs', 9)).toEqual([]);
});
