import { randomUUID } from 'node:crypto';
import { describe, expect, test } from 'vitest';
import {
  checkPassword,
  createPractice,
  findSession,
  type Member,
  openSession,
} from '../../server/db/queries/accounts.server.ts';
import { endSession, sessionsOf, setPassword } from '../../server/db/queries/own-account.server.ts';
import { asOwner, ownPractice } from './database.ts';

ownPractice();
let n = 0;
const somebody = async (): Promise<Member & { email: string }> => {
  const email = `rafe${++n}@quay.example`;
  const input = { practice: 'Quay', timeZone: 'UTC', name: 'Rafe Oyelaran', email, password: 'velvet-harbour' };
  return { ...((await createPractice(input)) as Member), email };
};
const trailOf = async ({ practiceId }: Member) =>
  (
    await asOwner<{ what: string }>('select what from audit where practice_id = :practiceId order by seq', {
      practiceId,
    })
  ).map((row) => row.what);

describe('where somebody is signed in', () => {
  test('the present one is known, the latest stands first; another’s are not told', async () => {
    const [who, other] = [await somebody(), await somebody()];
    const [first, second] = [await openSession(who), await openSession(who)];
    await openSession(other);
    await asOwner(
      `update sessions set expires_at = expires_at - interval '3 hours' where practice_id = :practiceId and id = :id`,
      {
        practiceId: who.practiceId,
        id: (await sessionsOf(who, first.token)).find((s) => s.isThis)!.id,
      },
    );
    const seen = await sessionsOf(who, first.token);
    expect(seen.map((s) => s.isThis)).toEqual([false, true]);
    expect(Date.parse(seen[0]!.usedAt) - Date.parse(seen[1]!.usedAt)).toBeGreaterThan(2.9 * 3_600_000);
    expect((await sessionsOf(who, second.token)).map((s) => s.isThis)).toEqual([true, false]);
  });
  test('one is ended, the others go on, the trail tells it; nobody else’s can be', async () => {
    const [who, other] = [await somebody(), await somebody()];
    const [here, there, theirs] = [await openSession(who), await openSession(who), await openSession(other)];
    const id = (await sessionsOf(who, here.token)).find((s) => !s.isThis)!.id;
    const strange = (await sessionsOf(other, theirs.token))[0]!.id;
    expect(await endSession(who, strange)).toBe(false);
    expect(await endSession(who, 'no id')).toBe(false);
    expect(await endSession(who, id)).toBe(true);
    expect(await endSession(who, id)).toBe(false);
    expect(await findSession(there.token)).toBeNull();
    expect(await findSession(here.token)).not.toBeNull();
    expect(await findSession(theirs.token)).not.toBeNull();
    expect((await trailOf(who)).filter((what) => what === 'session-ended')).toHaveLength(1);
  });
  test('a colleague’s session in the same practice cannot be ended', async () => {
    const who = await somebody();
    const colleague = { practiceId: who.practiceId, practitionerId: randomUUID() };
    await asOwner(
      `insert into practitioners (id, practice_id, name, email, password_hash, role) values (:id, :practiceId, 'Mio Tanaka', 'mio${n}@quay.example', 'x', 'practitioner')`,
      { practiceId: who.practiceId, id: colleague.practitionerId },
    );
    const theirs = await openSession(colleague);
    const [seen] = await sessionsOf(colleague, theirs.token);
    expect(await endSession(who, seen!.id)).toBe(false);
    expect(await sessionsOf(who, '')).toEqual([]);
  });
});

test('another password: the old one opens nothing, everywhere else one is signed out, here one is not', async () => {
  const [who, other] = [await somebody(), await somebody()];
  const [here, there, theirs] = [await openSession(who), await openSession(who), await openSession(other)];
  await setPassword(who, 'harbour lamps by noon', here.token);
  expect(await checkPassword(who.email, 'velvet-harbour')).toBe('wrong');
  expect(await checkPassword(who.email, 'harbour lamps by noon')).toMatchObject({ practitionerId: who.practitionerId });
  expect(await findSession(here.token)).not.toBeNull();
  expect(await findSession(there.token)).toBeNull();
  expect(await findSession(theirs.token)).not.toBeNull();
  expect(await checkPassword(other.email, 'velvet-harbour')).toMatchObject({ practiceId: other.practiceId });
  expect(await trailOf(who)).toContain('password-changed');
});
