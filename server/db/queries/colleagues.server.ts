import { randomBytes } from 'node:crypto';
import type { MemberRole } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction, UniqueConstraintError } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, inPractice, isUuid } from '../scope.ts';
import { hashed, type Member, tokenDigest } from './accounts.server.ts';
import { type AuditAbout, writeAudit } from './audit.server.ts';
import { dropSecondFactor } from './second-factor.server.ts';

export interface Colleague {
  id: string;
  name: string;
  email: string;
  role: MemberRole;
  /** ISO 8601; null while they work here. */
  leftAt: string | null;
}
/** A link that was made and not used yet; its secret is nobody's here. */
export interface OpenInvitation {
  id: string;
  name: string;
  role: MemberRole;
  /** Whose password it sets; null for somebody new. */
  practitionerId: string | null;
  expiresAt: string;
}
/** A link opens for so long. Our choice. */
const INVITATION_DAYS = 7;
/** What an owner asked for and cannot be: told in words. */
export class NotForColleague extends Error {}

/** Everybody of the practice, those who left last. */
export const colleaguesOf = byPractice(async (practiceId: string): Promise<Colleague[]> => {
  const rows = await database().query<Omit<Colleague, 'leftAt'> & { left: Date | null }>(
    'select id, name, email, role, left_at as left from practitioners where practice_id = :practiceId order by left_at is not null, lower(name), id',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ left, ...row }) => ({ ...row, leftAt: left?.toISOString() ?? null }));
});

export const openInvitations = byPractice(async (practiceId: string): Promise<OpenInvitation[]> => {
  const rows = await database().query<Omit<OpenInvitation, 'expiresAt'> & { expires: Date }>(
    `select id, name, role, practitioner_id as "practitionerId", expires_at as expires from invitations
     where practice_id = :practiceId and expires_at > now() order by made_at, id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ expires, ...row }) => ({ ...row, expiresAt: expires.toISOString() }));
});

async function invited(
  who: Member,
  of: { practitionerId: string | null; name: string; role: MemberRole },
  transaction: Transaction,
): Promise<string> {
  const secret = randomBytes(32).toString('base64url');
  await database().query(
    `insert into invitations (practice_id, practitioner_id, name, role, token_hash, made_by, expires_at)
     values (:practiceId, :of, :name, :role, :hash, :by, now() + interval '${INVITATION_DAYS} days')`,
    {
      replacements: {
        practiceId: who.practiceId,
        of: of.practitionerId,
        name: of.name,
        role: of.role,
        hash: tokenDigest(secret),
        by: who.practitionerId,
      },
      transaction,
    },
  );
  return secret;
}

/** A link for somebody new. @returns its secret, told this once */
export const inviteColleague = byPractice(
  (who: Member, { name, role }: { name: string; role: MemberRole }): Promise<string> =>
    database().transaction(async (transaction) => {
      const secret = await invited(who, { practitionerId: null, name, role }, transaction);
      await writeAudit(who, 'colleague-invited', { role }, transaction);
      return secret;
    }),
);

/** Everybody who works here as owner, held until the transaction ends: the last of them stays. */
async function colleagueHeld(who: Member, id: string, transaction: Transaction) {
  if (!isUuid(id)) return null;
  const rows = await database().query<{ id: string; name: string; role: MemberRole; left: Date | null }>(
    'select id, name, role, left_at as left from practitioners where practice_id = :practiceId order by id for update',
    { replacements: { practiceId: who.practiceId }, type: QueryTypes.SELECT, transaction },
  );
  const one = rows.find((row) => row.id === id);
  if (!one) return null;
  const owners = rows.filter((row) => row.role === 'owner' && !row.left);
  return { ...one, isLastOwner: owners.length === 1 && owners[0]!.id === id };
}

/** A link with which somebody known here sets a password; the one before ends with it. Null where there is nobody. */
export const linkForColleague = byPractice((who: Member, id: string): Promise<string | null> =>
  database().transaction(async (transaction) => {
    const one = await colleagueHeld(who, id, transaction);
    if (!one) return null;
    if (one.left) throw new NotForColleague('Who has left gets no link. Give access back first.');
    await database().query('delete from invitations where practice_id = :practiceId and practitioner_id = :id', {
      replacements: { practiceId: who.practiceId, id },
      transaction,
    });
    const secret = await invited(who, { practitionerId: id, name: one.name, role: one.role }, transaction);
    await writeAudit(who, 'sign-in-link-made', { practitioner: id }, transaction);
    return secret;
  }),
);

/** A link that was not used yet opens nothing any more. False where there is none. */
export const takeInvitationBack = byPractice(async (who: Member, id: string): Promise<boolean> => {
  if (!isUuid(id)) return false;
  return database().transaction(async (transaction) => {
    const gone = await database().query(
      'delete from invitations where practice_id = :practiceId and id = :id returning id',
      { replacements: { practiceId: who.practiceId, id }, type: QueryTypes.SELECT, transaction },
    );
    if (gone.length) await writeAudit(who, 'invitation-taken-back', {}, transaction);
    return gone.length > 0;
  });
});

/** What an owner changes of somebody: their role, or whether they may come in. False where there is nobody. */
export const changeColleague = byPractice(
  (who: Member, id: string, what: 'leave' | 'return' | MemberRole): Promise<boolean> =>
    database().transaction(async (transaction) => {
      const one = await colleagueHeld(who, id, transaction);
      if (!one) return false;
      if (one.isLastOwner && what !== 'owner' && what !== 'return')
        throw new NotForColleague('A practice has one owner at least. Make somebody else one first.');
      const set =
        what === 'leave' ? 'left_at = coalesce(left_at, now())' : what === 'return' ? 'left_at = null' : 'role = :what';
      await database().query(`update practitioners set ${set} where practice_id = :practiceId and id = :id`, {
        replacements: { practiceId: who.practiceId, id, what },
        transaction,
      });
      if (what === 'leave')
        for (const table of ['sessions', 'invitations'])
          await database().query(`delete from ${table} where practice_id = :practiceId and practitioner_id = :id`, {
            replacements: { practiceId: who.practiceId, id },
            transaction,
          });
      const word = what === 'leave' ? 'colleague-left' : what === 'return' ? 'colleague-returned' : 'role-changed';
      const about: AuditAbout = { practitioner: id };
      if (what !== 'leave' && what !== 'return') about.role = what;
      await writeAudit(who, word, about, transaction);
      return true;
    }),
);

/** What a link is for, before anybody is signed in. */
export interface Invitation {
  id: string;
  practiceId: string;
  practice: string;
  /** Whose password it sets; null for somebody new. */
  practitionerId: string | null;
  name: string;
  email: string;
}
const SECRET = /^[\w-]{43}$/;
export async function invitationOf(secret: string): Promise<Invitation | null> {
  if (!SECRET.test(secret)) return null;
  const [found] = await database().query<Invitation>('select * from invitation_of(:hash)', {
    replacements: { hash: tokenDigest(secret) },
    type: QueryTypes.SELECT,
  });
  return found ?? null;
}

/** Uses a link, once. Whoever set a password anew is signed out everywhere. */
export async function acceptInvitation(
  secret: string,
  { email, password }: { email: string; password: string },
): Promise<Member | 'gone' | 'email-taken'> {
  const invitation = await invitationOf(secret);
  if (!invitation) return 'gone';
  const { practiceId } = invitation;
  const passwordHash = await hashed(password);
  try {
    return await inPractice(practiceId, () =>
      database().transaction(async (transaction) => {
        const [used] = await database().query<{ role: MemberRole; name: string }>(
          'delete from invitations where practice_id = :practiceId and id = :id returning role, name',
          { replacements: { practiceId, id: invitation.id }, type: QueryTypes.SELECT, transaction },
        );
        if (!used) return 'gone';
        const [person] = await database().query<{ id: string }>(
          invitation.practitionerId
            ? 'update practitioners set password_hash = :passwordHash where practice_id = :practiceId and id = :id returning id'
            : `insert into practitioners (id, practice_id, name, email, password_hash, role) values (gen_random_uuid(), :practiceId, :name, :email, :passwordHash, :role) returning id`,
          {
            replacements: {
              practiceId,
              passwordHash,
              id: invitation.practitionerId,
              name: used.name,
              email: email.toLowerCase(),
              role: used.role,
            },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        const who = { practiceId, practitionerId: person!.id };
        if (invitation.practitionerId) {
          await database().query(
            'delete from sessions where practice_id = :practiceId and practitioner_id = :practitionerId',
            { replacements: who, transaction },
          );
          // Whoever lost their phone comes in by the owner's link, and sets a second factor up anew.
          await dropSecondFactor(who, transaction);
        }
        await writeAudit(who, invitation.practitionerId ? 'password-changed' : 'colleague-joined', {}, transaction);
        return who;
      }),
    );
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'email-taken';
    throw error;
  }
}
