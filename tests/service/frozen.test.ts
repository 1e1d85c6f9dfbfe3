import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { throwAwayCluster, type ThrowAwayCluster } from '../../scripts/lib/postgres.ts';
import type { Served } from '../../scripts/lib/server.ts';
import { freshDatabase, serveForTests, Visitor } from '../support/serving.ts';

/** A cluster of its own: it stands still for a while, and the others must not notice. */
let cluster: ThrowAwayCluster;
let served: Served;
let me: Visitor;
let clientId: string;
let visitId: string;
let email: string;
beforeAll(async () => {
  cluster = await throwAwayCluster();
  served = await serveForTests(await freshDatabase(cluster.url));
  me = new Visitor(served.url);
  email = await me.openPractice();
  clientId = await me.addClient();
  visitId = await me.startVisit(clientId);
}, 120_000);
afterAll(async () => {
  await served?.stop();
  await cluster?.stop();
});

const LIMIT_MS = 10_000;

describe('with a database that stands still', () => {
  test('every page says within ten seconds that the records cannot be reached, sign-in too, and all is well afterwards', async () => {
    expect(await (await me.send('/ready')).text()).toBe('ready');
    cluster.freeze();
    const asked: [string, () => Promise<Response>][] = [
      ['Today', () => me.send('/today')],
      ['a client', () => me.send(`/clients/${clientId}`)],
      ['a visit', () => me.send(`/visits/${visitId}/screen`)],
      ['the list', () => me.send('/clients?find=x')],
      [
        'a save',
        () =>
          me.json(`/visits/${visitId}/save`, {
            saveId: 'frozen-save',
            expectedVersion: 1,
            patch: { kind: 'stage', stage: 'assess' },
          }),
      ],
      ['a new client', () => me.form('/clients/new', { name: 'Nobody' })],
      ['a sign-in', () => new Visitor(served.url).form('/sign-in', { email, password: 'a long enough one' })],
      [
        'a new practice',
        () =>
          new Visitor(served.url).form('/new-practice', {
            practice: 'X',
            timeZone: 'UTC',
            name: 'X',
            email: 'x@x.example',
            password: 'a long enough one',
          }),
      ],
      ['whether it is ready', () => me.send('/ready')],
    ];
    const answers = await Promise.all(
      asked.map(async ([what, ask]) => {
        const started = performance.now();
        const { status } = await ask();
        return { what, status, late: performance.now() - started > LIMIT_MS };
      }),
    );
    expect(answers).toEqual(asked.map(([what]) => ({ what, status: 503, late: false })));
    // The process itself is alive all the while.
    expect((await me.send('/health')).status).toBe(200);

    cluster.thaw();
    for (let i = 0; i < 40 && (await (await me.send('/ready')).text()) !== 'ready'; i++)
      await new Promise((r) => setTimeout(r, 250));
    expect((await me.send('/today')).status).toBe(200);
    // What was refused was not done in part.
    expect(await (await me.send('/clients')).text()).not.toContain('Nobody');
    expect(
      (
        await me.json(`/visits/${visitId}/save`, {
          saveId: 'thawed-save',
          expectedVersion: 1,
          patch: { kind: 'stage', stage: 'assess' },
        })
      ).status,
    ).toBe(200);
  }, 90_000);
});
