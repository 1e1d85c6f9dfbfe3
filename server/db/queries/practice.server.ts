import {
  type DateFormat,
  type PracticeText,
  type StoredProduct,
  type StoredRule,
  TEXT_KINDS,
  type TextKind,
} from '../../../core/record/index.ts';
import { type Caution, cautionOf, type LocalRule, type Product } from '../../../core/limits/index.ts';
import { USUAL_SCHOOL } from '../../../core/routine/index.ts';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { CAUTIONS } from '../../../reference/facts/cautions/index.ts';
import { FIRST_TEXTS } from '../../../reference/facts/practice-texts.ts';
import { database } from '../connection.ts';
import { REVIEW_DAYS } from '../../../core/relief/index.ts';
import { LocalRuleModel, PracticeModel, PracticeTextModel, ProductModel } from '../models/index.ts';
import { writeAudit } from './audit.server.ts';
import { outdateCourses } from './courses.server.ts';
import { byPractice, isUuid } from '../scope.ts';
import { once } from './once.server.ts';

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
export const practiceTexts = byPractice(async (practiceId: string): Promise<Record<TextKind, PracticeText>> => {
  database();
  return latestTexts(await PracticeTextModel.findAll({ where: { practiceId }, order: [['version', 'ASC']] }));
});

/** A new wording is a new version; the same wording is none. Refused when another window made one meanwhile. */
export const writeText = byPractice(
  async (who: Who, kind: TextKind, expectedVersion: number, body: string): Promise<Kept> => {
    return database().transaction(async (transaction) => {
      await database().query('select 1 from practices where id = :id for update', {
        replacements: { id: who.practiceId },
        transaction,
      });
      const last = await PracticeTextModel.findOne({
        where: { practiceId: who.practiceId, kind },
        order: [['version', 'DESC']],
        transaction,
      });
      const version = last?.version ?? 0;
      if (version !== expectedVersion) return 'stale';
      if (body === (last?.body ?? FIRST_TEXTS[kind])) return 'saved';
      await PracticeTextModel.create(
        {
          practiceId: who.practiceId,
          kind,
          version: version + 1,
          body,
          createdBy: who.practitionerId,
          createdAt: new Date(),
        },
        { transaction },
      );
      await writeAudit(who, 'text-changed', { text: kind, version: version + 1 }, transaction);
      return 'saved';
    });
  },
);

export const localRules = byPractice(async (practiceId: string): Promise<StoredRule[]> => {
  database();
  return (
    await LocalRuleModel.findAll({
      where: { practiceId },
      order: [
        ['active', 'DESC'],
        ['updatedAt', 'ASC'],
      ],
    })
  ).map((r) => ({ ...r.body, id: r.id, active: r.active, version: r.version }));
});

/** Everything this practice screens for: our cautions, then its own. */
export const cautionsOf = async (practiceId: string): Promise<Caution[]> => [
  ...CAUTIONS,
  ...(await localRules(practiceId)).filter((r) => r.active).map((rule) => cautionOf(rule.id, rule)),
];

/** Rules and products are kept alike: a body, and a switch that takes it out of use without losing it. Added once for a key. */
export const addRule = byPractice(async (who: Who, rule: LocalRule, key?: string): Promise<string> =>
  database().transaction((transaction) =>
    once(who.practiceId, key, 'rule', transaction, async () => {
      const row = await LocalRuleModel.create(
        { practiceId: who.practiceId, body: rule, updatedAt: new Date() },
        { transaction },
      );
      await writeAudit(who, 'rule-added', { rule: row.id }, transaction);
      return row.id;
    }),
  ),
);

export const changeRule = byPractice(
  async (
    who: Who,
    id: string,
    expectedVersion: number,
    change: { body: LocalRule } | { active: boolean },
  ): Promise<Kept> => {
    if (!isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      const row = await LocalRuleModel.findOne({
        where: { practiceId: who.practiceId, id },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!row) return 'missing';
      if (row.version !== expectedVersion) return 'stale';
      await row.update({ ...change, version: row.version + 1, updatedAt: new Date() }, { transaction });
      await writeAudit(
        who,
        'active' in change ? (change.active ? 'rule-on' : 'rule-off') : 'rule-changed',
        { rule: id, version: row.version },
        transaction,
      );
      return 'saved';
    });
  },
);

export const productsOf = byPractice(async (practiceId: string): Promise<StoredProduct[]> => {
  database();
  const rows = await ProductModel.findAll({ where: { practiceId } });
  return rows
    .map((r) => ({ ...r.body, id: r.id, retired: r.retired, version: r.version }))
    .sort((a, b) => Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name));
});

const taken = (practiceId: string, name: string, butId: string | null, transaction: Transaction) =>
  ProductModel.findOne({
    where: {
      practiceId,
      ...(butId ? { id: { [Op.ne]: butId } } : {}),
      [Op.and]: database().literal(`lower(body->>'name') = ${database().escape(name.toLowerCase())}`),
    },
    transaction,
  });
/** Two products of one name at once: the second waits, and finds the first. */
const oneAtATime = (practiceId: string, transaction: Transaction) =>
  database().query('select pg_advisory_xact_lock(7310044, hashtext(:practiceId))', {
    replacements: { practiceId },
    transaction,
  });

class NameTaken extends Error {}

/** Adds a product, once for a key; a name is there once. */
export const addProduct = byPractice(
  async (who: Who, product: Product, key?: string): Promise<'saved' | 'name-taken'> => {
    const { practiceId } = who;
    try {
      await database().transaction((transaction) =>
        once(practiceId, key, 'product', transaction, async () => {
          await oneAtATime(practiceId, transaction);
          if (await taken(practiceId, product.name, null, transaction)) throw new NameTaken();
          const row = await ProductModel.create({ practiceId, body: product, updatedAt: new Date() }, { transaction });
          await writeAudit(who, 'product-added', { product: row.id }, transaction);
          return row.id;
        }),
      );
      return 'saved';
    } catch (error) {
      if (error instanceof NameTaken) return 'name-taken';
      throw error;
    }
  },
);

export const changeProduct = byPractice(
  async (
    who: Who,
    id: string,
    expectedVersion: number,
    change: { body: Product } | { retired: boolean },
  ): Promise<Kept | 'name-taken'> => {
    const { practiceId } = who;
    if (!isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      await oneAtATime(practiceId, transaction);
      if ('body' in change && (await taken(practiceId, change.body.name, id, transaction))) return 'name-taken';
      const row = await ProductModel.findOne({ where: { practiceId, id }, transaction, lock: transaction.LOCK.UPDATE });
      if (!row) return 'missing';
      if (row.version !== expectedVersion) return 'stale';
      await row.update({ ...change, version: row.version + 1, updatedAt: new Date() }, { transaction });
      await writeAudit(
        who,
        'retired' in change ? (change.retired ? 'product-retired' : 'product-returned') : 'product-changed',
        { product: id, version: row.version },
        transaction,
      );
      return 'saved';
    });
  },
);

/** School of order that new routines of the practice begin with. */
export const schoolOf = byPractice(async (practiceId: string): Promise<string> => {
  database();
  return (await PracticeModel.findOne({ where: { id: practiceId }, attributes: ['school'] }))?.school ?? USUAL_SCHOOL;
});

/** How the practice writes days and times. */
export const dateFormatOf = byPractice(async (practiceId: string): Promise<DateFormat> => {
  database();
  const row = await PracticeModel.findOne({ where: { id: practiceId }, attributes: ['dateFormat'] });
  return row?.dateFormat ?? 'day-first';
});

/** Days of work after which the practice reviews a course. */
export const reviewDaysOf = byPractice(async (practiceId: string): Promise<number> => {
  database();
  const row = await PracticeModel.findOne({ where: { id: practiceId }, attributes: ['reviewDays'] });
  return row?.reviewDays ?? REVIEW_DAYS;
});

/** How clients at home reach the practice; empty until it says so. */
export const contactOf = byPractice(async (practiceId: string): Promise<string> => {
  database();
  return (await PracticeModel.findOne({ where: { id: practiceId }, attributes: ['contact'] }))?.contact ?? '';
});

/** Whom a client at home reaches: the practice, and who made the plan or has the visit that a link is for. */
export const homeReach = byPractice(
  async (
    practiceId: string,
    { planId, visitId }: { planId: string | null; visitId: string | null },
  ): Promise<{ practice: string; contact: string; zone: string; dates: DateFormat; by: string } | null> => {
    const [row] = await database().query<{
      practice: string;
      contact: string;
      zone: string;
      dates: DateFormat;
      by: string;
    }>(
      `select p.name as practice, p.contact, p.time_zone as zone, p.date_format as dates, m.name as by from practices p join practitioners m on m.practice_id = p.id
       where p.id = :practiceId and m.id = coalesce((select made_by from home_plans where practice_id = :practiceId and id = cast(:planId as uuid)),
         (select practitioner_id from visits where practice_id = :practiceId and id = cast(:visitId as uuid)))`,
      { replacements: { practiceId, planId, visitId }, type: QueryTypes.SELECT },
    );
    return row ?? null;
  },
);

/** @returns whether courses have to be judged anew. */
export const setSchool = byPractice(
  async (
    who: Who,
    ways: { school: string; dateFormat: DateFormat; reviewDays: number; contact: string },
  ): Promise<boolean> =>
    database().transaction(async (transaction) => {
      const before = await PracticeModel.findOne({ where: { id: who.practiceId }, transaction });
      await PracticeModel.update(ways, { where: { id: who.practiceId }, transaction });
      await writeAudit(who, 'school-chosen', ways, transaction);
      const judgesAnew = before?.reviewDays !== ways.reviewDays;
      if (judgesAnew) await outdateCourses(who.practiceId, transaction);
      return judgesAnew;
    }),
);
