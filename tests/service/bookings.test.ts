import { beforeAll, describe, expect, test } from 'vitest';
import { EMPTY_SCREEN } from '../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import {
  beginWith,
  book,
  bookingsOver,
  endBooking,
  findBooking,
  moveBooking,
  nextBooking,
} from '../../server/db/queries/bookings.server.ts';
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
  return (await book(own.tenant, { clientId: id, practitionerId: own.tenant.practitionerId, startsAt, minutes }))!;
};

describe('the book', () => {
  test('keeps length and practitioner, once for a key; nothing for another practice’s client', async () => {
    const { id } = await addClient(own.tenant);
    const once = randomUUID();
    const input = { clientId: id, practitionerId: own.tenant.practitionerId, startsAt: at(8), minutes: 45, once };
    const [a, b] = await Promise.all([book(own.tenant, input), book(own.tenant, input)]);
    expect(a).toBe(b);
    expect(await findBooking(own.tenant.practiceId, a!)).toMatchObject({ minutes: 45, practitioner: 'Imke Dahl' });
    expect(await findBooking(other.practiceId, a!)).toBeNull();
    expect(await book(other, { ...input, practitionerId: other.practitionerId })).toBeNull();
    expect(await nextBooking(own.tenant.practiceId, id, at(7))).toMatchObject({ visitId: a });
    expect(await nextBooking(own.tenant.practiceId, id, at(9))).toBeNull();
  });
  test('tells what a wanted time lies over: of the practitioner, of the client, not what is out of the book', async () => {
    const clientId = (await addClient(own.tenant)).id;
    const first = await booked(at(12), undefined, 60);
    const second = await booked(at(13), clientId, 30);
    const wanted = { visitId: '', clientId, practitionerId: own.tenant.practitionerId, minutes: 60 };
    const over = async (startsAt: Date) =>
      (await bookingsOver(own.tenant.practiceId, { ...wanted, startsAt })).map((b) => b.visitId);
    expect(await over(at(12, 30))).toEqual([first, second]);
    expect(await over(at(11))).toEqual([]);
    expect((await bookingsOver(other.practiceId, { ...wanted, startsAt: at(12, 30) })).length).toBe(0);
    await endBooking(own.tenant, first, 'cancelled');
    expect(await over(at(12, 30))).toEqual([second]);
    await endBooking(own.tenant, second, 'missed');
    expect(await over(at(12, 30))).toEqual([]);
  });
  test('a booking is moved and ended until somebody works in it; each stands in the trail', async () => {
    const id = await booked(at(16));
    expect(await moveBooking(own.tenant, id, at(17), 90)).toBe('done');
    expect(await findBooking(own.tenant.practiceId, id)).toMatchObject({ startsAt: at(17).toISOString(), minutes: 90 });
    expect(await moveBooking(other, id, at(18), 90)).toBe('missing');
    const { version } = (await findVisit(own.tenant.practiceId, id))!;
    await saveVisit(own.tenant, id, {
      saveId: randomUUID(),
      expectedVersion: version,
      patch: { kind: 'stage', stage: 'assess' },
    });
    expect(await moveBooking(own.tenant, id, at(18), 90)).toBe('begun');
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
    await moveBooking(own.tenant, stale, at(22), 60);
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
