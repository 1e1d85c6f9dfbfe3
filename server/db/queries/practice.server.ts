import { Op } from 'sequelize';
import { cautionOf, type LocalRule } from '../../../core/screening/local-rules.ts';
import type { Product } from '../../../core/screening/products.ts';
import type { Caution } from '../../../core/screening/screen.ts';
import { TEXT_KINDS, type PracticeText, type TextKind } from '../../../core/visit/consent.ts';
import { CAUTIONS } from '../../../reference/cautions/index.ts';
import { FIRST_TEXTS } from '../../../reference/practice-texts.ts';
import { database } from '../connection.ts';
import { LocalRuleModel, PracticeTextModel, ProductModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { isUuid } from './shared.server.ts';

interface Who {
  practiceId: string;
  practitionerId: string;
}
export type Kept = 'saved' | 'stale' | 'missing';

/** The latest of all versions, in order; a kind nobody worded has the wording that comes with the application. */
export function latestTexts(rows: readonly PracticeText[]): Record<TextKind, PracticeText> {
  const latest = (kind: TextKind): PracticeText => {
    const row = rows.findLast((r) => r.kind === kind);
    return { kind, version: row?.version ?? 0, body: row?.body ?? FIRST_TEXTS[kind] };
  };
  return Object.fromEntries(TEXT_KINDS.map((k) => [k, latest(k)])) as Record<TextKind, PracticeText>;
}

/** The wording of today of every text. */
export async function practiceTexts(practiceId: string): Promise<Record<TextKind, PracticeText>> {
  database();
  return latestTexts(await PracticeTextModel.findAll({ where: { practiceId }, order: [['version', 'ASC']] }));
}

/** A new wording is a new version; the same wording is none. Refused when another window made one meanwhile. */
export async function writeText(who: Who, kind: TextKind, expectedVersion: number, body: string): Promise<Kept> {
  return database().transaction(async (transaction) => {
    await database().query('select 1 from practices where id = :id for update', { replacements: { id: who.practiceId }, transaction });
    const last = await PracticeTextModel.findOne({ where: { practiceId: who.practiceId, kind }, order: [['version', 'DESC']], transaction });
    const version = last?.version ?? 0;
    if (version !== expectedVersion) return 'stale';
    if (body === (last?.body ?? FIRST_TEXTS[kind])) return 'saved';
    await PracticeTextModel.create({ practiceId: who.practiceId, kind, version: version + 1, body, createdBy: who.practitionerId, createdAt: new Date() }, { transaction });
    await writeAudit(who, 'text-changed', { text: kind, version: version + 1 }, transaction);
    return 'saved';
  });
}

export interface StoredRule extends LocalRule {
  id: string;
  active: boolean;
  version: number;
}
export async function localRules(practiceId: string): Promise<StoredRule[]> {
  database();
  return (await LocalRuleModel.findAll({ where: { practiceId }, order: [['active', 'DESC'], ['updatedAt', 'ASC']] })).map((r) => ({ ...r.body, id: r.id, active: r.active, version: r.version }));
}

/** Everything this practice screens for: our cautions, then its own. */
export const cautionsOf = async (practiceId: string): Promise<Caution[]> => [...CAUTIONS, ...(await localRules(practiceId)).filter((r) => r.active).map((rule) => cautionOf(rule.id, rule))];

/** Rules and products are kept alike: a body, and a switch that takes it out of use without losing it. */
export async function addRule(who: Who, rule: LocalRule): Promise<string> {
  return database().transaction(async (transaction) => {
    const row = await LocalRuleModel.create({ practiceId: who.practiceId, body: rule, updatedAt: new Date() }, { transaction });
    await writeAudit(who, 'rule-added', { rule: row.id }, transaction);
    return row.id;
  });
}

export async function changeRule(who: Who, id: string, expectedVersion: number, change: { body: LocalRule } | { active: boolean }): Promise<Kept> {
  if (!isUuid(id)) return 'missing';
  return database().transaction(async (transaction) => {
    const row = await LocalRuleModel.findOne({ where: { practiceId: who.practiceId, id }, transaction, lock: transaction.LOCK.UPDATE });
    if (!row) return 'missing';
    if (row.version !== expectedVersion) return 'stale';
    await row.update({ ...change, version: row.version + 1, updatedAt: new Date() }, { transaction });
    await writeAudit(who, 'active' in change ? (change.active ? 'rule-on' : 'rule-off') : 'rule-changed', { rule: id, version: row.version }, transaction);
    return 'saved';
  });
}

export interface StoredProduct extends Product {
  id: string;
  retired: boolean;
  version: number;
}
export async function productsOf(practiceId: string): Promise<StoredProduct[]> {
  database();
  const rows = await ProductModel.findAll({ where: { practiceId } });
  return rows.map((r) => ({ ...r.body, id: r.id, retired: r.retired, version: r.version })).sort((a, b) => Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name));
}

const taken = (practiceId: string, name: string, butId: string | null) =>
  ProductModel.findOne({ where: { practiceId, ...(butId ? { id: { [Op.ne]: butId } } : {}), [Op.and]: database().literal(`lower(body->>'name') = ${database().escape(name.toLowerCase())}`) } });

export async function addProduct(practiceId: string, product: Product): Promise<'saved' | 'name-taken'> {
  database();
  if (await taken(practiceId, product.name, null)) return 'name-taken';
  await ProductModel.create({ practiceId, body: product, updatedAt: new Date() });
  return 'saved';
}

export async function changeProduct(practiceId: string, id: string, expectedVersion: number, change: { body: Product } | { retired: boolean }): Promise<Kept | 'name-taken'> {
  if (!isUuid(id)) return 'missing';
  if ('body' in change && (await taken(practiceId, change.body.name, id))) return 'name-taken';
  return database().transaction(async (transaction) => {
    const row = await ProductModel.findOne({ where: { practiceId, id }, transaction, lock: transaction.LOCK.UPDATE });
    if (!row) return 'missing';
    if (row.version !== expectedVersion) return 'stale';
    await row.update({ ...change, version: row.version + 1, updatedAt: new Date() }, { transaction });
    return 'saved';
  });
}
