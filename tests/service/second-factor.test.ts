import { beforeEach, describe, expect, test } from 'vitest';
import { TOTP, Secret } from 'otpauth';
import { checkPassword } from '../../server/db/queries/accounts.server.ts';
import { auditTrail } from '../../server/db/queries/audit.server.ts';
import { acceptInvitation, linkForColleague } from '../../server/db/queries/colleagues.server.ts';
import {
  askForSecondFactor,
  endSecondFactor,
  offerSecondFactor,
  passesSecondFactor,
  secondFactorOf,
} from '../../server/db/queries/second-factor.server.ts';
import { asOwner, openPractice, ownPractice, type Tenant } from './database.ts';

const own = ownPractice();
let who: Tenant;
beforeEach(() => {
  who = own.tenant;
  return asOwner('delete from second_factors');
});

const T0 = 1_700_000_000_000;
const codeAt = (secret: string, atMs: number) =>
  new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: atMs });
async function setUp(): Promise<{ secret: string; spares: string[] }> {
  const offer = await offerSecondFactor(who, 'imke@quay.example');
  if (offer === 'asked') throw new Error('asked already');
  return { secret: offer.secret, spares: (await askForSecondFactor(who, codeAt(offer.secret, T0), T0))! };
}

test('the codes are those of RFC 6238, appendix B (its secret for SHA-1, the last six of its eight digits)', async () => {
  await asOwner(
    'insert into second_factors (practitioner_id, practice_id, secret, asked_since) values (:practitionerId, :practiceId, :secret, now())',
    { ...who, secret: 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ' },
  );
  for (const [second, code] of [
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
    [20_000_000_000, '353130'],
  ] as const)
    expect(await passesSecondFactor(who, code, second * 1000), code).toBe('passed');
});

describe('a second factor', () => {
  test('is asked for only once its first code was right', async () => {
    const offer = await offerSecondFactor(who, 'imke@quay.example');
    expect(offer).toMatchObject({ address: expect.stringMatching(/^otpauth:\/\/totp\//) });
    expect([await secondFactorOf(who), await passesSecondFactor(who, '', T0)]).toEqual([null, 'passed']);
    expect(await askForSecondFactor(who, '000000', T0)).toBeNull();
    expect(await passesSecondFactor(who, '', T0)).toBe('passed');
    expect(await askForSecondFactor(who, codeAt((offer as { secret: string }).secret, T0), T0)).toHaveLength(8);
    expect([(await secondFactorOf(who))!.spares, await passesSecondFactor(who, '', T0)]).toEqual([8, 'needed']);
    // Somebody at an open session gets no new secret without taking the old one away.
    expect(await offerSecondFactor(who, 'imke@quay.example')).toBe('asked');
  });
  test('opens with a code of now and of the steps beside it, of no other', async () => {
    const { secret } = await setUp();
    const later = T0 + 3_600_000;
    for (const [apart, outcome] of [
      [-60_000, 'wrong'],
      [60_000, 'wrong'],
      [-30_000, 'passed'],
      [0, 'passed'],
      [30_000, 'passed'],
    ] as const)
      expect(await passesSecondFactor(who, codeAt(secret, later + apart), later), `${apart}`).toBe(outcome);
  });
  test('opens once for each code, also for two that ask in the same moment', async () => {
    const { secret } = await setUp();
    const later = T0 + 3_600_000;
    const code = codeAt(secret, later);
    const both = await Promise.all([passesSecondFactor(who, code, later), passesSecondFactor(who, code, later)]);
    expect(both.sort()).toEqual(['passed', 'wrong']);
    // What set it up does not open either.
    expect(await passesSecondFactor(who, codeAt(secret, T0), T0)).toBe('wrong');
  });
  test('opens with each spare code once, however it is typed', async () => {
    const { spares } = await setUp();
    expect(new Set(spares).size).toBe(8);
    expect(await passesSecondFactor(who, ` ${spares[0]!.toUpperCase()} `, T0)).toBe('passed');
    expect(await passesSecondFactor(who, spares[0]!, T0)).toBe('wrong');
    expect((await secondFactorOf(who))!.spares).toBe(7);
    const kept = JSON.stringify(await asOwner('select * from second_factors'));
    for (const spare of spares) expect(kept).not.toContain(spare);
  });
  test('is taken away, by oneself and by a link of the owner to set a password', async () => {
    await setUp();
    await endSecondFactor(who);
    expect(await passesSecondFactor(who, '', T0)).toBe('passed');
    await setUp();
    const link = (await linkForColleague(who, who.practitionerId))!;
    await acceptInvitation(link, { email: 'x@quay.example', password: 'harbour lamps by noon' });
    expect(await secondFactorOf(who)).toBeNull();
  });
  test('is one’s own, and stands behind the wall of the practice', async () => {
    await setUp();
    const other = await openPractice('Quay');
    expect([await secondFactorOf(other), await passesSecondFactor(other, '', T0)]).toEqual([null, 'passed']);
    expect(await secondFactorOf({ ...other, practitionerId: who.practitionerId })).toBeNull();
  });
});

test('the door: a right password alone is told that a code is needed, a wrong one is told nothing of it', async () => {
  const other = await openPractice('Lantern');
  const [{ email }] = (await asOwner<{ email: string }>('select email from practitioners where id = :practitionerId', {
    practitionerId: other.practitionerId,
  })) as [{ email: string }];
  who = other;
  const { spares } = await setUp();
  expect(await checkPassword(email, 'no such words')).toBe('wrong');
  expect(await checkPassword(email, 'velvet-harbour')).toBe('code-needed');
  expect(await checkPassword(email, 'velvet-harbour', '000000')).toBe('code-wrong');
  expect(await checkPassword(email, 'no such words', spares[1])).toBe('wrong');
  expect(await checkPassword(email, 'velvet-harbour', spares[1])).toEqual(other);
  const told = (await auditTrail(other.practiceId, null, 20)).rows.map((r) => r.what);
  expect(told).toEqual(
    expect.arrayContaining(['second-factor-on', 'sign-in-code-wrong', 'spare-code-used', 'signed-in']),
  );
  expect(told.filter((w) => w === 'signed-in')).toHaveLength(1);
});
