import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bookingAsksOf, bookingMinutes, type Booking, type Keeps, keptMinutes, type Room } from '../record/index.ts';
import { axisOf, firstFit, gapsIn, lanesOf, type RailBooking } from './day-rail.ts';

const DAY = '2026-11-26';
const at = (clock: string): number => Date.parse(`${DAY}T${clock}:00Z`);
const iso = (clock: string) => `${DAY}T${clock}:00.000Z`;
const street: Room = { id: 'street', name: 'Street room', changeMinutes: 5, isClosed: false, version: 1 };
const yard: Room = { id: 'yard', name: 'Yard room', changeMinutes: 10, isClosed: false, version: 1 };
let n = 0;
const visit = (clock: string, minutes: number | null, over: Partial<RailBooking> = {}): RailBooking => ({
  visitId: `v${++n}`,
  clientId: `c${n}`,
  clientName: `Client ${n}`,
  practitionerId: 'imke',
  practitioner: 'Imke Dahl',
  roomId: 'street',
  startsAt: iso(clock),
  minutes,
  stage: 'screen',
  routineSeconds: 22 * 60,
  isTypical: false,
  ...over,
});
const hours = { fromMs: at('09:00'), toMs: at('19:00') };
const people = [
  { id: 'imke', name: 'Imke Dahl' },
  { id: 'rafe', name: 'Rafe Oyelaran' },
];
const around = { beforeMinutes: 15, afterMinutes: 5 };
const rail = (bookings: RailBooking[], by: 'room' | 'person' = 'room', rooms = [street, yard]) =>
  lanesOf(bookings, { rooms, people, around, hours, by });

describe('a day on lanes', () => {
  test('a visit has its making ready, its routine, its end, and its room turned over after that', () => {
    const [lane] = rail([visit('11:00', 60)]);
    expect(lane!.visits[0]).toMatchObject({
      booked: { fromMs: at('11:00'), toMs: at('12:00') },
      before: { fromMs: at('11:00'), toMs: at('11:15') },
      routine: { fromMs: at('11:15'), toMs: at('11:37') },
      after: { fromMs: at('11:37'), toMs: at('11:42') },
      change: { fromMs: at('11:42'), toMs: at('11:47') },
      neededMinutes: 42,
      overMinutes: 0,
    });
  });
  test('what is longer than booked is told, up to the minute', () => {
    const long = visit('15:00', 60, { routineSeconds: 46 * 60 + 1 });
    expect(rail([long])[0]!.visits[0]).toMatchObject({ neededMinutes: 67, overMinutes: 7 });
  });
  test('without a length the room is turned over at the end of the frame', () => {
    const [lane] = rail([visit('11:00', null, { routineSeconds: null })]);
    expect(lane!.visits[0]).toMatchObject({
      routine: null,
      neededMinutes: null,
      overMinutes: 0,
      booked: { toMs: at('12:00') },
      change: { fromMs: at('11:55'), toMs: at('12:00') },
    });
  });
  test('a lane for each room with whoever works there; one more where no room was named', () => {
    const lanes = rail([
      visit('10:00', 60),
      visit('10:00', 60, { roomId: null, practitionerId: 'rafe', practitioner: 'Rafe Oyelaran' }),
    ]);
    expect(lanes.map((l) => [l.name, l.visits.length, l.with])).toEqual([
      ['Street room', 1, ['Imke Dahl']],
      ['Yard room', 0, []],
      ['No room named', 1, ['Rafe Oyelaran']],
    ]);
  });
  test('a closed room has a lane only while somebody is booked into it', () => {
    const closed = { ...yard, isClosed: true };
    expect(rail([], 'room', [street, closed]).map((l) => l.name)).toEqual(['Street room']);
    expect(rail([visit('10:00', 60, { roomId: 'yard' })], 'room', [street, closed]).map((l) => l.name)).toEqual([
      'Street room',
      'Yard room',
    ]);
  });
  test('a lane for each person, also for who has left and still has visits', () => {
    const lanes = rail(
      [visit('10:00', 60, { practitionerId: 'mio', practitioner: 'Mio Tanaka', roomId: 'yard' })],
      'person',
    );
    expect(lanes.map((l) => [l.name, l.with])).toEqual([
      ['Imke Dahl', []],
      ['Rafe Oyelaran', []],
      ['Mio Tanaka', ['Yard room']],
    ]);
  });
  test('who was cancelled takes no time; who did not come leaves it free', () => {
    const [lane] = rail([visit('10:00', 60, { stage: 'cancelled' }), visit('14:00', 60, { stage: 'missed' })]);
    expect(lane!.visits.map((v) => v.booking.stage)).toEqual(['missed']);
    expect(lane!.gaps).toEqual([hours]);
  });
  test('free time begins when the booking ends, or when the room is turned over after longer work', () => {
    const [lane] = rail([visit('10:00', 60), visit('15:00', 60, { routineSeconds: 50 * 60 })]);
    expect(lane!.gaps).toEqual([
      { fromMs: at('09:00'), toMs: at('10:00') },
      { fromMs: at('11:00'), toMs: at('15:00') },
      { fromMs: at('16:15'), toMs: at('19:00') },
    ]);
  });
  test('visits over each other stand in rows; the next one goes up again', () => {
    const [lane] = rail([visit('10:00', 60), visit('10:30', 60), visit('11:00', 60)]);
    expect([lane!.rows, lane!.visits.map((v) => v.row)]).toEqual([2, [0, 1, 0]]);
  });
  test('the axis grows in whole hours around what lies outside the hours of the practice', () => {
    expect(axisOf(hours, rail([]))).toEqual(hours);
    expect(axisOf(hours, rail([visit('08:30', 60), visit('18:30', 60)]))).toEqual({
      fromMs: at('08:00'),
      toMs: at('20:00'),
    });
  });
});

test('gaps and what is taken fill a stretch, and never lie over each other', () => {
  const minutes = fc.integer({ min: -100, max: 700 });
  fc.assert(
    fc.property(fc.array(fc.tuple(minutes, fc.integer({ min: 1, max: 120 })), { maxLength: 12 }), (spans) => {
      const taken = spans.map(([from, long]) => ({ fromMs: from, toMs: from + long }));
      const whole = { fromMs: 0, toMs: 600 };
      const gaps = gapsIn(whole, taken);
      for (let minute = 0; minute < 600; minute++) {
        const isTaken = taken.some((t) => t.fromMs <= minute && minute < t.toMs);
        expect(gaps.filter((g) => g.fromMs <= minute && minute < g.toMs).length).toBe(isTaken ? 0 : 1);
      }
      for (const g of gaps) expect(g.toMs).toBeGreaterThan(g.fromMs);
    }),
  );
});

describe('who waits', () => {
  const hourAt = (hour: number) => at('00:00') + hour * 3_600_000;
  const gaps = [
    { fromMs: at('09:00'), toMs: at('10:00') },
    { fromMs: at('11:02'), toMs: at('13:30') },
    { fromMs: at('16:30'), toMs: at('18:00') },
  ];
  const fit = (over: Partial<Parameters<typeof firstFit>[0]>, nowMs = 0) =>
    firstFit({ minutes: 60, weekdays: [], partOfDay: 'any', ...over }, gaps, { day: DAY, nowMs, hourAt });
  test('comes into the first gap that is long enough, at five minutes', () => {
    expect(fit({})).toEqual({ fromMs: at('09:00'), toMs: at('10:00') });
    expect(fit({ minutes: 65 })).toEqual({ fromMs: at('11:05'), toMs: at('12:10') });
    expect(fit({ minutes: 150 })).toBeNull();
  });
  test('only in their part of the day, on their weekdays, from now on', () => {
    expect(fit({ partOfDay: 'afternoon' })).toEqual({ fromMs: at('12:00'), toMs: at('13:00') });
    expect(fit({ partOfDay: 'evening' })).toEqual({ fromMs: at('17:00'), toMs: at('18:00') });
    expect(fit({ partOfDay: 'morning', minutes: 61 })).toBeNull();
    // 26 November 2026 is a Thursday.
    expect([fit({ weekdays: [4] })?.fromMs, fit({ weekdays: [1, 2] })]).toEqual([at('09:00'), null]);
    expect(fit({}, at('09:10'))?.fromMs).toBe(at('11:05'));
  });
});

describe('what is asked before a booking is written', () => {
  const book = (clock: string, minutes: number, over: Partial<Booking & Keeps> = {}): Booking & Keeps => ({
    ...visit(clock, minutes),
    keptMinutes: minutes,
    ...over,
  });
  const others = [
    book('10:00', 60, { clientId: 'noor', keptMinutes: 65 }),
    book('13:00', 60, { practitionerId: 'rafe', roomId: 'yard', clientId: 'wilma' }),
  ];
  const asks = (clock: string, over: Partial<Booking & Keeps> = {}, room: Room | null = street) =>
    bookingAsksOf({ ...book(clock, 60, { clientId: 'jun', roomId: room?.id ?? null }), ...over }, others, room, false);
  test('nothing where nothing lies over it and the room is ready', () => expect(asks('11:05')).toBeNull());
  test('a room that is not turned over yet, to the minute', () => {
    expect(asks('11:00')).toMatchObject({ over: [], readyAt: iso('11:05') });
    expect(asks('11:04')).toMatchObject({ readyAt: iso('11:05') });
  });
  test('the next visit in the room, where it would begin before the room is turned over', () => {
    expect(asks('09:00', { keptMinutes: 61 })!.tooSoonAfter?.visitId).toBe(others[0]!.visitId);
    expect(asks('09:00')).toBeNull();
  });
  test('the same room, the same person, the same client: each is a clash; others elsewhere are none', () => {
    const clash = (over: Partial<Booking>, room: Room | null) => asks('13:30', over, room)?.over.map((o) => o.visitId);
    expect(clash({ practitionerId: 'mio' }, yard)).toEqual([others[1]!.visitId]);
    expect(clash({ practitionerId: 'rafe' }, street)).toEqual([others[1]!.visitId]);
    expect(clash({ clientId: 'wilma', practitionerId: 'mio' }, null)).toEqual([others[1]!.visitId]);
    expect(clash({ practitionerId: 'mio' }, street)).toBeUndefined();
  });
  test('a closed room, and a day before today', () => {
    expect(asks('16:00', {}, { ...street, isClosed: true })).toMatchObject({ isClosed: true });
    expect(bookingAsksOf(book('16:00', 60), [], null, true)).toMatchObject({ isPast: true });
  });
  test('a visit that is moved does not stand in its own way', () => {
    expect(bookingAsksOf({ ...others[0]!, startsAt: iso('10:15') }, others, street, false)).toBeNull();
  });
});

test('the length to book: routine, what goes around it and the room, up to five minutes', () => {
  expect(bookingMinutes(22 * 60)).toBe(50);
  expect(bookingMinutes(22 * 60, { beforeMinutes: 10, afterMinutes: 5 }, 8)).toBe(45);
  expect(bookingMinutes(22 * 60 + 1, { beforeMinutes: 10, afterMinutes: 5 }, 8)).toBe(50);
});

test('a visit keeps its room as booked, or until its work is done and the room turned over', () => {
  expect(keptMinutes({ minutes: 60, routineSeconds: 22 * 60 }, around, 5)).toBe(60);
  expect(keptMinutes({ minutes: 60, routineSeconds: 46 * 60 + 1 }, around, 5)).toBe(72);
  expect(keptMinutes({ minutes: null, routineSeconds: null }, around, 5)).toBe(60);
});
