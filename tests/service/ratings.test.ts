import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import { storedCourses } from '../../server/db/queries/courses.server.ts';
import { correctRating, keepRating, keptRatings, removeRating } from '../../server/db/queries/ratings.server.ts';
import { setSchool } from '../../server/db/queries/practice.server.ts';
import { refreshOutdatedCourses } from '../../server/db/queries/courses.server.ts';
import { addClient, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let client: Client;
let complaint: string;
beforeEach(async () => {
  client = await addClient(own.tenant);
  complaint = client.complaints[0]!.id;
});
const DAY = 86_400_000;
const NOW = Date.now();
const said = (daysAgo: number, value: number, source: 'home' | 'telephone' | 'studio' = 'home') => ({
  value,
  at: new Date(NOW - daysAgo * DAY),
  source,
});
const keep = (daysAgo: number, value: number, source?: 'home' | 'telephone') =>
  keepRating(own.tenant, client.id, complaint, said(daysAgo, value, source));
const course = async () => (await storedCourses(own.tenant.practiceId, [client.id]))[0]!;
const trail = () =>
  asOwner<{ what: string; before: string | null; after: string | null }>(
    `select what, about->>'before' as before, about->>'after' as after from audit where practice_id = :practiceId and about->>'client' = :client and what like 'rating-%' order by seq`,
    { practiceId: own.tenant.practiceId, client: client.id },
  );

describe('ratings between visits', () => {
  test('are kept with source, time and who wrote them down, and make the course', async () => {
    await keep(9, 6);
    await keep(6, 7, 'telephone');
    await keep(3, 6);
    expect(await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id)).toMatchObject([
      { value: 6, source: 'home', by: 'Imke Dahl', at: new Date(NOW - 3 * DAY).toISOString() },
      { value: 7, source: 'telephone' },
      { value: 6, source: 'home' },
    ]);
    const { judgement, ratings } = await course();
    expect([judgement.verdict, judgement.readingsBefore, ratings]).toEqual(['before-work', 3, 3]);
  });
  test('one form makes one, however often it is sent', async () => {
    const key = randomUUID();
    for (let i = 0; i < 3; i++) await keepRating(own.tenant, client.id, complaint, said(2, 5), key);
    expect(await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id)).toHaveLength(1);
  });
  test('are corrected and taken away; what they said before stays in the trail', async () => {
    await keep(9, 6);
    await keep(6, 2);
    const [latest] = await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id);
    expect(await correctRating(own.tenant, client.id, latest!.id, said(5, 8, 'telephone'))).toBe(true);
    expect((await course()).recent).toEqual([6, 8]);
    // The same again changes nothing and says nothing.
    await correctRating(own.tenant, client.id, latest!.id, said(5, 8, 'telephone'));
    expect(await removeRating(own.tenant, client.id, latest!.id)).toBe(true);
    expect((await course()).recent).toEqual([6]);
    const entries = (await trail()).slice(2);
    expect(entries.map((e) => e.what)).toEqual(['rating-corrected', 'rating-removed']);
    expect(entries[0]!.before).toMatch(/^2, .*, home$/);
    expect(entries[0]!.after).toMatch(/^8, .*, telephone$/);
    expect(entries[1]!.before).toMatch(/^8, /);
  });
  test('of another client, another complaint or another practice are not reached', async () => {
    await keep(3, 6);
    const [rating] = await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id);
    const second = await addClient(own.tenant);
    expect(await keepRating(own.tenant, second.id, complaint, said(1, 5))).toBe(false);
    expect(await correctRating(own.tenant, second.id, rating!.id, said(1, 5))).toBe(false);
    expect(await removeRating(own.tenant, second.id, rating!.id)).toBe(false);
    const other = await openPractice();
    expect(await keptRatings(other.practiceId, client.id, client.complaints[0]!.id)).toEqual([]);
    expect(await removeRating(other, client.id, rating!.id)).toBe(false);
    expect(await keptRatings(own.tenant.practiceId, client.id, client.complaints[0]!.id)).toHaveLength(1);
  });
});

test('the practice sets its review time, and every course is judged by it', async () => {
  for (let i = 0; i < 14; i++) await keep(45 - i * 3, [5, 6, 4, 5][i % 4]!);
  await asOwner(`update complaints set work_began_at = :began where id = :complaint`, {
    began: new Date(NOW - 36.5 * DAY),
    complaint,
  });
  await keep(0.5, 5);
  expect((await course()).judgement).toMatchObject({ verdict: 'about-same', advice: 'adjust' });
  const ways = { contact: '', school: 'neck-first', dateFormat: 'day-first' as const };
  expect(await setSchool(own.tenant, { ...ways, reviewDays: 60 })).toBe(true);
  await refreshOutdatedCourses(own.tenant.practiceId);
  expect((await course()).judgement.advice).toBe('go-on');
  expect(await setSchool(own.tenant, { ...ways, reviewDays: 60 })).toBe(false);
  await setSchool(own.tenant, { ...ways, reviewDays: 21 });
});
