import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import type { BeforeItem } from '../../core/schedule/index.ts';
import { beforePacket, takeBefore } from '../../server/access/before-packet.server.ts';
import { homePacket } from '../../server/access/home-packet.server.ts';
import { endBooking, moveBooking } from '../../server/db/queries/bookings.server.ts';
import { openHomeFlags } from '../../server/db/queries/home-arrivals.server.ts';
import { makeBeforeLink, openLink, type LinkHolder } from '../../server/db/queries/links.server.ts';
import { addRule } from '../../server/db/queries/practice.server.ts';
import { keptRatings } from '../../server/db/queries/ratings.server.ts';
import { saidBefore } from '../../server/db/queries/said-before.server.ts';
import { inRequest } from '../../server/db/scope.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
const NOW = new Date();
const soon = (days: number) => new Date(NOW.getTime() + days * 86_400_000);
let client: Client;
let visitId: string;
const opened = (secret: string) => inRequest(() => openLink(secret, `a-${secret.slice(0, 6)}`));
const made = async (): Promise<string> => {
  const secret = await makeBeforeLink(own.tenant, visitId);
  if (secret === null || secret === 'late') throw new Error(`no link: ${secret}`);
  return secret;
};
const holderOf = async (secret: string): Promise<LinkHolder> => {
  const found = await opened(secret);
  if (!('holder' in found)) throw new Error('not in use');
  return found.holder;
};
const answers = (said: Record<string, string>, at = NOW): BeforeItem =>
  ({ id: randomUUID(), at: at.toISOString(), kind: 'answers', answers: said }) as BeforeItem;
const visitOf = () => ({ id: visitId, clientId: client.id });

beforeEach(async () => {
  client = await addClient(own.tenant);
  await asOwner(`update clients set created_at = now() - interval '10 days' where id = :id`, { id: client.id });
  visitId = await addVisit(own.tenant, client.id, soon(3));
});

describe('the link before a first visit', () => {
  test('opens that visit alone, by day of the visit at the longest, and ends with a new one', async () => {
    const secret = await made();
    expect(await holderOf(secret)).toMatchObject({ clientId: client.id, planId: null, visitId });
    expect(await homePacket(await holderOf(secret), NOW)).toBeNull();
    const next = await made();
    expect(await opened(secret)).toEqual({ refused: 'unknown' });
    // It follows the booking, and ends with its day.
    await moveBooking(own.tenant, visitId, { startsAt: soon(9), minutes: 60 });
    expect(await opened(next)).toHaveProperty('holder');
    await moveBooking(own.tenant, visitId, { startsAt: soon(-2), minutes: 60 });
    expect(await opened(next)).toEqual({ refused: 'unknown' });
  });
  test('ends when the booking does, and when screening is left', async () => {
    const secret = await made();
    await asOwner(`update visits set stage = 'assess' where id = :visitId`, { visitId });
    expect(await opened(secret)).toEqual({ refused: 'unknown' });
    await asOwner(`update visits set stage = 'screen' where id = :visitId`, { visitId });
    expect(await opened(secret)).toHaveProperty('holder');
    await endBooking(own.tenant, visitId, 'cancelled');
    expect(await opened(secret)).toEqual({ refused: 'unknown' });
  });
  test('is for nobody who was here before, for no visit that has begun, and no other practice', async () => {
    expect(await makeBeforeLink(await openPractice(), visitId)).toBeNull();
    const earlier = await addVisit(own.tenant, client.id, soon(-9));
    expect(await made()).toHaveLength(43);
    await asOwner(`update visits set stage = 'done' where id = :earlier`, { earlier });
    expect(await makeBeforeLink(own.tenant, visitId)).toBe('late');
    await asOwner(`update visits set stage = 'cancelled' where id = :earlier`, { earlier });
    await asOwner(`update visits set stage = 'assess' where id = :visitId`, { visitId });
    expect(await makeBeforeLink(own.tenant, visitId)).toBe('late');
  });
  test('its packet holds the questions and no answer, first name and practice and nothing else', async () => {
    const holder = await holderOf(await made());
    await takeBefore(holder, [answers({ pregnancy: 'yes', epilepsy: 'no' })], NOW, NOW);
    const packet = (await beforePacket(holder, NOW))!;
    expect(packet.firstName).toBe(client.name.split(' ')[0]);
    expect(packet.complaints.map((c) => c.id)).toEqual(client.complaints.map((c) => c.id));
    expect(packet.questions.find((q) => q.key === 'thunderclap')).toMatchObject({ isRedFlag: true });
    const text = JSON.stringify(packet);
    for (const hidden of [client.id, client.name, own.tenant.practiceId, own.tenant.practitionerId, '"yes"', '"no"'])
      expect(text).not.toContain(hidden);
  });
  test('booked at short notice it asks for as many numbers as there are days', async () => {
    const asked = async (days: number) => {
      await moveBooking(own.tenant, visitId, { startsAt: soon(days), minutes: 60 });
      return (await beforePacket(holder, NOW))!.ratingsAsked;
    };
    const holder = await holderOf(await made());
    expect([await asked(9), await asked(2), await asked(1), await asked(0)]).toEqual([3, 3, 2, 1]);
    const complaintId = client.complaints[0]!.id;
    const rating = { id: randomUUID(), at: NOW.toISOString(), kind: 'rating' as const, complaintId, value: 4 };
    await takeBefore(holder, [rating], NOW, NOW);
    expect([await asked(1), await asked(0)]).toEqual([2, 1]);
  });
  test('a rule of the practice is asked in its own words', async () => {
    const rule = await addRule(own.tenant, {
      title: 'Bees',
      question: 'Do you keep bees?',
      group: 'standing',
      severity: 'note',
      regions: [],
      pressures: [],
      works: ['oil'],
      advice: 'No scented oil.',
      seeWho: '',
    } as never);
    const { questions } = (await beforePacket(await holderOf(await made()), NOW))!;
    expect(questions.some((q) => q.words === 'Do you keep bees?')).toBe(true);
    await asOwner('update local_rules set active = false where id = :rule', { rule });
  });
});

describe('what is told', () => {
  test('a later word takes the place of an earlier one, in whatever order they arrive', async () => {
    const holder = await holderOf(await made());
    const early = answers({ epilepsy: 'yes', thyroid: 'unsure' }, new Date(NOW.getTime() - 60_000));
    const late = answers({ epilepsy: 'no', numbness: 'left' });
    await takeBefore(holder, [late], NOW, NOW);
    expect(await takeBefore(holder, [early], NOW, NOW)).toEqual([early.id]);
    expect(await saidBefore(own.tenant.practiceId, visitOf())).toEqual({
      epilepsy: 'no',
      numbness: 'left',
      thyroid: 'unsure',
    });
  });
  test('a yes or a not sure to a red flag is told at once, once; other answers are not', async () => {
    const holder = await holderOf(await made());
    const flags = async () => (await openHomeFlags(own.tenant.practiceId, client.id)).map((f) => f.yes);
    await takeBefore(holder, [answers({ pregnancy: 'yes', thunderclap: 'no' })], NOW, NOW);
    expect(await flags()).toEqual([]);
    const later = new Date(NOW.getTime() + 1000);
    await takeBefore(holder, [answers({ thunderclap: 'yes', 'vision-loss': 'unsure' }, later)], later, later);
    expect((await flags()).map((f) => f.sort())).toEqual([['thunderclap', 'vision-loss']]);
    const again = new Date(NOW.getTime() + 2000);
    await takeBefore(holder, [answers({ thunderclap: 'yes' }, again)], again, again);
    expect(await flags()).toHaveLength(1);
  });
  test('a question of the day, one that is none, or another word is refused, and nothing of the sending is kept', async () => {
    const holder = await holderOf(await made());
    for (const wrong of <Record<string, string>[]>[
      { 'contact-lens': 'no' },
      { nonsense: 'no' },
      { epilepsy: 'left' },
      { epilepsy: 'maybe' },
    ])
      await expect(takeBefore(holder, [answers({ thyroid: 'yes' }), answers(wrong)], NOW, NOW)).rejects.toThrow(
        Object.keys(wrong)[0],
      );
    expect(await saidBefore(own.tenant.practiceId, visitOf())).toEqual({});
  });
  test('numbers of three days are three ratings from home before the work, each once', async () => {
    const holder = await holderOf(await made());
    const complaint = client.complaints[0]!.id;
    const item = (days: number): BeforeItem => ({
      id: randomUUID(),
      at: soon(-days).toISOString(),
      kind: 'rating',
      complaintId: complaint,
      value: 4 + days,
    });
    const items = [item(2), item(1), item(0)];
    await takeBefore(holder, items, NOW, NOW);
    await takeBefore(holder, items, NOW, NOW);
    const kept = await keptRatings(own.tenant.practiceId, client.id, complaint);
    expect(kept.map((r) => [r.value, r.source])).toEqual([
      [4, 'home'],
      [5, 'home'],
      [6, 'home'],
    ]);
    // Of the three, those since the link was made are shown as done.
    expect((await beforePacket(holder, NOW))!.ratedOn.length).toBeGreaterThanOrEqual(1);
    const [course] = await asOwner<{ verdict: string }>(
      `select judgement->>'verdict' as verdict from course_states where complaint_id = :complaint`,
      { complaint },
    );
    expect(course!.verdict).toBe('before-work');
  });
  test('a complaint of somebody else takes no number', async () => {
    const other = await addClient(own.tenant);
    const holder = await holderOf(await made());
    const complaintId = other.complaints[0]!.id;
    await takeBefore(
      holder,
      [{ id: randomUUID(), at: NOW.toISOString(), kind: 'rating', complaintId, value: 9 }],
      NOW,
      NOW,
    );
    expect(await keptRatings(own.tenant.practiceId, other.id, complaintId)).toEqual([]);
  });
  test('comes to the first visit, and no longer once another one has been worked in since', async () => {
    await takeBefore(await holderOf(await made()), [answers({ epilepsy: 'yes' })], NOW, NOW);
    expect(await saidBefore(own.tenant.practiceId, visitOf())).toEqual({ epilepsy: 'yes' });
    const another = await addVisit(own.tenant, client.id, soon(4));
    expect(await saidBefore(own.tenant.practiceId, { id: another, clientId: client.id })).toEqual({ epilepsy: 'yes' });
    await asOwner(`update visits set stage = 'done' where id = :visitId`, { visitId });
    expect(await saidBefore(own.tenant.practiceId, { id: another, clientId: client.id })).toEqual({});
    expect(await saidBefore((await openPractice()).practiceId, visitOf())).toEqual({});
  });
});
