import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, test } from 'vitest';
import { expandRoutine } from '../../core/routine/index.ts';
import { handWorkOf, usedBy } from '../../core/proposal/index.ts';
import { runRecord } from '../../core/guide/index.ts';
import { numbersOf } from '../../server/access/numbers.server.ts';
import { beginWith, book, endBooking } from '../../server/db/queries/bookings.server.ts';
import { log } from '../support/guide-log.ts';
import { bareStep, beats, hold, routineOf } from '../support/routines.ts';
import { addClient, asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

const own = ownPractice();
let who: Tenant & { timeZone: string };
beforeAll(() => {
  who = { ...own.tenant, timeZone: 'Europe/Lisbon' };
});
const visit = async (at: string, minutes = 60) => {
  const { id } = await addClient(who);
  return (await book(who, { clientId: id, practitionerId: who.practitionerId, startsAt: new Date(at), minutes }))!
    .visitId!;
};
const heavy = routineOf([
  bareStep('a', [hold(40)], { mode: 'each', contact: 'thumb', motion: 'hold', pressure: 'firm' }),
  bareStep('b', [beats(10, 30)], { contact: 'thumb', pressure: 'firm' }),
]);
const cues = expandRoutine(heavy);

describe('the numbers of a practice', () => {
  test('count what was finished, who did not come, and what the guide ran; nothing outside of the days', async () => {
    const done = await visit('2030-01-10T10:00:00Z', 50);
    await beginWith(who, done, { id: randomUUID(), version: 1, body: heavy });
    const { steps } = runRecord(cues, log(['start', 0]), cues.at(-1)!.endMs);
    const seconds = steps.reduce((sum, s) => sum + s.doneSeconds, 0);
    await asOwner(
      `insert into runs (id, practice_id, visit_id, routine, status, steps, created_at) values (:id, :practiceId, :visit, :routine, 'done', :steps, '2030-01-10T10:15:00Z')`,
      {
        id: randomUUID(),
        practiceId: who.practiceId,
        visit: done,
        routine: JSON.stringify(heavy),
        steps: JSON.stringify(steps),
      },
    );
    await asOwner(`update visits set stage = 'done' where id = :done`, { done });
    await endBooking(who, await visit('2030-01-11T10:00:00Z'), 'missed');
    await endBooking(who, await visit('2030-01-12T10:00:00Z'), 'cancelled');
    await visit('2030-01-20T10:00:00Z');
    // The last minute of the last day, and the first of the day after.
    await endBooking(who, await visit('2030-01-31T23:59:00Z'), 'missed');
    await endBooking(who, await visit('2030-02-01T00:00:00Z'), 'missed');
    const { people } = await numbersOf(who, '2030-01-10', '2030-01-31');
    expect(people).toMatchObject([
      { visits: 1, bookedMinutes: 50, workedMinutes: Math.round(seconds / 60), missed: 2, cancelled: 1 },
    ]);
    expect(people[0]!.hands!.days).toBe(1);
    expect(people[0]!.hands!.mean.thumb).toBeCloseTo(usedBy(handWorkOf(heavy, {})).thumb, 6);
    expect((await numbersOf(who, '2030-03-01', '2030-03-31')).people).toEqual([]);
    const other = await openPractice('Elsewhere');
    expect((await numbersOf({ ...other, timeZone: 'Europe/Lisbon' }, '2030-01-01', '2030-12-31')).people).toEqual([]);
  });
  test('tell how clients stand with a complaint from five up, each complaint for itself', async () => {
    const add = async (verdict: string, kind: string) => {
      const { id } = await addClient(who);
      const complaint = randomUUID();
      await asOwner(
        `insert into complaints (id, practice_id, client_id, kind, side, position) values (:complaint, :practiceId, :id, :kind, 'midline', 9)`,
        { complaint, practiceId: who.practiceId, id, kind },
      );
      await asOwner(
        `insert into course_states (complaint_id, practice_id, client_id, rule_version, verdict, advice, ratings, recent, judgement) values (:complaint, :practiceId, :id, 1, :verdict, 'go-on', 9, '[]', '{}')`,
        { complaint, practiceId: who.practiceId, id, verdict },
      );
    };
    for (const verdict of ['better', 'better', 'worse', 'about-same']) await add(verdict, 'sinus');
    await add('too-early', 'sinus');
    const of = async () => (await numbersOf(who, '2030-01-01', '2030-01-31')).complaints.find((c) => c.id === 'sinus')!;
    // Five come with it, of four it can be told: too few.
    expect(await of()).toEqual({ id: 'sinus', clients: 5, stands: null });
    await add('better', 'sinus');
    await add('worse', 'puffiness');
    expect(await of()).toEqual({ id: 'sinus', clients: 6, stands: { of: 5, better: 3, worse: 1, same: 1 } });
  });
});
