import type { MeasureAnswers } from '../../core/measures/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { scoresOfClient } from '../../server/db/queries/scores.server.ts';
import { addClient, addVisit, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

const write = (
  who: Tenant,
  visitId: string,
  expectedVersion: number,
  measure: string,
  answers: MeasureAnswers | null,
) => saveVisit(who, visitId, { saveId: randomUUID(), expectedVersion, patch: { kind: 'answers', measure, answers } });

describe('scored measures', () => {
  test('are kept once per visit with their answers; taken again, the later ones stand', async () => {
    const client = await addClient(mine);
    const [first, second] = [await addVisit(mine, client.id), await addVisit(mine, client.id)];
    expect(await write(mine, first, 1, 'distress', { i1: 7 })).toMatchObject({ result: 'saved' });
    expect(await write(mine, first, 2, 'distress', { i1: 6 })).toMatchObject({ result: 'saved' });
    expect(await write(mine, second, 1, 'distress', { i1: 4 })).toMatchObject({ result: 'saved' });
    expect((await scoresOfClient(mine.practiceId, client.id)).map((s) => [s.visitId, s.value, s.answers])).toEqual([
      [first, 6, { i1: 6 }],
      [second, 4, { i1: 4 }],
    ]);
  });
  test('what is answered so far is kept, with what is missing; it is finished later, or taken back', async () => {
    const client = await addClient(mine);
    const visit = await addVisit(mine, client.id);
    await write(mine, visit, 1, 'stress-4', { i1: 2, i2: null, i3: 1, i4: 0 });
    expect((await scoresOfClient(mine.practiceId, client.id))[0]).toMatchObject({
      value: null,
      words: 'Not finished: Item 2 is missing.',
      answers: { i1: 2, i2: null, i3: 1, i4: 0 },
    });
    await write(mine, visit, 2, 'stress-4', { i1: 2, i2: 3, i3: 1, i4: 0 });
    expect((await scoresOfClient(mine.practiceId, client.id))[0]!.value).not.toBeNull();
    await write(mine, visit, 3, 'stress-4', null);
    expect(await scoresOfClient(mine.practiceId, client.id)).toEqual([]);
  });
  test('of a long course the first and the latest few are read', async () => {
    const client = await addClient(mine);
    for (let i = 0; i < 12; i++) await write(mine, await addVisit(mine, client.id), 1, 'distress', { i1: i % 11 });
    expect((await scoresOfClient(mine.practiceId, client.id)).map((s) => s.value)).toEqual([
      0, 4, 5, 6, 7, 8, 9, 10, 0,
    ]);
  });
  test('another practice neither reads nor writes them; unknown measures and visits are refused', async () => {
    const client = await addClient(theirs);
    const visit = await addVisit(theirs, client.id);
    await write(theirs, visit, 1, 'distress', { i1: 3 });
    expect(await scoresOfClient(mine.practiceId, client.id)).toEqual([]);
    expect(await write(mine, visit, 2, 'distress', { i1: 9 })).toEqual({ result: 'missing' });
    expect(await write(mine, 'nonsense', 1, 'distress', { i1: 9 })).toEqual({ result: 'missing' });
    expect(await write(theirs, visit, 2, 'constructor', { i1: 9 })).toMatchObject({ result: 'refused' });
    expect((await scoresOfClient(theirs.practiceId, client.id))[0]!.value).toBe(3);
  });
});
