import {
  type Amendment,
  checkedWords,
  type Correction,
  type CorrectionNames,
  correctionsOf,
  hasEnded,
  readRecord,
  type VisitPatch,
  withFindings,
} from '../../../core/record/index.ts';
import { cautionOf } from '../../../core/limits/index.ts';
import { MEASURES } from '../../../core/measures/index.ts';
import { complaintName } from '../../../core/words/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { anchorName } from '../../../reference/anchor-name.ts';
import { CAUTIONS } from '../../../reference/facts/cautions/index.ts';
import { PREPARATION } from '../../../reference/facts/preparation.ts';
import { PLACE_INDEX } from '../../../reference/place-index.ts';
import { database } from '../connection.ts';
import type { VisitModel } from '../models/index.ts';
import { ComplaintModel, LocalRuleModel, ProductModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';
import { readingsIn } from './readings.server.ts';
import { scoresIn } from './scores.server.ts';
import { lockVisit } from './shared.server.ts';

async function keep(
  who: Member,
  visitId: string,
  words: string,
  changes: readonly Correction[],
  transaction: Transaction,
): Promise<string> {
  const [row] = await database().query<{ id: string }>(
    'insert into visit_amendments (practice_id, visit_id, written_by, written_at, words, changes) values (:practiceId, :visitId, :by, now(), :words, :changes) returning id',
    {
      replacements: {
        practiceId: who.practiceId,
        visitId,
        by: who.practitionerId,
        words,
        changes: JSON.stringify(changes),
      },
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  return row!.id;
}

/** A muscle or region by its name. */
const placeName = (id: string): string =>
  PLACE_INDEX.placeName({ kind: 'muscle', id }) ?? PLACE_INDEX.placeName({ kind: 'region', id }) ?? id;

/** What a visit holds is called as it is called now; what the practice has dropped since goes by its key. */
async function namesFor(practiceId: string, clientId: string, transaction: Transaction): Promise<CorrectionNames> {
  const all = { where: { practiceId }, transaction };
  const complaints = await ComplaintModel.findAll({ where: { practiceId, clientId }, transaction });
  const products = await ProductModel.findAll(all);
  const rules = await LocalRuleModel.findAll(all);
  const complaint = new Map(complaints.map((c) => [c.id, complaintName(c)]));
  const cautions = new Map([...CAUTIONS, ...rules.map((r) => cautionOf(r.id, r.body))].map((c) => [c.key, c.title]));
  return {
    reading: ({ measure, place, side, phase, complaintId }) =>
      [
        MEASURES[measure].name,
        complaintId ? complaint.get(complaintId) : '',
        place && placeName(place),
        side === 'midline' ? '' : `client’s ${side}`,
        phase,
      ]
        .filter(Boolean)
        .join(', '),
    place: placeName,
    question: (key) => cautions.get(key) ?? key,
    preparation: (key) => PREPARATION.find((p) => p.key === key)?.label ?? key,
    product: (id) => products.find((p) => p.id === id)?.body.name ?? id,
    anchor: anchorName,
  };
}

/** Keeps the old values beside the new ones before a correction of an ended visit is written. */
export async function noteCorrection(
  who: Member,
  visit: VisitModel,
  patch: VisitPatch,
  why: string,
  transaction: Transaction,
): Promise<void> {
  const { practiceId } = who;
  const before = {
    screen: visit.screen,
    record: visit.record && readRecord(visit.record),
    findings: withFindings(visit.findings),
    readings: patch.kind === 'readings' ? await readingsIn(practiceId, visit.id, transaction) : [],
    scores: patch.kind === 'answers' ? await scoresIn(practiceId, visit.id, transaction) : [],
  };
  const changes = correctionsOf(patch, before, await namesFor(practiceId, visit.clientId, transaction));
  if (!changes.length) return;
  await keep(who, visit.id, checkedWords(why, 'because'), changes, transaction);
  await writeAudit(who, 'visit-corrected', { visit: visit.id, values: changes.length }, transaction);
}

/** Adds words to a visit that has ended, once for a key. @throws InputError */
export const addToVisit = byPractice(
  async (who: Member, visitId: string, words: string, key?: string): Promise<'added' | 'missing' | 'open'> => {
    if (!isUuid(visitId)) return 'missing';
    const checked = checkedWords(words, 'words');
    return database().transaction(async (transaction) => {
      const visit = await lockVisit(who.practiceId, visitId, transaction);
      if (!visit) return 'missing';
      if (!hasEnded(visit.stage)) return 'open';
      await once(who.practiceId, key, 'amendment', transaction, async () => {
        const id = await keep(who, visitId, checked, [], transaction);
        await writeAudit(who, 'visit-added-to', { visit: visitId }, transaction);
        return id;
      });
      return 'added';
    });
  },
);

/** What was added to a visit and corrected in it, the earliest first. */
export const amendmentsOf = byPractice(async (practiceId: string, visitId: string): Promise<Amendment[]> => {
  if (!isUuid(visitId)) return [];
  const rows = await database().query<{ at: Date; by: string; words: string; changes: Correction[] }>(
    'select a.written_at as at, p.name as by, a.words, a.changes from visit_amendments a join practitioners p on p.practice_id = a.practice_id and p.id = a.written_by where a.practice_id = :practiceId and a.visit_id = :visitId order by a.written_at, a.id',
    { replacements: { practiceId, visitId }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
});
