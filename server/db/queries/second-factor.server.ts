import { createHash, randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** Six digits of thirty seconds, as RFC 6238 has them and every authenticator app makes them. */
const STEP_S = 30;
const SPARE_CODES = 8;
/** Clocks may be one step apart: RFC 6238 § 5.2 recommends no more. */
const STEPS_APART = 1;

const timed = (secret: string, name = ''): TOTP =>
  new TOTP({ issuer: 'Velvet Compass', label: name, secret: Secret.fromBase32(secret), period: STEP_S, digits: 6 });
/** Fifty bits in two groups: long enough that a plain hash keeps it. */
const spareCode = (): string => {
  const letters = Array.from(randomBytes(10), (b) => 'abcdefghjkmnpqrstuvwxyz23456789'[b % 31]).join('');
  return `${letters.slice(0, 5)}-${letters.slice(5)}`;
};
const spareHash = (code: string): string => createHash('sha256').update(code.toLowerCase()).digest('hex');

interface Row {
  secret: string;
  since: Date | null;
  spares: string[];
}
async function rowOf({ practiceId, practitionerId }: Member, transaction?: Transaction): Promise<Row | null> {
  const [row] = await database().query<Row>(
    `select secret, asked_since as since, spare_hashes as spares from second_factors
     where practice_id = :practiceId and practitioner_id = :practitionerId ${transaction ? 'for update' : ''}`,
    { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT, transaction },
  );
  return row ?? null;
}

/** Since when a code is asked for at the door, and how many spare codes are left; null where none is. */
export const secondFactorOf = byPractice(async (who: Member): Promise<{ since: string; spares: number } | null> => {
  const row = await rowOf(who);
  return row?.since ? { since: row.since.toISOString(), spares: row.spares.length } : null;
});

/** A secret for an authenticator app, told this once; nothing is asked for until its first code was right. */
export const offerSecondFactor = byPractice(
  async (who: Member, name: string): Promise<{ secret: string; address: string } | 'asked'> => {
    const secret = new Secret({ size: 20 }).base32;
    const rows = await database().query<{ secret: string }>(
      `insert into second_factors (practitioner_id, practice_id, secret) values (:practitionerId, :practiceId, :secret)
       on conflict (practice_id, practitioner_id) do update set secret = excluded.secret where second_factors.asked_since is null returning secret`,
      {
        replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, secret },
        type: QueryTypes.SELECT,
      },
    );
    return rows.length ? { secret, address: timed(secret, name).toString() } : 'asked';
  },
);

/** The step a code belongs to, in steps since 1970; null where it is of none that is near. */
function stepOf(secret: string, code: string, nowMs: number): number | null {
  const apart = timed(secret).validate({ token: code, timestamp: nowMs, window: STEPS_APART });
  return apart === null ? null : Math.floor(nowMs / 1000 / STEP_S) + apart;
}

/** From now on a code is asked for at the door. Answers with the spare codes, told this once; null for a wrong code. */
export const askForSecondFactor = byPractice((who: Member, code: string, nowMs: number): Promise<string[] | null> =>
  database().transaction(async (transaction) => {
    const row = await rowOf(who, transaction);
    if (!row || row.since) return null;
    const step = stepOf(row.secret, code, nowMs);
    if (step === null) return null;
    const spares = Array.from({ length: SPARE_CODES }, spareCode);
    await database().query(
      `update second_factors set asked_since = now(), last_step = :step, spare_hashes = array[:hashes]
         where practice_id = :practiceId and practitioner_id = :practitionerId`,
      {
        replacements: {
          practiceId: who.practiceId,
          practitionerId: who.practitionerId,
          step,
          hashes: spares.map(spareHash),
        },
        transaction,
      },
    );
    await writeAudit(who, 'second-factor-on', {}, transaction);
    return spares;
  }),
);

/** Takes a second factor away, inside a change that is written to the trail by whoever makes it. */
export const dropSecondFactor = ({ practiceId, practitionerId }: Member, transaction: Transaction) =>
  database().query('delete from second_factors where practice_id = :practiceId and practitioner_id = :practitionerId', {
    replacements: { practiceId, practitionerId },
    transaction,
  });

export const endSecondFactor = byPractice((who: Member): Promise<void> =>
  database().transaction(async (transaction) => {
    await dropSecondFactor(who, transaction);
    await writeAudit(who, 'second-factor-off', {}, transaction);
  }),
);

/**
 * Whether somebody whose password was right may come in: without a second factor, with its code, or with a spare code.
 * Each code opens once.
 */
export const passesSecondFactor = byPractice(
  (who: Member, typed: string, nowMs: number): Promise<'passed' | 'needed' | 'wrong'> =>
    database().transaction(async (transaction) => {
      const row = await rowOf(who, transaction);
      if (!row?.since) return 'passed';
      const code = typed.replace(/\s/g, '');
      if (!code) return 'needed';
      const own = { practiceId: who.practiceId, practitionerId: who.practitionerId };
      const step = /^\d{6}$/.test(code) ? stepOf(row.secret, code, nowMs) : null;
      const used =
        step === null
          ? await database().query(
              `update second_factors set spare_hashes = array_remove(spare_hashes, :hash)
               where practice_id = :practiceId and practitioner_id = :practitionerId and :hash = any(spare_hashes) returning 1`,
              { replacements: { ...own, hash: spareHash(code) }, type: QueryTypes.SELECT, transaction },
            )
          : await database().query(
              `update second_factors set last_step = :step
               where practice_id = :practiceId and practitioner_id = :practitionerId and last_step < :step returning 1`,
              { replacements: { ...own, step }, type: QueryTypes.SELECT, transaction },
            );
      if (used.length && step === null) await writeAudit(who, 'spare-code-used', {}, transaction);
      return used.length ? 'passed' : 'wrong';
    }),
);
