import type { Routine } from '../../../core/routine/index.ts';
import { Op, type Transaction, UniqueConstraintError } from 'sequelize';
import { may } from '../../access/may.ts';
import { database } from '../connection.ts';
import { PractitionerModel, TemplateModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member, SignedIn } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';
import { like, nearName } from './shared.server.ts';

export interface Template {
  id: string;
  name: string;
  body: Routine;
  createdBy: string;
  createdById: string;
  updatedAt: string;
  /** Id of the starting routine it came as. */
  origin: string | null;
  hidden: boolean;
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

/** Those in use whose name holds the text, by name, so many at most: a practice may keep many. */
export const templatesInUse = byPractice(
  async (practiceId: string, text: string, limit: number): Promise<Template[]> => {
    database();
    const rows = await TemplateModel.findAll({
      where: { practiceId, hidden: false, ...(text.trim() ? { name: { [Op.iLike]: like(text) } } : {}) },
      order: [['name', 'ASC']],
      limit,
    });
    return rows.map((t) => plain(t, ''));
  },
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
  createdById: t.createdBy,
  updatedAt: t.updatedAt.toISOString(),
  origin: t.origin,
  hidden: t.hidden,
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

/** Keeps a routine as a template under the first of its names that is free: `nameOf(1)`, `nameOf(2)` … */
export async function saveUnderFreeName(
  who: Member,
  body: Routine,
  nameOf: (n: number) => string,
  key?: string,
): Promise<string> {
  for (let n = 1; ; n++) {
    const made = await saveTemplate(who, nameOf(n), body, key);
    if (made !== 'name-taken') return made;
  }
}

/** What a template was, and who made it something else. */
export interface EarlierVersion {
  version: number;
  name: string;
  body: Routine;
  /** Until then it was so. */
  changedAt: string;
  changedBy: string;
}

/** Keeps what a template is before it is changed. */
async function keepVersion(who: Member, template: TemplateModel, transaction: Transaction): Promise<void> {
  await database().query(
    'insert into template_versions (practice_id, template_id, version, name, body, changed_by, changed_at) values (:practiceId, :id, :version, :name, :body, :by, now())',
    {
      replacements: {
        practiceId: who.practiceId,
        id: template.id,
        version: template.version,
        name: template.name,
        body: JSON.stringify(template.body),
        by: who.practitionerId,
      },
      transaction,
    },
  );
}

/** Earlier versions, the latest first. */
export const earlierVersions = byPractice(async (practiceId: string, id: string): Promise<EarlierVersion[]> => {
  if (!isUuid(id)) return [];
  const [rows] = (await database().query(
    'select v.version, v.name, v.body, v.changed_at, p.name as changed_by from template_versions v join practitioners p on p.id = v.changed_by where v.practice_id = :practiceId and v.template_id = :id order by v.version desc limit 50',
    { replacements: { practiceId, id } },
  )) as [{ version: number; name: string; body: unknown; changed_at: Date; changed_by: string }[], unknown];
  return rows.map((r) => ({
    version: r.version,
    name: r.name,
    body: storedRoutine(r.body)!,
    changedAt: r.changed_at.toISOString(),
    changedBy: r.changed_by,
  }));
});

/** What a template was at one of its versions; null where that is not kept. */
export const templateAsOf = byPractice(
  async (practiceId: string, template: Template, version: number): Promise<Routine | null> => {
    if (version === template.version) return template.body;
    const [rows] = (await database().query(
      'select body from template_versions where practice_id = :practiceId and template_id = :id and version = :version',
      { replacements: { practiceId, id: template.id, version } },
    )) as [{ body: unknown }[], unknown];
    return rows[0] ? storedRoutine(rows[0].body) : null;
  },
);

type Changer = Member & { role: SignedIn['role'] };

type Refusal = 'missing' | 'not-yours' | 'stale';

/** Locks a template that may be changed and does something with it; what is not there, not theirs or newer is left alone. */
async function withTemplate<T extends string>(
  who: Changer,
  id: string,
  expectedVersion: number | null,
  act: (found: TemplateModel, transaction: Transaction) => Promise<T>,
): Promise<T | Refusal> {
  if (!isUuid(id)) return 'missing';
  return database().transaction(async (transaction) => {
    const found = await TemplateModel.findOne({
      where: { practiceId: who.practiceId, id },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!found) return 'missing';
    if (!may(who, 'change', { thing: 'routines', by: found.createdBy })) return 'not-yours';
    if (expectedVersion !== null && found.version !== expectedVersion) return 'stale';
    return act(found, transaction);
  });
}

/** Puts another body into a template, its name with it; what it was before is kept as a version. */
async function rewrite(
  who: Changer,
  id: string,
  expectedVersion: number,
  what: 'template-renamed' | 'template-changed',
  change: (before: Routine) => Routine,
): Promise<'saved' | 'name-taken' | Refusal> {
  try {
    return await withTemplate(who, id, expectedVersion, async (found, transaction) => {
      await keepVersion(who, found, transaction);
      const body = change(storedRoutine(found.body)!);
      const version = expectedVersion + 1;
      await found.update({ name: body.name, body, updatedAt: new Date(), version }, { transaction });
      await writeAudit(who, what, { template: id, version }, transaction);
      return 'saved';
    });
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'name-taken';
    throw error;
  }
}

export const renameTemplate = byPractice((who: Changer, id: string, expectedVersion: number, name: string) =>
  rewrite(who, id, expectedVersion, 'template-renamed', (body) => ({ ...body, name })),
);

export const changeTemplate = byPractice((who: Changer, id: string, expectedVersion: number, body: Routine) =>
  rewrite(who, id, expectedVersion, 'template-changed', () => body),
);

/** Takes a template out of the lists, or puts it back. */
export const hideTemplate = byPractice((who: Changer, id: string, hidden: boolean) =>
  withTemplate(who, id, null, async (found, transaction) => {
    await found.update({ hidden }, { transaction });
    await writeAudit(who, hidden ? 'template-hidden' : 'template-shown', { template: id }, transaction);
    return 'saved';
  }),
);

export const deleteTemplate = byPractice((who: Changer, id: string) =>
  withTemplate(who, id, null, async (found, transaction) => {
    await found.destroy({ transaction });
    await writeAudit(who, 'template-deleted', { template: id }, transaction);
    return 'deleted';
  }),
);

export const findTemplatesByName = byPractice(
  async (practiceId: string, text: string, limit: number): Promise<{ id: string; name: string }[]> => {
    const near = nearName('name', text);
    const [rows] = (await database().query(
      `select id, name from templates where practice_id = :practiceId and not hidden and (name ilike :find${near ? ` or ${near.sql}` : ''})
       order by (name ilike :find) desc, lower(name) limit :limit`,
      { replacements: { practiceId, find: like(text), limit, ...near?.replacements } },
    )) as [{ id: string; name: string }[], unknown];
    return rows;
  },
);
