import { describe, expect, test } from 'vitest';
import { bookingAsksOf, bookingMinutes, isStillBooked, type Booking } from './booking.ts';

/** All of one practitioner, in no room. */
const slot = (visitId: string, hour: string, minutes: number | null = 60): Booking & { keptMinutes: number } => ({
  visitId,
  startsAt: `2026-11-26T${hour}:00.000Z`,
  minutes,
  keptMinutes: minutes ?? 60,
  clientId: visitId,
  clientName: visitId,
  practitionerId: 'imke',
  practitioner: 'Imke Dahl',
  roomId: null,
  stage: 'screen',
});

describe('what lies over a booking', () => {
  const over = (wanted: ReturnType<typeof slot>, ...others: ReturnType<typeof slot>[]) =>
    bookingAsksOf(wanted, others, null, false)?.over.map((o) => o.visitId) ?? [];
  test('one that begins, ends or lies within it; not one that ends as it begins, or begins as it ends', () => {
    expect(over(slot('a', '10:00'), slot('b', '10:30'), slot('c', '09:30'), slot('d', '10:15', 15))).toEqual([
      'b',
      'c',
      'd',
    ]);
    expect(over(slot('a', '10:00'), slot('b', '11:00'), slot('c', '09:00'))).toEqual([]);
  });
  test('never itself, and a length that nobody said is an hour', () => {
    expect(over(slot('a', '10:00'), slot('a', '10:00'))).toEqual([]);
    expect(over(slot('a', '10:00', null), slot('b', '10:59'))).toEqual(['b']);
    expect(over(slot('a', '10:00', null), slot('b', '11:00'))).toEqual([]);
  });
});

test('as long as the routine really takes, with 25 minutes around it, in fives', () => {
  expect(bookingMinutes(20 * 60)).toBe(45);
  expect(bookingMinutes(20 * 60 + 1)).toBe(50);
});

test('a visit that somebody works in is no booking any more', () => {
  expect((['screen', 'assess', 'done', 'cancelled'] as const).map((stage) => isStillBooked({ stage }))).toEqual([
    true,
    false,
    false,
    false,
  ]);
});
