import { isYes, sideOf, type Answers } from '../../../core/limits/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { cautionsOf } from './practice.server.ts';
import { LEAST_LETTERS } from './shared.server.ts';

/** A client's latest answers, in SQL: what was said last stands until it is taken back. */
const LATEST = `(select lv.screen->'answers' from visits lv where lv.practice_id = c.practice_id and lv.client_id = c.id
  and lv.screen->'answers' <> '{}'::jsonb order by lv.starts_at desc limit 1)`;

/** Condition on clients `c` that a fact of theirs answers to `:factKeys`. */
export const HAS_FACT = `exists (select 1 from jsonb_each_text(${LATEST}) a where a.key in (:factKeys) and a.value in ('yes', 'unsure', 'left', 'right'))`;

/** Standing cautions that a search text speaks of: "pregnant" and "pregnancy" find the one. */
export const factsNamed = byPractice(async (practiceId: string, text: string): Promise<string[]> => {
  const asked = text.trim().toLowerCase();
  if (asked.length < LEAST_LETTERS) return [];
  return (await cautionsOf(practiceId))
    .filter((c) => c.group === 'standing' && `${c.title} ${c.who}`.toLowerCase().includes(asked))
    .map((c) => c.key);
});

/** What a client answered last, whatever the day; nothing without a visit that asked. */
export const latestAnswers = byPractice(async (practiceId: string, clientId: string): Promise<Answers> => {
  if (!isUuid(clientId)) return {};
  const [row] = await database().query<{ answers: Answers | null }>(
    `select ${LATEST} as answers from clients c where c.practice_id = :practiceId and c.id = :clientId`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return row?.answers ?? {};
});

/** Titles of what a client said yes, or not sure, to last: standing facts only. */
export const standingFacts = byPractice(async (practiceId: string, clientId: string): Promise<string[]> => {
  if (!isUuid(clientId)) return [];
  const [[row], cautions] = await Promise.all([
    database().query<{ answers: Answers | null }>(
      `select ${LATEST} as answers from clients c where c.practice_id = :practiceId and c.id = :clientId`,
      { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
    ),
    cautionsOf(practiceId),
  ]);
  return cautions
    .filter((c) => c.group === 'standing' && isYes(row?.answers?.[c.key]))
    .map((c) => {
      const side = sideOf(row?.answers?.[c.key]);
      return side ? `${c.title}, ${side}` : c.title;
    });
});
