import { afterAnswer } from '../../core/learning/index.ts';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { renamed } from '../../server/db/migrations/0002-atlas.ts';
import {
  addMeasures,
  latestMeasures,
  measuredClients,
  measuresOfClient,
  removeMeasures,
} from '../../server/db/queries/measures.server.ts';
import { recordTrainerAnswer, trainerState } from '../../server/db/queries/trainer.server.ts';
import { findTemplate, saveTemplate } from '../../server/db/queries/templates.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import { addClient, addVisit, asOwner, closeDatabase, openTwoPractices, owner, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

describe('measures of a client', () => {
  test('are kept with their day, newest first, and the latest of each is known', async () => {
    const client = await addClient(mine);
    expect(await latestMeasures(mine.practiceId, client.id)).toBeNull();
    await addMeasures(mine, client.id, '2026-03-20', { hairlineBrow: 56, pupils: 61 });
    await addMeasures(mine, client.id, '2026-03-01', { hairlineBrow: 58, thumb: 20 });
    const taken = await measuresOfClient(mine.practiceId, client.id);
    expect(taken.map((t) => t.takenOn)).toEqual(['2026-03-20', '2026-03-01']);
    expect(await latestMeasures(mine.practiceId, client.id)).toEqual({ hairlineBrow: 56, pupils: 61, thumb: 20 });
    expect((await measuredClients(mine.practiceId)).map((c) => c.id)).toContain(client.id);
    expect(await removeMeasures(mine, client.id, taken[0]!.id)).toBe('removed');
    expect(await latestMeasures(mine.practiceId, client.id)).toEqual({ hairlineBrow: 58, thumb: 20 });
  });
  test('another practice can neither read, add nor remove them', async () => {
    const client = await addClient(theirs);
    await addMeasures(theirs, client.id, '2026-03-20', { pupils: 62 });
    const [row] = await measuresOfClient(theirs.practiceId, client.id);
    expect(await measuresOfClient(mine.practiceId, client.id)).toEqual([]);
    expect(await latestMeasures(mine.practiceId, client.id)).toBeNull();
    expect(await addMeasures(mine, client.id, '2026-03-21', { pupils: 70 })).toBe('missing');
    expect(await removeMeasures(mine, client.id, row!.id)).toBe('missing');
    expect(await addMeasures(mine, 'nonsense', '2026-03-21', {})).toBe('missing');
    expect(await latestMeasures(theirs.practiceId, client.id)).toEqual({ pupils: 62 });
    expect((await measuredClients(mine.practiceId)).map((c) => c.id)).not.toContain(client.id);
  });
});

describe('the find-it trainer', () => {
  test('an answer and its card are kept together, each practitioner has their own', async () => {
    const now = new Date('2026-03-02T10:00:00Z');
    const first = afterAnswer(null, 'good', now);
    await recordTrainerAnswer(
      mine.practiceId,
      mine.practitionerId,
      { place: 'point:GB20', at: now, errorMm: 6.5, takenFor: null, grade: 'good' },
      first,
    );
    await recordTrainerAnswer(
      mine.practiceId,
      mine.practitionerId,
      { place: 'point:GB20', at: first.due, errorMm: 14, takenFor: 'point:BL10.left', grade: 'hard' },
      afterAnswer(first.card, 'hard', first.due),
    );
    const state = await trainerState(mine.practiceId, mine.practitionerId);
    expect(state.answers.map((a) => [a.place, a.errorMm, a.takenFor])).toEqual([
      ['point:GB20', 6.5, null],
      ['point:GB20', 14, 'point:BL10.left'],
    ]);
    expect(state.cards).toHaveLength(1);
    expect(new Date(state.cards[0]!.due).getTime()).toBeGreaterThan(first.due.getTime());
    expect(await trainerState(theirs.practiceId, theirs.practitionerId)).toEqual({ cards: [], answers: [] });
    expect(await trainerState(theirs.practiceId, mine.practitionerId)).toEqual({ cards: [], answers: [] });
  });
});

describe('the names that changed', () => {
  test('stored answers and routines follow them and nothing else does', async () => {
    const client = await addClient(mine);
    const visitId = await addVisit(mine, client.id);
    const routine = routineFrom(['collarbone-pump', 'terminus-close']);
    const old = JSON.parse(JSON.stringify(routine).replaceAll('"supraclavicular"', '"terminus"')) as typeof routine;
    const templateId = await saveTemplate(mine, 'Old names', old);
    await asOwner(`update visits set screen = :screen where id = :visitId`, {
      visitId,
      screen: JSON.stringify({ answers: { fever: 'yes', thyroid: 'no', trigeminal: 'no' }, preparation: [] }),
    });
    await owner().transaction((transaction) => renamed({ sequelize: owner(), transaction }));
    expect((await findVisit(mine.practiceId, visitId))!.screen.answers).toEqual({
      'fever-infection': 'yes',
      thyroid: 'no',
      'trigeminal-neuralgia': 'no',
    });
    expect((await findTemplate(mine.practiceId, templateId))!.body.items).toEqual(routine.items);
  });
  test('the tables of cautions and nodes hold the new ones only', () => {
    const folder = 'reference/facts/techniques';
    const text = readdirSync(folder).map((file) => readFileSync(join(folder, file), 'utf8'));
    expect(text.join('')).toContain("'node:supraclavicular'");
    expect(text.join('')).not.toMatch(/'node:(terminus|deep-cervical)'/);
  });
});
