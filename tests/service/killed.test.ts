import {
  EMPTY_FINDINGS,
  EMPTY_RECORD,
  EMPTY_SCREEN,
  type Visit,
  type Working,
  workingOf,
} from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import { answerOf } from '../../app/rooms/visit/session/post.ts';
import { SaveQueue, type Kept } from '../../app/rooms/visit/session/save-queue.ts';
import { seeded } from '../../demo/random.ts';
import type { Served } from '../../scripts/lib/server.ts';
import { connect } from '../../server/db/connection.ts';
import { freshDatabase, SHAPE, serveForTests, Visitor } from '../support/serving.ts';

const KILLS = 20;
let databaseUrl: string;
let running: Served;
let next: Promise<Served>;
beforeAll(async () => {
  databaseUrl = await freshDatabase(inject('clusterUrl'), SHAPE);
  running = await serveForTests(databaseUrl);
  next = serveForTests(databaseUrl);
}, 120_000);
afterAll(async () => {
  await running?.stop();
  await (await next)?.stop();
});

test(`the application is killed ${KILLS} times while entries are made: nothing that was shown as saved is missing`, async () => {
  const random = seeded(9);
  let me = new Visitor(running.url);
  await me.openPractice();
  const visitId = await me.startVisit(await me.addClient());
  const owner = connect(databaseUrl, null);
  /** Counts as the database has them now. */
  const stored = async (): Promise<{ note: number; tender: number; version: number }> => {
    const [[row]] = (await owner.query(
      `select version, coalesce(record->>'note', '0')::int as note, coalesce((select value::int from readings r where r.visit_id = v.id and measure = 'opening-mm'), 0) as tender from visits v where id = :visitId`,
      { replacements: { visitId } },
    )) as [{ note: number; tender: number; version: number }[], unknown];
    return row!;
  };
  const countsOf = (w: Working) => ({
    note: Number(w.record.note || 0),
    tender: w.readings.find((r) => r.measure === 'opening-mm')?.value ?? 0,
  });

  let kept: Kept = { version: 1, writes: [] };
  let saved = { note: 0, tender: 0 };
  let savedTimes = 0;
  const open = async () => {
    const now = await stored();
    const start = workingOf(
      {
        stage: 'screen',
        screen: EMPTY_SCREEN,
        routine: null,
        record: { ...EMPTY_RECORD, note: now.note ? String(now.note) : '' },
        findings: EMPTY_FINDINGS,
      } as unknown as Visit,
      now.tender
        ? [
            {
              measure: 'opening-mm',
              complaintId: null,
              place: '',
              side: 'midline',
              phase: 'before',
              value: now.tender,
              source: 'studio',
              takenAt: '',
              visitId,
            },
          ]
        : [],
      [],
    );
    const queue = new SaveQueue({
      visitId,
      version: now.version,
      stored: start,
      makeId: randomUUID,
      retryMs: 20,
      keep: (k) => (kept = structuredClone(k)),
      tell: (shown, save) => {
        if (save.status !== 'saved' || save.refused.length) return;
        saved = countsOf(shown);
        savedTimes++;
      },
      post: async (body) => {
        try {
          return await answerOf(await me.json(`/visits/${visitId}/save`, body));
        } catch {
          return { result: 'unreachable' };
        }
      },
    });
    queue.start(kept);
    return queue;
  };

  let queue = await open();
  let n = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    // Once in every round everything gets written, so that there is something that was called saved.
    const before = savedTimes;
    queue.add({ kind: 'record', record: { ...EMPTY_RECORD, note: String(++n) } });
    for (let i = 0; i < 500 && savedTimes === before; i++) await new Promise((r) => setTimeout(r, 20));
    const until = Date.now() + 200 + random() * 600;
    while (Date.now() < until) {
      n++;
      if (random() < 0.5) queue.add({ kind: 'record', record: { ...EMPTY_RECORD, note: String(n) } });
      else
        queue.add({
          kind: 'readings',
          entries: [
            { measure: 'opening-mm', complaintId: null, place: '', side: 'midline', phase: 'before', value: n % 90 },
          ],
        });
      // Now in a burst, now with a pause in which everything gets written.
      await new Promise((r) => setTimeout(r, random() < 0.6 ? random() * 15 : 100 + random() * 200));
    }
    running.process.kill('SIGKILL');
    // What was said to be saved by now is in the database by now.
    const told = { ...saved };
    const now = await stored();
    expect(now.note, `kill ${kill + 1}`).toBeGreaterThanOrEqual(told.note);
    // Half of the time the page goes as well, and another one takes up what it left.
    if (random() < 0.5) {
      queue.stop();
      queue = await open();
    }
    running = await next;
    next = serveForTests(databaseUrl);
    const { cookie } = me;
    me = new Visitor(running.url);
    me.cookie = cookie;
  }
  for (let i = 0; i < 500 && !queue.isIdle; i++) await new Promise((r) => setTimeout(r, 20));
  expect(queue.save).toEqual({ status: 'saved', refused: [] });
  const { note, tender } = await stored();
  expect({ note, tender }).toEqual(countsOf(queue.shown));
  expect(savedTimes).toBeGreaterThanOrEqual(KILLS);
  // Every version was made by one write that is known by its id: none was done twice.
  const [[row]] = (await owner.query(
    'select v.version, count(w.save_id)::int as writes from visits v join visit_writes w on w.visit_id = v.id where v.id = :visitId group by v.version',
    { replacements: { visitId } },
  )) as [{ version: number; writes: number }[], unknown];
  expect(row!.version).toBe(row!.writes + 1);
  await owner.close();
}, 600_000);
