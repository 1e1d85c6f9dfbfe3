import { describe, expect, test } from 'vitest';
import { dayIn, momentIn } from './time.server';
import { dayOf, dayWords, longDay, timeOfDay } from '../../app/parts/marks/time';

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
  });
});

describe('in words', () => {
  test('day and time', () => {
    expect(longDay('2027-03-09T10:00:00Z', 'Europe/Lisbon')).toBe('Tuesday 9 March');
    expect(timeOfDay('2027-07-15T13:30:00Z', 'Europe/Lisbon')).toBe('14:30');
    expect(timeOfDay('2027-07-15T23:00:00Z', 'Europe/Lisbon')).toBe('00:00');
    expect(dayOf('2027-03-08T23:30:00Z', 'Pacific/Auckland')).toBe('2027-03-09');
    expect(dayWords('2027-03-09')).toBe('9 Mar 2027');
  });
});
