import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { measureOf } from '../../core/measures/catalogue.ts';
import { keepScore, scoresOfClient } from '../../server/db/queries/scores.server.ts';
import { addClient, addVisit, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

const distress = (value: number) => {
  const def = measureOf('distress')!;
  const answers = { i1: value };
  return { measure: def.id, ruleVersion: def.version, answers, ...def.score(answers) };
};

describe('scored measures', () => {
  test('are kept once per visit with their answers; taken again, the later ones stand', async () => {
    const client = await addClient(mine);
    const [first, second] = [await addVisit(mine, client.id), await addVisit(mine, client.id)];
    expect(await keepScore(mine.practiceId, mine.practitionerId, first, distress(7))).toBe('kept');
    expect(await keepScore(mine.practiceId, mine.practitionerId, first, distress(6))).toBe('kept');
    expect(await keepScore(mine.practiceId, mine.practitionerId, second, distress(4))).toBe('kept');
    expect((await scoresOfClient(mine.practiceId, client.id)).map((s) => [s.visitId, s.value, s.answers])).toEqual([[first, 6, { i1: 6 }], [second, 4, { i1: 4 }]]);
  });
  test('one that could not be scored is kept with its reason', async () => {
    const client = await addClient(mine);
    const visit = await addVisit(mine, client.id);
    const def = measureOf('stress-4')!;
    await keepScore(mine.practiceId, mine.practitionerId, visit, { measure: def.id, ruleVersion: 1, answers: { i1: 2, i2: null, i3: 1, i4: 0 }, ...def.score({ i1: 2, i2: null, i3: 1, i4: 0 }) });
    expect((await scoresOfClient(mine.practiceId, client.id))[0]).toMatchObject({ value: null, words: 'Not scored: every question has to be answered.' });
  });
  test('another practice neither reads nor writes them; unknown visits are not there', async () => {
    const client = await addClient(theirs);
    const visit = await addVisit(theirs, client.id);
    await keepScore(theirs.practiceId, theirs.practitionerId, visit, distress(3));
    expect(await scoresOfClient(mine.practiceId, client.id)).toEqual([]);
    expect(await keepScore(mine.practiceId, mine.practitionerId, visit, distress(9))).toBe('missing');
    expect(await keepScore(mine.practiceId, mine.practitionerId, 'nonsense', distress(9))).toBe('missing');
    expect((await scoresOfClient(theirs.practiceId, client.id))[0]!.value).toBe(3);
  });
});
