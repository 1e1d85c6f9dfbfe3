import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, test } from 'vitest';
import { mapSteps, stepsOf } from '../../core/routine/index.ts';
import { addDays } from '../../core/schedule/index.ts';
import { dayOnRail, fitsOf, smallDays, usualLength, workOfDay } from '../../server/access/day.server.ts';
import { lanesOf } from '../../core/schedule/index.ts';
import { handsLeft, handsOfDay, swappedRoutine } from '../../server/access/hands.server.ts';
import { beginWith, book, endBooking } from '../../server/db/queries/bookings.server.ts';
import {
  calendarOfSecret,
  endCalendarLink,
  makeCalendarLink,
  workVisits,
} from '../../server/db/queries/calendar-links.server.ts';
import { clientsInHands, handOver, handsOfClient } from '../../server/db/queries/hand-over.server.ts';
import { setStrength, strengthOf } from '../../server/db/queries/hands.server.ts';
import { addRoom, changeRoom, roomsOf, setWorkingHours, workingHoursOf } from '../../server/db/queries/rooms.server.ts';
import { endWaiting, letWait, waitingOf } from '../../server/db/queries/waiting.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import { addClient, asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

const own = ownPractice();
let who: Tenant & { timeZone: string };
let rafe: string;
let other: Tenant;
const DAY = '2030-01-15';
const at = (clock: string, day = DAY) => new Date(`${day}T${clock}:00Z`);
beforeAll(async () => {
  who = { ...own.tenant, timeZone: 'Europe/Lisbon' };
  rafe = randomUUID();
  await asOwner(
    `insert into practitioners (id, practice_id, name, email, password_hash, role) values (:rafe, :practiceId, 'Rafe', 'rafe@day.example', 'x', 'practitioner')`,
    { rafe, practiceId: who.practiceId },
  );
  other = await openPractice('Elsewhere');
});
const rail = async (day: string, of: { practiceId: string; timeZone: string } = who) =>
  dayOnRail(of, day, await workOfDay(of, day));
const booked = async (clock: string, over: Partial<Parameters<typeof book>[1]> = {}, day = DAY) => {
  const clientId = over.clientId ?? (await addClient(who)).id;
  const made = await book(who, {
    practitionerId: who.practitionerId,
    minutes: 60,
    ...over,
    clientId,
    startsAt: at(clock, day),
  });
  return { visitId: made!.visitId!, clientId };
};

describe('rooms and hours', () => {
  test('are the practice’s own; a name is there once, a stale change is told', async () => {
    const id = await addRoom(who, { name: 'Street room', changeMinutes: 5, isClosed: false }, randomUUID());
    expect(await addRoom(who, { name: 'street ROOM', changeMinutes: 5, isClosed: false })).toBe('name-taken');
    const to = { name: 'Street room', changeMinutes: 8, isClosed: true };
    expect(await changeRoom(who, id, 1, to)).toBe('saved');
    expect(await changeRoom(who, id, 1, to)).toBe('stale');
    expect(await changeRoom(other, id, 2, to)).toBe('missing');
    expect(await roomsOf(who.practiceId)).toMatchObject([{ id, ...to, version: 2 }]);
    expect(await roomsOf(other.practiceId)).toEqual([]);
  });
  test('change what a day is drawn from', async () => {
    await setWorkingHours(who, { beforeMinutes: 10, afterMinutes: 0, dayFrom: '08:00', dayUntil: '12:00' });
    expect(await workingHoursOf(other.practiceId)).toMatchObject({ beforeMinutes: 15, dayFrom: '09:00' });
    const { hours, around } = await rail('2030-02-01');
    expect([hours.fromMs, hours.toMs]).toEqual([
      at('08:00', '2030-02-01').getTime(),
      at('12:00', '2030-02-01').getTime(),
    ]);
    expect(around.beforeMinutes).toBe(10);
    await setWorkingHours(who, { beforeMinutes: 15, afterMinutes: 5, dayFrom: '09:00', dayUntil: '19:00' });
  });
});

describe('a day', () => {
  test('has the visits of its own day in the zone of the practice, with their lengths', async () => {
    const { visitId, clientId } = await booked('10:00');
    await booked('10:00', {}, addDays(DAY, 1));
    const body = routineFrom(['temple-circles']);
    await beginWith(who, visitId, { id: randomUUID(), version: 1, body });
    const { bookings } = await rail(DAY);
    expect(bookings.map((b) => [b.visitId, b.isTypical, b.isFirst])).toEqual([[visitId, false, true]]);
    expect(bookings[0]!.routineSeconds).toBeGreaterThan(0);
    // A later visit of the same client without a routine of its own is as long as this one.
    const later = await booked('10:00', { clientId }, addDays(DAY, 2));
    const [typical] = (await rail(addDays(DAY, 2))).bookings;
    expect(typical).toMatchObject({
      visitId: later.visitId,
      isTypical: true,
      routineSeconds: bookings[0]!.routineSeconds,
    });
    expect(await usualLength(who.practiceId, clientId, null)).toMatchObject({
      routineSeconds: typical!.routineSeconds,
    });
    expect(await usualLength(other.practiceId, clientId, null)).toBeNull();
    const strip = await smallDays(who, DAY, 3, await workingHoursOf(who.practiceId));
    expect(strip.map((d) => d.booked.length)).toEqual([1, 1, 1]);
    expect((await rail(DAY, { ...other, timeZone: 'Europe/Lisbon' })).bookings).toEqual([]);
  });
  test('counts how often somebody did not come', async () => {
    const { visitId, clientId } = await booked('10:00', {}, '2030-03-01');
    await endBooking(who, visitId, 'missed');
    await booked('11:00', { clientId }, '2030-03-02');
    expect((await rail('2030-03-02')).bookings[0]).toMatchObject({ missed: 1 });
  });
});

describe('the waiting list', () => {
  const wish = { minutes: 60, weekdays: [], partOfDay: 'any' as const, practitionerId: null };
  test('has a client once; off it they come when they are booked from it', async () => {
    const { id: clientId } = await addClient(who);
    await letWait(who, { ...wish, clientId });
    await letWait(who, { ...wish, clientId, minutes: 45 });
    expect((await waitingOf(who.practiceId)).map((w) => [w.clientId, w.minutes])).toEqual([[clientId, 45]]);
    expect(await waitingOf(other.practiceId)).toEqual([]);
    expect(await letWait(other, { ...wish, clientId })).toBeNull();
    expect(await endWaiting(other, clientId)).toBe(false);
    await booked('09:00', { clientId }, '2030-04-01');
    expect(await waitingOf(who.practiceId)).toHaveLength(1);
    await booked('09:00', { clientId, isFromWaiting: true }, '2030-04-02');
    expect(await waitingOf(who.practiceId)).toEqual([]);
  });
  test('tells the first time at which person and room are free together', async () => {
    const day = '2031-01-20';
    const room = await addRoom(who, { name: 'Yard room', changeMinutes: 5, isClosed: false });
    await booked('09:00', { minutes: 120 }, day);
    await booked('11:00', { practitionerId: rafe, roomId: room, minutes: 60 }, day);
    const { id: clientId } = await addClient(who);
    await letWait(who, { ...wish, clientId, practitionerId: who.practitionerId });
    const { bookings, rooms, people, around, hours, waiting } = await rail(day);
    const lanes = (by: 'room' | 'person') => lanesOf(bookings, { rooms, people, around, hours, by });
    const fits = (nowMs: number) =>
      fitsOf({ timeZone: who.timeZone, practitionerIds: people.map((p) => p.id) }, day, {
        ...{ waiting, roomLanes: lanes('room'), personLanes: lanes('person'), nowMs },
      });
    expect(fits(0)).toMatchObject([
      { clientId, practitionerId: who.practitionerId, roomId: room, fromMs: at('12:00', day).getTime() },
    ]);
    expect(fits(at('18:30', day).getTime())).toEqual([]);
    await endWaiting(who, clientId);
  });
});

describe('the hands of a day', () => {
  const day = '2030-06-03';
  const hands = async (of: string, axis: { fromMs: number; toMs: number }) =>
    handsOfDay(who.practiceId, await workOfDay(who, day), of, axis);
  const heavy = mapSteps(routineFrom(['masseter-pin-open', 'masseter-warm-hold', 'temple-circles']), (s) => ({
    ...s,
    contact: 'thumb' as const,
    pressure: { there: 'firm' as const, back: null },
  }));
  test('are those of one person, add up, and say what would spare them', async () => {
    const first = await booked('09:00', {}, day);
    const second = await booked('15:00', {}, day);
    for (const { visitId } of [first, second])
      await beginWith(who, visitId, { id: randomUUID(), version: 1, body: heavy });
    const axis = { fromMs: at('09:00', day).getTime(), toMs: at('19:00', day).getTime() };
    const { lines, swap } = await hands(who.practitionerId, axis);
    const thumb = lines.find((l) => l.part === 'thumb')!;
    expect(thumb.total).toBeGreaterThan(0);
    expect((await hands(rafe, axis)).lines.every((l) => l.total === 0)).toBe(true);
    // A weaker hand is sooner at its end: half the strength, more than twice the load.
    await setStrength(who, { thumb: 30 });
    expect(await strengthOf(other.practiceId, who.practitionerId)).toEqual({});
    const weak = await hands(who.practitionerId, axis);
    const weakThumb = weak.lines.find((l) => l.part === 'thumb')!;
    expect(weakThumb.total).toBeGreaterThan(2 * thumb.total);
    expect(weakThumb.passed).not.toBeNull();
    expect(weak.swap).toMatchObject({ part: 'thumb' });
    expect(weak.swap!.after.thumb).toBeLessThan(weak.swap!.before.thumb);
    expect(swap === null || swap.after.thumb < swap.before.thumb).toBe(true);
    // The visit that is told is the one that is changed, and nothing is changed by looking.
    const visit = (await findVisit(who.practiceId, weak.swap!.visitId))!;
    const swapped = (await swappedRoutine(who, visit, 'thumb'))!;
    expect(swapped.swaps).toEqual(weak.swap!.swaps);
    expect(stepsOf(visit.routine!).every((s) => s.contact === 'thumb')).toBe(true);
    const left = await handsLeft(who, visit);
    expect(left.thumb).toBeLessThan(1);
    await endBooking(who, second.visitId, 'missed');
    expect((await hands(who.practitionerId, axis)).lines.find((l) => l.part === 'thumb')!.total).toBeLessThan(
      weakThumb.total,
    );
  });
});

describe('a practitioner’s own calendar', () => {
  test('tells their visits alone, with names only where they are meant to leave, until it is ended', async () => {
    const now = at('08:00', '2030-07-01');
    const mine = await booked('10:00', {}, '2030-07-02');
    await booked('12:00', { practitionerId: rafe }, '2030-07-02');
    const gone = await booked('14:00', {}, '2030-07-02');
    await endBooking(who, gone.visitId, 'cancelled');
    const secret = await makeCalendarLink(who, false);
    const holder = (await calendarOfSecret(secret))!;
    const told = await workVisits(holder, now);
    expect(told.map((v) => [v.visitId, v.client, v.isOut])).toEqual([
      [mine.visitId, null, false],
      [gone.visitId, null, true],
    ]);
    const named = await makeCalendarLink(who, true);
    expect(await calendarOfSecret(secret)).toBeNull();
    expect((await workVisits((await calendarOfSecret(named))!, now))[0]!.client).toBe('Noor Halvorsen');
    expect(JSON.stringify(await asOwner('select * from calendar_links'))).not.toContain(named);
    expect(await endCalendarLink(who)).toBe(true);
    expect(await calendarOfSecret(named)).toBeNull();
  });
  test('opens nothing for who has left', async () => {
    const secret = await makeCalendarLink({ ...who, practitionerId: rafe }, true);
    await asOwner('update practitioners set left_at = now() where id = :rafe', { rafe });
    expect(await calendarOfSecret(secret)).toBeNull();
    await asOwner('update practitioners set left_at = null where id = :rafe', { rafe });
  });
});

describe('other hands', () => {
  test('take clients and what is booked, all or none, and are told what lies over', async () => {
    const day = '2030-08-01';
    const one = await booked('10:00', {}, day);
    const two = await booked('12:00', {}, day);
    await booked('10:30', { practitionerId: rafe }, day);
    expect((await handsOfClient(who.practiceId, one.clientId))!.id).toBe(who.practitionerId);
    expect(await handOver(who, who.practitionerId, randomUUID(), [one.clientId])).toBeNull();
    expect(await handOver(other, who.practitionerId, rafe, [one.clientId])).toBeNull();
    expect(await handOver(who, who.practitionerId, rafe, [one.clientId, two.clientId])).toEqual({
      clients: 2,
      visits: 2,
      over: 1,
    });
    expect((await handsOfClient(who.practiceId, one.clientId))!.id).toBe(rafe);
    expect((await findVisit(who.practiceId, one.visitId))!.practitionerId).toBe(rafe);
    const theirs = (await clientsInHands(who.practiceId, rafe)).map((c) => c.id);
    expect(theirs).toEqual(expect.arrayContaining([one.clientId, two.clientId]));
    expect((await clientsInHands(who.practiceId, who.practitionerId)).map((c) => c.id)).not.toContain(one.clientId);
  });
  test('are not an assistant’s, nor of somebody who has left', async () => {
    const one = await booked('10:00', {}, '2030-08-05');
    for (const set of [`role = 'assistant'`, 'left_at = now()']) {
      await asOwner(`update practitioners set ${set} where id = :rafe`, { rafe });
      expect(await handOver(who, who.practitionerId, rafe, [one.clientId])).toBeNull();
      await asOwner(`update practitioners set role = 'practitioner', left_at = null where id = :rafe`, { rafe });
    }
  });
});
