import { readRoutine } from '../../core/routine/index.ts';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import routes from '../../app/routes.ts';
import { seeded } from '../../demo/random.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import type { Served } from '../../scripts/lib/server.ts';
import { connect } from '../../server/db/connection.ts';
import { routineFrom } from '../support/routines.ts';
import { freshDatabase, SHAPE, serveForTests, Visitor } from '../support/serving.ts';

/**
 * Odd requests to every route of the table: a new route is in by itself. The same seed asks the same things. Nothing
 * may answer with 500 or above, take longer than two seconds, leave something half-written, or slow another visitor.
 */
const SEED = 20_261_127;
const REQUESTS = 5200;
const AT_ONCE = 6;
const SLOW_MS = 5000;

/** Every address of the table, "/visits/:visitId/save". */
function patterns(entries: readonly RouteConfigEntry[], above = ''): string[] {
  return entries.flatMap((e) => {
    const at = e.path === undefined ? above : `${above}/${e.path}`;
    return [...(e.file && !e.children ? [at || '/'] : []), ...patterns(e.children ?? [], at)];
  });
}
const PATTERNS = [...new Set(patterns(routes))];

const ODD_TEXT = [
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud83d',
  '\ude00x',
  'x'.repeat(5000),
  '9999-99-99',
  '2026-02-31',
  '-1',
  '1e309',
  'NaN',
  'null',
  '{}',
  '[]',
  '__proto__',
  'constructor',
  'toString',
  "'; drop table clients; --",
  '%00',
  '<script>',
  '../../etc/passwd',
  '👩🏽‍🎤',
  '0',
  '5000000',
  'true',
  '2026-11-28T10:00:00Z',
  '\u202e',
  '//evil.example',
];
const ODD_NAMES = [
  'toString.call',
  'hasOwnProperty.call',
  '__proto__.x',
  'constructor.prototype.x',
  'complaints.length',
  'complaints[99999999].kind',
  'complaints[0][0].kind',
  'a.b.c.d.e.f.g',
  '',
  '[',
  '].x',
  'name[',
  'x'.repeat(300),
  'once',
  'version',
  'do',
  'id',
  '\0',
  'name.x',
];
const deep = (n: number): unknown => (n ? { a: deep(n - 1) } : 1);
const ODD_JSON: unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  '',
  'text',
  'a\0b',
  '\ud83d',
  [],
  {},
  [[]],
  [null],
  { toString: 1 },
  { valueOf: null },
  { constructor: 'x' },
  { length: 5_000_000 },
  deep(60),
  Array(300).fill(null),
  'x'.repeat(3000),
  JSON.parse('{"__proto__": {"x": 1}}'),
  '9999-99-99',
  '2026-02-31',
];

const answers = Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c) => [c.key, 'no']));
const reading = {
  measure: 'tenderness',
  complaintId: null,
  place: 'masseter-superficial',
  side: 'left',
  phase: 'before',
  value: 2,
};
const routine = routineFrom(['temple-circles', 'stay-masseter-superficial']);

/** What each door takes when it is asked well; the odd requests are these with something wrong in them. */
const GOOD_FORMS: Record<string, Record<string, string>> = {
  '/sign-in': { email: 'somebody@x.example', password: 'wrong', to: '/today' },
  '/room': { room: 'dim', to: '/today' },
  '/new-practice': {
    practice: 'Quay',
    timeZone: 'Europe/Lisbon',
    name: 'Rafe',
    email: 'taken@x.example',
    password: 'short',
  },
  '/clients/new': {
    name: 'Jun',
    about: '',
    note: '',
    pressureCap: '',
    'habitSides.chewing': 'left',
    allergies: 'nuts',
    fingers: '17 18 17 15',
    'complaints[0].kind': 'jaw',
    'complaints[0].side': 'left',
    'complaints[0].goal': '',
  },
  '/clients/:clientId/details': {
    name: 'Jun',
    version: '1',
    'complaints[0].kind': 'jaw',
    'complaints[0].side': 'left',
  },
  '/practice/techniques': { do: 'import', file: '{"format":"velvet-compass/techniques"}' },
  '/practice/techniques/:techniqueId': { version: '1', technique: '{"id":"own-1"}' },
  '/clients/:clientId/visits': { day: '2027-03-09', time: '10:00' },
  '/clients/:clientId/measure': { takenOn: '2026-03-01', hairlineBrow: '58', thumb: '20' },
  '/practice/products': { name: 'Oil', kind: 'oil', ingredients: 'jojoba', essentialPercent: '0,5' },
  '/practice': {
    title: 'Rule',
    group: 'today',
    severity: 'adapt',
    'regions[0]': 'jaw',
    'pressures[0]': 'firm',
    advice: 'Medium at most.',
  },
  '/practice/school': { school: 'top-down' },
  '/practice/texts': { kind: 'scope', version: '0', body: 'We work with our hands and send on the rest.' },
  '/routines/:templateId': { name: 'Calm', version: '1' },
  '/visits/:visitId/compose': { name: 'Kept', routine: JSON.stringify(routine) },
  '/atlas/find-it': { question: 'point:GB20.left', side: 'left', view: 'front', x: '120', y: '300' },
  '/visits/:visitId/outcome': { outcome: 'Seen.' },
};
const GOOD_JSON: Record<string, Record<string, unknown>[]> = {
  '/visits/:visitId/save': [
    { kind: 'screen', screen: { answers, preparation: [] } },
    { kind: 'readings', entries: [reading] },
    { kind: 'routine', routine },
    { kind: 'record', record: { reactions: [], note: 'ok', product: '', nextOn: '', reviewOn: '2027-01-01' } },
    {
      kind: 'findings',
      findings: {
        feltElsewhere: [],
        spots: [],
        thresholds: [
          {
            muscle: 'masseter-superficial',
            side: 'left',
            tipCm2: 1,
            trials: [
              { kpa: 150, rampKpaPerSecond: 40 },
              { kpa: 151, rampKpaPerSecond: null },
              { kpa: 152, rampKpaPerSecond: null },
            ],
            device: 'typed',
          },
        ],
      },
    },
    { kind: 'answers', measure: 'stress-4', answers: { i1: 1, i2: 2 } },
    { kind: 'stage', stage: 'assess' },
  ].map((patch) => ({ saveId: 'fuzz-save-id', expectedVersion: 1, patch })),
  '/visits/:visitId/run': [
    { kind: 'open', runId: randomUUID() },
    { kind: 'events', runId: randomUUID(), events: [{ id: 'event-one', kind: 'start', atMs: 1 }], nowMs: 5 },
    {
      kind: 'events',
      runId: randomUUID(),
      events: [
        { id: 'event-two', kind: 'reading', atMs: 1, measure: 'opening-mm', place: '', side: 'midline', value: 41 },
      ],
      nowMs: 5,
    },
  ],
  '/visits/:visitId/override': [{ caution: 'pregnancy', reason: 'Past the sixth week, agreed.', password: 'x' }],
  '/visits/:visitId/photo/:photoId': [{ do: 'mark', version: 1, landmarks: {} }, { do: 'erase' }],
  '/clients/:clientId/consent': [{ kind: 'work', do: 'give', textVersion: 0 }],
  '/clients/:clientId/patch-test': [{ productId: randomUUID(), testedOn: '2026-11-02', reacted: false }],
  '/sign-in/here': [{ email: 'a@x.example', practitionerId: randomUUID(), password: 'wrong' }],
};

let served: Served;
let databaseUrl: string;
const visitor = () => new Visitor(served.url);
beforeAll(async () => {
  databaseUrl = await freshDatabase(inject('clusterUrl'), SHAPE);
  served = await serveForTests(databaseUrl);
}, 120_000);
afterAll(() => served?.stop());

interface Asked {
  what: string;
  path: string;
  init: RequestInit;
}

/** Makes requests out of a stream of numbers: each is one of the good ones with things put wrong. */
class Maker {
  private readonly random: () => number;
  private readonly ids: Record<string, string[]>;
  constructor(random: () => number, ids: Record<string, string[]>) {
    this.random = random;
    this.ids = ids;
  }
  pick<T>(of: readonly T[]): T {
    return of[Math.floor(this.random() * of.length)]!;
  }
  chance = (p: number): boolean => this.random() < p;

  private path(pattern: string): string {
    const filled = pattern
      .replace(/\*$/, 'nowhere')
      .replace(/:(\w+)\??/g, (_all, name: string) =>
        this.chance(0.85) && this.ids[name]?.length
          ? this.pick(this.ids[name])
          : encodeURIComponent(this.pick(['x', '0', randomOdd(this.pick(ODD_TEXT))]).slice(0, 80)),
      );
    const query = this.chance(0.3)
      ? `?${new URLSearchParams({ [this.pick(['find', 'q', 'page', 'sort', 'to', 'before', 'below', 'after', 'client', 'with', 'phase', 'rule', '_routes', 'index'])]: randomOdd(this.pick(ODD_TEXT)).slice(0, 500) })}`
      : '';
    return `${filled}${this.chance(0.5) ? '.data' : ''}${query}${this.chance(0.02) ? '%E0%A4%A' : ''}`;
  }
  private spoilt(value: unknown): unknown {
    if (this.chance(0.25)) return this.pick(ODD_JSON);
    if (Array.isArray(value))
      return value.length ? value.map((v, i) => (i === 0 ? this.spoilt(v) : v)) : [this.pick(ODD_JSON)];
    if (value !== null && typeof value === 'object') {
      const entries = Object.entries(value);
      if (!entries.length || this.chance(0.15))
        return { ...value, [this.pick(['extra', 'constructor', 'kind', 'a b', '\0'])]: this.pick(ODD_JSON) };
      const at = this.pick(entries)[0];
      return this.chance(0.1)
        ? Object.fromEntries(entries.filter(([k]) => k !== at))
        : { ...value, [at]: this.spoilt((value as Record<string, unknown>)[at]) };
    }
    return this.pick(ODD_JSON);
  }
  next(pattern: string): Asked {
    const path = this.path(pattern);
    const roll = this.random();
    if (roll < 0.25)
      return { what: `GET ${pattern}`, path, init: { method: this.pick(['GET', 'GET', 'GET', 'HEAD']) } };
    if (roll < 0.3)
      return {
        what: `odd method ${pattern}`,
        path,
        init: { method: this.pick(['PUT', 'PATCH', 'DELETE', 'OPTIONS', 'BREW']) },
      };
    if (roll < 0.36)
      return {
        what: `odd type ${pattern}`,
        path,
        init: {
          method: 'POST',
          headers: {
            'Content-Type': this.pick([
              'text/plain',
              'application/xml',
              'multipart/form-data',
              'application/x-www-form-urlencoded; charset=utf-7',
              'application/json',
              '',
              'image/png',
            ]),
          },
          body: this.pick([
            '',
            '{',
            '--x',
            'a=%',
            '\u0000\u0001',
            'name=a&name=b',
            'a=1&a.x=1',
            '[[[[',
            'x'.repeat(2000),
          ]),
        },
      };
    const json = GOOD_JSON[pattern];
    if (json && this.chance(0.85)) {
      const body = this.spoilt({
        ...this.pick(json),
        ...(pattern.endsWith('/save')
          ? { saveId: `fuzz-${Math.floor(this.random() * 1e9)}`, expectedVersion: 1 + Math.floor(this.random() * 12) }
          : {}),
      });
      return {
        what: `JSON ${pattern}`,
        path,
        init: { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) },
      };
    }
    const fields = Object.entries(GOOD_FORMS[pattern] ?? { name: 'x', do: 'keep' });
    for (let i = this.chance(0.1) ? 0 : 1 + Math.floor(this.random() * 3); i > 0 && fields.length; i--) {
      const at = Math.floor(this.random() * fields.length);
      const slip = this.random();
      if (slip < 0.45) fields[at] = [fields[at]![0], this.pick(ODD_TEXT)];
      else if (slip < 0.7) fields.push([this.pick(ODD_NAMES), this.pick(ODD_TEXT)]);
      else if (slip < 0.85) fields.push([this.pick(fields)[0], this.pick(ODD_TEXT)]);
      else fields.splice(at, 1);
    }
    return { what: `form ${pattern}`, path, init: { method: 'POST', body: new URLSearchParams(fields) } };
  }
}
const randomOdd = (text: string): string => text.toWellFormed();

test(`${REQUESTS} odd requests over all ${PATTERNS.length} addresses`, async () => {
  const me = visitor();
  await me.openPractice();
  const clientId = [await me.addClient('Jun Castellan'), await me.addClient('Noor Halvorsen')];
  const visitId: string[] = [];
  for (let i = 0; i < 6; i++) visitId.push(await me.startVisit(clientId[i % 2]!));
  const kept = await me.form(`/visits/${visitId[0]}/compose`, { name: 'Calm', routine: JSON.stringify(routine) });
  expect(kept.status).toBe(200);
  // Each thing that is counted in the end is made at least once, whatever the odd requests come to.
  expect((await me.form('/practice?index', GOOD_FORMS['/practice']!)).status).toBe(302);
  expect((await me.form('/practice/products', GOOD_FORMS['/practice/products']!)).status).toBe(302);
  const owner = connect(databaseUrl, null);
  const [[template]] = (await owner.query('select id from templates')) as [{ id: string }[], unknown];

  const maker = new Maker(seeded(SEED), {
    clientId,
    visitId,
    templateId: [template!.id],
    photoId: [randomUUID()],
    techniqueId: ['new', 'own-1'],
    kind: ['point', 'muscle'],
    id: ['GB14', 'x'],
  });
  const asked = Array.from({ length: REQUESTS }, (_, i) => maker.next(PATTERNS[i % PATTERNS.length]!));
  const bad: string[] = [];
  const statuses = new Map<number, number>();
  let at = 0;
  const worker = async (): Promise<void> => {
    for (;;) {
      const one = asked[at++];
      if (!one) return;
      let started = performance.now();
      // Signing out would end the session of all the others.
      const headers = {
        origin: served.url,
        ...(one.path.startsWith('/sign-out') ? {} : { cookie: me.cookie }),
        ...(one.init.headers as Record<string, string>),
      };
      const told = `${one.what} ${one.path.slice(0, 120)} ${String(one.init.body ?? '').slice(0, 300)}`;
      try {
        const answer = await fetch(`${served.url}${one.path}`, {
          redirect: 'manual',
          ...one.init,
          headers,
          signal: AbortSignal.timeout(20_000),
        });
        // A whole practice takes as long as it takes; that it begins to come is what is waited for.
        const begun = performance.now() - started;
        await answer.arrayBuffer();
        if (one.path.startsWith('/practice/archive') && answer.ok) started += performance.now() - started - begun;
        statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
        if (answer.status >= 500) bad.push(`${answer.status}: ${told}`);
      } catch (error) {
        bad.push(`${(error as Error).name}: ${told}`);
      }
      const took = performance.now() - started;
      if (took > SLOW_MS) bad.push(`${took.toFixed(0)} ms: ${told}`);
    }
  };
  let watching = true;
  let slowest = 0;
  const bystander = async (): Promise<void> => {
    const other = visitor();
    await other.openPractice();
    while (watching) {
      const started = performance.now();
      const answer = await other.send('/today');
      await answer.arrayBuffer();
      if (answer.status !== 200) bad.push(`bystander: ${answer.status}`);
      slowest = Math.max(slowest, performance.now() - started);
      await new Promise((r) => setTimeout(r, 150));
    }
  };
  const watched = bystander();
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  watching = false;
  await watched;

  expect(bad).toEqual([]);
  expect(slowest).toBeLessThan(SLOW_MS);
  // Requests of every kind got somewhere: refusals of several sorts, and some that were taken.
  for (const status of [200, 302, 404, 405, 415, 422])
    expect(statuses.get(status) ?? 0, `answers ${status}`).toBeGreaterThan(20);

  // Nothing is half-written: each version was made by one write, and what is stored can be read.
  const [visits] = (await owner.query(
    'select v.id, v.version, v.routine, (select count(*)::int from visit_writes w where w.visit_id = v.id) as writes from visits v',
  )) as [{ id: string; version: number; routine: unknown; writes: number }[], unknown];
  expect(visits.filter((v) => v.version !== v.writes + 1)).toEqual([]);
  for (const v of visits) if (v.routine) readRoutine(v.routine);
  // What was made is in the trail and the other way round: both are one transaction, or neither is there.
  for (const [table, what] of [
    ['clients', 'client-added'],
    ['products', 'product-added'],
    ['local_rules', 'rule-added'],
    ['body_measures', 'measures-taken'],
  ] as const) {
    const [[counts]] = (await owner.query(
      `select (select count(*) from ${table})::int as made, (select count(*) from audit where what = '${what}')::int as noted, (select count(*) from audit where what = 'measures-removed')::int as removed`,
    )) as [{ made: number; noted: number; removed: number }[], unknown];
    expect(counts!.made, table).toBeGreaterThan(0);
    expect(counts!.made + (table === 'body_measures' ? counts!.removed : 0), table).toBe(counts!.noted);
  }
  await owner.close();
}, 300_000);

test('60 MB in pieces are not read to the end, and 100 000 steps are counted before they are read', async () => {
  const me = visitor();
  await me.openPractice();
  const visit = await me.startVisit(await me.addClient());
  let sent = 0;
  const endless = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 1_000_000;
      if (sent > 60_000_000) controller.close();
      else controller.enqueue(new Uint8Array(1_000_000).fill(97));
    },
  });
  const refused = await fetch(`${served.url}/sign-in`, {
    method: 'POST',
    headers: { origin: served.url, 'Content-Type': 'application/x-www-form-urlencoded' },
    body: endless,
    duplex: 'half',
  } as RequestInit).then(
    (r) => r.status,
    () => 'cut off',
  );
  expect([413, 'cut off']).toContain(refused);
  expect(sent).toBeLessThan(30_000_000);

  const started = performance.now();
  const body = JSON.stringify({
    saveId: 'many-steps',
    expectedVersion: 1,
    patch: { kind: 'routine', routine: { ...routine, items: Array(100_000).fill(0) } },
  });
  const answer = await me.send(`/visits/${visit}/save`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  });
  expect(answer.status).toBe(422);
  expect(performance.now() - started).toBeLessThan(1000);
});

test('a method that has no meaning here is told so', async () => {
  const { request } = await import('node:http');
  const status = await new Promise<number>((done, failed) => {
    const { hostname, port } = new URL(served.url);
    request(
      { hostname, port, method: 'TRACE', path: '/today' },
      (answer) => (answer.resume(), done(answer.statusCode!)),
    )
      .on('error', failed)
      .end();
  });
  expect(status).toBe(405);
});
