import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { closeDatabase, connect } from '../../../server/db/connection.ts';
import { openSession } from '../../../server/db/queries/accounts.server.ts';
import { createCookie } from 'react-router';
import { QueryTypes } from 'sequelize';
import { Visitor } from '../visitor.ts';
import { type Asked, type Kind, visitSteps } from './load-visit.ts';
import type { Machines } from './machines.ts';
import { Writer } from './writer.ts';

/** Somebody with a practice of their own. */
export interface Practitioner {
  cookie: string;
  clientId: string;
}
/** Practices as rows, each with somebody who is signed in: that a hundred passwords take their time is not what is measured. */
export async function openPractices({ url, ownerUrl }: Machines, n: number): Promise<Practitioner[]> {
  const out: Practitioner[] = [];
  const cookie = createCookie('velvet-session');
  const owner = connect(ownerUrl, null);
  try {
    for (let i = 0; i < n; i++) {
      const [practiceId, practitionerId] = [randomUUID(), randomUUID()];
      await owner.query(
        `insert into practices (id, name, time_zone) values (:practiceId, 'Quay Street Hands', 'Europe/Lisbon');
         insert into practitioners (id, practice_id, name, email, password_hash, role)
           values (:practitionerId, :practiceId, 'Rafe Oyelaran', :email, 'none', 'owner')`,
        { replacements: { practiceId, practitionerId, email: `${practiceId}@quay.example` } },
      );
      const { token } = await openSession({ practiceId, practitionerId });
      const who = visitorAt(url, { cookie: (await cookie.serialize(token)).split(';')[0]! });
      out.push({ clientId: await who.addClient(), cookie: who.cookie });
    }
  } finally {
    await owner.close();
    await closeDatabase();
  }
  return out;
}
const visitorAt = (url: string, { cookie }: Pick<Practitioner, 'cookie'>): Visitor => {
  const who = new Visitor(url);
  who.cookie = cookie;
  return who;
};
const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, Math.max(0, ms)));

interface Times {
  asked: number;
  errors: number;
  p50: number;
  p95: number;
  p99: number;
}
export interface LoadResult {
  practitioners: number;
  byKind: Record<Kind, Times>;
  /** From the first thing asked to the last answer. */
  seconds: number;
  /** Processor seconds that one visit took. */
  webSeconds: number;
  databaseSeconds: number;
  /** Of this machine's processors, how much was taken by the service. */
  busyCores: number;
  /** That one visit added to the database, its keys and indexes included. */
  bytes: number;
}

/** Of a second, in which Linux counts the time of processes. */
const TICKS = 100;
/** Processor seconds of processes so far, and of those of their children that have ended. */
function spent(pids: readonly number[]): number {
  let ticks = 0;
  for (const pid of pids)
    try {
      const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ');
      for (const i of [11, 12, 13, 14]) ticks += Number(fields[i]);
    } catch {
      // It has ended, and is among the children of the one that began it.
    }
  return ticks / TICKS;
}
const webPids = (m: Machines) => m.web.flatMap((w) => (w?.process.pid ? [w.process.pid] : []));
const databasePids = (m: Machines) => m.databases.servers.flatMap((s) => s.running?.pids() ?? []);

async function sizeOf(m: Machines): Promise<number> {
  const owner = connect(m.ownerUrl, null);
  try {
    const [row] = await owner.query<{ bytes: string }>('select pg_database_size(current_database()) as bytes', {
      type: QueryTypes.SELECT,
    });
    return Number(row!.bytes);
  } finally {
    await owner.close();
  }
}

export const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))] ?? NaN;

/** Every practitioner works one visit within so many seconds, each in their own pace. */
export async function load(
  m: Machines,
  url: string,
  practitioners: readonly Practitioner[],
  seconds: number,
  random: () => number,
): Promise<LoadResult> {
  const all: Asked[] = [];
  const work: { steps: (() => Promise<Asked>)[] }[] = [];
  const over = new AbortController();
  for (const one of practitioners) {
    const who = visitorAt(url, one);
    const visitId = await who.startVisit(one.clientId);
    work.push({ steps: visitSteps(who, one.clientId, visitId) });
    // The page hears of what other screens write, all along.
    void who
      .send(`/visits/${visitId}/live`, { signal: over.signal, headers: { accept: 'text/event-stream' } })
      .then((answer) => answer.text())
      .catch(() => {});
  }
  const before = { web: spent(webPids(m)), database: spent(databasePids(m)), bytes: await sizeOf(m) };
  const began = performance.now();
  await Promise.all(
    work.map(async ({ steps }) => {
      const every = (seconds * 1000) / steps.length;
      for (const [i, step] of steps.entries()) {
        await sleep(began + (i + random()) * every - performance.now());
        all.push(await step());
      }
    }),
  );
  const took = (performance.now() - began) / 1000;
  over.abort();
  const n = practitioners.length;
  const [web, database] = [spent(webPids(m)) - before.web, spent(databasePids(m)) - before.database];
  const timesOf = (kind: Kind): Times => {
    const of = all.filter((a) => a.kind === kind);
    const ms = of.map((a) => a.ms);
    return {
      asked: of.length,
      errors: of.filter((a) => !a.ok).length,
      ...{ p50: quantile(ms, 0.5), p95: quantile(ms, 0.95), p99: quantile(ms, 0.99) },
    };
  };
  return {
    practitioners: n,
    byKind: { page: timesOf('page'), save: timesOf('save'), guide: timesOf('guide') },
    seconds: took,
    webSeconds: web / n,
    databaseSeconds: database / n,
    busyCores: (web + database) / took,
    bytes: ((await sizeOf(m)) - before.bytes) / n,
  };
}

export interface Failover {
  /** Longest time in which nothing was acknowledged, in ms, while the primary was killed. */
  gapMs: number;
  acknowledged: number;
  lost: number;
}

/** The primary is killed while all of them write without a pause; its copy takes over, and a new copy follows. */
export async function failover(m: Machines, practitioners: readonly Practitioner[]): Promise<Failover> {
  const writers: Writer[] = [];
  for (const one of practitioners) {
    const who = visitorAt(m.url, one);
    // A client of its own: one whose visit is still open would go on with it.
    writers.push(new Writer(who, await who.startVisit(await who.addClient())));
  }
  const going = Promise.all(writers.map((w) => w.goOn(0)));
  // Told where it is waited for, so that everything is stopped in order.
  going.catch(() => {});
  await sleep(2000);
  const killedAt = performance.now();
  await m.databases.killPrimary();
  await sleep(6000);
  writers.forEach((w) => w.stop());
  await going;
  const times = writers.flatMap((w) => w.atMs).sort((a, b) => a - b);
  const after = times.findIndex((t) => t > killedAt + 1);
  let gapMs = 0;
  for (let i = Math.max(1, after); i < times.length; i++) gapMs = Math.max(gapMs, times[i]! - times[i - 1]!);
  let lost = 0;
  const owner = connect(m.ownerUrl, null);
  for (const w of writers) {
    const rows = await owner.query<{ id: string }>('select save_id as id from visit_writes where visit_id = :id', {
      replacements: { id: w.visitId },
      type: QueryTypes.SELECT,
    });
    const there = new Set(rows.map((r) => r.id));
    lost += w.acknowledged.filter((id) => !there.has(id)).length;
  }
  await owner.close();
  await m.databases.copyAnew();
  return { gapMs, lost, acknowledged: times.length };
}
