import type { PatchTest } from '../../../core/screening/products.ts';
import type { Consent, ConsentKind } from '../../../core/visit/consent.ts';
import { database } from '../connection.ts';
import { ClientModel, ConsentModel, PatchTestModel, ProductModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { isUuid } from './shared.server.ts';

interface Who {
  practiceId: string;
  practitionerId: string;
}

export async function consentsOf(practiceId: string, clientId: string): Promise<Consent[]> {
  if (!isUuid(clientId)) return [];
  database();
  return (await ConsentModel.findAll({ where: { practiceId, clientId }, order: [['givenAt', 'ASC']] })).map((c) => ({ id: c.id, kind: c.kind, textVersion: c.textVersion, givenAt: c.givenAt.toISOString(), withdrawnAt: c.withdrawnAt?.toISOString() ?? null }));
}

/** Notes consent to one version of a text. Null when the client is not of this practice. */
export async function giveConsent(who: Who, clientId: string, kind: ConsentKind, textVersion: number): Promise<Consent | null> {
  if (!isUuid(clientId)) return null;
  return database().transaction(async (transaction) => {
    if (!(await ClientModel.count({ where: { practiceId: who.practiceId, id: clientId }, transaction }))) return null;
    const c = await ConsentModel.create({ practiceId: who.practiceId, clientId, kind, textVersion, givenAt: new Date(), takenBy: who.practitionerId }, { transaction });
    await writeAudit(who, 'consent-given', { client: clientId, kind, version: textVersion }, transaction);
    return { id: c.id, kind, textVersion, givenAt: c.givenAt.toISOString(), withdrawnAt: null };
  });
}

export async function withdrawConsent(who: Who, clientId: string, kind: ConsentKind): Promise<boolean> {
  if (!isUuid(clientId)) return false;
  return database().transaction(async (transaction) => {
    const [count] = await ConsentModel.update({ withdrawnAt: new Date() }, { where: { practiceId: who.practiceId, clientId, kind, withdrawnAt: null }, transaction });
    if (count) await writeAudit(who, 'consent-withdrawn', { client: clientId, kind }, transaction);
    return count > 0;
  });
}

export async function notePatchTest(who: Who, clientId: string, productId: string, test: PatchTest): Promise<boolean> {
  if (!isUuid(clientId) || !isUuid(productId)) return false;
  database();
  const [client, product] = await Promise.all([ClientModel.count({ where: { practiceId: who.practiceId, id: clientId } }), ProductModel.count({ where: { practiceId: who.practiceId, id: productId } })]);
  if (!client || !product) return false;
  await PatchTestModel.create({ practiceId: who.practiceId, clientId, productId, ...test, notedBy: who.practitionerId, notedAt: new Date() });
  return true;
}
