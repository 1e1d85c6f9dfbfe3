import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { seeded } from '../../demo/random.ts';
import { type Machines, startMachines } from '../../scripts/lib/many/machines.ts';
import { Writer } from '../../scripts/lib/many/writer.ts';
import { connect } from '../../server/db/connection.ts';
import { prepareDatabase } from '../../server/db/prepare.ts';
import { Visitor } from '../support/serving.ts';

/** Three web processes behind one proxy, a primary database and its copy. */
const WEB = 3;
const WRITERS = 4;
let machines: Machines;
beforeAll(async () => {
  machines = await startMachines(
    WEB,
    {
      VELVET_TRAIL_KEY: 'a key that is only used by these tests',
      VELVET_NEW_PRACTICES_PER_HOUR: '100000',
      VELVET_LOG: 'fatal',
    },
    async (ownerUrl) => void (await prepareDatabase(ownerUrl)),
  );
}, 180_000);
afterAll(() => machines?.stop(), 60_000);

const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));
const opened = async (): Promise<Visitor> => {
  const me = new Visitor(machines.url);
  await me.openPractice();
  return me;
};
const writers = (): Promise<Writer[]> =>
  Promise.all(
    Array.from({ length: WRITERS }, async () => {
      const me = await opened();
      return new Writer(me, await me.startVisit(await me.addClient()));
    }),
  );

/** A write is not told as done before the copy has it: without that, what was told could be lost. */
async function expectToWaitForCopy(): Promise<void> {
  const [one] = await writers();
  await one!.write('while the copy follows');
  machines.databases.freezeCopy();
  const written = one!.write('while the copy stands still');
  await sleep(1500);
  const told = one!.acknowledged.length;
  machines.databases.thawCopy();
  await written;
  expect(told).toBe(1);
  expect(one!.acknowledged).toHaveLength(2);
}

/** Whatever was told to be saved is there, once, and the last of it is what the visit says. */
async function expectNothingLost(all: readonly Writer[]): Promise<void> {
  const owner = connect(machines.ownerUrl, null);
  try {
    for (const one of all) {
      const [[row]] = (await owner.query(
        `select v.version, v.record->>'note' as note, (select array_agg(w.save_id) from visit_writes w where w.practice_id = v.practice_id and w.visit_id = v.id) as ids
         from visits v where v.id = :id`,
        { replacements: { id: one.visitId } },
      )) as [{ version: number; note: string; ids: string[] }[], unknown];
      const there = new Set(row!.ids);
      expect(one.acknowledged.filter((id) => !there.has(id))).toEqual([]);
      expect(row).toMatchObject({ version: one.acknowledged.length + 1, note: one.lastNote });
    }
  } finally {
    await owner.close();
  }
}

describe('several processes, one practice', () => {
  test('whoever answers, what one saved another shows; nobody is held to one of them', async () => {
    const me = await opened();
    for (const name of ['Jun Castellan', 'Petr Lindqvist', 'Wilma Okonjo']) {
      const id = await me.addClient(name);
      // Round and round: the next answers come from the others.
      for (let i = 0; i < WEB; i++) {
        const page = await me.send(`/clients/${id}`);
        expect(page.status).toBe(200);
        expect(await page.text()).toContain(name);
      }
    }
    // One of them alone, and then the next: each knows the session.
    for (const web of machines.web) {
      const other = new Visitor(web!.url);
      other.cookie = me.cookie;
      expect((await other.send('/clients')).status).toBe(200);
    }
  });
  test('numbers are read from the copy, and say of when they are; what is worked with is not', async () => {
    const me = await opened();
    expect(await (await me.send('/practice/numbers')).text()).toContain('this page is read from their copy');
    expect(await (await me.send('/practice/across')).text()).toContain('this page is read from their copy');
    expect(await (await me.send('/today')).text()).not.toContain('their copy');
    // What the copy has not played yet is not among them, and is the moment it has.
    const clientId = await me.addClient();
    const { port } = machines.databases.copy()!;
    const copy = connect(machines.ownerUrl.replace(/:\d+\//, `:${port}/`), null);
    const isTold = async () => (await (await me.send('/practice/numbers')).text()).includes('<td>Rafe Oyelaran</td>');
    try {
      await copy.query('select pg_wal_replay_pause()');
      await me.startVisit(clientId);
      expect(await isTold()).toBe(false);
      await copy.query('select pg_wal_replay_resume()');
      await expect.poll(isTold, { timeout: 5000 }).toBe(true);
    } finally {
      await copy.query('select pg_wal_replay_resume()');
      await copy.close();
    }
  });
});

test('processes are killed in the middle of saves: nothing that was told to be saved is missing', async () => {
  const random = seeded(5);
  const all = await writers();
  const going = all.map((w) => w.goOn(15));
  const inTheMiddle = () => sleep(400 + random() * 600);
  // One, and a second while the first is still gone; then the one that was left, as soon as the others are back.
  for (const i of [0, 1]) {
    await inTheMiddle();
    machines.killWeb(i);
  }
  await inTheMiddle();
  await Promise.all([machines.startWeb(0), machines.startWeb(1)]);
  machines.killWeb(2);
  await inTheMiddle();
  all.forEach((w) => w.stop());
  await Promise.all(going);
  await machines.startWeb(2);
  expect(all.reduce((n, w) => n + w.acknowledged.length, 0)).toBeGreaterThan(100);
  // Somebody was cut off, or nothing was shown here.
  expect(all.reduce((n, w) => n + w.failed, 0)).toBeGreaterThan(0);
  await expectNothingLost(all);
}, 120_000);

test('a write waits for the copy', expectToWaitForCopy);

describe('the primary database is gone', () => {
  test.each([1, 2])(
    'time %i: its copy takes over, what was told to be saved is there, and a new copy follows',
    async () => {
      const all = await writers();
      const going = all.map((w) => w.goOn(10));
      await sleep(1500);
      const gone = machines.databases.primary().name;
      await machines.databases.killPrimary();
      const before = all.map((w) => w.acknowledged.length);
      // Everybody writes on.
      for (let i = 0; i < 300 && all.some((w, at) => w.acknowledged.length < before[at]! + 20); i++) await sleep(100);
      all.forEach((w) => w.stop());
      await Promise.all(going);
      expect(machines.databases.primary().name).not.toBe(gone);
      await expectNothingLost(all);
      // Read from the primary meanwhile, and then from the new copy.
      const me = await opened();
      expect(await (await me.send('/practice/numbers')).text()).not.toContain('their copy');
      await machines.databases.copyAnew();
      expect(machines.databases.copy()!.name).toBe(gone);
      for (let i = 0; i < 50 && !(await (await me.send('/practice/numbers')).text()).includes('their copy'); i++)
        await sleep(100);
      expect(await (await me.send('/practice/numbers')).text()).toContain('their copy');
      await expectToWaitForCopy();
    },
    120_000,
  );
});
