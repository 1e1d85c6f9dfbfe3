import type { BreathScore, PadCheck, TapRound, WeightRead } from '../../../core/touch/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { once } from './once.server.ts';

/** The latest checks of a pad, newest first: enough to tell how it drifts. */
export const padChecksOf = byPractice(async (practiceId: string, sensor: string): Promise<PadCheck[]> => {
  const rows = await database().query<Omit<PadCheck, 'at'> & { at: Date }>(
    `select id, at, sensor, weights from pad_checks where practice_id = :practiceId and sensor = :sensor
     order by at desc, id limit 12`,
    { replacements: { practiceId, sensor }, type: QueryTypes.SELECT },
  );
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
});

export const keepPadCheck = byPractice(
  (
    { practiceId, practitionerId }: Member,
    of: { sensor: string; isStandIn: boolean; weights: readonly WeightRead[]; at?: Date },
    key: string,
  ): Promise<string> =>
    database().transaction((transaction) =>
      once(practiceId, key, 'pad-check', transaction, async () => {
        const [made] = await database().query<{ id: string }>(
          `insert into pad_checks (practice_id, practitioner_id, at, sensor, is_stand_in, weights)
           values (:practiceId, :practitionerId, :at, :sensor, :isStandIn, :weights) returning id`,
          {
            replacements: {
              ...{ practiceId, practitionerId, sensor: of.sensor, isStandIn: of.isStandIn, at: of.at ?? new Date() },
              weights: JSON.stringify(of.weights),
            },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        return made!.id;
      }),
    ),
);

/** Tempo kept without a pad. */
export type TempoTry = { id: string; at: string; asked: string } & (
  { kind: 'taps'; score: TapRound } | { kind: 'breath'; score: BreathScore }
);

export const tempoTriesOf = byPractice(async ({ practiceId, practitionerId }: Member): Promise<TempoTry[]> => {
  const rows = await database().query<TempoTry & { at: Date }>(
    `select id, at, kind, asked, score from tempo_tries
     where practice_id = :practiceId and practitioner_id = :practitionerId and at > now() - interval '26 weeks'
     order by at desc, id limit 200`,
    { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
  );
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
});

export const keepTempoTry = byPractice(
  (
    { practiceId, practitionerId }: Member,
    of: Pick<TempoTry, 'kind' | 'asked' | 'score'>,
    key: string,
  ): Promise<string> =>
    database().transaction((transaction) =>
      once(practiceId, key, 'tempo-try', transaction, async () => {
        const [made] = await database().query<{ id: string }>(
          `insert into tempo_tries (practice_id, practitioner_id, kind, asked, score)
           values (:practiceId, :practitionerId, :kind, :asked, :score) returning id`,
          {
            replacements: {
              practiceId,
              practitionerId,
              kind: of.kind,
              asked: of.asked,
              score: JSON.stringify(of.score),
            },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        return made!.id;
      }),
    ),
);
