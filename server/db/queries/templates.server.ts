import type { Routine } from '../../../core/routine/index.ts';
import { QueryTypes, UniqueConstraintError } from 'sequelize';
import { database } from '../connection.ts';
import { PractitionerModel, TemplateModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member, SignedIn } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';
import { like } from './shared.server.ts';

export interface Template {
  id: string;
  name: string;
  body: Routine;
  createdBy: string;
  updatedAt: string;
  version: number;
}

export const listTemplates = byPractice(async (practiceId: string): Promise<Template[]> => {
  database();
  const [rows, people] = await Promise.all([
    TemplateModel.findAll({ where: { practiceId }, order: [['name', 'ASC']] }),
    PractitionerModel.findAll({ where: { practiceId }, attributes: ['id', 'name'] }),
  ]);
  const names = new Map(people.map((p) => [p.id, p.name]));
  return rows.map((t) => plain(t, names.get(t.createdBy) ?? ''));
});

/** Names only: a routine itself comes when it is chosen. */
export const templateNames = byPractice((practiceId: string): Promise<{ id: string; name: string }[]> =>
  database().query<{ id: string; name: string }>(
    'select id, name from templates where practice_id = :practiceId order by name',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  ),
);

export const findTemplate = byPractice(async (practiceId: string, id: string): Promise<Template | null> => {
  if (!isUuid(id)) return null;
  database();
  const found = await TemplateModel.findOne({ where: { practiceId, id } });
  return found && plain(found, '');
});

const plain = (t: TemplateModel, createdBy: string): Template => ({
  id: t.id,
  name: t.name,
  body: storedRoutine(t.body)!,
  createdBy,
  updatedAt: t.updatedAt.toISOString(),
  version: t.version,
});

/** Keeps a routine as a template, once for a key; a template of that name is refused, not written over. */
export const saveTemplate = byPractice(
  async (who: Member, name: string, body: Routine, key?: string): Promise<string | 'name-taken'> => {
    try {
      return await database().transaction((transaction) =>
        once(who.practiceId, key, 'template', transaction, async () => {
          const made = await TemplateModel.create(
            {
              practiceId: who.practiceId,
              name,
              body: { ...body, name },
              createdBy: who.practitionerId,
              updatedAt: new Date(),
            },
            { transaction },
          );
          await writeAudit(who, 'template-kept', { template: made.id }, transaction);
          return made.id;
        }),
      );
    } catch (error) {
      if (error instanceof UniqueConstraintError) return 'name-taken';
      throw error;
    }
  },
);

type Changer = Member & { role: SignedIn['role'] };
/** A template is changed and deleted by who made it, and by the owner of the practice. */
const mayChange = (who: Changer, template: TemplateModel): boolean =>
  who.role === 'owner' || template.createdBy === who.practitionerId;

export const renameTemplate = byPractice(
  async (
    who: Changer,
    id: string,
    expectedVersion: number,
    name: string,
  ): Promise<'saved' | 'stale' | 'missing' | 'name-taken' | 'not-yours'> => {
    const { practiceId } = who;
    if (!isUuid(id)) return 'missing';
    try {
      return await database().transaction(async (transaction) => {
        const found = await TemplateModel.findOne({
          where: { practiceId, id },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) return 'missing';
        if (!mayChange(who, found)) return 'not-yours';
        if (found.version !== expectedVersion) return 'stale';
        await found.update(
          { name, body: { ...storedRoutine(found.body)!, name }, updatedAt: new Date(), version: expectedVersion + 1 },
          { transaction },
        );
        await writeAudit(who, 'template-renamed', { template: id }, transaction);
        return 'saved';
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) return 'name-taken';
      throw error;
    }
  },
);

export const deleteTemplate = byPractice(
  async (who: Changer, id: string): Promise<'deleted' | 'missing' | 'not-yours'> => {
    const { practiceId } = who;
    if (!isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      const found = await TemplateModel.findOne({
        where: { practiceId, id },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!found) return 'missing';
      if (!mayChange(who, found)) return 'not-yours';
      await found.destroy({ transaction });
      await writeAudit(who, 'template-deleted', { template: id }, transaction);
      return 'deleted';
    });
  },
);

export const findTemplatesByName = byPractice(
  async (practiceId: string, text: string, limit: number): Promise<{ id: string; name: string }[]> => {
    const [rows] = (await database().query(
      'select id, name from templates where practice_id = :practiceId and name ilike :find order by lower(name) limit :limit',
      { replacements: { practiceId, find: like(text), limit } },
    )) as [{ id: string; name: string }[], unknown];
    return rows;
  },
);
