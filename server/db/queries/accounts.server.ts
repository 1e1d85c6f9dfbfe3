import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import pLimit from 'p-limit';
import { Op, QueryTypes, UniqueConstraintError } from 'sequelize';
import type { MemberRole } from '../../../core/record/index.ts';
import { database } from '../connection.ts';
import { PracticeModel, PractitionerModel, SessionModel } from '../models/index.ts';
import { inPractice } from '../scope.ts';
import { plantStartingRoutines } from './starting.server.ts';
import { writeAudit } from './audit.server.ts';
import { passesSecondFactor } from './second-factor.server.ts';

export interface SignedIn {
  practiceId: string;
  practiceName: string;
  timeZone: string;
  practitionerId: string;
  name: string;
  email: string;
  role: MemberRole;
}
export interface Member {
  practitionerId: string;
  practiceId: string;
}

/** A session ends this long after it was last used. Our choice. */
const SESSION_DAYS = 14;
export const SESSION_MS = SESSION_DAYS * 86_400_000;
/** Used again within this, it is not written anew. */
const TOUCH_AFTER_MS = 3_600_000;
/** Tokens are kept as this only. */
export const tokenDigest = (token: string) => createHash('sha256').update(token).digest('hex');

/** A password costs a core for a moment: one at a time, so that many tries do not slow everybody's pages. */
const oneByOne = pLimit(1);
const isPassword = (stored: string, password: string): Promise<boolean> => oneByOne(() => verify(stored, password));
export const hashed = (password: string): Promise<string> => oneByOne(() => hash(password));
/** Verified against when the address is unknown, so that the answer takes the same time. */
let decoy: Promise<string> | null = null;

export async function createPractice(input: {
  practice: string;
  timeZone: string;
  name: string;
  email: string;
  password: string;
}): Promise<Member | 'email-taken'> {
  const passwordHash = await hashed(input.password);
  const practiceId = randomUUID();
  try {
    return await inPractice(practiceId, () =>
      database().transaction(async (transaction) => {
        await PracticeModel.create({ id: practiceId, name: input.practice, timeZone: input.timeZone }, { transaction });
        const owner = await PractitionerModel.create(
          { practiceId, name: input.name, email: input.email.toLowerCase(), passwordHash, role: 'owner' },
          { transaction },
        );
        const who = { practiceId, practitionerId: owner.id };
        await plantStartingRoutines(who, new Date(), transaction);
        await writeAudit(who, 'practice-opened', {}, transaction);
        return { practitionerId: owner.id, practiceId };
      }),
    );
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'email-taken';
    throw error;
  }
}

/** Why somebody does not come in: a wrong address or password without a hint which of the two, or no right code. */
export type NotIn = 'wrong' | 'code-needed' | 'code-wrong';
/** Whoever has this address and password, and the code of their second factor where they have one. Coming in and failing are in the trail. */
export async function checkPassword(email: string, password: string, code = ''): Promise<Member | NotIn> {
  const [found] = await database().query<{ id: string; practice_id: string; password_hash: string }>(
    'select id, practice_id, password_hash from account_of(:email)',
    { replacements: { email: email.toLowerCase() }, type: QueryTypes.SELECT },
  );
  decoy ??= hash('no such practitioner');
  const matches = await isPassword(found?.password_hash ?? (await decoy), password);
  if (!found) return 'wrong';
  const who = { practitionerId: found.id, practiceId: found.practice_id };
  const factor = matches ? await passesSecondFactor(who, code, Date.now()) : null;
  if (factor === 'needed') return 'code-needed';
  const told = factor === 'passed' ? 'signed-in' : factor === 'wrong' ? 'sign-in-code-wrong' : 'sign-in-failed';
  await inPractice(who.practiceId, () =>
    database().transaction((transaction) => writeAudit(who, told, {}, transaction)),
  );
  return factor === 'passed' ? who : factor === 'wrong' ? 'code-wrong' : 'wrong';
}

/** True when this is the practitioner's own password: the signature under an override. */
export async function isOwnPassword(who: Member, password: string): Promise<boolean> {
  const one = await inPractice(
    who.practiceId,
    async () => (
      database(),
      PractitionerModel.findOne({ where: { practiceId: who.practiceId, id: who.practitionerId } })
    ),
  );
  return !!one && isPassword(one.passwordHash, password);
}

/** Opens a session and returns the token for the cookie; only its hash is stored. */
export async function openSession(who: Member): Promise<{ token: string }> {
  const token = randomBytes(32).toString('base64url');
  await inPractice(who.practiceId, async () => {
    database();
    await SessionModel.destroy({ where: { practiceId: who.practiceId, expiresAt: { [Op.lt]: new Date() } } });
    await SessionModel.create({ tokenHash: tokenDigest(token), ...who, expiresAt: new Date(Date.now() + SESSION_MS) });
  });
  return { token };
}

async function sessionOf(token: string): Promise<(SignedIn & { expiresAt: Date }) | null> {
  const [found] = await database().query<SignedIn & { expiresAt: Date }>('select * from session_of(:hash)', {
    replacements: { hash: tokenDigest(token) },
    type: QueryTypes.SELECT,
  });
  return found ?? null;
}
/** Whose token this is still, for a page that only stands open: that is no use, and does not make a session longer. */
export const stillSignedIn = async (token: string): Promise<SignedIn | null> => sessionOf(token);
/** Whose token this is. A session lives from its last use. */
export async function findSession(token: string): Promise<SignedIn | null> {
  const found = await sessionOf(token);
  if (!found) return null;
  const { expiresAt, ...who } = found;
  if (expiresAt.getTime() - Date.now() < SESSION_MS - TOUCH_AFTER_MS)
    await inPractice(who.practiceId, () =>
      SessionModel.update(
        { expiresAt: new Date(Date.now() + SESSION_MS) },
        { where: { practiceId: who.practiceId, tokenHash: tokenDigest(token) } },
      ),
    );
  return who;
}

export async function closeSession(token: string): Promise<void> {
  const who = await findSession(token);
  if (!who) return;
  await inPractice(who.practiceId, () =>
    database().transaction(async (transaction) => {
      await SessionModel.destroy({ where: { practiceId: who.practiceId, tokenHash: tokenDigest(token) }, transaction });
      await writeAudit(who, 'signed-out', {}, transaction);
    }),
  );
}
