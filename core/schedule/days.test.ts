import { describe, expect, test } from 'vitest';
import { addDays, daysFrom, daysOf, weekdayOf } from './days.ts';

describe('calendar days', () => {
  test('are counted over months, leap years and changes of the clocks', () => {
    expect(addDays('2027-02-28', 1)).toBe('2027-03-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2027-03-28', -1)).toBe('2027-03-27');
    expect(daysFrom('2027-03-20', '2027-04-02')).toBe(13);
    expect(daysFrom('2027-04-02', '2027-03-20')).toBe(-13);
  });
  // 3 March 2025 is a Monday, 1 January 1970 a Thursday (any calendar).
  test('know their weekday', () => {
    expect(weekdayOf('2025-03-03')).toBe(1);
    expect(weekdayOf('2025-03-09')).toBe(7);
    expect(weekdayOf('1970-01-01')).toBe(4);
    expect(weekdayOf('1969-12-31')).toBe(3);
  });
  test('of a span, both ends counted in', () => {
    expect(daysOf('2027-03-09', '2027-03-11')).toEqual(['2027-03-09', '2027-03-10', '2027-03-11']);
    expect(daysOf('2027-03-09', '2027-03-09')).toHaveLength(1);
    expect(daysOf('2027-03-09', '2027-03-08')).toEqual([]);
  });
});
