import type { StoredTechnique } from '../../../core/record/index.ts';
import {
  catalogueWith,
  fromOwn,
  OWN_MOST,
  type Catalogue,
  type KnownHere,
  type OwnTechnique,
} from '../../../core/routine/index.ts';
import isEqual from 'fast-deep-equal';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import { CATALOGUE } from '../../../reference/catalogue.ts';
import { CAUTIONS } from '../../../reference/facts/cautions/index.ts';
import { database } from '../connection.ts';
import { TechniqueModel } from '../models/index.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';

/** What a technique of a practice may speak of: the places and the cautions of the application. */
export const KNOWN_HERE: KnownHere = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };

export type TechniqueKept = 'saved' | 'stale' | 'missing' | 'name-taken' | 'too-many';

/** The practice's own techniques, those in use first, by name. */
export const ownTechniques = byPractice(
  async (practiceId: string, transaction: Transaction | null = null): Promise<StoredTechnique[]> => {
    database();
    const rows = await TechniqueModel.findAll({ where: { practiceId }, transaction });
    return rows
      .map((r) => ({ own: r.body, retired: r.retired, version: r.version }))
      .sort((a, b) => Number(a.retired) - Number(b.retired) || a.own.name.localeCompare(b.own.name));
  },
);

/** The library with the practice's own techniques. */
export const catalogueOf = async (practiceId: string, transaction: Transaction | null = null): Promise<Catalogue> =>
  catalogueWith(
    CATALOGUE,
    (await ownTechniques(practiceId, transaction)).map(({ own, retired }) => fromOwn(own, CATALOGUE, retired)),
  );

const make = (who: Member, body: OwnTechnique, transaction: Transaction): Promise<TechniqueModel> =>
  TechniqueModel.create(
    { practiceId: who.practiceId, id: body.id, body, createdBy: who.practitionerId, updatedAt: new Date() },
    { transaction },
  );
/** One count of a practice's techniques at a time, so that two windows do not both take the last place. */
async function countLocked(practiceId: string, transaction: Transaction): Promise<number> {
  await database().query('select 1 from practices where id = :practiceId for update', {
    replacements: { practiceId },
    transaction,
  });
  return TechniqueModel.count({ where: { practiceId }, transaction });
}

/** Made once for a key. */
export const addTechnique = byPractice(
  async (who: Member, body: OwnTechnique, key?: string): Promise<'saved' | 'name-taken' | 'too-many'> => {
    try {
      return await database().transaction(async (transaction) => {
        if ((await countLocked(who.practiceId, transaction)) >= OWN_MOST) return 'too-many';
        await once(who.practiceId, key, 'technique', transaction, async () => {
          await make(who, body, transaction);
          await writeAudit(who, 'technique-added', { technique: body.id }, transaction);
          return body.id;
        });
        return 'saved';
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) return 'name-taken';
      throw error;
    }
  },
);

export const changeTechnique = byPractice(
  async (
    who: Member,
    id: string,
    expectedVersion: number,
    change: { body: OwnTechnique } | { retired: boolean },
  ): Promise<Exclude<TechniqueKept, 'too-many'>> => {
    try {
      return await database().transaction(async (transaction) => {
        const row = await TechniqueModel.findOne({
          where: { practiceId: who.practiceId, id },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!row) return 'missing';
        if (row.version !== expectedVersion) return 'stale';
        await row.update({ ...change, version: row.version + 1, updatedAt: new Date() }, { transaction });
        const what =
          'retired' in change ? (change.retired ? 'technique-retired' : 'technique-returned') : 'technique-changed';
        await writeAudit(who, what, { technique: id, version: row.version }, transaction);
        return 'saved';
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) return 'name-taken';
      throw error;
    }
  },
);

/** Takes a whole file or nothing of it. What is there already in the same words is left as it is. */
export const importTechniques = byPractice(
  async (
    who: Member,
    all: readonly OwnTechnique[],
  ): Promise<{ added: number; same: number } | { taken: string } | 'too-many'> =>
    database().transaction(async (transaction) => {
      const count = await countLocked(who.practiceId, transaction);
      const rows = await TechniqueModel.findAll({ where: { practiceId: who.practiceId }, transaction });
      const byId = new Map(rows.map((r) => [r.id, r]));
      const names = new Set(rows.filter((r) => !r.retired).map((r) => r.body.name.toLowerCase()));
      const fresh: OwnTechnique[] = [];
      for (const own of all) {
        const there = byId.get(own.id);
        if (there && isEqual(there.body, own)) continue;
        const name = own.name.toLowerCase();
        if (there || names.has(name)) return { taken: own.name };
        names.add(name);
        fresh.push(own);
      }
      if (count + fresh.length > OWN_MOST) return 'too-many';
      for (const own of fresh) await make(who, own, transaction);
      if (fresh.length) await writeAudit(who, 'techniques-imported', { techniques: fresh.length }, transaction);
      return { added: fresh.length, same: all.length - fresh.length };
    }),
);
