import type { KeptTry } from '../../../core/touch/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { once } from './once.server.ts';

/** The tries of one person within the last half year, oldest first. */
export const padTriesOf = byPractice(async ({ practiceId, practitionerId }: Member): Promise<KeptTry[]> => {
  const rows = await database().query<Omit<KeptTry, 'at'> & { at: Date }>(
    `select id, at, technique, kind, contact, pressure, per_minute as "perMinute", sensor, is_stand_in as "isStandIn",
       is_blind as "isBlind", score from pad_tries
     where practice_id = :practiceId and practitioner_id = :practitionerId and at > now() - interval '26 weeks'
     order by at desc, id limit 2000`,
    { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
  );
  return rows.toReversed().map((row) => ({ ...row, at: row.at.toISOString() }));
});

/** Keeps a try, once for a key; answers with its id. */
export const keepPadTry = byPractice(
  (
    { practiceId, practitionerId }: Member,
    of: Omit<KeptTry, 'id' | 'at'> & { at: Date },
    key: string,
  ): Promise<string> =>
    database().transaction((transaction) =>
      once(practiceId, key, 'pad-try', transaction, async () => {
        const [made] = await database().query<{ id: string }>(
          `insert into pad_tries (practice_id, practitioner_id, at, technique, kind, contact, pressure, per_minute, sensor, is_stand_in, is_blind, score)
           values (:practiceId, :practitionerId, :at, :technique, :kind, :contact, :pressure, :perMinute, :sensor, :isStandIn, :isBlind, :score)
           returning id`,
          {
            replacements: { practiceId, practitionerId, ...of, score: JSON.stringify(of.score) },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        return made!.id;
      }),
    ),
);
