import { UniqueConstraintError } from 'sequelize';
import type { Routine } from '../../../core/routine/model.ts';
import { database } from '../connection.ts';
import { PractitionerModel, TemplateModel } from '../models/index.ts';
import { isUuid, like } from './shared.server.ts';

export interface Template {
  id: string;
  name: string;
  body: Routine;
  createdBy: string;
  updatedAt: string;
  version: number;
}

export async function listTemplates(practiceId: string): Promise<Template[]> {
  database();
  const [rows, people] = await Promise.all([
    TemplateModel.findAll({ where: { practiceId }, order: [['name', 'ASC']] }),
    PractitionerModel.findAll({ where: { practiceId }, attributes: ['id', 'name'] }),
  ]);
  const names = new Map(people.map((p) => [p.id, p.name]));
  return rows.map((t) => plain(t, names.get(t.createdBy) ?? ''));
}

export async function findTemplate(practiceId: string, id: string): Promise<Template | null> {
  if (!isUuid(id)) return null;
  database();
  const found = await TemplateModel.findOne({ where: { practiceId, id } });
  return found && plain(found, '');
}

const plain = (t: TemplateModel, createdBy: string): Template => ({ id: t.id, name: t.name, body: t.body, createdBy, updatedAt: t.updatedAt.toISOString(), version: t.version });

/** Keeps a routine as a template; a template of that name is refused, not written over. */
export async function saveTemplate(who: { practiceId: string; practitionerId: string }, name: string, body: Routine): Promise<string | 'name-taken'> {
  database();
  try {
    const made = await TemplateModel.create({ practiceId: who.practiceId, name, body: { ...body, name }, createdBy: who.practitionerId, updatedAt: new Date() });
    return made.id;
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'name-taken';
    throw error;
  }
}

export async function renameTemplate(practiceId: string, id: string, expectedVersion: number, name: string): Promise<'saved' | 'stale' | 'missing' | 'name-taken'> {
  if (!isUuid(id)) return 'missing';
  database();
  try {
    const found = await TemplateModel.findOne({ where: { practiceId, id } });
    if (!found) return 'missing';
    const [written] = await TemplateModel.update({ name, body: { ...found.body, name }, updatedAt: new Date(), version: expectedVersion + 1 }, { where: { practiceId, id, version: expectedVersion } });
    return written ? 'saved' : 'stale';
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'name-taken';
    throw error;
  }
}

export async function deleteTemplate(practiceId: string, id: string): Promise<boolean> {
  if (!isUuid(id)) return false;
  database();
  return (await TemplateModel.destroy({ where: { practiceId, id } })) > 0;
}

export async function findTemplatesByName(practiceId: string, text: string, limit: number): Promise<{ id: string; name: string }[]> {
  const [rows] = (await database().query('select id, name from templates where practice_id = :practiceId and name ilike :find order by lower(name) limit :limit', { replacements: { practiceId, find: like(text), limit } })) as [
    { id: string; name: string }[],
    unknown,
  ];
  return rows;
}
