import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import {
  type CsvReading,
  type CsvWays,
  CLIENTS_CSV,
  CsvReader,
  READINGS_CSV,
  readCsv,
  RUN_STEPS_CSV,
  writeCsv,
} from '../index.ts';

const WAYS: CsvWays = { delimiter: ',', decimal: '.', dates: 'iso', zone: 'Europe/Lisbon' };
const ALL_WAYS: CsvWays[] = ([',', ';', '\t'] as const).flatMap((delimiter) =>
  (['.', ','] as const).flatMap((decimal) =>
    (['iso', 'day-first', 'month-first'] as const).map((dates) => ({
      delimiter,
      decimal,
      dates,
      zone: 'Europe/Lisbon',
    })),
  ),
);
const reading: CsvReading = {
  id: '11111111-1111-4111-8111-111111111111',
  client_id: '22222222-2222-4222-8222-222222222222',
  client: 'Noor Halvorsen',
  complaint_id: null,
  complaint: '',
  measure: 'nrs-now',
  place: '',
  side: 'left',
  phase: 'between',
  value: 4,
  source: 'home',
  taken_at: '2026-11-26T14:30:00.000Z',
  visit_id: null,
};
const file = (...rows: Partial<CsvReading>[]) =>
  writeCsv(
    READINGS_CSV,
    rows.map((r) => ({ ...reading, ...r })),
    WAYS,
  );
const lines = (...rows: string[]) => [Object.keys(READINGS_CSV).join(','), ...rows].join('\r\n');
const row = (over: Record<string, string>) =>
  Object.entries({
    id: reading.id,
    client_id: reading.client_id,
    client: 'Noor',
    complaint_id: '',
    complaint: '',
    measure: 'nrs-now',
    place: '',
    side: 'left',
    phase: 'between',
    value: '4',
    source: 'home',
    taken_at: '2026-11-26 14:30',
    visit_id: '',
    ...over,
  })
    .map(([, v]) => v)
    .join(',');

describe('written and read again', () => {
  test('any words, numbers and moments come back as they were, in every way of writing', () => {
    // Minutes: what a spreadsheet shows. The hour that comes twice in autumn is told apart by ISO files alone.
    const moment = fc
      .integer({ min: Date.parse('2020-01-01T00:00:00Z') / 60_000, max: Date.parse('2030-01-01T00:00:00Z') / 60_000 })
      .map((m) => new Date(m * 60_000))
      .filter((at) => !(at.getUTCMonth() === 9 && at.getUTCDate() > 24 && at.getUTCHours() < 3));
    const words = fc
      .string({ unit: 'binary', maxLength: 40 })
      .filter((s) => s.isWellFormed() && !s.includes('\0'))
      .map((s) => s.replace(/\r(?!\n)/g, ''));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(words, words, fc.integer({ min: -9990, max: 9990 }), moment), { maxLength: 8 }),
        fc.constantFrom(...ALL_WAYS),
        (given, ways) => {
          const rows = given.map(([client, place, tenths, at]) => ({
            ...reading,
            client,
            place,
            value: tenths / 10,
            taken_at: at.toISOString(),
          }));
          const read = readCsv(READINGS_CSV, writeCsv(READINGS_CSV, rows, ways), ways);
          expect(read.refused).toEqual([]);
          expect(read.rows.map((r) => r.row)).toEqual(rows);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('clients and steps of runs as well', () => {
    const client = {
      client_id: reading.client_id,
      name: 'Noor',
      about: '',
      email: 'noor@post.example',
      note: 'One; "two"\r\nthree',
      allergies: 'nuts, lavender',
      complaint_id: reading.id,
      complaint: 'jaw' as const,
      side: 'left' as const,
      called: '',
      since: '',
      set_off_by: '',
      goal: '=SUM(A1)',
    };
    const none = { ...client, complaint_id: null, complaint: null, side: null };
    const text = writeCsv(CLIENTS_CSV, [client, none], WAYS);
    expect(readCsv(CLIENTS_CSV, text, WAYS).rows.map((r) => r.row)).toEqual([client, none]);
    const step = {
      run_id: reading.id,
      visit_id: reading.id,
      client_id: reading.client_id,
      client: 'Noor',
      began_at: reading.taken_at,
      step: 1,
      technique: 'masseter-hold',
      outcome: 'part' as const,
      planned_seconds: 60,
      done_seconds: 31.5,
    };
    expect(readCsv(RUN_STEPS_CSV, writeCsv(RUN_STEPS_CSV, [step], WAYS), WAYS).rows[0]!.row).toEqual(step);
  });
  test('nothing that somebody typed is a formula in a spreadsheet', () => {
    for (const client of ['=1+1', '+1', '-1', '@SUM(A1)', '\t=1', "'=1", '=HYPERLINK("http://x")']) {
      const text = file({ client });
      const [, cells] = Papa.parse<string[]>(text.slice(1), { skipEmptyLines: true }).data;
      expect(cells![2], client).toMatch(/^'/);
      expect(readCsv(READINGS_CSV, text, WAYS).rows[0]!.row.client).toBe(client);
    }
    // A number below nothing is a number.
    expect(file({ value: -3 })).toContain(',-3,');
  });
});

describe('what is refused is told with line, field, value and what is accepted', () => {
  const refused = (text: string, ways = WAYS) => readCsv(READINGS_CSV, text, ways).refused;
  test.each([
    ['value', '11 of 10', 'a number from -1000 to 1000, written with a point'],
    ['value', '4,5', ''],
    ['value', '1e3', ''],
    ['value', '1001', ''],
    ['side', 'Left', 'left, right, both, midline'],
    ['measure', 'pain', ''],
    ['source', '', 'studio, home, telephone, imported'],
    ['id', 'abc', 'an id as it was written by an export'],
    ['taken_at', '26.11.2026 14:30', 'a day and a time of Europe/Lisbon such as 2026-11-26 14:30'],
    ['taken_at', '2026-11-26', ''],
    ['taken_at', '2026-02-31 10:00', ''],
    // An hour that there is none of: clocks went from 01:00 to 02:00.
    ['taken_at', '2026-03-29 01:30', ''],
    ['client', 'x'.repeat(121), 'at most 120 characters'],
  ])('%s %s', (field, value, accepted) => {
    // Quoted where the sign between cells stands in it.
    const cell = value.includes(',') ? `"${value}"` : value;
    const told = refused(lines(row({}), row({ [field]: cell })));
    expect(told).toHaveLength(1);
    expect(told[0]).toMatchObject({ line: 3, field, value: value.slice(0, 60) });
    if (accepted) expect(told[0]!.accepted).toBe(accepted);
  });
  test('a number and a day as they were asked for: with a comma, the day or the month first', () => {
    const ways = (dates: CsvWays['dates']): CsvWays => ({ delimiter: ';', decimal: ',', dates, zone: 'Europe/Lisbon' });
    const of = (dates: CsvWays['dates'], taken_at: string) =>
      readCsv(
        READINGS_CSV,
        lines(row({ value: '4,5', taken_at }))
          .replaceAll(',', ';')
          .replace('4;5', '4,5'),
        ways(dates),
      );
    expect(of('day-first', '3.4.2026 09:05').rows[0]!.row).toMatchObject({
      value: 4.5,
      taken_at: '2026-04-03T08:05:00.000Z',
    });
    expect(of('month-first', '3/4/2026 09:05').rows[0]!.row).toMatchObject({ taken_at: '2026-03-04T09:05:00.000Z' });
    expect(of('day-first', '13/13/2026 09:05').refused[0]).toMatchObject({ field: 'taken_at' });
    // With its own offset a moment is the same in every file.
    expect(of('day-first', '2026-04-03T10:05:00+02:00').rows[0]!.row.taken_at).toBe('2026-04-03T08:05:00.000Z');
  });
  test('the hour that comes twice is the first one', () =>
    expect(readCsv(READINGS_CSV, lines(row({ taken_at: '2026-10-25 01:30' })), WAYS).rows[0]!.row.taken_at).toBe(
      '2026-10-25T00:30:00.000Z',
    ));
  test('lines are those of the file, also after a cell that goes over several', () => {
    const text = lines(row({ client: '"one\r\ntwo\r\nthree"' }), '', row({ value: 'x' }));
    expect(refused(text)).toEqual([expect.objectContaining({ line: 6, field: 'value' })]);
  });
  test('columns: a foreign one, one twice, one that is missing; named otherwise or left out they are taken', () => {
    const text = lines(row({})).replace('value', 'Pain').replace('place', 'where');
    expect(refused(text).map((r) => r.field)).toEqual(['where', 'Pain', 'value']);
    const read = readCsv(READINGS_CSV, text, WAYS, { named: { Pain: 'value', where: 'place' } });
    expect(read.refused).toEqual([]);
    expect(read.rows[0]!.row.value).toBe(4);
    expect(refused(text.replace('where', 'value').replace('Pain', 'value'))).toEqual([
      expect.objectContaining({ field: 'value', accepted: 'each column once' }),
    ]);
    const extra = lines(row({}))
      .split('\r\n')
      .map((l, i) => `${l},${i ? 'x' : 'ours'}`)
      .join('\r\n');
    expect(refused(extra).map((r) => r.field)).toEqual(['ours']);
    expect(readCsv(READINGS_CSV, extra, WAYS, { named: { ours: null } }).rows).toHaveLength(1);
  });
  test('a column that the file has not: nothing, where nothing is accepted, or what was said for all rows', () => {
    const text = 'Pain,When\r\n4,2026-11-26 14:30\r\n';
    const table = {
      value: READINGS_CSV.value,
      taken_at: READINGS_CSV.taken_at,
      side: READINGS_CSV.side,
      place: READINGS_CSV.place,
    };
    const named = { Pain: 'value', When: 'taken_at' };
    expect(readCsv(table, text, WAYS, { named }).refused.map((r) => r.field)).toEqual(['side']);
    expect(readCsv(table, text, WAYS, { named, fixed: { side: 'left' } }).rows.map((r) => r.row)).toEqual([
      { value: 4, taken_at: '2026-11-26T14:30:00.000Z', side: 'left', place: '' },
    ]);
    expect(readCsv(table, text, WAYS, { named, fixed: { side: 'Left' } }).refused[0]).toMatchObject({
      line: 2,
      field: 'side',
    });
  });
  test('however a file is cut into pieces, it reads the same', () => {
    const texts = [
      lines(row({}), row({ client: '"one\r\n""two"", three"' }), '', row({ value: 'x' }), row({})),
      lines(row({}), row({ client: 'é😀' })).replaceAll('\r\n', '\n'),
      lines(row({})).replaceAll('\r\n', '\r'),
      lines(row({}), row({ client: '"open' }), row({})),
      '',
    ];
    for (const text of texts) {
      const whole = readCsv(READINGS_CSV, text, WAYS);
      for (const size of [1, 2, 7, 64]) {
        const reader = new CsvReader(READINGS_CSV, WAYS);
        const parts = [];
        for (let i = 0; i < text.length; i += size) parts.push(reader.push(text.slice(i, i + size)));
        parts.push(reader.end());
        expect(
          parts.flatMap((p) => p.rows),
          `${size}`,
        ).toEqual(whole.rows);
        expect(
          parts.flatMap((p) => p.refused),
          `${size}`,
        ).toEqual(whole.refused);
      }
    }
  });
  test('quotes that are never closed do not take in a whole file', () => {
    const reader = new CsvReader(READINGS_CSV, WAYS);
    reader.push(lines(row({ client: '"open' })));
    const told = Array.from({ length: 40 }, () => reader.push('x'.repeat(10_000))).flatMap((p) => p.refused);
    expect(told).toEqual([expect.objectContaining({ line: 2, accepted: 'quotes that are closed again' })]);
    expect(reader.end()).toEqual({ rows: [], refused: [] });
  });
  test('too many cells, quotes that stay open, nothing at all', () => {
    expect(refused(lines(`${row({})},x`))[0]!.accepted).toContain('13 cells');
    expect(refused(lines(row({ client: '"open' }))).length).toBeGreaterThan(0);
    expect(refused('')[0]!.accepted).toContain('a first line');
  });
  test('100 000 rows, one refused among them', () => {
    const body = Array.from({ length: 100_000 }, (_, i) => row(i === 50_000 ? { value: 'x' } : {}));
    const read = readCsv(READINGS_CSV, lines(...body), WAYS);
    expect(read.rows).toHaveLength(99_999);
    expect(read.refused).toEqual([expect.objectContaining({ line: 50_002 })]);
  });
});
