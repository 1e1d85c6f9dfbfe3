import { describe, expect, test } from 'vitest';
import { adherence, daysSilent } from './adherence.ts';
import { addDays } from './days.ts';
import { plannedDays, plannedTimes } from './rhythm.ts';

/** Two weeks from Monday 3 March 2025. */
const plan = { from: '2025-03-03', until: '2025-03-16', weekdays: [1, 2, 3, 4, 5, 6, 7], timesADay: 2 };
const on = (...days: [offset: number, times: number][]) =>
  days.flatMap(([offset, times]) => Array.from({ length: times }, () => addDays('2025-03-03', offset)));
const AFTER = '2025-03-17';

describe('the rhythm', () => {
  test('every day, some weekdays', () => {
    expect(plannedTimes(plan)).toBe(28);
    expect(plannedDays({ ...plan, weekdays: [1, 3, 5] })).toEqual([
      '2025-03-03',
      '2025-03-05',
      '2025-03-07',
      '2025-03-10',
      '2025-03-12',
      '2025-03-14',
    ]);
    expect(plannedDays({ ...plan, weekdays: [] })).toEqual([]);
  });
});

describe('how a plan went', () => {
  test('19 of 28 with its interval (Wilson, worked out by hand: 49.3 to 82.1 %)', () => {
    const told = adherence(
      plan,
      on([0, 2], [1, 2], [2, 2], [3, 2], [4, 2], [5, 2], [6, 2], [7, 2], [8, 2], [9, 1]),
      AFTER,
    );
    expect([told.done, told.due]).toEqual([19, 28]);
    expect(told.interval!.low).toBeCloseTo(0.4934, 4);
    expect(told.interval!.high).toBeCloseTo(0.8207, 4);
  });
  test('more on one day makes up for nothing on another; other days do not count', () => {
    const told = adherence({ ...plan, weekdays: [1, 2] }, on([0, 5], [2, 3]), AFTER);
    expect([told.done, told.due]).toEqual([2, 8]);
  });
  test('what is to come is not counted; today counts what is done already', () => {
    expect(adherence(plan, on([0, 2], [1, 1]), '2025-03-04')).toMatchObject({ done: 3, due: 3 });
    expect(adherence(plan, on([0, 1]), '2025-03-04')).toMatchObject({ done: 1, due: 2 });
    expect(adherence(plan, [], '2025-03-03')).toMatchObject({ done: 0, due: 0, interval: null });
    expect(adherence(plan, [], '2025-03-01')).toMatchObject({ done: 0, due: 0, days: [] });
  });
  test('five planned days without a run are given up, four are not; today is not over', () => {
    const until = (today: number) => adherence(plan, on([0, 2], [1, 1]), addDays('2025-03-03', today)).stoppedAfter;
    expect(until(6)).toBeNull();
    expect(until(7)).toBe('2025-03-04');
    expect(adherence(plan, [], AFTER).stoppedAfter).toBeNull();
    expect(adherence({ ...plan, weekdays: [1] }, on([0, 2]), AFTER).stoppedAfter).toBeNull();
  });
  test('how long nothing was done', () => {
    expect(daysSilent(on([3, 1], [1, 2]), '2025-03-14')).toBe(8);
    expect(daysSilent([], '2025-03-14')).toBeNull();
  });
});
