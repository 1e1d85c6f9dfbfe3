import { beforeEach, describe, expect, test } from 'vitest';
import {
  CLIENTS_CSV,
  type CsvTable,
  type CsvWays,
  csvHead,
  csvRows,
  readCsv,
  READINGS_CSV,
  RUN_STEPS_CSV,
} from '../../core/exchange/index.ts';
import type { Client } from '../../core/record/index.ts';
import { seedDemo } from '../../demo/seed.ts';
import { allClients, allReadings, allRunSteps } from '../../server/db/queries/export.server.ts';
import { addClient, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
const WAYS: CsvWays = { delimiter: ';', decimal: ',', dates: 'day-first', zone: 'Europe/Lisbon' };

/** The whole of a table as a file, and how it reads again. */
async function written<Row extends object>(table: CsvTable<Row>, pages: AsyncGenerator<Row[]>) {
  let text = csvHead(table, WAYS);
  let n = 0;
  for await (const rows of pages) {
    text += csvRows(table, rows, WAYS);
    n++;
  }
  return { n, ...readCsv(table, text, WAYS) };
}

let client: Client;
beforeEach(async () => {
  await asOwner('delete from clients where practice_id = :id', { id: own.tenant.practiceId });
  client = await addClient(own.tenant, '=Noor; "Halvorsen"', { note: 'one\r\ntwo', allergies: ['nuts', 'lavender'] });
});

describe('tables taken out', () => {
  test('ratings: each once over many pages, also where thousands were taken in one moment', async () => {
    await asOwner(
      `insert into readings (id, practice_id, client_id, complaint_id, measure, place, side, phase, value, source, taken_at)
       select gen_random_uuid(), :practiceId, :clientId, :complaintId, 'nrs-now', '', 'left', 'between', i % 11, 'home', timestamptz '2026-11-02T10:00:00Z' + (i / 2500) * interval '1 minute'
       from generate_series(0, 4999) i`,
      { practiceId: own.tenant.practiceId, clientId: client.id, complaintId: client.complaints[0]!.id },
    );
    const { n, rows, refused } = await written(READINGS_CSV, allReadings(own.tenant.practiceId));
    expect(refused).toEqual([]);
    expect(n).toBe(3);
    expect(rows).toHaveLength(5000);
    expect(new Set(rows.map((r) => r.row.id)).size).toBe(5000);
    expect(rows[0]!.row).toMatchObject({
      client: '=Noor; "Halvorsen"',
      complaint: 'jaw',
      taken_at: '2026-11-02T10:00:00.000Z',
    });
    const sum = rows.reduce((s, r) => s + r.row.value, 0);
    const [there] = await asOwner<{ sum: string }>(
      'select sum(value)::text as sum from readings where client_id = :id',
      { id: client.id },
    );
    expect(sum).toBe(Number(there!.sum));
  });
  test('clients: one row for each open complaint, one for who has none', async () => {
    await addClient(own.tenant, 'Jun Castellan', { complaints: [] });
    const { rows, refused } = await written(CLIENTS_CSV, allClients(own.tenant.practiceId));
    expect(refused).toEqual([]);
    expect(rows.map((r) => [r.row.name, r.row.complaint, r.row.side])).toEqual([
      ['=Noor; "Halvorsen"', 'jaw', 'left'],
      ['=Noor; "Halvorsen"', 'headache', 'both'],
      ['Jun Castellan', null, null],
    ]);
    expect(rows[0]!.row).toMatchObject({ client_id: client.id, note: 'one\r\ntwo', allergies: 'nuts, lavender' });
  });
  test('steps of runs: each with its technique', async () => {
    const { practiceId } = await seedDemo(new Date('2026-11-26T09:00:00Z'));
    const { rows, refused } = await written(RUN_STEPS_CSV, allRunSteps(practiceId));
    expect(refused).toEqual([]);
    expect(rows.length).toBeGreaterThan(50);
    expect(rows.every((r) => r.row.technique !== '')).toBe(true);
    expect(rows.some((r) => r.row.technique === 'masseter-warm-hold')).toBe(true);
    const [n] = await asOwner<{ n: number }>(
      `select sum(jsonb_array_length(steps))::int as n from runs where practice_id = :practiceId and steps is not null`,
      { practiceId },
    );
    expect(rows).toHaveLength(n!.n);
  });
  test('nothing of another practice', async () => {
    const other = await openPractice();
    for (const pages of [allReadings(other.practiceId), allClients(other.practiceId), allRunSteps(other.practiceId)])
      expect((await pages.next()).done).toBe(true);
  });
});
