/** Measures the service: what the second wall costs, saving by many at once, sign-in under attack, a large practice. */
import { QueryTypes } from 'sequelize';
import { connect } from '../../server/db/connection.ts';
import { fillLargePractice, type Size } from './large-practice.ts';
import { throwAwayCluster } from './postgres.ts';
import { prepare } from './prepare.ts';
import { serve } from './server.ts';
import { Visitor } from './visitor.ts';

export interface Bench {
  say: (line: string) => void;
  quantile: (values: readonly number[], q: number) => number;
  short: boolean;
}
const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));
const QUIET = { VELVET_NEW_PRACTICES_PER_HOUR: '100000', VELVET_LOG: 'error' };

export async function timed(who: Visitor, path: string): Promise<{ ms: number; kB: number }> {
  const started = performance.now();
  const answer = await who.send(path);
  const size = (await answer.arrayBuffer()).byteLength;
  if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
  return { ms: performance.now() - started, kB: size / 1000 };
}

/** A visitor with a practice, a client and a visit that stands at Assess. */
async function practitioner(url: string): Promise<{ who: Visitor; clientId: string; visitId: string; email: string }> {
  const who = new Visitor(url);
  const email = await who.openPractice();
  const clientId = await who.addClient();
  return { who, email, clientId, visitId: await who.startVisit(clientId) };
}

const record = (n: number) => ({
  kind: 'record',
  record: { reactions: [], note: `note ${n}`, product: '', nextOn: '', reviewOn: '' },
});

async function secondWall({ say, quantile, short }: Bench, ownerUrl: string): Promise<void> {
  const [walled, open] = [
    await serve(ownerUrl, QUIET),
    await serve(ownerUrl, { ...QUIET, DATABASE_APP_URL: ownerUrl }),
  ];
  try {
    const { who, clientId, visitId } = await practitioner(walled.url);
    const bypass = new Visitor(open.url);
    bypass.cookie = who.cookie;
    const paths = ['/today', '/clients', `/clients/${clientId}`, `/visits/${visitId}/assess`];
    const rounds = short ? 60 : 250;
    const [one, other]: [number[], number[]] = [[], []];
    // In turn, so that whatever else the machine does falls on both.
    for (let i = 0; i < rounds + 15; i++)
      for (const path of paths) {
        const [a, b] = [(await timed(who, path)).ms, (await timed(bypass, path)).ms];
        if (i < 15) continue;
        one.push(a);
        other.push(b);
      }
    const ratio = quantile(one, 0.5) / quantile(other, 0.5);
    say('\n## Row policies\n');
    say(
      `Today, Clients, Relief and Assess, ${rounds} requests each in turn: in the application’s own role, which the policies bind, median ${quantile(one, 0.5).toFixed(1)} ms; as the owner, whom they do not bind, ${quantile(other, 0.5).toFixed(1)} ms: ratio ${ratio.toFixed(3)} (aim: under 1.10).`,
    );
  } finally {
    await walled.stop();
    await open.stop();
  }
}

async function manyAtOnce({ say, quantile, short }: Bench, url: string): Promise<void> {
  const seconds = short ? 15 : 60;
  const people: Awaited<ReturnType<typeof practitioner>>[] = [];
  // One after the other: many at once from one address are turned away.
  for (let i = 0; i < 20; i++) people.push(await practitioner(url));
  const saves: number[] = [];
  const pages: number[] = [];
  let errors = 0;
  const until = Date.now() + seconds * 1000;
  await Promise.all(
    people.map(async ({ who, clientId, visitId }, k) => {
      let version = 1;
      for (let n = 0; Date.now() < until; n++) {
        await sleep(250 + ((k * 37 + n * 101) % 500));
        const started = performance.now();
        const answer = await who
          .json(`/visits/${visitId}/save`, { saveId: `bench-${k}-${n}`, expectedVersion: version, patch: record(n) })
          .catch(() => null);
        const body = (await answer?.json().catch(() => null)) as { result?: string; version?: number } | null;
        saves.push(performance.now() - started);
        if (body?.result === 'saved') version = body.version!;
        else errors++;
        if (n % 4 === 0)
          pages.push(
            (
              await timed(who, [`/visits/${visitId}/assess`, '/today', `/clients/${clientId}`][(n / 4) % 3]!).catch(
                () => (errors++, { ms: NaN }),
              )
            ).ms,
          );
      }
    }),
  );
  say('\n## Twenty practitioners at once\n');
  say(
    `For ${seconds} s, each saving about every half second and opening a page every two: ${saves.length} saves, median ${quantile(saves, 0.5).toFixed(0)} ms, p95 ${quantile(saves, 0.95).toFixed(0)} ms; ${pages.length} pages, p95 ${quantile(pages, 0.95).toFixed(0)} ms; ${errors} errors (aim: 0).`,
  );
}

async function underAttack({ say, quantile }: Bench, url: string): Promise<void> {
  const { who, visitId, email } = await practitioner(url);
  const paths = ['/today', '/clients', `/visits/${visitId}/assess`];
  const look = async (rounds: number, more = () => true) => {
    const times: number[] = [];
    for (let i = 0; i < rounds && more(); i++) times.push((await timed(who, paths[i % paths.length]!)).ms);
    return times;
  };
  await look(15);
  const quiet = await look(90);
  const BURSTS = 10;
  let attacking = true;
  const guesses = async (): Promise<number[]> => {
    const statuses: number[] = [];
    for (let burst = 0; burst < BURSTS; burst++) {
      const next = sleep(1000);
      statuses.push(
        ...(await Promise.all(
          Array.from({ length: 200 }, (_, i) =>
            new Visitor(url)
              .form('/sign-in', { email: i % 2 ? email : `nobody${i}@x.example`, password: `guess ${i}` })
              .then((a) => a.status),
          ),
        )),
      );
      await next;
    }
    attacking = false;
    return statuses;
  };
  const [statuses, during] = await Promise.all([guesses(), look(5000, () => attacking)]);
  const at = (q: number) => `${quantile(during, q).toFixed(0)} against ${quantile(quiet, q).toFixed(0)} ms`;
  say('\n## Sign-in under attack\n');
  say(
    `Every second for ${BURSTS} s, 200 wrong passwords at once from one address: of ${statuses.length}, ${statuses.filter((s) => s === 422).length} were looked at, the others refused before that. Pages of somebody signed in meanwhile (${during.length} asked): median ${at(0.5)}, p95 ${at(0.95)} when quiet, × ${(quantile(during, 0.95) / quantile(quiet, 0.95)).toFixed(2)} (aim: under 2); the slowest, in the middle of a burst, ${quantile(during, 1).toFixed(0)} ms.`,
  );
}

/** A practice of a size in a database of its own, served while it is looked at. `sql`: what is done to it before. */
export async function inLargePractice<T>(
  clusterUrl: string,
  name: string,
  size: Size,
  look: (at: { who: Visitor; clientId: string; visitId: string }) => Promise<T>,
  sql?: string,
): Promise<T> {
  const ownerUrl = clusterUrl.replace(/\/[^/]*$/, `/${name}`);
  const admin = connect(clusterUrl, null);
  await admin.query(`create database ${name}`);
  await admin.close();
  const served = await serve(ownerUrl, QUIET);
  try {
    const who = new Visitor(served.url);
    await who.openPractice();
    const owner = connect(ownerUrl, null);
    const [ids] = await owner.query<{ practiceId: string; practitionerId: string }>(
      'select practice_id as "practiceId", id as "practitionerId" from practitioners',
      { type: QueryTypes.SELECT },
    );
    const made = await fillLargePractice(ownerUrl, ids!, size);
    if (sql) await owner.query(sql);
    await prepare(ownerUrl);
    await owner.query('analyze');
    await owner.close();
    return await look({ who, ...made });
  } finally {
    await served.stop();
  }
}

async function largePractice({ say, quantile, short }: Bench, clusterUrl: string): Promise<void> {
  const size = short
    ? { clients: 400, visitsEach: 8, readings: 200_000 }
    : { clients: 2000, visitsEach: 8, readings: 1_000_000 };
  await inLargePractice(clusterUrl, 'large', size, async ({ who, clientId, visitId }) => {
    const rounds = short ? 15 : 40;
    const look = async (path: string) => {
      const all = [];
      for (let i = 0; i < rounds + 5; i++) all.push(await timed(who, path));
      return {
        ms: quantile(
          all.slice(5).map((a) => a.ms),
          0.5,
        ),
        kB: all[0]!.kB,
      };
    };
    const bare = await look('/clients/new');
    say(
      `\n## A large practice\n\n${size.clients} clients, a year of visits, ${size.readings.toLocaleString('en')} readings. ${rounds} requests each, median; the size is the whole answer before it is packed.\n`,
    );
    say('| page | ms | × bare | kB | aim |');
    say('|---|---|---|---|---|');
    const pages: [string, string][] = [
      ['bare', '/clients/new'],
      ['Today', '/today'],
      ['Clients', '/clients'],
      ['Clients by last visit', '/clients?sort=last&down=1'],
      ['found by name', '/clients?find=01'],
      ['find box', '/find?q=client'],
      ['Relief', `/clients/${clientId}`],
      ['Visits', `/clients/${clientId}/visits`],
      ['audit trail', '/practice/trail'],
      ...['screen', 'assess', 'compose', 'guide', 'record'].map((stage): [string, string] => [
        `visit, ${stage}`,
        `/visits/${visitId}/${stage}`,
      ]),
    ];
    for (const [name, path] of pages) {
      const { ms, kB } = await look(path);
      say(
        `| ${name} | ${ms.toFixed(1)} | ${(ms / bare.ms).toFixed(2)} | ${kB.toFixed(0)} | ${name === 'bare' ? '' : 'under 3 and 100 kB'} |`,
      );
    }
  });
}

export async function measureService(bench: Bench): Promise<void> {
  const cluster = await throwAwayCluster();
  const served = await serve(cluster.url, QUIET);
  try {
    await secondWall(bench, cluster.url);
    await manyAtOnce(bench, served.url);
    await underAttack(bench, served.url);
    await largePractice(bench, cluster.url);
  } finally {
    await served.stop();
    await cluster.stop();
  }
}
