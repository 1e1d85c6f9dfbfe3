import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, test } from 'vitest';
import { readPadLine, readPadSession } from '../../core/devices/index.ts';
import { aimOf, keptScore, tapRound, touchOf, wantedAt, type KeptTry, type Touch } from '../../core/touch/index.ts';
import { replay } from '../../devices/replay.ts';
import { startForcePad } from '../../devices/force-pad.ts';
import { STAND_IN_PAD } from '../../devices/pad-cells.ts';
import { inPractice } from '../../server/db/scope.ts';
import { database } from '../../server/db/connection.ts';
import { keepPadCheck, keepTempoTry, padChecksOf, tempoTriesOf } from '../../server/db/queries/pad-checks.server.ts';
import {
  agreeOnWord,
  keepWords,
  scaleOf,
  setShowsWords,
  showsWords,
  wordsInSight,
} from '../../server/db/queries/pad-words.server.ts';
import { keepPadTry, padTriesOf } from '../../server/db/queries/pad.server.ts';
import { padShape, padsHere, padStream, tellPad } from '../../server/pad.server.ts';
import { worked } from '../support/pad-trace.ts';
import { openPractice, ownPractice } from './database.ts';

let close: (() => Promise<void>)[] = [];
afterEach(async () => {
  for (const one of close) await one();
  close = [];
  delete process.env.VELVET_DEVICES;
});
const started = async (over: Parameters<typeof startForcePad>[0] = {}) => {
  const pad = await startForcePad(over);
  close.push(pad.close);
  process.env.VELVET_DEVICES = `pad ${pad.address} Pad 2`;
  return pad;
};
/** Reads a pad for a while; what it says of itself and what touched it. */
async function heard(ms: number, leave = new AbortController()): Promise<{ events: string[]; touches: Touch[] }> {
  const reader = padStream('Pad 2', leave.signal)!.getReader();
  const words = new TextDecoder();
  let all = '';
  const until = Date.now() + ms;
  while (Date.now() < until) {
    const { value, done } = await reader.read();
    if (done) break;
    all += words.decode(value);
  }
  await reader.cancel();
  const lines = [...all.matchAll(/^data: (.*)$/gm)].map(([, line]) => line!);
  const frames = lines.flatMap((line) => {
    const message = readPadLine(line);
    return message?.kind === 'frame' ? [message] : [];
  });
  return { events: lines, touches: frames.map((f) => touchOf(f, STAND_IN_PAD)) };
}

describe('a pad', () => {
  test('is read a hundred times a second, and says first what it is', async () => {
    await started({ lost: 0 });
    expect(padsHere()).toEqual(['Pad 2']);
    expect(await padShape('Pad 2')).toMatchObject({ rows: 16, columns: 16, cellMm: 5, isStandIn: true });
    const { events, touches } = await heard(1500);
    expect(events[0]).toMatch(/^PAD protocol=1 rows=16 columns=16 cell=5 rate=100 full=400 stand-in=yes /);
    expect(touches.length).toBeGreaterThan(100);
    expect(touches.every((t) => t.kpa === 0)).toBe(true);
    const apart = touches.slice(1).map((t, i) => t.atMs - touches[i]!.atMs);
    expect(Math.max(...apart)).toBeLessThanOrEqual(11);
  });

  test('a hand that is led goes down as hard as it is told, and up', async () => {
    await started();
    const reading = heard(2600);
    await new Promise((done) => setTimeout(done, 300));
    expect(await tellPad('Pad 2', { kind: 'down', kpa: 50, areaCm2: 2 })).toBe(true);
    await new Promise((done) => setTimeout(done, 1400));
    await tellPad('Pad 2', { kind: 'up' });
    const { touches } = await reading;
    const pressed = touches.filter((t) => t.kpa > 40);
    expect(pressed.length).toBeGreaterThan(60);
    const mean = pressed.reduce((sum, t) => sum + t.kpa, 0) / pressed.length;
    expect(Math.abs(mean - 50)).toBeLessThan(8);
    expect(touches.at(-1)!.kpa).toBeLessThan(5);
  });

  test('a weight of 500 g is 4.9 N', async () => {
    await started();
    await tellPad('Pad 2', { kind: 'weight', grams: 500 });
    const { touches } = await heard(600);
    expect(Math.abs(touches.at(-1)!.forceN - 4.90333)).toBeLessThan(0.15);
  });

  test('that loses readings says which are missing by their numbers; one that drifts reads too much', async () => {
    await started({ lost: 0.2, onHours: 2 });
    await tellPad('Pad 2', { kind: 'weight', grams: 1000 });
    const { events, touches } = await heard(1500);
    const numbers = events.flatMap((line) => {
      const message = readPadLine(line);
      return message?.kind === 'frame' ? [message.sequence] : [];
    });
    const missing = numbers.at(-1)! - numbers[0]! + 1 - numbers.length;
    expect(missing / numbers.length).toBeGreaterThan(0.1);
    // 3 % an hour, made up.
    expect(touches.at(-1)!.forceN / 9.80665).toBeGreaterThan(1.04);
  });

  test('a recorded session is played as it was recorded, and says when it is over', async () => {
    const session = readPadSession(readFileSync('docs/formats/force-pad.session.txt', 'utf8'));
    const pad = await replay(session, { speed: 20 });
    close.push(pad.close);
    process.env.VELVET_DEVICES = `pad ${pad.address} Pad 2`;
    const { events } = await heard(3000);
    expect(events[0]).toBe(session.hello);
    expect(events.filter((e) => e.startsWith('F '))).toEqual(session.lines.map((l) => l.line));
    expect(events.at(-1)).toBe('the device ended it');
  });

  test('that goes away is told, and one that is not there is no stream', async () => {
    const pad = await started();
    const reading = heard(4000);
    await new Promise((done) => setTimeout(done, 400));
    await pad.close();
    close = [];
    expect((await reading).events.at(-1)).toContain('does not answer');
    expect(await tellPad('Pad 2', { kind: 'up' })).toBe(false);
    expect(await padShape('Pad 2')).toBeNull();
    expect(padStream('Another', new AbortController().signal)).toBeNull();
    expect(await tellPad('Another', { kind: 'up' })).toBeNull();
  });
});

describe('tries on a pad', () => {
  const own = ownPractice();
  const pace = { pressMs: 2000, restMs: 1000, count: 3 };
  const score = keptScore(
    'hold',
    { aim: aimOf('medium'), wanted: wantedAt(pace) },
    worked('hard', { kpa: 50, areaCm2: 2, motion: 'hold', ...pace }),
  );
  const of: Omit<KeptTry, 'id' | 'at'> = {
    ...{ technique: 'masseter-pin-open', kind: 'hold', contact: 'thumb', pressure: 'medium', perMinute: 20 },
    ...{ sensor: 'Pad 2', isStandIn: true, isBlind: false, score },
  };

  test('are one’s own, kept once for a key, oldest first', async () => {
    const key = randomUUID();
    const first = await keepPadTry(own.tenant, { ...of, at: new Date(Date.now() - 60_000) }, key);
    expect(await keepPadTry(own.tenant, { ...of, at: new Date() }, key)).toBe(first);
    const second = await keepPadTry(own.tenant, { ...of, at: new Date() }, randomUUID());
    const kept = await padTriesOf(own.tenant);
    expect(kept.map((t) => t.id)).toEqual([first, second]);
    expect(kept[0]).toMatchObject({ ...of, score: JSON.parse(JSON.stringify(score)) as object });
    expect(await padTriesOf(await openPractice('Another'))).toEqual([]);
  });
});

describe('words, checks and tempo', () => {
  const own = ownPractice();
  const press = (word: 'medium' | 'firm', kpa: number, isStandIn = false) => ({
    ...{ word, contact: 'thumb' as const, kpa, sensor: 'Pad 2', isStandIn, at: new Date() },
  });
  /** A colleague of the same practice. */
  const colleague = async (): Promise<typeof own.tenant> => {
    const id = randomUUID();
    await inPractice(own.tenant.practiceId, () =>
      database().query(
        `insert into practitioners (id, practice_id, name, email, password_hash, role)
       values (:id, :practiceId, 'Rafe', :email, 'x', 'practitioner')`,
        { replacements: { id, practiceId: own.tenant.practiceId, email: `${id}@pad.example` } },
      ),
    );
    return { ...own.tenant, practitionerId: id };
  };

  test('words are in one’s own sight, kept once, and in that of colleagues only when one shows them', async () => {
    const rafe = await colleague();
    const key = randomUUID();
    await keepWords(rafe, [press('medium', 62), press('firm', 110)], key);
    await keepWords(rafe, [press('medium', 62), press('firm', 110)], key);
    const names = async () => (await wordsInSight(own.tenant, false)).map((p) => [p.name, p.presses.length]);
    expect(await names()).toEqual([]);
    await setShowsWords(rafe, true);
    expect(await showsWords(rafe)).toBe(true);
    expect(await names()).toEqual([['Rafe', 2]]);
    // What a stand-in made up is another thing.
    expect(await wordsInSight(own.tenant, true)).toEqual([]);
    expect(await wordsInSight(await openPractice('Elsewhere'), false)).toEqual([]);
    await setShowsWords(rafe, false);
    expect(await names()).toEqual([]);
    expect((await wordsInSight(rafe, false))[0]!.presses.map((p) => p.kpa).sort((a, b) => a - b)).toEqual([62, 110]);
  });

  test('what is agreed on is the practice’s, of one kind of sensor, and can be let go of', async () => {
    await agreeOnWord(own.tenant, 'medium', 55, false);
    await agreeOnWord(own.tenant, 'medium', 50, false);
    expect(await scaleOf(own.tenant.practiceId, false)).toEqual({ medium: 50 });
    expect(await scaleOf(own.tenant.practiceId, true)).toEqual({});
    expect(await scaleOf((await openPractice('Third')).practiceId, false)).toEqual({});
    await agreeOnWord(own.tenant, 'medium', null, false);
    expect(await scaleOf(own.tenant.practiceId, false)).toEqual({});
  });

  test('checks come newest first, of one pad of one practice', async () => {
    const check = (sensor: string, day: string, readN: number) =>
      keepPadCheck(
        own.tenant,
        { sensor, isStandIn: false, at: new Date(day), weights: [{ grams: 500, readN }] },
        randomUUID(),
      );
    await check('Pad 2', '2026-03-01', 4.9);
    await check('Pad 2', '2026-03-20', 5.0);
    await check('Pad 3', '2026-03-20', 5.4);
    const found = await padChecksOf(own.tenant.practiceId, 'Pad 2');
    expect(found.map((c) => c.weights[0]!.readN)).toEqual([5.0, 4.9]);
    expect(await padChecksOf((await openPractice('Fourth')).practiceId, 'Pad 2')).toEqual([]);
  });

  test('tempo is one’s own', async () => {
    const score = tapRound(
      Array.from({ length: 20 }, (_, i) => i * 1000),
      60,
    )!;
    const key = randomUUID();
    for (let n = 0; n < 2; n++) await keepTempoTry(own.tenant, { kind: 'taps', asked: '60 / min', score }, key);
    expect(await tempoTriesOf(own.tenant)).toMatchObject([{ kind: 'taps', asked: '60 / min', score }]);
    expect(await tempoTriesOf(await colleague())).toEqual([]);
  });
});
