import { checkRoutine } from '../../core/rules/index.ts';
import { needsAttention } from '../../core/relief/index.ts';
import { screen } from '../../core/limits/index.ts';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { ROUTINES } from '../../demo/routines.ts';
import { seedDemo } from '../../demo/seed.ts';
import { DEMO_SIGN_IN } from '../../demo/sign-in.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { screeningOf } from '../../server/access/screening.server.ts';
import { checkPassword } from '../../server/db/queries/accounts.server.ts';
import { listClients } from '../../server/db/queries/clients.server.ts';
import { storedCourses, coursesToLookAt } from '../../server/db/queries/courses.server.ts';
import {
  findVisit,
  openReferrals,
  reviewsDue,
  visitsBetween,
  visitsOfClient,
} from '../../server/db/queries/visits.server.ts';
import { asOwner, closeDatabase, openFreshDatabase } from './database.ts';

const TODAY = new Date('2027-03-09T08:00:00Z');
let practiceId = '';
beforeAll(async () => {
  await openFreshDatabase();
  ({ practiceId } = await seedDemo(TODAY));
});
afterAll(closeDatabase);

const verdict = async (name: string, kind: string, side?: string) => {
  const { rows } = await listClients(practiceId, { find: name, sort: 'name', descending: false, page: 1, pageSize: 1 });
  return (await storedCourses(practiceId, [rows[0]!.id])).find((c) => c.kind === kind && (!side || c.side === side))!;
};

describe('the demo practice', () => {
  test('its sign-in works', async () =>
    expect(await checkPassword(DEMO_SIGN_IN.email, DEMO_SIGN_IN.password)).toMatchObject({ practiceId }));
  test('has its twelve clients, under made-up names', async () =>
    expect(
      (await listClients(practiceId, { find: '', sort: 'name', descending: false, page: 1, pageSize: 50 })).total,
    ).toBe(12));
  test('five visits today, in five different states of work', async () => {
    const visits = await visitsBetween(practiceId, new Date('2027-03-09T00:00:00Z'), new Date('2027-03-10T00:00:00Z'));
    expect(visits.map((v) => [v.clientName.split(' ')[0], v.stage])).toEqual([
      ['Tobias', 'done'],
      ['Noor', 'compose'],
      ['Wilma', 'screen'],
      ['Petr', 'screen'],
      ['Jun', 'screen'],
    ]);
  });
  test('one review due, one open referral', async () => {
    expect((await reviewsDue(practiceId, '2027-03-16')).reviews.map((r) => r.clientName)).toEqual(['Noor Halvorsen']);
    expect((await openReferrals(practiceId)).map((r) => r.clientName)).toEqual(['Arno Vasquez']);
  });
  test('one worsening, one silent at home', async () => {
    const now = new Date(TODAY.getTime() + 10 * 3_600_000);
    const attention = needsAttention((await coursesToLookAt(practiceId, now, 50)).courses, now.getTime());
    expect(attention.filter((a) => a.why === 'refer').map((a) => a.course.clientName)).toEqual(['Petr Lindqvist']);
    expect(attention.filter((a) => a.why === 'silent').map((a) => a.course.clientName)).toContain('Lena Marchetti');
  });
});

describe('its stories', () => {
  test('Noor: jaw better; her headache cannot be told yet', async () => {
    const jaw = await verdict('Noor Halvorsen', 'jaw');
    expect(jaw.judgement).toMatchObject({ verdict: 'better', advice: 'go-on', readingsBefore: 5 });
    expect(jaw.workBeganMs).not.toBeNull();
    expect((await verdict('Noor Halvorsen', 'headache')).judgement.verdict).toBe('cannot-tell');
  });
  test('Tobias: slow steady relief in spite of one bad day', async () =>
    expect((await verdict('Tobias Achterberg', 'headache')).judgement.verdict).toBe('better'));
  test('Wilma: the same for three weeks, to be adjusted', async () =>
    expect((await verdict('Wilma Okonjo', 'eye-strain')).judgement).toMatchObject({
      verdict: 'about-same',
      advice: 'adjust',
    }));
  test('Petr: worse, suggest licensed care', async () =>
    expect((await verdict('Petr Lindqvist', 'jaw')).judgement).toMatchObject({ verdict: 'worse', advice: 'refer' }));
  test('what is worse is known to the screening of the visit, as the server holds it', async () => {
    const worseIn = async (name: string) => {
      const visits = await visitsBetween(practiceId, TODAY, new Date(TODAY.getTime() + 86_400_000));
      const visit = (await findVisit(practiceId, visits.find((v) => v.clientName === name)!.id))!;
      return (await screeningOf(practiceId, visit))(visit).worse;
    };
    expect(await worseIn('Petr Lindqvist')).toEqual(['jaw']);
    expect(await worseIn('Jun Castellan')).toEqual([]);
  });
  test('Caspian: a good responder', async () =>
    expect((await verdict('Caspian Holt', 'headache')).judgement.verdict).toBe('better'));
  test('Mireille: the right side better, the left about the same', async () => {
    expect((await verdict('Mireille Sato-Lund', 'jaw', 'right')).judgement.verdict).toBe('better');
    expect((await verdict('Mireille Sato-Lund', 'jaw', 'left')).judgement.verdict).toBe('about-same');
  });
});

describe('its routines', () => {
  test.each(Object.entries(ROUTINES))('%s has nothing that may not stay', (_key, routine) =>
    expect(checkRoutine(routine, CATALOGUE).filter((f) => f.severity === 'stop')).toEqual([]),
  );
  test('no finished visit used what its own screening forbids', async () => {
    const { rows } = await listClients(practiceId, {
      find: '',
      sort: 'name',
      descending: false,
      page: 1,
      pageSize: 50,
    });
    for (const row of rows)
      for (const { id } of await visitsOfClient(practiceId, row.id)) {
        const visit = (await findVisit(practiceId, id))!;
        if (!visit.routine || visit.stage !== 'done') continue;
        const stops = checkRoutine(visit.routine, CATALOGUE, screen(CAUTIONS, visit.screen.answers)).filter(
          (f) => f.severity === 'stop',
        );
        expect(stops.map((f) => `${row.name}: ${f.title}`)).toEqual([]);
      }
  });
});

test('the same day gives the same data', async () => {
  const shape = () =>
    asOwner(
      'select c.name, r.measure, r.value::text, r.taken_at::text from readings r join clients c on c.id = r.client_id where r.practice_id = :practiceId order by 1, 4, 2, 3',
      { practiceId },
    );
  const first = await shape();
  await asOwner('delete from practices where id = :practiceId', { practiceId });
  ({ practiceId } = await seedDemo(TODAY));
  expect(await shape()).toEqual(first);
});
