import { expect, test } from 'vitest';
import { fromColumns } from './columns.ts';
import { drawnAfter, drawnPoints as inColumns } from './drawn.ts';
import type { CoursePoint } from './ratings.ts';

const DAY = 86_400_000;
const drawnPoints = (...of: Parameters<typeof inColumns>) => {
  const told = inColumns(...of);
  return { ...told, points: fromColumns(told.points) };
};
const daily = (n: number, of: (day: number) => Partial<CoursePoint> = () => ({})) =>
  Array.from({ length: n }, (_, day): CoursePoint => ({ day, value: day % 11, setting: 'home', ...of(day) }));

test('up to 360 ratings each is drawn', () => {
  const told = drawnPoints(daily(360), 5);
  expect(told.points).toHaveLength(360);
  expect(told.points[3]).toEqual({ atMs: 5 + 3 * DAY, value: 3, setting: 'home' });
  expect(told.middlesBeforeMs).toBeNull();
});
test('of more the latest 240 are, older ones by the middle of stretches; order and ends stay', () => {
  const told = drawnPoints(daily(1440), 0);
  expect(told.middlesBeforeMs).toBe(1200 * DAY);
  // 1200 older days in 120 stretches of ten.
  expect(told.binDays).toBe(10);
  expect(told.points).toHaveLength(120 + 240);
  expect(told.points.at(-1)).toEqual({ atMs: 1439 * DAY, value: 1439 % 11, setting: 'home' });
  // Days 0 to 9 have the values 0 to 9: the middle is 4.5 at day 4.5.
  expect(told.points[0]).toEqual({ atMs: 4.5 * DAY, value: 4.5, setting: 'home' });
  const times = told.points.map((p) => p.atMs);
  expect(times).toEqual([...times].sort((a, b) => a - b));
});
test('settings are not mixed', () => {
  const told = drawnPoints(
    daily(1440, (day) => (day % 10 ? { value: 2 } : { value: 9, setting: 'studio' })),
    0,
  );
  const old = told.points.filter((p) => p.atMs < told.middlesBeforeMs!);
  expect(new Set(old.filter((p) => p.setting === 'home').map((p) => p.value))).toEqual(new Set([2]));
  expect(new Set(old.filter((p) => p.setting === 'studio').map((p) => p.value))).toEqual(new Set([9]));
});
test('nothing of nothing', () => expect(drawnPoints([], 0).points).toEqual([]));
test('the latest sixty ratings right after the work are drawn, in their order', () => {
  const after = Array.from({ length: 70 }, (_, i) => ({ atMs: (70 - i) * DAY, value: i % 11 }));
  const told = fromColumns(drawnAfter(after));
  expect(told).toHaveLength(60);
  expect([told[0]!.atMs, told[59]!.atMs]).toEqual([11 * DAY, 70 * DAY]);
});
