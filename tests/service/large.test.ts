import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { fillLargePractice } from '../../scripts/lib/large-practice.ts';
import { database } from '../../server/db/connection.ts';
import { auditTrail, checkTrail } from '../../server/db/queries/audit.server.ts';
import { besideVisit } from '../../server/db/queries/beside-visit.server.ts';
import { findClient, findClients, listClients } from '../../server/db/queries/clients.server.ts';
import {
  coursesToLookAt,
  drawnCourses,
  effectSpreadOf,
  helpedBefore,
  refreshOutdatedCourses,
  storedCourses,
} from '../../server/db/queries/courses.server.ts';
import { latestDecision } from '../../server/db/queries/decisions.server.ts';
import { latestMeasures, measuredClients } from '../../server/db/queries/measures.server.ts';
import {
  seriesOfClient,
  ratingsOver,
  ratingsOfVisits,
  readingsBefore,
  readingsOfVisit,
} from '../../server/db/queries/readings.server.ts';
import { doneAtVisits, runsOfVisit } from '../../server/db/queries/runs.server.ts';
import { scoresOfClient } from '../../server/db/queries/scores.server.ts';
import { findTemplatesByName, templatesInUse } from '../../server/db/queries/templates.server.ts';
import {
  findVisit,
  openReferrals,
  openVisitBetween,
  reviewsDue,
  visitBefore,
  visitNumber,
  visitsBetween,
  visitsOfClient,
  visitTimes,
} from '../../server/db/queries/visits.server.ts';
import { inPractice } from '../../server/db/scope.ts';
import { closeDatabase, openFreshDatabase, openPractice, owner, type Tenant } from './database.ts';

/** A practice that is large beside what a page shows: what its queries read is counted, not timed. */
const CLIENTS = 120;
const READINGS = 36_000;
/** Readings that one statement of a page may look at: those of one client, and room to spare. */
const MOST_READ = 3 * (READINGS / CLIENTS);

let tenant: Tenant;
let clientId: string;
let visitId: string;
beforeAll(async () => {
  await openFreshDatabase();
  tenant = await openPractice('Large');
  ({ clientId, visitId } = await fillLargePractice(process.env.VELVET_OWNER_FOR_TESTS!, tenant, {
    clients: CLIENTS,
    visitsEach: 12,
    readings: READINGS,
  }));
  await refreshOutdatedCourses(tenant.practiceId);
  await owner().query('analyze');
}, 300_000);
afterAll(closeDatabase);

interface Plan {
  'Node Type': string;
  'Relation Name'?: string;
  'Actual Rows': number;
  'Actual Loops': number;
  'Rows Removed by Filter'?: number;
  Plans?: Plan[];
}
/** Rows of a table, or of a part of it, that a plan reads. */
const rowsRead = (plan: Plan, table: string): number =>
  (plan['Relation Name']?.replace(/_part\d+$/, '') === table
    ? (plan['Actual Rows'] + (plan['Rows Removed by Filter'] ?? 0)) * plan['Actual Loops']
    : 0) + (plan.Plans ?? []).reduce((sum, p) => sum + rowsRead(p, table), 0);

/** The statements that a page asks, as they reach the database. */
async function statementsOf(page: (p: string) => Promise<unknown>): Promise<string[]> {
  const seen: string[] = [];
  const { options } = database() as unknown as { options: { logging: unknown } };
  options.logging = (line: string) =>
    seen.push(line.replace(/^Executing \([^)]*\): /, '').replace(/^set local velvet\.practice = '[^']*'; /, ''));
  try {
    await page(tenant.practiceId);
  } finally {
    options.logging = false;
  }
  return seen.filter((sql) => /^\s*select/i.test(sql) && !/pg_advisory/.test(sql));
}

const now = new Date();
const day = { from: new Date(now.getTime() - 43_200_000), to: new Date(now.getTime() + 43_200_000) };
const visit = async (p: string) => (await findVisit(p, visitId))!;
const PAGES: [string, (p: string) => Promise<unknown>][] = [
  [
    'Today',
    async (p) => [
      await visitsBetween(p, day.from, day.to),
      await coursesToLookAt(p, now, 30),
      await openReferrals(p),
      await reviewsDue(p, '2099-01-01', 30),
      await storedCourses(
        p,
        (await visitsBetween(p, day.from, day.to)).map((v) => v.clientId),
      ),
    ],
  ],
  [
    'Clients',
    async (p) => {
      for (const sort of ['name', 'last', 'visits'] as const)
        await listClients(p, { find: '', sort, descending: true, page: 2, pageSize: 15 });
    },
  ],
  ['find', async (p) => [await findClients(p, '01', 6), await findTemplatesByName(p, 'a', 4)]],
  [
    'Relief',
    async (p) => [
      await findClient(p, clientId),
      await visitTimes(p, clientId, now),
      await openVisitBetween(p, clientId, day.from, day.to),
      await ratingsOver(p, clientId, { from: new Date(now.getTime() - 30 * 86_400_000), to: now }),
      await seriesOfClient(p, clientId),
      await drawnCourses(p, clientId),
      await doneAtVisits(p, clientId),
      await latestDecision(p, clientId),
      await effectSpreadOf(p),
    ],
  ],
  [
    'Visits',
    async (p) =>
      ratingsOfVisits(
        p,
        (await visitsOfClient(p, clientId)).map((v) => v.id),
      ),
  ],
  [
    'a visit',
    async (p) => {
      const v = await visit(p);
      await Promise.all([
        latestMeasures(p, clientId),
        scoresOfClient(p, clientId),
        readingsOfVisit(p, visitId),
        readingsBefore(p, v),
        visitNumber(p, v),
        visitBefore(p, v),
        besideVisit(p, v),
        templatesInUse(p, '', 41),
        runsOfVisit(p, visitId),
        helpedBefore(p, clientId),
      ]);
    },
  ],
  ['the trail', async (p) => [await auditTrail(p, null, 100), await checkTrail(p, 0)]],
  ['the atlas', (p) => measuredClients(p)],
];

test.each(PAGES)('%s reads no more readings than it shows', async (_name, page) => {
  const statements = await statementsOf(page);
  expect(statements.length).toBeGreaterThan(0);
  for (const sql of statements) {
    const [row] = await inPractice(tenant.practiceId, () =>
      database().query<{ 'QUERY PLAN': [{ Plan: Plan }] }>(`explain (analyze, timing off, format json) ${sql}`, {
        type: QueryTypes.SELECT,
        raw: true,
      }),
    );
    const { Plan: plan } = row!['QUERY PLAN'][0];
    expect(rowsRead(plan, 'readings'), sql).toBeLessThanOrEqual(MOST_READ);
  }
});

test('a scan of all readings would be seen', async () => {
  const [row] = await inPractice(tenant.practiceId, () =>
    database().query<{ 'QUERY PLAN': [{ Plan: Plan }] }>(
      `explain (analyze, format json) select count(*) from readings where value > 100`,
      { type: QueryTypes.SELECT },
    ),
  );
  expect(rowsRead(row!['QUERY PLAN'][0].Plan, 'readings')).toBeGreaterThan(MOST_READ);
});

test('what Today is made of stays small however many there are', async () => {
  const { courses, total } = await coursesToLookAt(tenant.practiceId, now, 20);
  expect(courses.length).toBeLessThanOrEqual(20);
  expect(total).toBeGreaterThan(20);
  expect(JSON.stringify(courses).length).toBeLessThan(20_000);
});
