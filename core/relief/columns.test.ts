import { expect, test } from 'vitest';
import { fromColumns, toColumns } from './columns.ts';

test('rows become lists and come back as they were', () => {
  const rows = [
    { atMs: 1, value: 4.5, setting: 'home' },
    { atMs: 2, value: 3, setting: 'studio' },
  ];
  const columns = toColumns(rows, ['atMs', 'value', 'setting']);
  expect(columns).toEqual({ atMs: [1, 2], value: [4.5, 3], setting: ['home', 'studio'] });
  expect(fromColumns(columns)).toEqual(rows);
});
test('no rows stay no rows', () => {
  expect(fromColumns(toColumns<{ a: number }>([], ['a']))).toEqual([]);
  expect(fromColumns({})).toEqual([]);
});
