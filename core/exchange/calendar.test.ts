import ICAL from 'ical.js';
import { describe, expect, test } from 'vitest';
import { addDays, plannedDays } from '../schedule/index.ts';
import { clientCalendar, type CalendarPlan, PLAN_HOURS } from './calendar.ts';

const ZONE = 'Europe/Berlin';
const NOW = new Date('2026-10-01T09:00:00Z');
const plan: CalendarPlan = {
  clientId: 'c0ffee00-0000-4000-8000-000000000001',
  number: 1,
  from: '2026-10-22',
  until: '2026-10-28',
  reviewOn: '2026-10-29',
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  timesADay: 2,
  minutes: 5,
  steps: ['Warm palms; both sides, slowly', 'Circles at the temples'],
};
const file = (over: Partial<CalendarPlan> = {}, visits: Parameters<typeof clientCalendar>[0]['visits'] = []) =>
  clientCalendar({ practice: 'Harbour Row', plan: { ...plan, ...over }, visits }, ZONE, NOW);

/** Read by a parser that is not ours: every instance of every event as a moment. */
function read(text: string) {
  const root = new ICAL.Component(ICAL.parse(text) as never);
  for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone as never);
  return root.getAllSubcomponents('vevent').map((one) => {
    const event = new ICAL.Event(one);
    const at: string[] = [];
    if (event.isRecurring()) {
      const each = event.iterator();
      for (let next = each.next(); next; next = each.next()) at.push(next.toJSDate().toISOString());
    } else at.push(event.startDate.isDate ? event.startDate.toString() : event.startDate.toJSDate().toISOString());
    return {
      uid: event.uid,
      sequence: event.sequence,
      at,
      summary: event.summary,
      description: event.description,
      status: String(one.getFirstPropertyValue('status') ?? ''),
      minutes: (event.endDate.toUnixTime() - event.startDate.toUnixTime()) / 60,
    };
  });
}

describe('a plan in a calendar', () => {
  test('stays at its hour over the change of the clock in autumn and in spring', () => {
    const [morning, evening] = read(file());
    // Summer time ends in the night to 25 October 2026: 06:00 UTC before, 07:00 UTC after it.
    expect(morning!.at).toEqual([
      '2026-10-22T06:00:00.000Z',
      '2026-10-23T06:00:00.000Z',
      '2026-10-24T06:00:00.000Z',
      '2026-10-25T07:00:00.000Z',
      '2026-10-26T07:00:00.000Z',
      '2026-10-27T07:00:00.000Z',
      '2026-10-28T07:00:00.000Z',
    ]);
    expect(evening!.at[0]).toBe('2026-10-22T17:00:00.000Z');
    expect(evening!.at).toHaveLength(7);
    // As published for a rule of four days from 28 March 2025 in Berlin: 07:00Z twice, then 06:00Z twice.
    const [spring] = read(file({ from: '2025-03-28', until: '2025-03-31', reviewOn: '2025-04-01' }));
    expect(spring!.at.map((a) => a.slice(5, 16))).toEqual(['03-28T07:00', '03-29T07:00', '03-30T06:00', '03-31T06:00']);
  });
  test('falls on its days of the week and on no other', () => {
    const weekdays = [1, 3, 5];
    const until = addDays(plan.from, 27);
    const events = read(file({ weekdays, until, reviewOn: until, timesADay: 1 }));
    const days = plannedDays({ from: plan.from, until, weekdays });
    expect(events[0]!.at.map((a) => a.slice(0, 10))).toEqual(days);
    // It begins on a Thursday, which is none of its days: the first event is one of them.
    expect(events[0]!.at[0]!.slice(0, 10)).toBe('2026-10-23');
  });
  test('has one event for each time of a day, in order, none of them twice', () => {
    for (const timesADay of [1, 2, 3, 4]) {
      const events = read(file({ timesADay })).filter((e) => !e.uid.endsWith('review'));
      expect(events).toHaveLength(timesADay);
      expect(new Set(events.map((e) => e.uid)).size).toBe(timesADay);
      const hours = PLAN_HOURS[timesADay]!;
      expect(hours).toHaveLength(timesADay);
      expect([...hours].sort()).toEqual(hours);
    }
  });
  test('a later plan takes the place of the one before, and cancels the times that it no longer has', () => {
    const before = read(file({ timesADay: 3 }));
    const after = read(file({ number: 2, timesADay: 1 }));
    const uids = (events: ReturnType<typeof read>) => events.map((e) => e.uid);
    expect(uids(after)).toEqual(expect.arrayContaining(uids(before)));
    for (const e of after) expect(e.sequence).toBeGreaterThan(before.find((b) => b.uid === e.uid)?.sequence ?? -1);
    expect(after.map((e) => e.status)).toEqual(['', 'CANCELLED', 'CANCELLED', 'CANCELLED', '']);
  });
  test('the review is a whole day; words keep their commas and semicolons; stamps are in UTC', () => {
    const text = file();
    const events = read(text);
    expect(events.at(-1)!.at).toEqual(['2026-10-29']);
    expect(events[0]!.description).toBe('1 Warm palms; both sides, slowly\n2 Circles at the temples');
    expect(events[0]!.minutes).toBe(5);
    expect(text).toContain('DTSTAMP:20261001T090000Z');
    // RFC 5545, 3.1: lines end with CRLF and are no longer than 75 octets.
    for (const line of text.split('\r\n')) {
      expect(line).not.toContain('\n');
      expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    }
  });
});

describe('a visit in a calendar', () => {
  const visit = { visitId: 'v1', version: 3, startsAt: '2026-10-25T00:30:00Z', minutes: 60 };
  test('is the same moment everywhere, in both hours that autumn has twice, and moves by its sequence', () => {
    for (const startsAt of ['2026-10-25T00:30:00.000Z', '2026-10-25T01:30:00.000Z']) {
      const [first] = read(file({}, [{ ...visit, startsAt }])).filter((e) => e.uid === 'visit-v1');
      expect(first).toMatchObject({ sequence: 3, minutes: 60, at: [startsAt] });
    }
    const [moved] = read(file({}, [{ ...visit, version: 4, startsAt: '2026-10-27T09:00:00Z' }])).filter(
      (e) => e.uid === 'visit-v1',
    );
    expect(moved).toMatchObject({ sequence: 4, at: ['2026-10-27T09:00:00.000Z'] });
  });
});
