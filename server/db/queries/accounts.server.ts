import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes } from 'node:crypto';
import { Op, UniqueConstraintError } from 'sequelize';
import { database } from '../connection.ts';
import { PracticeModel, PractitionerModel, SessionModel } from '../models/index.ts';

export interface SignedIn {
  practiceId: string;
  practiceName: string;
  timeZone: string;
  practitionerId: string;
  name: string;
  role: 'owner' | 'practitioner';
}

const SESSION_DAYS = 14;
const digest = (token: string) => createHash('sha256').update(token).digest('hex');
/** Verified against when the address is unknown, so that the answer takes the same time. */
let decoy: Promise<string> | null = null;

export async function createPractice(input: { practice: string; timeZone: string; name: string; email: string; password: string }): Promise<{ practitionerId: string; practiceId: string } | 'email-taken'> {
  const passwordHash = await hash(input.password);
  try {
    return await database().transaction(async (transaction) => {
      const practice = await PracticeModel.create({ name: input.practice, timeZone: input.timeZone }, { transaction });
      const owner = await PractitionerModel.create({ practiceId: practice.id, name: input.name, email: input.email.toLowerCase(), passwordHash, role: 'owner' }, { transaction });
      return { practitionerId: owner.id, practiceId: practice.id };
    });
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'email-taken';
    throw error;
  }
}

/** The practitioner with this address and password, or null without a hint which of the two was wrong. */
export async function checkPassword(email: string, password: string): Promise<{ practitionerId: string; practiceId: string } | null> {
  database();
  const found = await PractitionerModel.findOne({ where: { email: email.toLowerCase() } });
  decoy ??= hash('no such practitioner');
  const matches = await verify(found?.passwordHash ?? (await decoy), password);
  return found && matches ? { practitionerId: found.id, practiceId: found.practiceId } : null;
}

/** Opens a session and returns the token for the cookie; only its hash is stored. */
export async function openSession(who: { practitionerId: string; practiceId: string }): Promise<{ token: string; expiresAt: Date }> {
  database();
  const token = randomBytes(32).toString('base64url');
  const expiresAt = new Date(Date.now() + SESSION_DAYS * 86_400_000);
  await SessionModel.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } });
  await SessionModel.create({ tokenHash: digest(token), ...who, expiresAt });
  return { token, expiresAt };
}

export async function findSession(token: string): Promise<SignedIn | null> {
  const [rows] = (await database().query(
    `select p.id as "practitionerId", p.name, p.role, r.id as "practiceId", r.name as "practiceName", r.time_zone as "timeZone"
     from sessions s join practitioners p on p.id = s.practitioner_id join practices r on r.id = s.practice_id
     where s.token_hash = :hash and s.expires_at > now()`,
    { replacements: { hash: digest(token) } },
  )) as [SignedIn[], unknown];
  return rows[0] ?? null;
}

export async function closeSession(token: string): Promise<void> {
  database();
  await SessionModel.destroy({ where: { tokenHash: digest(token) } });
}
