import {
  expandRoutine,
  ribbonOf,
  type Routine,
  servesOf,
  smallBands,
  type SmallBand,
  stepNames,
  stepsOf,
  totalsOf,
  type Catalogue,
} from '../../../core/routine/index.ts';
import type { Stands } from '../../../core/record/index.ts';
import type { ComplaintKind, Pressure } from '../../../core/words/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { PractitionerModel, TemplateModel } from '../models/index.ts';
import { byPractice } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import { COUNTED, type Counted, STANDS_OF_CLIENTS, standsOf } from './stands.ts';
import type { Template } from './templates.server.ts';

/** What a list shows of a routine; all of it follows from one version of a template and the practice’s techniques. */
interface Summary {
  steps: string[];
  marks: { pressure: Pressure | null; sides: ReturnType<typeof stepsOf>[number]['sides']['mode'] }[];
  bands: SmallBand[];
  seconds: number;
  budgetMinutes: number | null;
  school: string;
  serves: ComplaintKind[];
}
export interface TemplateLine extends Summary, Omit<Template, 'body'> {
  /** When a copy of it was last worked with; null while it never was. */
  usedAt: string | null;
  /** With how many clients. */
  clients: number;
  /** How the complaints of these clients stand; null while they are too few to tell. */
  relief: Stands | null;
}

function summaryOf(body: Routine, catalogue: Catalogue): Summary {
  const cues = expandRoutine(body);
  const steps = stepsOf(body);
  return {
    steps: [...stepNames(body, catalogue).values()],
    marks: steps.map((s) => ({ pressure: s.pressure?.there ?? null, sides: s.sides.mode })),
    bands: smallBands(ribbonOf(body, cues, catalogue)),
    seconds: totalsOf(steps.length, cues).totalSeconds,
    budgetMinutes: body.budgetMinutes,
    school: catalogue.schools.get(body.school)?.name ?? '',
    serves: servesOf(body, catalogue),
  };
}

/** A version never changes, so what follows from it is worked out once. The oldest go first. */
const MOST_KEPT = 5000;
const kept = new Map<string, Summary>();
function keep(key: string, summary: Summary): void {
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, summary);
}

interface Use {
  usedAt: string;
  clients: number;
  relief: Stands | null;
}

/**
 * When copies of each template were last worked with, with how many clients, and how their complaints stand.
 */
async function uses(practiceId: string): Promise<Map<string, Use>> {
  const rows = await database().query<{ id: string; at: Date; clients: number } & Counted>(
    `with used as (
       select v.routine_origin->>'template' as id, v.client_id, max(r.created_at) as at
       from visits v join runs r on r.visit_id = v.id and r.practice_id = v.practice_id
       where v.practice_id = :practiceId and v.routine_origin is not null group by 1, 2
     ), ${STANDS_OF_CLIENTS}
     select u.id, max(u.at) as at, count(*)::int as clients, ${COUNTED}
     from used u left join told t on t.client_id = u.client_id group by u.id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return new Map(
    rows.map(({ id, at, clients, ...counted }) => [
      id,
      { usedAt: at.toISOString(), clients, relief: standsOf(counted) },
    ]),
  );
}

/** How the clients stand with whom each routine was worked, by its name. */
export const templateStands = byPractice(async (practiceId: string) => {
  database();
  const [rows, used] = await Promise.all([
    TemplateModel.findAll({ where: { practiceId }, attributes: ['id', 'name'], order: [['name', 'ASC']] }),
    uses(practiceId),
  ]);
  return rows.flatMap(({ id, name }) => {
    const use = used.get(id);
    return use ? [{ id, name, clients: use.clients, stands: use.relief }] : [];
  });
});

/** All templates of a practice as lines of a list. `techniquesMark` changes whenever the practice’s own techniques do. */
export const templateLines = byPractice(
  async (practiceId: string, catalogue: Catalogue, techniquesMark: string): Promise<TemplateLine[]> => {
    database();
    const [rows, people, used] = await Promise.all([
      TemplateModel.findAll({ where: { practiceId }, attributes: { exclude: ['body'] }, order: [['name', 'ASC']] }),
      PractitionerModel.findAll({ where: { practiceId }, attributes: ['id', 'name'] }),
      uses(practiceId),
    ]);
    const names = new Map(people.map((p) => [p.id, p.name]));
    const keyOf = (t: { id: string; version: number }) => `${t.id} ${t.version} ${techniquesMark}`;
    const missing = rows.filter((t) => !kept.has(keyOf(t))).map((t) => t.id);
    if (missing.length)
      for (const t of await TemplateModel.findAll({ where: { practiceId, id: missing } }))
        keep(keyOf(t), summaryOf(storedRoutine(t.body)!, catalogue));
    return rows.flatMap((t) => {
      const summary = kept.get(keyOf(t));
      return summary
        ? [
            {
              ...summary,
              id: t.id,
              name: t.name,
              createdBy: names.get(t.createdBy) ?? '',
              createdById: t.createdBy,
              updatedAt: t.updatedAt.toISOString(),
              origin: t.origin,
              hidden: t.hidden,
              version: t.version,
              usedAt: used.get(t.id)?.usedAt ?? null,
              clients: used.get(t.id)?.clients ?? 0,
              relief: used.get(t.id)?.relief ?? null,
            },
          ]
        : [];
    });
  },
);
