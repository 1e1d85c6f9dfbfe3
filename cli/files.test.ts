import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { answerOf } from './main.ts';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'velvet-files-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: string): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const WAYS = ['--between', 'semicolon', '--decimal', 'comma', '--dates', 'day-first', '--zone', 'Europe/Lisbon'];
const ID = '11111111-1111-4111-8111-111111111111';
const HEAD = 'id;client_id;client;complaint_id;complaint;measure;place;side;phase;value;source;taken_at;visit_id';
const row = (value: string) => `${ID};${ID};Noor;;;nrs-now;;left;between;${value};home;3.4.2026 09:05;`;
const table = (...values: string[]) => file('t.csv', `${[HEAD, ...values.map(row)].join('\r\n')}\r\n`);

describe('tables and routines without a database', () => {
  test('import gives rows, export takes them: the same table again, also written otherwise', () => {
    const given = answerOf(['import', 'readings', table('4,5', '3'), ...WAYS]);
    expect([given.status, given.stderr]).toEqual([0, '']);
    const { rows } = JSON.parse(given.stdout) as { rows: { line: number; row: object }[] };
    expect(rows[0]).toEqual({
      line: 2,
      row: expect.objectContaining({ value: 4.5, taken_at: '2026-04-03T08:05:00.000Z' }) as object,
    });
    const back = answerOf(['export', 'readings', file('rows.json', given.stdout), ...WAYS]);
    expect(back.stdout).toContain(row('4,5').replace('3.4.2026', '03.04.2026'));
    const iso = answerOf([
      'export',
      'readings',
      file('rows.json', given.stdout),
      '--between',
      'comma',
      '--decimal',
      'point',
      '--dates',
      'iso',
      '--zone',
      'Europe/Lisbon',
    ]);
    expect(iso.stdout).toContain(',4.5,home,2026-04-03T08:05:00.000Z,');
  });
  test('rows that are refused are told, and said by the exit code', () => {
    const { status, stdout } = answerOf(['import', 'readings', table('4.5'), ...WAYS]);
    expect(status).toBe(3);
    expect(JSON.parse(stdout)).toEqual({
      rows: [],
      refused: [expect.objectContaining({ line: 2, field: 'value', value: '4.5' })],
    });
  });
  test.each([
    [['import', 'readings', 'FILE'], 'between: has to be said'],
    [['import', 'readings', 'FILE', ...WAYS.slice(0, 2)], 'decimal: has to be said'],
    [['import', 'readings', 'FILE', ...WAYS.slice(0, 6)], 'zone: has to be said'],
    [['import', 'readings', 'FILE', ...WAYS.slice(0, 7), 'Europe/Nowhere'], 'zone: has to be said'],
    [['export', 'readings', 'ROWS', '--between', 'comma', ...WAYS.slice(2)], 'cannot be told apart'],
    [['import', 'visits', 'FILE', ...WAYS], 'table: one of readings, clients, run-steps'],
    [['import', 'toString', 'FILE', ...WAYS], 'table: one of'],
    [['export', 'readings', 'ROWS', ...WAYS], 'rows[0].more: is no column'],
    [['export', 'readings', 'BAD', ...WAYS], 'rows[0].value'],
  ])('%j is refused', (args, words) => {
    const at: Record<string, string> = {
      FILE: table('4'),
      ROWS: file('more.json', JSON.stringify({ rows: [{ more: 1 }] })),
      BAD: file(
        'bad.json',
        JSON.stringify({
          rows: [
            {
              id: ID,
              client_id: ID,
              client: '',
              complaint_id: null,
              complaint: '',
              measure: 'nrs-now',
              place: '',
              side: 'left',
              phase: 'between',
              value: 'x',
              source: 'home',
              taken_at: '2026-04-03T08:05:00.000Z',
              visit_id: null,
            },
          ],
        }),
      ),
    };
    const { status, stderr } = answerOf(args.map((a) => at[a] ?? a));
    expect(status).toBe(1);
    expect(stderr).toContain(words);
  });
  test('a routine as lines, and those lines as a routine', () => {
    const lines = answerOf(['lines', 'docs/formats/routine.example.json']);
    expect(lines).toMatchObject({ status: 0, stderr: '' });
    expect(lines.stdout).toMatch(/^# Left jaw, before rehearsal\n/);
    const again = answerOf(['routine', file('lines.txt', lines.stdout)]);
    expect(JSON.parse(again.stdout)).toMatchObject({ schemaVersion: 2, name: 'Left jaw, before rehearsal' });
    expect(answerOf(['routine', file('odd.txt', '# A\nzzzz')])).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('line 2, step: nothing answers to “zzzz”') as string,
    });
  });
  test('convert brings a routine of version 1 up to the present one, and that one stays as it is', () => {
    const once = answerOf(['convert', 'docs/formats/routine-1.example.json']);
    expect(JSON.parse(once.stdout)).toMatchObject({ schemaVersion: 2 });
    expect(answerOf(['convert', file('again.json', once.stdout)]).stdout).toBe(once.stdout);
    expect(answerOf(['convert', '--zone', 'Europe/Lisbon', 'docs/formats/routine-1.example.json']).status).toBe(2);
  });
});
