import { EMPTY_RECORD } from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import type { Served } from '../../scripts/lib/server.ts';
import type { Sequelize } from 'sequelize';
import { connect } from '../../server/db/connection.ts';
import { freshDatabase, SHAPE, serveForTests, Visitor } from '../support/serving.ts';

/** Two processes, as two machines would be: what is written at one is told by the other. */
let one: Served;
let two: Served;
let owner: Sequelize;
beforeAll(async () => {
  const databaseUrl = await freshDatabase(inject('clusterUrl'), SHAPE);
  owner = connect(databaseUrl, null);
  [one, two] = await Promise.all([serveForTests(databaseUrl), serveForTests(databaseUrl)]);
}, 120_000);
afterAll(async () => void (await Promise.all([one?.stop(), two?.stop(), owner?.close()])));

interface Pulse {
  version: number;
  runs: number;
  events: number;
  beside: number;
}
/** Looks on at a visit, and hears what the stream says. */
async function look(who: Visitor, visitId: string) {
  const leave = new AbortController();
  const answer = await fetch(`${who.url}/visits/${visitId}/live`, {
    headers: { cookie: who.cookie, accept: 'text/event-stream' },
    redirect: 'manual',
    signal: leave.signal,
  });
  const heard: Pulse[] = [];
  let ended = false;
  const reading = (async () => {
    const words = new TextDecoder();
    for await (const part of answer.body!)
      for (const line of words.decode(part as Uint8Array).split('\n'))
        if (line.startsWith('data: ')) heard.push(JSON.parse(line.slice(6)) as Pulse);
    ended = true;
  })().catch(() => (ended = true));
  return {
    status: answer.status,
    type: answer.headers.get('content-type'),
    heard,
    hasEnded: () => ended,
    leave: async () => (leave.abort(), reading),
  };
}
const at = (url: string, who: Visitor): Visitor => Object.assign(new Visitor(url), { cookie: who.cookie });
const write = (who: Visitor, visitId: string, expectedVersion: number, note: string) =>
  who.json(`/visits/${visitId}/save`, {
    saveId: randomUUID(),
    expectedVersion,
    patch: { kind: 'record', record: { ...EMPTY_RECORD, note } },
  });
async function opened() {
  const me = new Visitor(one.url);
  await me.openPractice();
  return { me, visitId: await me.startVisit(await me.addClient()) };
}

describe('another screen', () => {
  test('a stream is given to who asks for one: anybody else would wait for ever', async () => {
    const { me, visitId } = await opened();
    expect((await me.send(`/visits/${visitId}/live`)).status).toBe(406);
  });
  test('is told of what is written at another process, and only of the visit that it looks at', async () => {
    const { me, visitId } = await opened();
    const other = await me.startVisit(await me.addClient('Petr Lindqvist'));
    const there = await look(at(two.url, me), visitId);
    expect(there.status).toBe(200);
    expect(there.type).toMatch(/^text\/event-stream/);
    await expect.poll(() => there.heard).toEqual([{ version: 1, runs: 0, events: 0, beside: 0 }]);
    expect((await write(me, other, 1, 'another visit')).status).toBe(200);
    expect((await write(me, visitId, 1, 'looser')).status).toBe(200);
    // Sooner than a screen looks by itself.
    await expect
      .poll(() => there.heard, { timeout: 5000 })
      .toEqual([
        { version: 1, runs: 0, events: 0, beside: 0 },
        { version: 2, runs: 0, events: 0, beside: 0 },
      ]);
    const now = (await (await at(two.url, me).send(`/visits/${visitId}/now`)).json()) as {
      visit: { version: number; record: { note: string } };
    };
    expect(now.visit).toMatchObject({ version: 2, record: { note: 'looser' } });
    await there.leave();
  });
  test('is told of a consent that is given and taken back, and of nothing where nothing changed', async () => {
    const { me, visitId } = await opened();
    const there = await look(at(two.url, me), visitId);
    await expect.poll(() => there.heard.length).toBe(1);
    await owner.query(
      `insert into consents (id, practice_id, client_id, kind, text_version, given_at)
       select gen_random_uuid(), practice_id, client_id, 'work', 0, now() from visits where id = '${visitId}'`,
    );
    const tell = () =>
      owner.query(`select pg_notify('velvet_live', practice_id || ' ' || id) from visits where id = '${visitId}'`);
    await tell();
    await expect.poll(() => there.heard.at(-1)!.beside, { timeout: 5000 }).toBe(1);
    await owner.query('update consents set withdrawn_at = now()');
    await tell();
    await expect.poll(() => there.heard.at(-1)!.beside, { timeout: 5000 }).toBe(2);
    // Told without need, a screen hears nothing: nothing has changed.
    await tell();
    await new Promise((done) => setTimeout(done, 500));
    expect(there.heard).toHaveLength(3);
    await there.leave();
  });
  test('hears nothing any more once its session has ended', async () => {
    const { me, visitId } = await opened();
    const there = await look(at(two.url, me), visitId);
    await expect.poll(() => there.heard.length).toBe(1);
    await at(one.url, me).form('/sign-out', {});
    // The next change is not told: whoever looked is nobody here any more.
    const again = new Visitor(one.url);
    again.cookie = me.cookie;
    await expect.poll(there.hasEnded, { timeout: 20_000 }).toBe(true);
    expect(there.heard).toHaveLength(1);
  }, 40_000);
  test('standing open is no use: a session does not live longer by it', async () => {
    const { me, visitId } = await opened();
    const there = await look(at(two.url, me), visitId);
    await expect.poll(() => there.heard.length).toBe(1);
    // As if it had been used last a day ago.
    await owner.query(`update sessions set expires_at = expires_at - interval '1 day'`);
    const ends = async () => JSON.stringify((await owner.query('select max(expires_at) as at from sessions'))[0]);
    const before = await ends();
    await owner.query(`update visits set version = version + 1 where id = '${visitId}'`);
    await owner.query(`select pg_notify('velvet_live', practice_id || ' ' || id) from visits where id = '${visitId}'`);
    await expect.poll(() => there.heard.length, { timeout: 5000 }).toBe(2);
    expect(await ends()).toBe(before);
    await there.leave();
  });
  test('of another practice finds nothing, and of nobody is sent to the door', async () => {
    const { visitId } = await opened();
    const { me: theirs } = await opened();
    for (const path of ['live', 'now']) {
      expect((await theirs.send(`/visits/${visitId}/${path}`)).status).toBe(404);
      expect((await new Visitor(one.url).send(`/visits/${visitId}/${path}`)).status).toBe(302);
    }
  });
});
