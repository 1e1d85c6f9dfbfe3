import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from 'vitest';
import type { Answers } from '../../core/limits/index.ts';
import { findClients, listClients } from '../../server/db/queries/clients.server.ts';
import { standingFacts } from '../../server/db/queries/facts.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { addClient, addVisit, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

/** What a client said yes to stays in sight between visits, and finds the client. */
let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

async function answered(name: string, ...sheets: Answers[]): Promise<string> {
  const client = await addClient(mine, name);
  for (const [i, answers] of sheets.entries()) {
    const visitId = await addVisit(mine, client.id, new Date(Date.UTC(2026, 2, i + 1)));
    await saveVisit(mine, visitId, {
      saveId: randomUUID(),
      expectedVersion: 1,
      patch: { kind: 'screen', screen: { answers, preparation: [] } },
    });
  }
  return client.id;
}
const found = async (practice: Tenant, find: string) =>
  (await listClients(practice.practiceId, { find, sort: 'name', descending: false, page: 1, pageSize: 20 })).rows.map(
    (r) => r.name,
  );

test('standing facts are those of the last sheet, unsure among them; those of a day are not kept in sight', async () => {
  const id = await answered(
    'Sunniva Adeyemi',
    { thyroid: 'yes', pregnancy: 'no' },
    { thyroid: 'no', pregnancy: 'unsure', 'fever-infection': 'yes' },
  );
  expect(await standingFacts(mine.practiceId, id)).toEqual(['Pregnancy']);
  expect(await standingFacts(theirs.practiceId, id)).toEqual([]);
});
test('a search for the fact finds the client, in the list and in the box; a no does not, nor another practice', async () => {
  await answered('Wilma Okonjo', { pregnancy: 'no' });
  expect(await found(mine, 'pregnant')).toEqual(['Sunniva Adeyemi']);
  expect((await findClients(mine.practiceId, 'Pregnan', 5)).map((c) => c.name)).toEqual(['Sunniva Adeyemi']);
  expect(await found(mine, 'thyroid')).toEqual([]);
  expect(await found(theirs, 'pregnant')).toEqual([]);
  // Short words are names only.
  expect(await found(mine, 'pre')).toEqual([]);
});
test('a fact of one side is told with its side, and found like any other', async () => {
  const id = await answered('Pelle Marchetti', { filler: 'right' });
  expect(await standingFacts(mine.practiceId, id)).toEqual(['Recent filler or threads, right']);
  expect(await found(mine, 'filler')).toEqual(['Pelle Marchetti']);
});

test('a name is found in spite of a slip, by what the client comes with, and nobody who is unlike it', async () => {
  const practice = theirs;
  await addClient(practice, 'Mirela Castellan');
  await addClient(practice, 'Noor Halvorsen');
  const names = async (text: string) => (await findClients(practice.practiceId, text, 9)).map((c) => c.name);
  expect(await names('Mirla')).toEqual(['Mirela Castellan']);
  expect(await names('Halvrsen')).toEqual(['Noor Halvorsen']);
  expect(await names('Nor')).toEqual([]);
  expect(await names('jaw')).toEqual(['Mirela Castellan', 'Noor Halvorsen']);
  expect(await names('eye strain')).toEqual([]);
  expect(await names('Zzyzx')).toEqual([]);
});
