import { beforeEach, describe, expect, test } from 'vitest';
import { type CsvNames, type CsvWays, csvHead, csvRows, CLIENTS_CSV, READINGS_CSV } from '../../core/exchange/index.ts';
import type { Client } from '../../core/record/index.ts';
import { bringClients, bringReadings } from '../../server/access/bring-table.server.ts';
import type { Brought } from '../../server/access/brought.ts';
import { allClients, allReadings } from '../../server/db/queries/export.server.ts';
import { keepRating } from '../../server/db/queries/ratings.server.ts';
import { addClient, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
const NOW = new Date('2026-11-26T12:00:00Z');
const WAYS: CsvWays = { delimiter: ';', decimal: ',', dates: 'day-first', zone: 'Europe/Lisbon' };
const SHEET: CsvNames = {
  named: { Who: 'client', When: 'taken_at', Pain: 'value', What: 'complaint' },
  fixed: { measure: 'nrs-now', phase: 'between', source: 'imported' },
  leavesOthers: true,
};
const HEAD = 'Who;When;Pain;What;Weather\r\n';

async function* of(text: string): AsyncGenerator<string> {
  for (let i = 0; i < text.length; i += 1000) yield text.slice(i, i + 1000);
}
interface How {
  keeps?: boolean;
  names?: CsvNames;
  ways?: CsvWays;
  signal?: AbortSignal;
  progress?: (n: number) => void;
}
const bring = (what: 'clients' | 'readings', text: string, how: How = {}, who = own.tenant): Promise<Brought> => {
  const table = { text: of(text), ways: how.ways ?? WAYS, names: how.names ?? SHEET };
  const bringing = {
    keeps: how.keeps ?? true,
    signal: how.signal ?? new AbortController().signal,
    progress: how.progress ?? (() => {}),
  };
  return what === 'clients' ? bringClients(who, table, bringing) : bringReadings(who, table, bringing, NOW);
};
const readings = () =>
  asOwner<{ value: number; side: string; source: string; at: string }>(
    `select value::float8 as value, side, source, to_char(taken_at at time zone 'UTC', 'YYYY-MM-DD HH24:MI') as at from readings where practice_id = :id order by taken_at, value`,
    { id: own.tenant.practiceId },
  );
const written = async <Row extends object>(
  table: Parameters<typeof csvHead<Row>>[0],
  pages: AsyncGenerator<Row[]>,
): Promise<string> => {
  let text = csvHead(table, WAYS);
  for await (const rows of pages) text += csvRows(table, rows, WAYS);
  return text;
};

let noor: Client;
beforeEach(async () => {
  await asOwner('delete from clients where practice_id = :id', { id: own.tenant.practiceId });
  noor = await addClient(own.tenant, 'Noor Halvorsen');
});

describe('ratings from somebody’s own sheet', () => {
  const sheet = `${HEAD}noor  halvorsen;3.4.2026 09:05;4;Jaw;wet\r\nNoor Halvorsen;4.4.2026 09:05;3;jaw;\r\n`;
  test('a look keeps nothing; then they are kept as they were meant; a second time nothing changes', async () => {
    const looked = await bring('readings', sheet, { keeps: false });
    expect(looked.kinds.readings).toEqual({ new: 2, same: 0, changed: 0, refused: 0 });
    expect(await readings()).toEqual([]);
    expect(await bring('readings', sheet)).toEqual(looked);
    expect(await readings()).toEqual([
      { value: 4, side: 'left', source: 'imported', at: '2026-04-03 08:05' },
      { value: 3, side: 'left', source: 'imported', at: '2026-04-04 08:05' },
    ]);
    expect((await bring('readings', sheet)).kinds.readings).toEqual({ new: 0, same: 2, changed: 0, refused: 0 });
    expect(await readings()).toHaveLength(2);
    // The course knows them.
    const [state] = await asOwner<{ ratings: number }>('select ratings from course_states where complaint_id = :id', {
      id: noor.complaints[0]!.id,
    });
    expect(state!.ratings).toBe(2);
    const [entry] = await asOwner<{ about: object }>(
      `select about from audit where practice_id = :id and what = 'table-brought' order by seq desc limit 1`,
      { id: own.tenant.practiceId },
    );
    expect(entry!.about).toEqual({ table: 'readings', rows: 0 });
  });
  test('another number of the same moment is a change: it is shown, and written', async () => {
    await bring('readings', sheet);
    const other = sheet.replace(';4;Jaw', ';6;Jaw');
    const looked = await bring('readings', other, { keeps: false });
    expect(looked.kinds.readings).toEqual({ new: 0, same: 1, changed: 1, refused: 0 });
    expect(looked.changes).toEqual([expect.objectContaining({ line: 2, field: 'value', was: '4', becomes: '6' })]);
    expect((await readings())[0]!.value).toBe(4);
    await bring('readings', other);
    expect((await readings()).map((r) => r.value)).toEqual([6, 3]);
  });
  test.each([
    ['Jun Castellan;3.4.2026 09:05;4;Jaw;', 'client', 'Jun Castellan'],
    ['Noor Halvorsen;3.4.2026 09:05;11;Jaw;', 'value', '11'],
    ['Noor Halvorsen;3.4.2026 09:05;4,5;Jaw;', 'value', '4.5'],
    ['Noor Halvorsen;3.4.2026;4;Jaw;', 'taken_at', '3.4.2026'],
    ['Noor Halvorsen;3.4.2027 09:05;4;Jaw;', 'taken_at', '2027-04-03T08:05:00.000Z'],
    ['Noor Halvorsen;3.4.2026 09:05;4;Back;', 'complaint', 'Back'],
    // Two complaints, and it is not said which.
    ['Noor Halvorsen;3.4.2026 09:05;4;;', 'complaint', ''],
    ['Noor Halvorsen;3.4.2026 09:05;4', '', 'Noor Halvorsen;3.4.2026 09:05;4'],
  ])('%s', async (row, field, value) => {
    const told = await bring('readings', `${HEAD}${row}\r\nNoor Halvorsen;4.4.2026 09:05;3;jaw;\r\n`);
    expect(told.refusals).toEqual([expect.objectContaining({ line: 2, field, value })]);
    expect(told.kinds.readings).toMatchObject({ new: 1, refused: 1 });
  });
  test('a name that two have, a measure at a muscle, a day that means its noon', async () => {
    await addClient(own.tenant, 'NOOR HALVORSEN');
    expect((await bring('readings', sheet)).refusals.map((r) => r.accepted)).toEqual(
      Array(2).fill('a name that one client alone has, or the id'),
    );
    const names: CsvNames = {
      named: { id: 'client_id', When: 'taken_at', N: 'value', Where: 'place', S: 'side' },
      fixed: { ...SHEET.fixed, measure: 'tenderness' },
    };
    const text = (where: string, side: string, n = '2') =>
      `id;When;N;Where;S\r\n${noor.id};3.4.2026;${n};${where};${side}\r\n`;
    const noon: CsvWays = { ...WAYS, dayAlone: 'noon' };
    const refused = async (t: string) => (await bring('readings', t, { names, ways: noon })).refusals[0]?.field;
    expect(await refused(text('masseter-superficial', ''))).toBe('side');
    expect(await refused(text('masseter', 'left'))).toBe('place');
    expect(await refused(text('masseter-superficial', 'left', '4'))).toBe('value');
    expect(await refused(text('masseter-superficial', 'left'))).toBeUndefined();
    expect(await readings()).toEqual([{ value: 2, side: 'left', source: 'imported', at: '2026-04-03 11:00' }]);
  });
  test('what a visit holds is not changed by a table, and nothing comes into a visit by one', async () => {
    const [visit] = await asOwner<{ id: string }>(
      `insert into visits (id, practice_id, client_id, practitioner_id, starts_at, stage, screen) values (gen_random_uuid(), :practiceId, :client, :practitionerId, '2026-04-01T10:00:00Z', 'done', '{"answers":{},"preparation":[]}') returning id`,
      { ...own.tenant, client: noor.id },
    ).then((r) => r[0] as unknown as { id: string }[]);
    await asOwner(
      `insert into readings (id, practice_id, client_id, visit_id, complaint_id, measure, place, side, phase, value, source, taken_at) values (gen_random_uuid(), :practiceId, :client, :visit, :complaint, 'nrs-now', '', 'left', 'before', 7, 'studio', '2026-04-01T10:05:00Z')`,
      { ...own.tenant, client: noor.id, visit: visit!.id, complaint: noor.complaints[0]!.id },
    );
    const text = await written(READINGS_CSV, allReadings(own.tenant.practiceId));
    expect((await bring('readings', text, { names: {} })).kinds.readings).toEqual({
      new: 0,
      same: 1,
      changed: 0,
      refused: 0,
    });
    expect((await bring('readings', text.replace(';7;', ';2;'), { names: {} })).refusals[0]).toMatchObject({
      field: 'value',
    });
    const id = /^[0-9a-f-]{36}/m.exec(text)![0];
    const further = text.replace(id, `${id.slice(0, -4)}0000`);
    expect((await bring('readings', further, { names: {} })).refusals[0]).toMatchObject({ field: 'visit_id' });
    expect((await readings()).map((r) => r.value)).toEqual([7]);
  });
  test('a table taken out here comes back as the same; into another practice it comes beside this one', async () => {
    for (const value of [7, 5, 3])
      await keepRating(own.tenant, noor.id, noor.complaints[0]!.id, {
        value,
        at: new Date(Date.UTC(2026, 3, value)),
        source: 'home',
      });
    const clients = await written(CLIENTS_CSV, allClients(own.tenant.practiceId));
    const text = await written(READINGS_CSV, allReadings(own.tenant.practiceId));
    expect((await bring('readings', text, { names: {} })).kinds.readings).toMatchObject({ same: 3, new: 0 });
    const other = await openPractice('Elsewhere');
    expect((await bring('clients', clients, { names: {} }, other)).kinds.clients).toMatchObject({ new: 1, refused: 0 });
    // Ids that are taken in another practice are nobody’s here.
    const [there] = await asOwner<{ n: number }>('select count(*)::int as n from clients where practice_id = :id', {
      id: other.practiceId,
    });
    expect(there!.n).toBe(1);
    const came = await bring('readings', text, { names: {} }, other);
    // The same ids are other rows there, and the ones here stay as they are.
    expect(came.kinds.readings).toMatchObject({ new: 3, refused: 0 });
    expect((await readings()).map((r) => r.value)).toEqual([3, 5, 7]);
    const free: CsvNames = {
      named: {
        ...Object.fromEntries(
          ['client', 'complaint', 'measure', 'place', 'side', 'phase', 'value', 'source', 'taken_at'].map((c) => [
            c,
            c,
          ]),
        ),
      },
      leavesOthers: true,
    };
    expect((await bring('readings', text, { names: free }, other)).kinds.readings).toMatchObject({
      new: 3,
      refused: 0,
    });
    expect((await readings()).map((r) => r.value)).toEqual([3, 5, 7]);
  });
  test('stopped in the middle, nothing is kept', async () => {
    const many =
      HEAD +
      Array.from(
        { length: 300 },
        (_, i) => `Noor Halvorsen;3.4.2026 ${10 + Math.floor(i / 60)}:${String(i % 60).padStart(2, '0')};4;Jaw;\r\n`,
      ).join('');
    const stop = new AbortController();
    await expect(
      bring('readings', many, { signal: stop.signal, progress: (n) => n > 3000 && stop.abort() }),
    ).rejects.toThrow(/abort/i);
    expect(await readings()).toEqual([]);
  });
});

describe('clients from a sheet', () => {
  const NAMES: CsvNames = {
    named: { Name: 'name', Mail: 'email', Kind: 'complaint', Side: 'side', Reacts: 'allergies' },
    leavesOthers: true,
  };
  const people = () =>
    asOwner<object>(
      `select c.name, c.email, c.allergies, array(select k.kind || ' ' || k.side from complaints k where k.client_id = c.id order by k.position) as complaints from clients c where c.practice_id = :id order by c.name`,
      { id: own.tenant.practiceId },
    );
  const text = `Name;Mail;Kind;Side;Reacts\r\nJun Castellan;jun@post.example;stress;both;nuts, oil\r\nJun Castellan;;eye-strain;right;\r\nnoor halvorsen;noor@post.example;jaw;right;\r\n`;
  test('new ones come, those who are here are changed where something else is said; a second time nothing changes', async () => {
    const looked = await bring('clients', text, { names: NAMES, keeps: false });
    expect(looked.refusals).toEqual([]);
    expect(looked.changes.map((c) => [c.line, c.field, c.becomes])).toContainEqual([4, 'email', 'noor@post.example']);
    expect(await people()).toHaveLength(1);
    expect(await bring('clients', text, { names: NAMES })).toEqual(looked);
    expect(await people()).toEqual([
      {
        name: 'Jun Castellan',
        email: 'jun@post.example',
        allergies: ['nuts', 'oil'],
        complaints: ['stress both', 'eye-strain right'],
      },
      { name: 'noor halvorsen', email: 'noor@post.example', allergies: [], complaints: ['jaw right', 'headache both'] },
    ]);
    const again = await bring('clients', text, { names: NAMES });
    expect(again.kinds.clients).toEqual({ new: 0, same: 3, changed: 0, refused: 0 });
    expect(again.changes).toEqual([]);
  });
  test('an empty cell takes nothing away', async () => {
    await bring('clients', text, { names: NAMES });
    await bring('clients', 'Name;Mail;Reacts\r\nJun Castellan;;\r\n', { names: NAMES });
    expect((await people())[0]).toMatchObject({ email: 'jun@post.example', allergies: ['nuts', 'oil'] });
  });
  test.each([
    [';x@post.example;;;', 'name'],
    ['Jun;nobody;;;', 'email'],
    ['Jun;;knee;;', 'complaint'],
    ['Jun;;jaw;Left;', 'side'],
    [`Jun;;;;${'x'.repeat(81)}`, 'allergies'],
  ])('%s is refused', async (row, field) => {
    const told = await bring('clients', `Name;Mail;Kind;Side;Reacts\r\n${row}\r\n`, { names: NAMES });
    expect(told.refusals).toEqual([expect.objectContaining({ line: 2, field })]);
    expect(await people()).toHaveLength(1);
  });
});
