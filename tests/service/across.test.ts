import { beforeAll, describe, expect, test } from 'vitest';
import { emptyRoutine } from '../../core/routine/index.ts';
import type { Client } from '../../core/record/index.ts';
import { RunModel } from '../../server/db/models/index.ts';
import { ratingsDue, standsByTechnique, stoppedComing } from '../../server/db/queries/across.server.ts';
import { keepRating } from '../../server/db/queries/ratings.server.ts';
import { inPractice } from '../../server/db/scope.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
const DAY_MS = 86_400_000;
const NOW = new Date();
const ago = (days: number) => new Date(NOW.getTime() - days * DAY_MS);

/** A visit that was finished so many days ago; before 0 it is still to come. */
async function visit(client: Client, daysAgo: number, stage = daysAgo < 0 ? 'screen' : 'done'): Promise<string> {
  const id = await addVisit(own.tenant, client.id);
  await asOwner('update visits set starts_at = :at, stage = :stage where id = :id', { at: ago(daysAgo), stage, id });
  return id;
}
async function worked(client: Client, ...techniques: string[]) {
  const visitId = await visit(client, 3);
  await inPractice(own.tenant.practiceId, () =>
    RunModel.create({
      practiceId: own.tenant.practiceId,
      visitId,
      routine: emptyRoutine('R'),
      status: 'done',
      steps: [],
      createdAt: ago(3),
      worked: techniques,
      endedAt: ago(3),
    }),
  );
}
const stands = (client: Client, verdict: string) =>
  asOwner('update course_states set verdict = :verdict where client_id = :id', { verdict, id: client.id });
const rated = (client: Client, daysAgo: number, complaint = 0) =>
  keepRating(own.tenant, client.id, client.complaints[complaint]!.id, { value: 5, at: ago(daysAgo), source: 'home' });

describe('how clients stand by technique', () => {
  beforeAll(async () => {
    for (const verdict of ['better', 'better', 'worse', 'about-same', 'cannot-tell', 'too-early']) {
      const client = await addClient(own.tenant, `Stands ${verdict}`);
      await rated(client, 2);
      await stands(client, verdict);
      await worked(
        client,
        'of-all',
        ...(verdict === 'too-early' ? [] : ['of-five']),
        ...(verdict === 'better' ? ['of-two'] : []),
      );
    }
  });
  test('is told from five clients up whose course can be judged; each counts once', async () => {
    const of = Object.fromEntries((await standsByTechnique(own.tenant.practiceId)).map((s) => [s.id, s]));
    expect(of['of-five']).toMatchObject({ clients: 5, stands: { of: 5, better: 2, worse: 1, same: 1 } });
    expect(of['of-all']).toMatchObject({ clients: 6, stands: { of: 5 } });
    expect(of['of-two']).toMatchObject({ clients: 2, stands: null });
  });
  test('not to another practice', async () =>
    expect(await standsByTechnique((await openPractice('Other')).practiceId)).toEqual([]));
});

describe('who stopped coming', () => {
  const who = async () => (await stoppedComing(own.tenant.practiceId, NOW)).people.map((p) => p.clientName);
  const came = async (name: string, ...days: number[]) => {
    const client = await addClient(own.tenant, name);
    for (const d of days) await visit(client, d);
    return client;
  };
  test('two visits, none for six weeks, none booked, within a year', async () => {
    await came('Stopped', 60, 43);
    await came('Not yet', 60, 41);
    await came('Once', 43);
    await came('Long ago', 400, 366);
    await came('Booked', 60, 43, -5);
    const cancelled = await came('Cancelled', 60, 43);
    await visit(cancelled, -5, 'cancelled');
    const names = await who();
    expect(names).toEqual(expect.arrayContaining(['Stopped', 'Cancelled']));
    for (const other of ['Not yet', 'Once', 'Long ago', 'Booked']) expect(names).not.toContain(other);
  });
});

describe('ratings that are due', () => {
  const due = async () => (await ratingsDue(own.tenant.practiceId, NOW)).due.map((d) => d.clientName);
  test('of those who came within six weeks: never rated, or not for a fortnight', async () => {
    const coming = async (name: string, visitAgo: number, ratedAgo: number | null) => {
      const client = await addClient(own.tenant, name);
      await visit(client, visitAgo);
      if (ratedAgo !== null) for (const [i] of client.complaints.entries()) await rated(client, ratedAgo, i);
    };
    await coming('Never', 3, null);
    await coming('Fortnight', 3, 15);
    await coming('Lately', 3, 13);
    await coming('Gone', 43, 50);
    const names = await due();
    expect(names).toEqual(expect.arrayContaining(['Never', 'Fortnight']));
    for (const other of ['Lately', 'Gone']) expect(names).not.toContain(other);
    expect(names.indexOf('Never')).toBeLessThan(names.indexOf('Fortnight'));
  });
});
