import type { TakenScore } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';

type Row = Omit<TakenScore, 'takenAt' | 'value'> & { value: string | null; takenAt: Date };
const COLUMNS = 'visit_id as "visitId", measure, answers, value, words, taken_at as "takenAt"';
const plain = (r: Row): TakenScore => ({
  ...r,
  value: r.value === null ? null : Number(r.value),
  takenAt: r.takenAt.toISOString(),
});

/** How many of each measure a course shows, beside the first. */
const LATEST = 8;

/** Of each measure the first and the latest few that a client was asked, oldest first. */
export const scoresOfClient = byPractice(async (practiceId: string, clientId: string): Promise<TakenScore[]> => {
  if (!isUuid(clientId)) return [];
  const rows = await database().query<Row & { fromFirst: string; fromLast: string }>(
    `select ${COLUMNS} from (select *, row_number() over (partition by measure order by taken_at) as from_first, row_number() over (partition by measure order by taken_at desc) as from_last
       from scores where practice_id = :practiceId and client_id = :clientId) s where from_first = 1 or from_last <= ${LATEST} order by taken_at`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return rows.map(plain);
});

/** Those of one visit, inside a transaction where one holds it. */
export async function scoresIn(practiceId: string, visitId: string, transaction?: Transaction): Promise<TakenScore[]> {
  return (
    await database().query<Row>(
      `select ${COLUMNS} from scores where practice_id = :practiceId and visit_id = :visitId order by taken_at`,
      { replacements: { practiceId, visitId }, type: QueryTypes.SELECT, transaction: transaction ?? null },
    )
  ).map(plain);
}

export const scoresOfVisit = byPractice((practiceId: string, visitId: string): Promise<TakenScore[]> =>
  scoresIn(practiceId, visitId),
);
