import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { hashed, SESSION_MS, type Member, tokenDigest } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** Somewhere somebody is signed in. */
export interface OwnSession {
  id: string;
  openedAt: string;
  /** To the hour: a session is not written anew at every page. */
  usedAt: string;
  isThis: boolean;
}

/** Where the practitioner is signed in, the latest first. */
export const sessionsOf = byPractice(
  async ({ practiceId, practitionerId }: Member, token: string): Promise<OwnSession[]> => {
    const rows = await database().query<{ id: string; opened: Date; expires: Date; isThis: boolean }>(
      `select id, opened_at as opened, expires_at as expires, token_hash = :hash as "isThis" from sessions
       where practice_id = :practiceId and practitioner_id = :practitionerId and expires_at > now() order by expires_at desc, id`,
      { replacements: { practiceId, practitionerId, hash: tokenDigest(token) }, type: QueryTypes.SELECT },
    );
    return rows.map(({ id, opened, expires, isThis }) => ({
      id,
      openedAt: opened.toISOString(),
      usedAt: new Date(expires.getTime() - SESSION_MS).toISOString(),
      isThis,
    }));
  },
);

/** Ends one of the own sessions. False where there is none of this name. */
export const endSession = byPractice(async (who: Member, id: string): Promise<boolean> => {
  if (!isUuid(id)) return false;
  return database().transaction(async (transaction) => {
    const gone = await database().query(
      'delete from sessions where practice_id = :practiceId and practitioner_id = :practitionerId and id = :id returning id',
      {
        replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, id },
        type: QueryTypes.SELECT,
        transaction,
      },
    );
    if (!gone.length) return false;
    await writeAudit(who, 'session-ended', {}, transaction);
    return true;
  });
});

/** Sets another password. Wherever else somebody is signed in with the old one, they are not any more. */
export const setPassword = byPractice(async (who: Member, password: string, token: string): Promise<void> => {
  const passwordHash = await hashed(password);
  await database().transaction(async (transaction) => {
    const own = { practiceId: who.practiceId, practitionerId: who.practitionerId };
    await database().query(
      'update practitioners set password_hash = :passwordHash where practice_id = :practiceId and id = :practitionerId',
      { replacements: { ...own, passwordHash }, transaction },
    );
    await database().query(
      'delete from sessions where practice_id = :practiceId and practitioner_id = :practitionerId and token_hash <> :hash',
      { replacements: { ...own, hash: tokenDigest(token) }, transaction },
    );
    await writeAudit(who, 'password-changed', {}, transaction);
  });
});
