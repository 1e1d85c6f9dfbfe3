import { beforeAll, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import { emptyRoutine, newStep } from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { RunModel } from '../../server/db/models/index.ts';
import { drawnCourses, effectSpreadOf, helpedBefore } from '../../server/db/queries/courses.server.ts';
import { keepRating } from '../../server/db/queries/ratings.server.ts';
import { doneAtVisits } from '../../server/db/queries/runs.server.ts';
import { inPractice } from '../../server/db/scope.ts';
import { learnSpreads } from '../../server/db/upkeep.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

const own = ownPractice();
let client: Client;
const DAY_MS = 86_400_000;
const START = Date.now() - 25 * DAY_MS;
const HELPS = 'masseter-spot-massage';
const ALWAYS = 'breath-long-exhale';

/** A run at a visit of its own, as the record of a run leaves it. */
async function run(tenant: Tenant, whose: Client, atMs: number, worked: string[]) {
  const visitId = await addVisit(tenant, whose.id);
  await asOwner('update visits set starts_at = :at where id = :visitId', { at: new Date(atMs), visitId });
  await inPractice(tenant.practiceId, () =>
    RunModel.create({
      practiceId: tenant.practiceId,
      visitId,
      routine: { ...emptyRoutine('R'), items: [newStep(CATALOGUE.techniques.get(HELPS)!, 's1')] },
      status: 'done',
      steps: [],
      createdAt: new Date(atMs),
      worked,
      endedAt: new Date(atMs),
    }),
  );
  return visitId;
}

beforeAll(async () => {
  client = await addClient(own.tenant);
  for (let day = 0; day < 24; day++) {
    await keepRating(own.tenant, client.id, client.complaints[0]!.id, {
      value: day % 3 === 1 ? 3 : 5,
      at: new Date(START + day * DAY_MS),
      source: 'home',
    });
    await run(own.tenant, client, START + (day + 0.5) * DAY_MS, [ALWAYS, ...(day % 3 === 0 ? [HELPS] : [])]);
  }
  // The last rating judges with all runs.
  await keepRating(own.tenant, client.id, client.complaints[0]!.id, {
    value: 5,
    at: new Date(START + 24 * DAY_MS),
    source: 'home',
  });
});

test('what came before easier days is kept with the course and handed to a proposal', async () => {
  const beside = (await drawnCourses(own.tenant.practiceId, client.id)).get(client.complaints[0]!.id)!;
  expect(beside.preceded.uses).toBe(24);
  const [helped] = await helpedBefore(own.tenant.practiceId, client.id);
  expect(helped!.complaintId).toBe(client.complaints[0]!.id);
  // What was always done tells nothing by itself.
  expect(helped!.techniques.map((t) => t.technique)).toEqual([HELPS]);
  expect(helped!.techniques[0]!.effect).toBeGreaterThan(0.5);
});

test('another practice is told nothing of it', async () => {
  const other = await openPractice('Other');
  expect(await helpedBefore(other.practiceId, client.id)).toEqual([]);
  expect(await doneAtVisits(other.practiceId, client.id)).toEqual([]);
});

test('how techniques scatter is learned over the practice, by pairs of technique and client', async () => {
  expect(await effectSpreadOf(own.tenant.practiceId)).toEqual({ pairs: 0, meanSquare: 0 });
  await learnSpreads(process.env.VELVET_OWNER_FOR_TESTS!);
  const { preceded } = (await drawnCourses(own.tenant.practiceId, client.id)).get(client.complaints[0]!.id)!;
  const row = preceded.rows.find((r) => r.effect !== null)!;
  const learned = await effectSpreadOf(own.tenant.practiceId);
  expect(learned.pairs).toBe(1);
  expect(learned.meanSquare).toBeCloseTo(row.effect! ** 2 - row.error! ** 2, 9);
});

test('what was done at visits is given the latest first, at most as many as have room', async () => {
  const done = await doneAtVisits(own.tenant.practiceId, client.id);
  expect(done).toHaveLength(24);
  expect(done[0]!.startsAt > done[1]!.startsAt).toBe(true);
  await run(own.tenant, client, START + 25 * DAY_MS, []);
  const after = await doneAtVisits(own.tenant.practiceId, client.id);
  expect(after).toHaveLength(24);
  expect(after[1]!.visitId).toBe(done[0]!.visitId);
});
