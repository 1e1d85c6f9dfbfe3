import type { PadScale, WordPress } from '../../../core/touch/index.ts';
import type { Pressure } from '../../../core/words/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';

type Row = Omit<WordPress, 'at'> & { at: Date; who: string; name: string };
const asPress = ({ at, who: _who, name: _name, ...row }: Row): WordPress => ({ ...row, at: at.toISOString() });

/** Somebody's words, pressed without seeing anything, within the last half year, oldest first. */
export interface WordsOf {
  practitionerId: string;
  name: string;
  presses: WordPress[];
}

/** One's own words, and those of colleagues who show theirs; of one kind of sensor. */
export const wordsInSight = byPractice(
  async ({ practiceId, practitionerId }: Member, isStandIn: boolean): Promise<WordsOf[]> => {
    const rows = await database().query<Row>(
      `select w.id, w.at, w.word, w.contact, w.kpa, w.sensor, w.is_stand_in as "isStandIn", p.id as who, p.name
       from pad_words w join practitioners p on p.practice_id = w.practice_id and p.id = w.practitioner_id
       where w.practice_id = :practiceId and w.is_stand_in = :isStandIn and w.at > now() - interval '26 weeks'
         and (p.id = :practitionerId or (p.shows_words and p.left_at is null))
       order by w.at, w.id limit 20000`,
      { replacements: { practiceId, practitionerId, isStandIn }, type: QueryTypes.SELECT },
    );
    const people = new Map<string, WordsOf>();
    for (const row of rows) {
      const own = people.get(row.who) ?? { practitionerId: row.who, name: row.name, presses: [] };
      own.presses.push(asPress(row));
      people.set(row.who, own);
    }
    return [...people.values()];
  },
);

/** Keeps the words of one round, all of them once for a key. */
export const keepWords = byPractice(
  (
    { practiceId, practitionerId }: Member,
    presses: readonly (Omit<WordPress, 'id' | 'at'> & { at: Date })[],
    key: string,
  ): Promise<string> =>
    database().transaction((transaction) =>
      once(practiceId, key, 'pad-words', transaction, async () => {
        let last = '';
        for (const press of presses) {
          const [made] = await database().query<{ id: string }>(
            `insert into pad_words (practice_id, practitioner_id, at, word, contact, kpa, sensor, is_stand_in)
             values (:practiceId, :practitionerId, :at, :word, :contact, :kpa, :sensor, :isStandIn) returning id`,
            { replacements: { practiceId, practitionerId, ...press }, type: QueryTypes.SELECT, transaction },
          );
          last = made!.id;
        }
        return last;
      }),
    ),
);

/** What the practice agreed on, of one kind of sensor. */
export const scaleOf = byPractice(async (practiceId: string, isStandIn: boolean): Promise<PadScale> => {
  const rows = await database().query<{ word: Pressure; kpa: number }>(
    'select word, kpa from pad_scale where practice_id = :practiceId and is_stand_in = :isStandIn',
    { replacements: { practiceId, isStandIn }, type: QueryTypes.SELECT },
  );
  return Object.fromEntries(rows.map(({ word, kpa }) => [word, kpa]));
});

/** Agrees on a word, or lets go of what was agreed on (null). */
export const agreeOnWord = byPractice(
  (who: Member, word: Pressure, kpa: number | null, isStandIn: boolean): Promise<void> =>
    database().transaction(async (transaction) => {
      await database().query(
        kpa === null
          ? 'delete from pad_scale where practice_id = :practiceId and is_stand_in = :isStandIn and word = :word'
          : `insert into pad_scale (practice_id, is_stand_in, word, kpa, agreed_by)
             values (:practiceId, :isStandIn, :word, :kpa, :practitionerId)
             on conflict (practice_id, is_stand_in, word)
             do update set kpa = excluded.kpa, agreed_by = excluded.agreed_by, agreed_at = now()`,
        {
          replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, isStandIn, word, kpa },
          transaction,
        },
      );
      await writeAudit(who, 'pad-scale-set', { word, ...(kpa === null ? {} : { kpa }) }, transaction);
    }),
);

export const showsWords = byPractice(async ({ practiceId, practitionerId }: Member): Promise<boolean> => {
  const [row] = await database().query<{ shows: boolean }>(
    'select shows_words as shows from practitioners where practice_id = :practiceId and id = :practitionerId',
    { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
  );
  return row?.shows ?? false;
});
/** Whether colleagues may see how one knows the words. */
export const setShowsWords = byPractice((who: Member, shows: boolean): Promise<void> =>
  database().transaction(async (transaction) => {
    await database().query(
      'update practitioners set shows_words = :shows where practice_id = :practiceId and id = :practitionerId',
      {
        replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, shows },
        transaction,
      },
    );
    await writeAudit(who, shows ? 'pad-words-shown' : 'pad-words-hidden', {}, transaction);
  }),
);
