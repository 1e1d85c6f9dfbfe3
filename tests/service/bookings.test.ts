import { beforeAll, describe, expect, test } from 'vitest';
import { routineSeconds } from '../../core/routine/index.ts';
import { EMPTY_SCREEN } from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import {
  beginWith,
  book,
  endBooking,
  findBooking,
  moveBooking,
  nextBooking,
} from '../../server/db/queries/bookings.server.ts';
import { addRoom } from '../../server/db/queries/rooms.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { findVisit, visitNumber, visitTimes } from '../../server/db/queries/visits.server.ts';
import { routineFrom } from '../support/routines.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

const own = ownPractice();
let other: Tenant;
beforeAll(async () => {
  other = await openPractice('Elsewhere');
});
const at = (hour: number, minute = 0) => new Date(Date.UTC(2030, 0, 15, hour, minute));
const booked = async (startsAt: Date, clientId?: string, minutes = 60) => {
  const id = clientId ?? (await addClient(own.tenant)).id;
  return (await book(own.tenant, { clientId: id, practitionerId: own.tenant.practitionerId, startsAt, minutes }))!
    .visitId!;
};

describe('the book', () => {
  test('keeps length and practitioner, once for a key; nothing for another practice’s client', async () => {
    const { id } = await addClient(own.tenant);
    const once = randomUUID();
    const input = { clientId: id, practitionerId: own.tenant.practitionerId, startsAt: at(8), minutes: 45, once };
    const [a, b] = await Promise.all([book(own.tenant, input), book(own.tenant, input)]);
    expect(a).toEqual(b);
    const made = a!.visitId!;
    expect(await findBooking(own.tenant.practiceId, made)).toMatchObject({ minutes: 45, practitioner: 'Imke Dahl' });
    expect(await findBooking(other.practiceId, made)).toBeNull();
    expect(await book(other, { ...input, practitionerId: other.practitionerId })).toBeNull();
    expect(await nextBooking(own.tenant.practiceId, id, at(7))).toMatchObject({ visitId: made });
    expect(await nextBooking(own.tenant.practiceId, id, at(9))).toBeNull();
  });
  test('asks about what a wanted time lies over: of the practitioner, of the client, not what is out of the book', async () => {
    const clientId = (await addClient(own.tenant)).id;
    const first = await booked(at(12), undefined, 60);
    const second = await booked(at(13), clientId, 30);
    const wanted = { clientId, practitionerId: own.tenant.practitionerId, minutes: 60 };
    const over = async (startsAt: Date) => {
      const answer = (await book(own.tenant, { ...wanted, startsAt }, { isSure: false, isPast: false }))!;
      if (answer.visitId) await endBooking(own.tenant, answer.visitId, 'cancelled');
      return answer.asks?.over.map((b) => b.visitId) ?? [];
    };
    expect(await over(at(12, 30))).toEqual([first, second]);
    expect(await over(at(11))).toEqual([]);
    await endBooking(own.tenant, first, 'cancelled');
    expect(await over(at(12, 30))).toEqual([second]);
    await endBooking(own.tenant, second, 'missed');
    expect(await over(at(12, 30))).toEqual([]);
  });
  test('of two who want the same time in the same moment one has it, and the other is asked', async () => {
    const [a, b] = [await addClient(own.tenant), await addClient(own.tenant)];
    const want = (clientId: string) =>
      book(
        own.tenant,
        { clientId, practitionerId: own.tenant.practitionerId, startsAt: at(5), minutes: 60 },
        { isSure: false, isPast: false },
      );
    const answers = await Promise.all([want(a.id), want(b.id)]);
    expect(answers.map((x) => x!.visitId !== null).sort()).toEqual([false, true]);
    expect(answers.find((x) => x!.asks)!.asks!.over).toHaveLength(1);
  });
  test('sent twice, it is booked once and does not stand in its own way', async () => {
    const { id } = await addClient(own.tenant);
    const input = {
      clientId: id,
      practitionerId: own.tenant.practitionerId,
      startsAt: at(3),
      minutes: 60,
      once: randomUUID(),
    };
    const ask = { isSure: false, isPast: false };
    const first = await book(own.tenant, input, ask);
    expect(await book(own.tenant, input, ask)).toEqual(first);
    expect(first!.asks).toBeNull();
  });
  test('nobody is booked with an assistant, with who has left, or into a room of another practice', async () => {
    const { id } = await addClient(own.tenant);
    const people = await asOwner<{ id: string }>(
      `insert into practitioners (id, practice_id, name, email, password_hash, role, left_at) values
       (gen_random_uuid(), :practiceId, 'Mio', 'mio@book.example', 'x', 'assistant', null),
       (gen_random_uuid(), :practiceId, 'Ada', 'ada@book.example', 'x', 'practitioner', now()) returning id`,
      { practiceId: own.tenant.practiceId },
    ).then(([rows]) => rows as unknown as { id: string }[]);
    const room = await addRoom(other, { name: 'Far room', changeMinutes: 5, isClosed: false });
    const input = { clientId: id, practitionerId: own.tenant.practitionerId, startsAt: at(4), minutes: 30 };
    for (const over of [{ practitionerId: people[0]!.id }, { practitionerId: people[1]!.id }, { roomId: room }])
      expect(await book(own.tenant, { ...input, ...over })).toBeNull();
    const visit = (await book(own.tenant, input))!.visitId!;
    for (const over of [{ practitionerId: people[0]!.id }, { roomId: room }])
      expect(await moveBooking(own.tenant, visit, { startsAt: at(4), minutes: 30, ...over })).toBe('missing');
  });
  test('a room that is not turned over yet is told, and where to nothing is said a move leaves room and person', async () => {
    const roomId = await addRoom(own.tenant, { name: 'Street room', changeMinutes: 10, isClosed: false });
    const [a, b] = [await addClient(own.tenant), await addClient(own.tenant)];
    const base = { practitionerId: own.tenant.practitionerId, roomId, minutes: 30 };
    const first = (await book(own.tenant, { ...base, clientId: a.id, startsAt: at(6) }))!.visitId!;
    const ask = { isSure: false, isPast: false };
    const after = () => book(own.tenant, { ...base, clientId: b.id, startsAt: at(6, 30) }, ask);
    // Fifteen minutes before the work, five after it and ten for the room are as long as what is booked: all work is more.
    const body = routineFrom(['temple-circles']);
    await beginWith(own.tenant, first, { id: randomUUID(), version: 1, body });
    const workMinutes = Math.ceil(routineSeconds(body) / 60);
    expect(workMinutes).toBeGreaterThan(0);
    expect((await after())!.asks).toMatchObject({ over: [], readyAt: at(6, 30 + workMinutes).toISOString() });
    expect(await moveBooking(own.tenant, first, { startsAt: at(6, 5), minutes: 35 })).toBe('done');
    expect(await findBooking(own.tenant.practiceId, first)).toMatchObject({ roomId, minutes: 35 });
  });
  test('a booking is moved and ended until somebody works in it; each stands in the trail', async () => {
    const id = await booked(at(16));
    expect(await moveBooking(own.tenant, id, { startsAt: at(17), minutes: 90 })).toBe('done');
    expect(await findBooking(own.tenant.practiceId, id)).toMatchObject({ startsAt: at(17).toISOString(), minutes: 90 });
    expect(await moveBooking(other, id, { startsAt: at(18), minutes: 90 })).toBe('missing');
    const { version } = (await findVisit(own.tenant.practiceId, id))!;
    await saveVisit(own.tenant, id, {
      saveId: randomUUID(),
      expectedVersion: version,
      patch: { kind: 'stage', stage: 'assess' },
    });
    expect(await moveBooking(own.tenant, id, { startsAt: at(18), minutes: 90 })).toBe('begun');
    expect(await endBooking(own.tenant, id, 'cancelled')).toBe('begun');
    const gone = await booked(at(20));
    expect(await endBooking(own.tenant, gone, 'missed')).toBe('done');
    expect(await endBooking(own.tenant, gone, 'missed')).toBe('begun');
    expect(
      await asOwner(
        `select what from audit where about->>'visit' in (:id, :gone) and what <> 'visit-opened' order by seq`,
        { id, gone },
      ),
    ).toEqual([{ what: 'booking-moved' }, { what: 'visit-missed' }]);
    // An open page that writes with the version of before the move is told that it is stale.
    const stale = await booked(at(21));
    await moveBooking(own.tenant, stale, { startsAt: at(22), minutes: 60 });
    expect(
      await saveVisit(own.tenant, stale, {
        saveId: randomUUID(),
        expectedVersion: 1,
        patch: { kind: 'screen', screen: EMPTY_SCREEN },
      }),
    ).toMatchObject({ result: 'stale' });
  });
  test('what came to nothing is no visit: it has no number and does not begin a course', async () => {
    const { id: clientId } = await addClient(own.tenant);
    const missed = await booked(new Date(Date.UTC(2020, 0, 1, 9)), clientId);
    await endBooking(own.tenant, missed, 'missed');
    const visit = await addVisit(own.tenant, clientId);
    const found = (await findVisit(own.tenant.practiceId, visit))!;
    expect(await visitNumber(own.tenant.practiceId, found)).toBe(1);
    expect(await visitTimes(own.tenant.practiceId, clientId, new Date(Date.now() + 86_400_000))).toEqual([
      found.startsAt,
    ]);
  });
  test('begun with a template, it keeps the routine that was composed already', async () => {
    const template = { id: randomUUID(), version: 3, body: routineFrom(['temple-circles']) };
    const id = await booked(at(5));
    await beginWith(own.tenant, id, template);
    expect(await findVisit(own.tenant.practiceId, id)).toMatchObject({ origin: { template: template.id, version: 3 } });
    await beginWith(own.tenant, id, { ...template, version: 9 });
    expect((await findVisit(own.tenant.practiceId, id))!.origin!.version).toBe(3);
  });
});
