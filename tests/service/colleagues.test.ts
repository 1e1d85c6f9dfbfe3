import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import {
  checkPassword,
  createPractice,
  findSession,
  type Member,
  openSession,
} from '../../server/db/queries/accounts.server.ts';
import {
  acceptInvitation,
  changeColleague,
  colleaguesOf,
  invitationOf,
  inviteColleague,
  linkForColleague,
  openInvitations,
  takeInvitationBack,
} from '../../server/db/queries/colleagues.server.ts';
import { asOwner, ownPractice } from './database.ts';

ownPractice();
let n = 0;
let owner: Member;
const PASSWORD = 'harbour lamps by noon';
const address = () => `mio${++n}@quay.example`;
const open = async (): Promise<Member> =>
  (await createPractice({
    practice: 'Quay',
    timeZone: 'UTC',
    name: 'Rafe Oyelaran',
    email: address(),
    password: PASSWORD,
  })) as Member;
const joined = async (role: 'owner' | 'practitioner' = 'practitioner'): Promise<Member & { email: string }> => {
  const email = address();
  const secret = await inviteColleague(owner, { name: 'Mio Tanaka', role });
  return { ...((await acceptInvitation(secret, { email, password: PASSWORD })) as Member), email };
};
const trail = async () =>
  (
    await asOwner<{ what: string }>('select what from audit where practice_id = :practiceId order by seq', {
      practiceId: owner.practiceId,
    })
  ).map((row) => row.what);
beforeEach(async () => {
  owner = await open();
});

describe('a link for somebody new', () => {
  test('lets one in, once, in the role that was said; only its hash is stored', async () => {
    const secret = await inviteColleague(owner, { name: 'Mio Tanaka', role: 'practitioner' });
    expect(await invitationOf(secret)).toMatchObject({ practice: 'Quay', name: 'Mio Tanaka', practitionerId: null });
    const [row] = await asOwner<{ token_hash: string }>(
      'select token_hash from invitations where practice_id = :practiceId',
      { practiceId: owner.practiceId },
    );
    expect(row!.token_hash).not.toContain(secret);
    const email = address();
    const [one, two] = await Promise.all([
      acceptInvitation(secret, { email, password: PASSWORD }),
      acceptInvitation(secret, { email: address(), password: PASSWORD }),
    ]);
    expect([one, two].filter((came) => came === 'gone')).toHaveLength(1);
    const people = await colleaguesOf(owner.practiceId);
    expect(people.map((p) => [p.name, p.role, p.leftAt])).toEqual([
      ['Mio Tanaka', 'practitioner', null],
      ['Rafe Oyelaran', 'owner', null],
    ]);
    expect(await openInvitations(owner.practiceId)).toEqual([]);
    expect(await trail()).toEqual(expect.arrayContaining(['colleague-invited', 'colleague-joined']));
  });
  test('an address that is in use: the link still opens', async () => {
    const secret = await inviteColleague(owner, { name: 'Mio Tanaka', role: 'practitioner' });
    const { email } = await joined();
    expect(await acceptInvitation(secret, { email, password: PASSWORD })).toBe('email-taken');
    expect(await acceptInvitation(secret, { email: address(), password: PASSWORD })).toMatchObject({
      practiceId: owner.practiceId,
    });
  });
  test('too old, taken back, or made up, it opens nothing', async () => {
    const [old, back] = await Promise.all([
      inviteColleague(owner, { name: 'Mio Tanaka', role: 'practitioner' }),
      inviteColleague(owner, { name: 'Mio Tanaka', role: 'owner' }),
    ]);
    await asOwner(
      `update invitations set expires_at = now() where practice_id = :practiceId and role = 'practitioner'`,
      {
        practiceId: owner.practiceId,
      },
    );
    const [left] = await openInvitations(owner.practiceId);
    expect(left!.role).toBe('owner');
    const other = await open();
    expect(await takeInvitationBack(other, left!.id)).toBe(false);
    expect(await takeInvitationBack(owner, left!.id)).toBe(true);
    for (const secret of [old, back, 'x'.repeat(43), ''])
      expect(await acceptInvitation(secret, { email: address(), password: PASSWORD })).toBe('gone');
  });
});

describe('somebody known here', () => {
  test('sets a password by a link, and is signed out everywhere; the link before ends', async () => {
    const mio = await joined();
    const { token } = await openSession(mio);
    const first = (await linkForColleague(owner, mio.practitionerId))!;
    const second = (await linkForColleague(owner, mio.practitionerId))!;
    expect(await invitationOf(first)).toBeNull();
    expect(await invitationOf(second)).toMatchObject({ email: mio.email, practitionerId: mio.practitionerId });
    // The address is theirs: what is sent with it changes nothing.
    const came = await acceptInvitation(second, { email: address(), password: 'other words at dusk' });
    expect(came).toEqual({ practiceId: mio.practiceId, practitionerId: mio.practitionerId });
    expect(await findSession(token)).toBeNull();
    expect(await checkPassword(mio.email, PASSWORD)).toBe('wrong');
    expect(await checkPassword(mio.email, 'other words at dusk')).toMatchObject({ practiceId: expect.any(String) });
  });
  test('whose access is ended comes in no way any more, until it is given back', async () => {
    const mio = await joined();
    const { token } = await openSession(mio);
    const link = (await linkForColleague(owner, mio.practitionerId))!;
    expect(await changeColleague(owner, mio.practitionerId, 'leave')).toBe(true);
    expect(await findSession(token)).toBeNull();
    expect(await checkPassword(mio.email, PASSWORD)).toBe('wrong');
    expect(await acceptInvitation(link, { email: mio.email, password: PASSWORD })).toBe('gone');
    await expect(linkForColleague(owner, mio.practitionerId)).rejects.toThrow('Give access back first');
    // A session that was opened in the same moment opens nothing either.
    const late = await openSession(mio);
    expect(await findSession(late.token)).toBeNull();
    expect((await colleaguesOf(owner.practiceId)).at(-1)).toMatchObject({ id: mio.practitionerId });
    expect(await changeColleague(owner, mio.practitionerId, 'return')).toBe(true);
    // What was open when they left stays shut: they come in by their password.
    expect(await findSession(token)).toBeNull();
    expect(await checkPassword(mio.email, PASSWORD)).toMatchObject({ practiceId: expect.any(String) });
  });
  test('the last owner stays one and stays here, also when two are asked at once', async () => {
    for (const what of ['leave', 'practitioner'] as const)
      await expect(changeColleague(owner, owner.practitionerId, what)).rejects.toThrow('one owner at least');
    const second = await joined('owner');
    const both = await Promise.allSettled([
      changeColleague(owner, owner.practitionerId, 'practitioner'),
      changeColleague(second, second.practitionerId, 'leave'),
    ]);
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
    const owners = (await colleaguesOf(owner.practiceId)).filter((p) => p.role === 'owner' && !p.leftAt);
    expect(owners).toHaveLength(1);
  });
  test('nobody of another practice is reached', async () => {
    const other = await open();
    const mio = await joined();
    for (const what of ['leave', 'owner'] as const)
      expect(await changeColleague(other, mio.practitionerId, what)).toBe(false);
    expect(await linkForColleague(other, mio.practitionerId)).toBeNull();
    expect(await changeColleague(other, randomUUID(), 'leave')).toBe(false);
    expect((await colleaguesOf(other.practiceId)).map((p) => p.id)).toEqual([other.practitionerId]);
  });
});
