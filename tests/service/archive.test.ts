import { Ajv2020 } from 'ajv/dist/2020.js';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { v5 } from 'uuid';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { ARCHIVE_JSON_SCHEMA, ARCHIVE_KINDS } from '../../core/exchange/index.ts';
import { InputError } from '../../core/words/index.ts';
import { seeded } from '../../demo/random.ts';
import { seedDemo } from '../../demo/seed.ts';
import { ArchiveFile } from '../../server/access/archive-file.server.ts';
import { bringArchive } from '../../server/access/bring-archive.server.ts';
import type { Brought } from '../../server/access/brought.ts';
import { practiceArchive } from '../../server/access/practice-archive.server.ts';
import { ARCHIVED_TABLES, NOT_IN_ARCHIVE } from '../../server/db/queries/archive.server.ts';
import { database } from '../../server/db/connection.ts';
import { inPractice } from '../../server/db/scope.ts';
import { checkTrail } from '../../server/db/queries/audit.server.ts';
import { letClientGo } from '../../server/db/queries/client-record.server.ts';
import {
  filesOf,
  type Files,
  linesOf,
  manifestOf,
  overwritten,
  packed,
  toldAnew,
  withLines,
} from '../support/archives.ts';
import { addClient, asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

ownPractice();
const NOW = new Date('2026-11-26T09:00:00Z');
const folder = mkdtempSync(join(tmpdir(), 'velvet-archive-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
let demo: Tenant;
let file: string;
let files: Files;
let n = 0;
const path = () => join(folder, `${++n}.zip`);

const written = async (of: string): Promise<string> => {
  const to = path();
  await pipeline(practiceArchive(of, NOW), createWriteStream(to));
  return to;
};
interface How {
  keeps?: boolean;
  signal?: AbortSignal;
  progress?: (done: number) => void;
  judging?: (done: number, of: number) => void;
}
const bring = async (
  who: Tenant,
  from: string,
  { keeps = true, signal = new AbortController().signal, progress = () => {}, judging = () => {} }: How = {},
): Promise<Brought> => {
  const opened = await ArchiveFile.open(from);
  try {
    return await bringArchive(who, opened, { keeps, signal, progress, judging });
  } finally {
    opened.close();
  }
};
const sum = (b: Brought, of: 'new' | 'same' | 'changed' | 'refused') =>
  Object.values(b.kinds).reduce((all, k) => all + k[of], 0);
/** Rows of every table of a practice, by table. */
const rowsOf = async (practiceId: string): Promise<Record<string, number>> => {
  const out: Record<string, number> = {};
  for (const table of ARCHIVED_TABLES) {
    const column = table === 'practices' ? 'id' : 'practice_id';
    const [row] = await asOwner<{ n: number }>(
      `select count(*)::int as n from ${table} where ${column} = :practiceId`,
      { practiceId },
    );
    out[table] = row!.n;
  }
  return out;
};

beforeAll(async () => {
  const { practiceId } = await seedDemo(NOW);
  const [imke] = await asOwner<{ id: string }>(
    `select id from practitioners where practice_id = :practiceId and role = 'owner'`,
    { practiceId },
  );
  demo = { practiceId, practitionerId: imke!.id };
  // A photo and a closed record lie in it as well.
  const [visit] = await asOwner<{ id: string; client_id: string }>(
    `select id, client_id from visits where practice_id = :practiceId and stage = 'done' order by starts_at limit 1`,
    { practiceId },
  );
  const picture = await sharp({ create: { width: 400, height: 400, channels: 3, background: '#8a6f5c' } })
    .jpeg()
    .toBuffer();
  await asOwner(
    `insert into photos (id, practice_id, client_id, visit_id, phase, bytes, width_px, height_px, taken_at) values (:id, :practiceId, :client, :visit, 'before', decode(:bytes, 'hex'), 400, 400, now())`,
    { id: randomUUID(), practiceId, client: visit!.client_id, visit: visit!.id, bytes: picture.toString('hex') },
  );
  await asOwner(
    `insert into kept_records (practice_id, name, reason, keep_until, file, made_by) values (:practiceId, 'Somebody', 'asked to', '2030-01-01', 'closed', :by)`,
    { practiceId, by: imke!.id },
  );
  file = await written(practiceId);
  files = await filesOf(file);
}, 120_000);

describe('the archive of a practice', () => {
  test('tells of every table of a practice, or it is known why not', async () => {
    const tables = await asOwner<{ name: string }>(
      `select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'practice_id' where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition order by 1`,
    );
    expect(new Set([...tables.map((t) => t.name), 'practices'])).toEqual(
      new Set([...ARCHIVED_TABLES, ...NOT_IN_ARCHIVE]),
    );
  });
  test('holds every row, no password, no secret of a link, no session', async () => {
    const there = await rowsOf(demo.practiceId);
    for (const { kind, rows } of manifestOf(files).kinds) expect(rows, kind).toBe(linesOf(files, kind).length);
    expect(linesOf(files, 'readings')).toHaveLength(there.readings!);
    expect(linesOf(files, 'run-events')).toHaveLength(there.run_events!);
    expect(linesOf(files, 'trail')).toHaveLength(there.audit!);
    const secrets = await asOwner<{ secret: string }>(
      `select password_hash as secret from practitioners union all select token_hash from client_links union all select token_hash from sessions`,
    );
    expect(secrets.length).toBeGreaterThan(1);
    const all = Buffer.concat([...files.values()]).toString('latin1');
    for (const { secret } of secrets) expect(all.includes(secret)).toBe(false);
  });
  test('fits the schema that docs/formats tells: the manifest, and every row of every kind', () => {
    const schema = JSON.parse(readFileSync('docs/formats/practice-archive.schema.json', 'utf8')) as object;
    expect(schema).toEqual(JSON.parse(JSON.stringify(ARCHIVE_JSON_SCHEMA)));
    const ajv = new Ajv2020({ strict: false, formats: { uuid: true, date: true, 'date-time': true } });
    ajv.addSchema(schema, 'archive');
    const fits = (ref: string, value: unknown) => {
      const validate = ajv.getSchema(ref)!;
      expect(validate(value), `${ref} ${JSON.stringify(validate.errors)}`).toBe(true);
    };
    fits('archive', manifestOf(files));
    for (const kind of ARCHIVE_KINDS)
      for (const line of linesOf(files, kind)) fits(`archive#/$defs/${kind}`, JSON.parse(line));
    expect(
      ajv.getSchema('archive#/$defs/readings')!({
        ...(JSON.parse(linesOf(files, 'readings')[0]!) as object),
        side: 'Left',
      }),
    ).toBe(false);
  });
  test('a look keeps nothing; brought in, all of it is there; a second time nothing changes', async () => {
    const other = await openPractice('Elsewhere');
    const before = await rowsOf(other.practiceId);
    const looked = await bring(other, file, { keeps: false });
    expect(looked.refusals).toEqual([]);
    expect(await rowsOf(other.practiceId)).toEqual(before);

    const kept = await bring(other, file);
    expect(kept).toEqual(looked);
    expect(kept.settings).toBe(true);
    expect(kept.byName).toEqual(['Imke Dahl', 'Rafe Oyelaran']);
    const after = await rowsOf(other.practiceId);
    const there = await rowsOf(demo.practiceId);
    for (const table of ARCHIVED_TABLES)
      if (!['practices', 'practitioners', 'audit', 'reminders'].includes(table))
        expect(after[table], table).toBe(there[table]);
    expect(after.practitioners).toBe(there.practitioners! + 1);
    // Every course is judged anew, and as it was.
    const judged = (practiceId: string) =>
      asOwner<{ judgement: object; ratings: number }>(
        `select s.judgement, s.ratings from course_states s join complaints k on k.id = s.complaint_id join clients c on c.id = k.client_id
         where s.practice_id = :practiceId and s.ratings > 0 order by c.name, k.position`,
        { practiceId },
      );
    expect(await judged(other.practiceId)).toEqual(await judged(demo.practiceId));
    expect((await judged(demo.practiceId)).length).toBeGreaterThan(5);

    const again = await bring(other, file);
    expect([sum(again, 'new'), sum(again, 'changed'), sum(again, 'refused')]).toEqual([0, 0, 0]);
    expect(await rowsOf(other.practiceId)).toEqual({ ...after, audit: after.audit! + 1 });
    expect(await checkTrail(other.practiceId, 0)).toMatchObject({ brokenAt: null, headFits: true });
  }, 60_000);
  test('written, read and written again it says the same', async () => {
    const other = await openPractice('Elsewhere again');
    await bring(other, file);
    const back = await filesOf(await written(other.practiceId));
    const people = (of: Files) =>
      new Map(
        linesOf(of, 'members')
          .map((l) => JSON.parse(l) as { id: string; name: string })
          .map((m) => [m.id, m.name]),
      );
    // Ids of people by their names, all others as they are there.
    const told = (of: Files, kind: string, isMapped: boolean) =>
      linesOf(of, kind)
        .map((line) =>
          line.replace(
            /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g,
            (id) =>
              people(of).get(id) ??
              (isMapped ? id : id === demo.practiceId ? other.practiceId : v5(id, other.practiceId)),
          ),
        )
        .map((line) => JSON.stringify(JSON.parse(line), (_, v: unknown) => (typeof v === 'number' ? Number(v) : v)))
        .sort();
    for (const kind of ARCHIVE_KINDS) {
      if (['practice', 'members', 'trail'].includes(kind)) continue;
      expect(told(back, kind, true), kind).toEqual(told(files, kind, false));
    }
    for (const [name, bytes] of files)
      if (name.startsWith('photos/'))
        expect(
          [...back].some(([other_, b]) => other_.startsWith('photos/') && b.equals(bytes)),
          name,
        ).toBe(true);
  }, 60_000);
  test('brought back into its own practice: whoever was let go is here again, the rest as it was', async () => {
    const [client] = await asOwner<{ id: string; name: string }>(
      `select c.id, c.name from clients c where c.practice_id = :practiceId and exists (select 1 from home_runs h where h.client_id = c.id) order by name limit 1`,
      { practiceId: demo.practiceId },
    );
    const before = await rowsOf(demo.practiceId);
    await letClientGo(demo, client!.id, null);
    expect((await rowsOf(demo.practiceId)).readings).toBeLessThan(before.readings!);
    const back = await bring(demo, file);
    expect(back.kinds.clients).toMatchObject({ new: 1, refused: 0 });
    expect([sum(back, 'refused'), back.settings]).toEqual([0, false]);
    const after = await rowsOf(demo.practiceId);
    // The acts themselves are in the trail.
    expect({ ...after, audit: 0 }).toEqual({ ...before, audit: 0 });
  }, 60_000);
  test('stopped in the middle, nothing of it is kept', async () => {
    const other = await openPractice('Stopped');
    const before = await rowsOf(other.practiceId);
    const stop = new AbortController();
    const going = bring(other, file, { signal: stop.signal, progress: (done) => done > 100 && stop.abort() });
    await expect(going).rejects.toThrow(/abort/i);
    expect(await rowsOf(other.practiceId)).toEqual(before);
  });
});

describe('an archive with many rows of a kind', () => {
  test('is counted while it comes, so that rows are found by their key; its courses are judged once all is kept', async () => {
    const many = await openPractice('Many');
    const { id, complaints } = await addClient(many, 'Somebody rated often');
    await asOwner(
      `insert into readings (id, practice_id, client_id, complaint_id, measure, place, side, phase, value, source, taken_at)
       select gen_random_uuid(), :practiceId, :id, :complaint, 'nrs-now', '', 'left', 'between', 1 + n % 9, 'home', now() - n * interval '3 hours' from generate_series(1, 2500) n`,
      { practiceId: many.practiceId, id, complaint: complaints[0]!.id },
    );
    const other = await openPractice('Filled');
    await asOwner('analyze readings');
    const known = async () => {
      const [row] = await asOwner<{ share: number | null }>(
        `select (select f from unnest(most_common_vals::text::uuid[], most_common_freqs) as m(v, f) where v = :practiceId) as share from pg_stats where tablename = 'readings' and attname = 'practice_id'`,
        { practiceId: other.practiceId },
      );
      return row!.share;
    };
    expect(await known()).toBeNull();
    const judged: [number, number][] = [];
    const brought = await bring(other, await written(many.practiceId), {
      judging: (done, of) => judged.push([done, of]),
    });
    expect(brought.kinds.readings!.new).toBe(2500);
    expect(await known()).toBeGreaterThan(0.05);
    expect(judged).toEqual([[1, 1]]);
  });
  test('nothing but a practice’s tables is counted', async () => {
    const asApp = (table: string) =>
      inPractice(demo.practiceId, () => database().query('select sizes_anew(:table)', { replacements: { table } }));
    await asApp('readings');
    for (const table of ['sequelize_meta', 'pg_class', 'readings; drop table readings', ''])
      await expect(asApp(table), table).rejects.toThrow('no table of a practice');
  });
});

describe('what is not taken', () => {
  test('rows that name somebody else’s rows, also under the own practice’s id; nobody else is touched', async () => {
    const theirs = await openPractice('Theirs');
    const victim = await addClient(theirs, 'Noor Halvorsen');
    const mine = await openPractice('Mine');
    const [reading] = linesOf(files, 'readings').map((l) => JSON.parse(l) as Record<string, unknown>);
    const before = await rowsOf(theirs.practiceId);
    const forged = withLines(
      toldAnew(files, (m) => ({ ...m, practice_id: mine.practiceId })),
      'readings',
      () => [],
    );
    const empty = ARCHIVE_KINDS.filter((k) => k !== 'practice' && k !== 'members').reduce(
      (f, k) => withLines(f, k, () => []),
      forged,
    );
    const withRows = (kind: string, ...rows: object[]) =>
      withLines(new Map([...empty, [`rows/${kind}.jsonl`, Buffer.from('{}\n')]]), kind, () =>
        rows.map((r) => JSON.stringify(r)),
      );
    const reads = {
      ...reading,
      id: randomUUID(),
      client_id: victim.id,
      visit_id: null,
      complaint_id: null,
      taken_by: null,
    };
    const named = await bring(mine, await packed(withRows('readings', reads), path()));
    expect(named.refusals).toEqual([
      expect.objectContaining({
        file: 'rows/readings.jsonl',
        line: 1,
        field: 'client_id',
        accepted: 'a row of clients in this practice',
      }),
    ]);
    const [client] = linesOf(files, 'clients').map((l) => JSON.parse(l) as Record<string, unknown>);
    const taken = await bring(
      mine,
      await packed(withRows('clients', { ...client, id: victim.id, name: 'Somebody else' }), path()),
    );
    // An id is somebody's within a practice only: theirs stays theirs, and ours is another client.
    expect(taken.kinds.clients).toEqual({ new: 1, same: 0, changed: 0, refused: 0 });
    expect(await rowsOf(theirs.practiceId)).toEqual(before);
    expect(
      await asOwner('select practice_id, name from clients where id = :id order by name', { id: victim.id }),
    ).toEqual([
      { practice_id: theirs.practiceId, name: 'Noor Halvorsen' },
      { practice_id: mine.practiceId, name: 'Somebody else' },
    ]);
  });
  test('rows that cannot be read are told by file, line and field; the others come', async () => {
    const other = await openPractice('Some');
    const wrong = (change: object) => (line: string, i: number) =>
      i === 1 ? JSON.stringify({ ...(JSON.parse(line) as object), ...change }) : line;
    const cases: [string, object, string][] = [
      ['readings', { value: 'x' }, 'value'],
      ['readings', { taken_at: '2026-02-31T10:00:00Z' }, 'taken_at'],
      ['readings', { more: 1 }, 'document'],
      ['visits', { routine: { schemaVersion: 2 } }, 'routine.'],
      ['visits', { findings: { spots: 1 } }, 'findings.spots'],
      ['visits', { screen: { answers: { pregnancy: 1 }, preparation: [] } }, 'screen.answers'],
      ['runs', { steps: [{ stepId: 's' }] }, 'steps[0].plannedSeconds'],
      ['home-plans', { plan: { weekdays: ['x'] } }, 'plan.'],
      ['run-events', { kind: 'nothing' }, 'payload.event.kind'],
      ['templates', { body: null }, 'body.routine'],
      ['techniques', { body: { work: {} } }, 'body.'],
      ['clients', { name: 'x'.repeat(121) }, 'name'],
      ['clients', { allergies: [1] }, 'allergies[0]'],
    ];
    for (const [kind, change, field] of cases) {
      const told = await bring(other, await packed(withLines(files, kind, wrong(change)), path()), { keeps: false });
      const first = told.refusals.find((r) => r.file === `rows/${kind}.jsonl` && r.line === 2);
      expect(first?.field, `${kind} ${JSON.stringify(change)}`).toContain(field);
      expect(told.kinds.texts!.refused).toBe(0);
    }
    const broken = await bring(
      other,
      await packed(
        withLines(files, 'products', (l, i) => (i ? l : '{"id":')),
        path(),
      ),
      { keeps: false },
    );
    expect(broken.refusals[0]).toMatchObject({ line: 1, field: 'line', accepted: 'must be JSON' });
  }, 120_000);
  test('a photo that carries more than its picture, another one than its row tells, none', async () => {
    const other = await openPractice('Photos');
    const [name, bytes] = [...files].find(([k]) => k.startsWith('photos/'))!;
    const tagged = await sharp(bytes)
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .jpeg()
      .toBuffer();
    const { createHash } = await import('node:crypto');
    const told = withLines(new Map([...files, [name, tagged]]), 'photos', (l) =>
      JSON.stringify({ ...(JSON.parse(l) as object), sha256: createHash('sha256').update(tagged).digest('hex') }),
    );
    const before = await rowsOf(other.practiceId);
    await expect(bring(other, await packed(told, path()))).rejects.toThrow(/nothing beside its picture/);
    await expect(bring(other, await packed(new Map([...files, [name, tagged]]), path()))).rejects.toThrow(
      /not what its row tells/,
    );
    await expect(bring(other, await packed(new Map([...files].filter(([k]) => k !== name)), path()))).rejects.toThrow(
      /missing/,
    );
    expect(await rowsOf(other.practiceId)).toEqual(before);
  });

  /** An archive as an earlier version made it, without what it had not. */
  const earlier = (all: typeof files, version: number, had: RegExp) => {
    const told = toldAnew(all, (m) => ({
      ...m,
      version: version as never,
      kinds: m.kinds.filter((k) => !had.test(k.kind)),
    }));
    return new Map([...told].filter(([name]) => !had.test(/^rows\/(.*)\.jsonl$/.exec(name)?.[1] ?? '')));
  };
  /** The same without some fields of a kind. */
  const without =
    (kind: (typeof ARCHIVE_KINDS)[number], ...fields: string[]) =>
    (all: typeof files) =>
      withLines(all, kind, (line) => {
        const row = JSON.parse(line) as Record<string, unknown>;
        for (const field of fields) delete row[field];
        return JSON.stringify(row);
      });
  const SINCE_4 = ['pad-words', 'pad-scale', 'pad-checks', 'tempo-tries'] as const;
  test.each([
    [3, ['pad_words', 'pad_scale', 'pad_checks', 'tempo_tries'], SINCE_4],
    [2, ['pad_tries', 'pad_words'], ['pad-tries', ...SINCE_4]],
  ] as const)('an archive of version %d is read: nothing yet in %j', async (version, empty, kinds) => {
    for (const kind of kinds) expect(linesOf(files, kind).length, kind).toBeGreaterThan(0);
    const other = await openPractice(`Version ${version}`);
    const old = earlier(without('find-it-answers', 'took_ms')(files), version, new RegExp(`^(${kinds.join('|')})$`));
    const brought = await bring(other, await packed(old, path()));
    expect(brought.refusals).toEqual([]);
    const there = await rowsOf(other.practiceId);
    expect(there.visits).toBe(linesOf(files, 'visits').length);
    for (const table of empty) expect(there[table] ?? 0, table).toBe(0);
  });
  test('an archive of version 1 is read: no rooms, no waiting list, nobody who has left', async () => {
    const first = [
      without('practice', 'before_minutes', 'after_minutes', 'day_from', 'day_until'),
      without('members', 'left_at', 'hand_strength'),
      without('clients', 'practitioner_id'),
      without('visits', 'room_id'),
      without('find-it-answers', 'took_ms'),
    ].reduce((all, strip) => strip(all), files);
    const old = earlier(first, 1, /^(rooms|waiting|pad-tries|pad-words|pad-scale|pad-checks|tempo-tries)$/);
    const other = await openPractice('Older');
    const brought = await bring(other, await packed(old, path()));
    expect(brought.refusals).toEqual([]);
    const there = await rowsOf(other.practiceId);
    expect([there.visits, there.rooms ?? 0, there.waiting ?? 0]).toEqual([linesOf(files, 'visits').length, 0, 0]);
    // What it says of a room is refused in an archive that says it is of today.
    const lying = toldAnew(first, (m) => m);
    const refused = await bring(await openPractice('Lying'), await packed(lying, path()));
    expect(refused.refusals[0]!.field).toMatch(/before_minutes|left_at|practitioner_id|room_id/);
  });

  const bad: [string, (to: string) => Promise<string> | string, RegExp][] = [
    ['no ZIP', (to) => (writeFileSync(to, 'name,pain\n'), to), /cannot be unpacked/],
    ['cut off', (to) => (writeFileSync(to, readFileSync(file).subarray(0, 5000)), to), /cannot be unpacked/],
    ['another ZIP', (to) => packed(new Map([['record.json', Buffer.from('{}')]]), to), /no file of an archive/],
    [
      'without a manifest',
      (to) => packed(new Map([...files].filter(([k]) => k !== 'manifest.json')), to),
      /no archive of a practice/,
    ],
    [
      'a newer version',
      (to) =>
        packed(
          toldAnew(files, (m) => ({ ...m, version: 5 as never })),
          to,
        ),
      /version 5; up to 4/,
    ],
    [
      'another format',
      (to) =>
        packed(
          toldAnew(files, (m) => ({ ...m, format: 'x' })),
          to,
        ),
      /must be velvet-compass-practice/,
    ],
    [
      'a kind twice',
      (to) =>
        packed(
          toldAnew(files, (m) => ({ ...m, kinds: m.kinds.map(() => m.kinds[0]!) })),
          to,
        ),
      /kind/,
    ],
    [
      'a hash that is another one',
      (to) =>
        packed(
          toldAnew(files, (m) => ({ ...m, kinds: m.kinds.map((k) => ({ ...k, sha256: '0'.repeat(64) })) })),
          to,
        ),
      /not what the manifest tells/,
    ],
    [
      'a row more than told',
      (to) =>
        packed(
          toldAnew(files, (m) => ({ ...m, kinds: m.kinds.map((k) => ({ ...k, rows: k.rows + 1 })) })),
          to,
        ),
      /not what the manifest tells/,
    ],
    [
      'a way out of the folder',
      (to) => overwritten(readFileSync(file), Buffer.from('rows/texts.jsonl'), Buffer.from('../../etc/passwd'), to),
      /cannot be unpacked|no file of an archive/,
    ],
    ['a link', (to) => packed(files, to, { 'rows/texts.jsonl': 0o120777 }), /plain file/],
    [
      'zeros that unpack to a thousand times as much',
      (to) => packed(new Map([...files, ['rows/trail.jsonl', Buffer.alloc(50_000_000)]]), to),
      /unpacks to more/,
    ],
    [
      'a line without an end',
      (to) =>
        packed(
          toldAnew(new Map([...files, ['rows/trail.jsonl', Buffer.from(`{"a":"${randomUUID().repeat(60_000)}"}\n`)]])),
          to,
        ),
      /too long|unpacks to more/,
    ],
  ];
  test.each(bad)('%s: refused with its place, nothing kept', async (_, make, words) => {
    const other = await openPractice('Bad');
    const before = await rowsOf(other.practiceId);
    await expect(bring(other, await make(path()))).rejects.toThrow(words);
    expect(await rowsOf(other.practiceId)).toEqual(before);
  });
  test('10 GB that are only claimed', async () => {
    const bytes = Buffer.from(readFileSync(file));
    // The size unpacked, of every entry of the list at the end.
    for (let at = bytes.indexOf('PK\x01\x02', 0, 'latin1'); at >= 0; at = bytes.indexOf('PK\x01\x02', at + 4, 'latin1'))
      bytes.writeUInt32LE(0xfffffff0, at + 24);
    const to = path();
    writeFileSync(to, bytes);
    await expect(ArchiveFile.open(to)).rejects.toThrow(/unpacks to more/);
  });

  test('a thousand files of which some bytes are other ones: each is read whole, or refused with its place', async () => {
    const small = readFileSync(await written((await openPractice('Small')).practiceId));
    const random = seeded(20_261_129);
    const to = path();
    let refused = 0;
    for (let i = 0; i < 1000; i++) {
      const bytes = Buffer.from(small.subarray(0, random() < 0.1 ? Math.floor(random() * small.length) : small.length));
      for (let k = 0; k < 1 + random() * 6 && bytes.length; k++)
        bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
      writeFileSync(to, bytes);
      try {
        const opened = await ArchiveFile.open(to);
        try {
          for (const kind of ARCHIVE_KINDS)
            for await (const { text } of opened.lines(kind)) expect(text.length).toBeGreaterThan(0);
        } finally {
          opened.close();
        }
      } catch (error) {
        expect(error, String(error)).toBeInstanceOf(InputError);
        expect((error as InputError).field).not.toBe('');
        refused++;
      }
    }
    expect(refused).toBeGreaterThan(500);
  }, 60_000);
});
