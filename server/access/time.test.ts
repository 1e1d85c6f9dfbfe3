import { describe, expect, test } from 'vitest';
import { dayIn, daysBetween, momentIn } from './time.server';
import { datesIn, dayOf } from '../../core/schedule/index.ts';

/** Europe/Lisbon: UTC in winter, UTC+1 in summer; clocks change on 28 March and 31 October 2027 (EU rule, sure). */
describe('days of a zone', () => {
  const hours = (zone: string, at: string) => {
    const { from, to } = dayIn(zone, new Date(at));
    return [from.toISOString(), (to.getTime() - from.getTime()) / 3_600_000];
  };
  test('an ordinary day', () =>
    expect(hours('Europe/Lisbon', '2027-03-09T10:00:00Z')).toEqual(['2027-03-09T00:00:00.000Z', 24]));
  test('the short day in spring has 23 hours', () =>
    expect(hours('Europe/Lisbon', '2027-03-28T12:00:00Z')).toEqual(['2027-03-28T00:00:00.000Z', 23]));
  test('the long day in autumn has 25', () =>
    expect(hours('Europe/Lisbon', '2027-10-31T12:00:00Z')).toEqual(['2027-10-30T23:00:00.000Z', 25]));
  test('far from Greenwich', () =>
    expect(hours('Pacific/Auckland', '2027-03-09T10:00:00Z')).toEqual(['2027-03-08T11:00:00.000Z', 24]));
  test('a booked time is the zone’s, in summer and in winter', () => {
    expect(momentIn('Europe/Lisbon', '2027-01-15', '14:30').toISOString()).toBe('2027-01-15T14:30:00.000Z');
    expect(momentIn('Europe/Lisbon', '2027-07-15', '14:30').toISOString()).toBe('2027-07-15T13:30:00.000Z');
    // Twice in an autumn night, not at all in one of spring.
    expect(momentIn('Europe/Lisbon', '2026-10-25', '01:30').toISOString()).toBe('2026-10-25T00:30:00.000Z');
    expect(momentIn('Europe/Lisbon', '2026-03-29', '01:30').toISOString()).toBe('2026-03-29T01:30:00.000Z');
  });
});

describe('in words', () => {
  test('day and time', () => {
    const { longDay, timeOfDay, shortDay, dayWords } = datesIn('Europe/Lisbon', 'day-first');
    expect(longDay('2027-03-09')).toBe('Tuesday 9 March');
    expect(timeOfDay('2027-07-15T13:30:00Z')).toBe('14:30');
    expect(timeOfDay('2027-07-15T23:00:00Z')).toBe('00:00');
    expect(shortDay('2027-07-15T23:30:00Z')).toBe('16 Jul 2027');
    expect(dayOf('2027-03-08T23:30:00Z', 'Pacific/Auckland')).toBe('2027-03-09');
    expect(dayWords('2027-03-09')).toBe('9 Mar 2027');
  });
  test('in the way that the practice chose', () => {
    const american = datesIn('America/Chicago', 'month-first');
    expect(american.shortDay('2027-03-10T02:00:00Z')).toBe('Mar 9, 2027');
    expect(american.timeOfDay('2027-03-09T20:30:00Z')).toBe('2:30 PM');
    expect(american.timeOfDay('2027-03-09T06:00:00Z')).toBe('12:00 AM');
    expect(american.longDay('2027-03-09')).toBe('Tuesday, March 9');
    const sorted = datesIn('Europe/Lisbon', 'year-first');
    expect(sorted.shortDay('2027-07-15T23:30:00Z')).toBe('2027-07-16');
    expect(sorted.dayWords('2027-03-09')).toBe('2027-03-09');
    expect(sorted.timeOfDay('2027-07-15T13:30:00Z')).toBe('14:30');
  });
});

describe('days that are looked at', () => {
  const span = (from: string, to: string) => {
    const days = daysBetween('Europe/Lisbon', from, to);
    return [days.from.toISOString(), days.to.toISOString()];
  };
  test('both days count, over a change of the clocks too', () =>
    expect(span('2027-03-20', '2027-04-02')).toEqual(['2027-03-20T00:00:00.000Z', '2027-04-02T23:00:00.000Z']));
  test('never less than a week', () =>
    expect(span('2027-01-05', '2027-01-05')).toEqual(['2027-01-05T00:00:00.000Z', '2027-01-12T00:00:00.000Z']));
});
