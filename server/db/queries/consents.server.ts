import type { PatchTest } from '../../../core/limits/index.ts';
import type { Consent, ConsentKind } from '../../../core/record/index.ts';
import { database } from '../connection.ts';
import { ClientModel, ConsentModel, PatchTestModel, PhotoModel, ProductModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { byPractice, isUuid } from '../scope.ts';

interface Who {
  practiceId: string;
  practitionerId: string;
}

export const consentsOf = byPractice(async (practiceId: string, clientId: string): Promise<Consent[]> => {
  if (!isUuid(clientId)) return [];
  database();
  return (await ConsentModel.findAll({ where: { practiceId, clientId }, order: [['givenAt', 'ASC']] })).map((c) => ({
    id: c.id,
    kind: c.kind,
    textVersion: c.textVersion,
    givenAt: c.givenAt.toISOString(),
    withdrawnAt: c.withdrawnAt?.toISOString() ?? null,
  }));
});

/** Notes consent to one version of a text; given before and not taken back, it stands as it is. Null when the client is not of this practice. */
export const giveConsent = byPractice(
  async (who: Who, clientId: string, kind: ConsentKind, textVersion: number): Promise<Consent | null> => {
    const { practiceId } = who;
    if (!isUuid(clientId)) return null;
    return database().transaction(async (transaction) => {
      // The row of the client makes two at once wait for each other.
      if (
        !(await ClientModel.findOne({
          where: { practiceId, id: clientId },
          attributes: ['id'],
          transaction,
          lock: transaction.LOCK.UPDATE,
        }))
      )
        return null;
      const known = await ConsentModel.findOne({
        where: { practiceId, clientId, kind, textVersion, withdrawnAt: null },
        transaction,
      });
      const c =
        known ??
        (await ConsentModel.create(
          { practiceId, clientId, kind, textVersion, givenAt: new Date(), takenBy: who.practitionerId },
          { transaction },
        ));
      if (!known) await writeAudit(who, 'consent-given', { client: clientId, kind, version: textVersion }, transaction);
      return { id: c.id, kind, textVersion, givenAt: c.givenAt.toISOString(), withdrawnAt: null };
    });
  },
);

/** Takes a consent back, and with it what it covered: photos, and reminders that have not gone out. */
export const withdrawConsent = byPractice(async (who: Who, clientId: string, kind: ConsentKind): Promise<boolean> => {
  if (!isUuid(clientId)) return false;
  return database().transaction(async (transaction) => {
    const [count] = await ConsentModel.update(
      { withdrawnAt: new Date() },
      { where: { practiceId: who.practiceId, clientId, kind, withdrawnAt: null }, transaction },
    );
    // What it covered goes with it, in the same moment.
    if (kind === 'photo') await PhotoModel.destroy({ where: { practiceId: who.practiceId, clientId }, transaction });
    if (kind === 'reminders')
      await database().query(
        'delete from reminders where practice_id = :practiceId and client_id = :clientId and sent_at is null',
        { replacements: { practiceId: who.practiceId, clientId }, transaction },
      );
    if (count) await writeAudit(who, 'consent-withdrawn', { client: clientId, kind }, transaction);
    return count > 0;
  });
});

/** One test of a product a day: noted again, the later word stands. */
export const notePatchTest = byPractice(
  async (who: Who, clientId: string, productId: string, test: PatchTest): Promise<boolean> => {
    const { practiceId } = who;
    if (!isUuid(clientId) || !isUuid(productId)) return false;
    return database().transaction(async (transaction) => {
      const client = await ClientModel.findOne({
        where: { practiceId, id: clientId },
        attributes: ['id'],
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!client || !(await ProductModel.count({ where: { practiceId, id: productId }, transaction }))) return false;
      const noted = { reacted: test.reacted, notedBy: who.practitionerId, notedAt: new Date() };
      const known = await PatchTestModel.findOne({
        where: { practiceId, clientId, productId, testedOn: test.testedOn },
        transaction,
      });
      if (known) await known.update(noted, { transaction });
      else
        await PatchTestModel.create(
          { practiceId, clientId, productId, testedOn: test.testedOn, ...noted },
          { transaction },
        );
      await writeAudit(who, 'patch-test-noted', { client: clientId, product: productId }, transaction);
      return true;
    });
  },
);
