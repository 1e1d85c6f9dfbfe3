import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import type { GuideEvent } from '../../core/guide/index.ts';
import type { Client } from '../../core/record/index.ts';
import { emptyRoutine, expandRoutine, newStep } from '../../core/routine/index.ts';
import type { HomeItem } from '../../core/schedule/index.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { homeOffer } from '../../server/access/home.server.ts';
import { homePacket } from '../../server/access/home-packet.server.ts';
import { inRequest } from '../../server/db/scope.ts';
import { forgetTries } from '../../server/db/queries/attempts.server.ts';
import { openHomeFlags, seeToFlag, takeFromHome } from '../../server/db/queries/home-arrivals.server.ts';
import { endHomePlan, homePlansOf, keepHomePlan } from '../../server/db/queries/home-plans.server.ts';
import { endLink, linkOfPlan, makeLink, openLink, type LinkHolder } from '../../server/db/queries/links.server.ts';
import { homeLooks, homeRunsTold } from '../../server/db/queries/home-looks.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { keptRatings } from '../../server/db/queries/ratings.server.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let client: Client;
const ZONE = 'Europe/Berlin';
const technique = [...CATALOGUE.techniques.values()].find(
  (t) => t.by === 'client' && !t.tool && !t.isTest && t.pressure,
)!;
const plan = {
  steps: [{ step: newStep(technique, 'home-1'), words: 'Slowly, on both sides.' }],
  timesADay: 2,
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  from: '2026-11-02',
  until: '2026-11-29',
  reviewOn: '2026-11-30',
  shown: [],
};
/** As a visitor of another request: no practice is known before the secret is read. */
const opened = (secret: string, address = `a-${secret.slice(0, 6)}`) => inRequest(() => openLink(secret, address));
const holderOf = async (secret: string): Promise<LinkHolder & { planId: string }> => {
  const found = await opened(secret);
  if (!('holder' in found) || !found.holder.planId) throw new Error('not in use');
  return { ...found.holder, planId: found.holder.planId };
};

let secret: string;
beforeEach(async () => {
  client = await addClient(own.tenant);
  await keepHomePlan(own.tenant, client.id, plan);
  secret = (await makeLink(own.tenant, client.id))!;
  await asOwner(`update home_plans set made_at = '2026-11-01T08:00:00Z' where client_id = :id`, { id: client.id });
});

describe('a private link', () => {
  test('holds at least 128 bits, is stored as a hash alone, and opens one client and plan', async () => {
    expect(Buffer.from(secret, 'base64url').length * 8).toBeGreaterThanOrEqual(128);
    const rows = await asOwner<Record<string, unknown>>('select * from client_links where client_id = :id', {
      id: client.id,
    });
    expect(rows).toHaveLength(1);
    expect(JSON.stringify(rows)).not.toContain(secret);
    const holder = await holderOf(secret);
    expect(holder).toMatchObject({ practiceId: own.tenant.practiceId, clientId: client.id });
    expect(holder.planId).toBe((await homePlansOf(own.tenant.practiceId, client.id))[0]!.id);
  });
  test('ends 30 days after the review, when it is ended, and when another is made', async () => {
    const link = (await linkOfPlan(own.tenant.practiceId, (await holderOf(secret)).planId))!;
    expect(link.expiresOn).toBe('2026-12-30');
    const next = (await makeLink(own.tenant, client.id))!;
    expect(await opened(secret)).toEqual({ refused: 'unknown' });
    expect(await opened(next)).toHaveProperty('holder');
    expect(await endLink(own.tenant, client.id)).toBe(true);
    expect(await opened(next)).toEqual({ refused: 'unknown' });
    expect(await endLink(own.tenant, client.id)).toBe(false);
    const last = (await makeLink(own.tenant, client.id))!;
    await asOwner(`update client_links set expires_on = current_date - 2 where client_id = :id and ended_at is null`, {
      id: client.id,
    });
    expect(await opened(last)).toEqual({ refused: 'unknown' });
  });
  test('is nothing another practice can make or end', async () => {
    const stranger = await openPractice();
    expect(await makeLink(stranger, client.id)).toBeNull();
    expect(await endLink(stranger, client.id)).toBe(false);
    expect(await opened(secret)).toHaveProperty('holder');
  });
  test('ten thousand guesses from one address: thirty are looked at, then none, and other addresses go on', async () => {
    const address = `guesser-${randomUUID()}`;
    const answers: string[] = [];
    for (let i = 0; i < 10_000; i++) {
      const answer = await opened(
        Buffer.from(randomUUID() + randomUUID())
          .toString('base64url')
          .slice(0, 43),
        address,
      );
      answers.push('holder' in answer ? 'holder' : answer.refused);
    }
    expect(answers.slice(0, 30)).toEqual(Array<string>(30).fill('unknown'));
    expect(new Set(answers.slice(30))).toEqual(new Set(['too-many']));
    expect(await opened(secret, 'somewhere-else')).toHaveProperty('holder');
    await forgetTries('links', address);
  });
});

describe('the packet', () => {
  test('holds the first name, the plan and its techniques, and nothing else of client or practice', async () => {
    const packet = (await homePacket(await holderOf(secret), new Date('2026-11-10T10:00:00Z')))!;
    expect(packet.firstName).toBe(client.name.split(' ')[0]);
    expect(packet.techniques.map((t) => t.id)).toEqual([technique.id]);
    expect(packet.techniques[0]).toMatchObject({ cue: 'Slowly, on both sides.' });
    const text = JSON.stringify(packet);
    expect(text).not.toContain(client.id);
    expect(text).not.toContain(own.tenant.practiceId);
    expect(text).not.toContain(own.tenant.practitionerId);
    expect(text).not.toContain(client.name);
    expect(packet.held).toBe('');
  });
  test('is held back once what was answered later asks for something else', async () => {
    const holder = await holderOf(secret);
    const visitId = await addVisit(own.tenant, client.id);
    const answers = Object.fromEntries(CAUTIONS.map((c) => [c.key, { answer: 'yes' }]));
    const patch = { kind: 'screen', screen: { answers, preparation: [] } };
    await saveVisit(own.tenant, visitId, { saveId: randomUUID(), expectedVersion: 1, patch: patch as never });
    expect((await homePacket(holder, new Date()))!.held).toContain('Ask Imke before you go on');
  });
  test('is none once the plan has ended', async () => {
    const holder = await holderOf(secret);
    await endHomePlan(own.tenant, client.id);
    expect(await homePacket(holder, new Date())).toBeNull();
  });
});

const NOW = new Date('2026-11-10T20:00:00Z');
const at = (time: string) => `2026-11-10T${time}Z`;
const events = (from: string, last: GuideEvent['kind'] = 'start'): GuideEvent[] => {
  const ms = Date.parse(from);
  const start: GuideEvent = { id: randomUUID(), atMs: ms, kind: 'start' };
  return last === 'stop' ? [start, { id: randomUUID(), atMs: ms + 15_000, kind: 'stop', reason: 'it hurts' }] : [start];
};
const item = <K extends HomeItem['kind']>(kind: K, planId: string, over: object): HomeItem =>
  ({ id: randomUUID(), planId, kind, at: at('19:00:00'), ...over }) as unknown as HomeItem;
const runs = () =>
  asOwner<{
    day: string;
    ended: Date;
    stopped: string | null;
    worked: string[];
    before: number | null;
    lengths: unknown;
  }>(
    `select ran_on::text as day, ended_at as ended, stopped, worked, before_value as before, lengths from home_runs where client_id = :id order by ended_at`,
    { id: client.id },
  );

describe('what a phone sends', () => {
  const send = async (items: HomeItem[], sentAt = NOW) =>
    takeFromHome(await holderOf(secret), ZONE, items, sentAt, NOW);
  const planId = async () => (await holderOf(secret)).planId;

  test('a run is kept with what was worked, once, however often and together with what it comes', async () => {
    const id = await planId();
    const run = item('run', id, { startedAt: at('18:58:00'), events: events(at('18:58:00')), before: 4 });
    expect(await send([run])).toEqual([run.id]);
    expect(await send([run, run])).toEqual([run.id, run.id]);
    await Promise.all([send([run]), send([run])]);
    expect(await runs()).toEqual([
      expect.objectContaining({
        day: '2026-11-10',
        worked: [technique.id],
        before: 4,
        ended: new Date(at('19:00:00')),
      }),
    ]);
  });
  test('a run that was stopped keeps its reason, one in which nothing was done is none', async () => {
    const id = await planId();
    await send([
      item('run', id, { startedAt: at('18:58:00'), events: events(at('18:58:00'), 'stop'), before: null }),
      item('run', id, { startedAt: at('19:00:00'), events: events(at('19:00:00')), before: null }),
    ]);
    expect((await runs()).map((r) => r.stopped)).toEqual(['it hurts']);
  });
  test('a rating is one between visits, from home, and counts once', async () => {
    const id = await planId();
    const complaint = client.complaints[0]!.id;
    const rating = item('rating', id, { complaintId: complaint, value: 6 });
    await send([rating]);
    await send([rating]);
    const kept = await keptRatings(own.tenant.practiceId, client.id, complaint);
    expect(kept).toEqual([
      expect.objectContaining({ value: 6, source: 'home', by: null, at: '2026-11-10T19:00:00.000Z' }),
    ]);
  });
  test('what came after comes in any order, also before its run', async () => {
    const id = await planId();
    const run = item('run', id, { startedAt: at('18:58:00'), events: events(at('18:58:00')), before: 4 });
    const after = item('after', id, { runId: run.id, value: 3, felt: ['warm', 'ache-moved'], note: 'to the temple' });
    await send([after]);
    await send([run]);
    await send([after]);
    expect(
      await asOwner(
        'select a.value, a.felt, a.note from home_after a join home_runs r on r.id = a.run_id where a.client_id = :id',
        { id: client.id },
      ),
    ).toEqual([{ value: 3, felt: ['warm', 'ache-moved'], note: 'to the temple' }]);
  });
  test('a yes holds the plan back until somebody has seen to it; no yes does not', async () => {
    const id = await planId();
    const holder = await holderOf(secret);
    await send([item('flags', id, { yes: [] })]);
    expect((await homePacket(holder, NOW))!.held).toBe('');
    await send([item('flags', id, { yes: ['jaw'] })]);
    expect((await homePacket(holder, NOW))!.held).toContain('Ask Imke');
    const [flag] = await openHomeFlags(own.tenant.practiceId, client.id);
    expect(flag).toMatchObject({ clientId: client.id, yes: ['jaw'] });
    const stranger = await openPractice();
    expect(await seeToFlag(stranger, client.id, flag!.id)).toBe(false);
    expect(await seeToFlag(own.tenant, client.id, flag!.id)).toBe(true);
    expect(await seeToFlag(own.tenant, client.id, flag!.id)).toBe(false);
    expect((await homePacket(holder, NOW))!.held).toBe('');
  });
  test('a clock that is wrong when it sends is put right; the day is the practice’s', async () => {
    const id = await planId();
    // Two hours behind: 21:30 in Berlin was written down as 19:30, half an hour ago by both clocks.
    const behind = new Date(NOW.getTime() - 7_200_000);
    const then = new Date(behind.getTime() - 1_800_000).toISOString();
    await send(
      [
        item('run', id, {
          at: then,
          startedAt: new Date(Date.parse(then) - 120_000).toISOString(),
          events: events(new Date(Date.parse(then) - 120_000).toISOString()),
          before: null,
        }),
      ],
      behind,
    );
    expect((await runs())[0]!.ended).toEqual(new Date('2026-11-10T19:30:00Z'));
    // Half past midnight in Berlin is the next day there.
    await send([
      item('run', id, {
        at: '2026-11-09T23:40:00Z',
        startedAt: '2026-11-09T23:30:00Z',
        events: events('2026-11-09T23:30:00Z'),
        before: null,
      }),
    ]);
    expect((await runs())[0]!.day).toBe('2026-11-10');
  });
  test('nothing is later than now or earlier than its plan', async () => {
    const id = await planId();
    await send([
      item('rating', id, { complaintId: client.complaints[0]!.id, value: 1, at: '2036-01-01T00:00:00Z' }),
      item('rating', id, { complaintId: client.complaints[0]!.id, value: 2, at: '1999-01-01T00:00:00Z' }),
    ]);
    const kept = await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id);
    expect(kept.map((r) => r.at)).toEqual([NOW.toISOString(), '2026-11-01T08:00:00.000Z']);
  });
  test('a link writes for its own client and plan alone', async () => {
    const id = await planId();
    const other = await addClient(own.tenant);
    await keepHomePlan(own.tenant, other.id, plan);
    const [otherPlan] = await homePlansOf(own.tenant.practiceId, other.id);
    const foreign = item('run', otherPlan!.id, {
      startedAt: at('18:58:00'),
      events: events(at('18:58:00')),
      before: null,
    });
    expect(await send([foreign, item('rating', id, { complaintId: other.complaints[0]!.id, value: 9 })])).toHaveLength(
      2,
    );
    expect(await keptRatings(own.tenant.practiceId, other.id, other.complaints[0]!.id)).toEqual([]);
    expect(await asOwner('select 1 from home_runs where client_id = :id', { id: other.id })).toEqual([]);
    expect(await runs()).toEqual([]);
  });
});

describe('what Today tells of home', () => {
  const send = async (items: HomeItem[]) => takeFromHome(await holderOf(secret), ZONE, items, NOW, NOW);
  const looks = async () =>
    (await homeLooks(own.tenant.practiceId, '2026-11-10', NOW, 30)).filter((l) => l.clientId === client.id);
  const planId = async () => (await holderOf(secret)).planId;
  const run = async (over: object = {}) =>
    item('run', await planId(), { startedAt: at('18:58:00'), events: events(at('18:58:00')), before: null, ...over });

  test('days without a run from six on, counted from the first day where there was none', async () => {
    expect(await looks()).toEqual([expect.objectContaining({ kind: 'silent', days: 9 })]);
    await send([await run()]);
    expect(await looks()).toEqual([]);
    const days = async (today: string) =>
      (await homeLooks(own.tenant.practiceId, today, NOW, 30)).filter((l) => l.clientId === client.id);
    expect(await days('2026-11-15')).toEqual([]);
    expect(await days('2026-11-16')).toEqual([expect.objectContaining({ kind: 'silent', days: 6 })]);
    // A plan that is over, or ended, is nobody's silence.
    expect(await days('2026-11-30')).toEqual([]);
    await endHomePlan(own.tenant, client.id);
    expect(await days('2026-11-16')).toEqual([]);
  });
  test('a run stopped for more than time holds the plan back until somebody has seen to it', async () => {
    const stopped = (reason: string) => [
      { id: randomUUID(), atMs: Date.parse(at('18:58:00')), kind: 'start' },
      { id: randomUUID(), atMs: Date.parse(at('18:58:10')), kind: 'stop', reason },
    ];
    const holder = await holderOf(secret);
    const flags = () => openHomeFlags(own.tenant.practiceId, client.id);
    await send([await run({ events: stopped('no time') })]);
    expect(await flags()).toEqual([]);
    expect((await homePacket(holder, NOW))!.held).toBe('');
    const hurt = await run({ events: stopped('it hurts') });
    await send([hurt]);
    await send([hurt]);
    expect(await flags()).toEqual([expect.objectContaining({ id: hurt.id, yes: ['stopped: it hurts'] })]);
    expect((await homePacket(holder, NOW))!.held).toContain('Ask Imke');
    expect(await seeToFlag(own.tenant, client.id, hurt.id)).toBe(true);
    // What is sent once more does not bring it back.
    await send([hurt]);
    expect((await homePacket(holder, NOW))!.held).toBe('');
  });
  test('a reason is kept also where nothing was worked yet; a run without either is none', async () => {
    const begun = { id: randomUUID(), atMs: Date.parse(at('18:58:00')), kind: 'start' };
    const left = (reason: string) => [
      begun,
      { id: randomUUID(), atMs: Date.parse(at('18:58:01')), kind: 'stop', reason },
    ];
    await send([await run({ events: left('no time') }), await run({ events: left('') })]);
    expect(await runs()).toEqual([]);
    await send([await run({ events: left('dizzy or sick') })]);
    expect(await openHomeFlags(own.tenant.practiceId, client.id)).toHaveLength(1);
    const told = await homeRunsTold(own.tenant.practiceId, client.id);
    expect(told).toEqual([expect.objectContaining({ stopped: 'dizzy or sick', counts: false })]);
  });
  test('sore after and ache moved when they come again, warm never', async () => {
    const after = async (felt: string[]) =>
      item('after', await planId(), { runId: randomUUID(), value: null, felt, note: '' });
    await send([await run(), await after(['warm', 'sore-after']), await after(['warm', 'ache-moved'])]);
    expect(await looks()).toEqual([]);
    await send([await after(['sore-after'])]);
    expect(await looks()).toEqual([expect.objectContaining({ kind: 'felt', felt: 'sore-after', times: 2 })]);
  });
  test('nothing of it is another practice’s', async () => {
    const stranger = await openPractice();
    expect(await homeLooks(stranger.practiceId, '2026-11-10', NOW, 30)).toEqual([]);
    expect(await homeRunsTold(stranger.practiceId, client.id)).toEqual([]);
    expect(await openHomeFlags(stranger.practiceId)).toEqual([]);
  });
});

test('five runs in which an open step took its own time change how long it is said to take', async () => {
  const open = [...CATALOGUE.techniques.values()].find(
    (t) => t.by !== 'practitioner' && !t.tool && !t.isTest && t.defaults.dose.parts[0]?.kind === 'open',
  )!;
  const step = newStep(open, 'home-1');
  await keepHomePlan(own.tenant, client.id, { ...plan, steps: [{ step, words: 'Until it softens.' }] });
  const mine = (await makeLink(own.tenant, client.id))!;
  await asOwner(`update home_plans set made_at = '2026-11-01T08:00:00Z' where client_id = :id`, { id: client.id });
  const holder = await holderOf(mine);
  const ask = async () => {
    const offer = (await homeOffer(own.tenant.practiceId, client.id, new Set()))!;
    return offer.candidates.find((c) => c.step.technique === open.id)!;
  };
  const usual = (await ask()).seconds;
  expect((await ask()).ownSeconds).toBeNull();
  const routine = { ...emptyRoutine('Home plan'), items: [(await ask()).step] };
  const cue = expandRoutine(routine).find((c) => c.kind === 'open')!;
  // Ended by hand two seconds after its least.
  const part = step.dose.parts[0] as { leastSeconds: number };
  for (let i = 0; i < 5; i++) {
    const from = Date.parse(`2026-11-1${i}T08:00:00Z`);
    const log: GuideEvent[] = [
      { id: randomUUID(), atMs: from, kind: 'start' },
      { id: randomUUID(), atMs: from + cue.startMs + (part.leastSeconds + 2) * 1000, kind: 'go-on' },
    ];
    const at = new Date(from + 3_600_000).toISOString();
    const run = item('run', holder.planId, { startedAt: new Date(from).toISOString(), at, events: log, before: null });
    const then = new Date('2026-11-20T00:00:00Z');
    await takeFromHome(holder, ZONE, [run], then, then);
    if (i < 4) expect((await ask()).ownSeconds).toBeNull();
  }
  expect((await ask()).ownSeconds).toBeLessThan(usual);
});
