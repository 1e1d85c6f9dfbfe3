import { COURSE_RULE_VERSION } from '../../../core/relief/index.ts';
import type { ArchiveRow } from '../../../core/exchange/index.ts';
import { hash } from '@node-rs/argon2';
import { randomBytes } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { inPractice } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { type AuditAbout, writeAudit } from './audit.server.ts';

/** Thrown to leave everything as it was after a look at what would become of it. */
class OnlyLooked extends Error {
  readonly seen: unknown;
  constructor(seen: unknown) {
    super('only looked at');
    this.seen = seen;
  }
}

/**
 * All of a file or nothing of it, with its entry in the trail; or only a look at what would become of it.
 * @param work says what came of it, and what is told to the trail
 */
export const allOrNothing = <T>(
  who: Member,
  keeps: boolean,
  what: string,
  work: (transaction: Transaction) => Promise<{ seen: T; about: AuditAbout }>,
): Promise<T> =>
  inPractice(who.practiceId, async () => {
    try {
      return await database().transaction(async (transaction) => {
        await database().query(`set local timezone = 'UTC'`, { transaction });
        // Two files at once would each not see what the other brings.
        await database().query('select pg_advisory_xact_lock(7310044, hashtext(:practiceId))', {
          replacements: { practiceId: who.practiceId },
          transaction,
        });
        const { seen, about } = await work(transaction);
        if (!keeps) throw new OnlyLooked(seen);
        await writeAudit(who, what, about, transaction);
        return seen;
      });
    } catch (error) {
      if (error instanceof OnlyLooked) return error.seen as T;
      throw error;
    }
  });

/** True where nobody was worked with yet: a practice that was opened to take another one in. */
export async function isEmptyPractice(practiceId: string, transaction: Transaction): Promise<boolean> {
  const [row] = await database().query<{ empty: boolean }>(
    'select not exists (select 1 from clients where practice_id = :practiceId) as empty',
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );
  return row!.empty;
}

/** An empty practice takes on how the other one was set, and makes room for its routines. */
export async function takeSettings(practiceId: string, row: ArchiveRow, transaction: Transaction): Promise<void> {
  // What a row of an archive holds, and nothing else, has been read before.
  const { id: _id, created_at: _created, ...settings } = row;
  const columns = Object.keys(settings);
  await database().query(
    `update practices set ${columns.map((c) => `${c} = :${c}`).join(', ')} where id = :practiceId`,
    { replacements: { practiceId, ...settings }, transaction },
  );
  await database().query(
    'delete from templates where practice_id = :practiceId and origin is not null and version = 1',
    {
      replacements: { practiceId },
      transaction,
    },
  );
}

/**
 * Who of a file is who here: by id, else by address. Whoever is not here yet comes in by name, as
 * somebody who has left: an owner gives them access, or not.
 * @param id the one under which somebody who is new comes in
 */
export async function bringMember(
  practiceId: string,
  { name, email, created_at }: ArchiveRow,
  id: string,
  transaction: Transaction,
): Promise<{ id: string; isNew: boolean }> {
  const address = String(email).toLowerCase();
  const [here] = await database().query<{ id: string }>(
    'select id from practitioners where practice_id = :practiceId and (id = :id or email = :address) order by id = :id desc limit 1',
    { replacements: { practiceId, id, address }, type: QueryTypes.SELECT, transaction },
  );
  if (here) return { id: here.id, isNew: false };
  // Fits no password that anybody knows.
  const passwordHash = await hash(randomBytes(32));
  // An address opens one account only; who has it in another practice is known here by name alone.
  for (const at of [address, `${id}@nobody.invalid`]) {
    const rows = await database().query(
      `insert into practitioners (id, practice_id, name, email, password_hash, role, created_at, left_at) values (:id, :practiceId, :name, :at, :passwordHash, 'practitioner', :created_at, now())
       on conflict do nothing returning id`,
      { replacements: { id, practiceId, name, at, passwordHash, created_at }, type: QueryTypes.SELECT, transaction },
    );
    if (rows.length) break;
  }
  return { id, isNew: true };
}

/** Courses that have other ratings now are judged anew before anybody sees them. */
export async function judgeLater(
  practiceId: string,
  complaints: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (!complaints.length) return;
  await database().query(
    'update course_states set rule_version = :older where practice_id = :practiceId and complaint_id in (:complaints)',
    { replacements: { practiceId, complaints, older: COURSE_RULE_VERSION - 1 }, transaction },
  );
}
