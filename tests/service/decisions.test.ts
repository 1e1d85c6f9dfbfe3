import { randomUUID } from 'node:crypto';
import { beforeEach, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import { coursesToLookAt } from '../../server/db/queries/courses.server.ts';
import { decide, latestDecision } from '../../server/db/queries/decisions.server.ts';
import { keepRating } from '../../server/db/queries/ratings.server.ts';
import { addClient, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let client: Client;
const rate = async (value: number, daysAgo: number) =>
  keepRating(own.tenant, client.id, client.complaints[0]!.id, {
    value,
    at: new Date(Date.now() - daysAgo * 86_400_000),
    source: 'telephone',
  });
const say = (over: Partial<Parameters<typeof decide>[2]> = {}) =>
  decide(own.tenant, client.id, { choice: 'go-on', seen: 'go-on', reason: '', ...over });
const asked = async () =>
  (await coursesToLookAt(own.tenant.practiceId, new Date(), 50)).courses.filter((c) => c.clientId === client.id);
const kept = () => asOwner('select 1 from decisions where client_id = :id', { id: client.id });

beforeEach(async () => {
  client = await addClient(own.tenant);
});

test('what is decided is kept with who and when, beside what was proposed, and in the trail', async () => {
  expect(await latestDecision(own.tenant.practiceId, client.id)).toBeNull();
  expect(await say({ choice: 'adjust', reason: 'Softer for two weeks' })).toBe('kept');
  expect(await latestDecision(own.tenant.practiceId, client.id)).toMatchObject({
    proposed: 'go-on',
    choice: 'adjust',
    reason: 'Softer for two weeks',
    by: 'Imke Dahl',
  });
  const [entry] = await asOwner<{ about: object }>(
    `select about from audit where practice_id = :id and what = 'decided-next' order by seq desc limit 1`,
    { id: own.tenant.practiceId },
  );
  expect(entry!.about).toMatchObject({ client: client.id, proposed: 'go-on', choice: 'adjust' });
});

test('sent twice it is decided once', async () => {
  const key = randomUUID();
  await Promise.all([say({ key }), say({ key })]);
  await say({ key });
  expect(await kept()).toHaveLength(1);
});

test('what is no longer proposed is told, and nothing is kept', async () => {
  await rate(8, 3);
  await rate(9, 1);
  expect(await say()).toBe('outdated');
  expect(await kept()).toHaveLength(0);
  expect(await say({ choice: 'refer', seen: 'refer' })).toBe('kept');
});

test('another practice decides nothing and sees nothing', async () => {
  const other = await openPractice('Other');
  expect(await decide(other, client.id, { choice: 'go-on', seen: 'go-on', reason: '' })).toBe('missing');
  await say();
  expect(await latestDecision(other.practiceId, client.id)).toBeNull();
  expect(await decide(own.tenant, 'no-id', { choice: 'go-on', seen: 'go-on', reason: '' })).toBe('missing');
});

test('what was decided since the last rating is not asked again today; licensed care always is', async () => {
  // Worked on since long, about the same: review.
  await asOwner(`update complaints set work_began_at = now() - interval '60 days' where client_id = :id`, {
    id: client.id,
  });
  for (let day = 56; day >= 4; day -= 4) await rate(day % 8 ? 5 : 6, day);
  const [course] = await asked();
  expect(course!.judgement.advice).toBe('review');
  await say({ choice: 'go-on', seen: 'review', reason: 'They want to go on' });
  expect(await asked()).toEqual([]);
  await rate(5, 0);
  expect(await asked()).toHaveLength(1);
  await rate(9, 0.2);
  await rate(9, 0.1);
  expect((await asked())[0]!.judgement.advice).toBe('refer');
  await say({ choice: 'refer', seen: 'refer' });
  expect(await asked()).toHaveLength(1);
});
