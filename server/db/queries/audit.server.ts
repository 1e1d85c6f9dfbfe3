import type { TrailCheck } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { chained, FIRST_HASH, headFits, signHead, trailKey } from '../../audit-chain.ts';
import { database } from '../connection.ts';
import { AuditModel } from '../models/index.ts';
import { byPractice } from '../scope.ts';

/** Who did what to which record: ids and keys only, never what a client said. */
export interface AuditAbout {
  [key: string]: string | number | string[];
}
interface Entry {
  seq: number;
  at: string;
  what: string;
  by: string | null;
  about: Record<string, unknown>;
}
interface Stored extends Entry {
  hash: string;
}

const hashOf = (before: string, { seq, at, what, by, about }: Entry): string =>
  chained(before, { seq, at, what, by, about });

/** Appends to the practice's trail, in the transaction of what it tells about. Two at once wait for each other. */
export async function writeAudit(
  who: { practiceId: string; practitionerId: string | null },
  what: string,
  about: AuditAbout,
  transaction: Transaction,
): Promise<void> {
  const { practiceId, practitionerId } = who;
  await database().query('select pg_advisory_xact_lock(7310043, hashtext(:practiceId))', {
    replacements: { practiceId },
    transaction,
  });
  const [last] = await database().query<{ seq: string; hash: string }>(
    'select seq, hash from audit where practice_id = :practiceId and seq is not null order by seq desc limit 1',
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );
  const entry: Entry = {
    seq: Number(last?.seq ?? 0) + 1,
    at: new Date().toISOString(),
    what,
    by: practitionerId,
    about,
  };
  const hash = hashOf(last?.hash ?? FIRST_HASH, entry);
  await AuditModel.create(
    { practiceId, practitionerId, at: new Date(entry.at), what, about, seq: entry.seq, hash },
    { transaction },
  );
  await database().query(
    `insert into trail_heads (practice_id, entries, hash, signature) values (:practiceId, :entries, :hash, :signature)
     on conflict (practice_id) do update set entries = excluded.entries, hash = excluded.hash, signature = excluded.signature`,
    {
      replacements: {
        practiceId,
        entries: entry.seq,
        hash,
        signature: signHead({ practiceId, entries: entry.seq, hash }, trailKey()),
      },
      transaction,
    },
  );
}

/** An entry by itself, where nothing else is written with it. */
export const noteInTrail = byPractice(
  async (
    who: { practiceId: string; practitionerId: string | null },
    what: string,
    about: AuditAbout,
  ): Promise<void> => {
    await database().transaction((transaction) => writeAudit(who, what, about, transaction));
  },
);

export interface AuditRow {
  seq: number;
  at: string;
  what: string;
  by: string;
  about: AuditAbout;
}

/** A page of entries, newest first, below one of them or from the top; and how many there are. */
export const auditTrail = byPractice(
  async (practiceId: string, below: number | null, limit: number): Promise<{ rows: AuditRow[]; entries: number }> => {
    const rows = await database().query<Omit<AuditRow, 'at'> & { at: Date }>(
      `select a.seq::float8 as seq, a.at, a.what, coalesce(p.name, '') as "by", a.about from audit a left join practitioners p on p.id = a.practitioner_id and p.practice_id = a.practice_id
     where a.practice_id = :practiceId and a.seq is not null ${below === null ? '' : 'and a.seq < :below'} order by a.seq desc limit :limit`,
      { replacements: { practiceId, below, limit }, type: QueryTypes.SELECT },
    );
    const [head] = await database().query<{ seq: string }>(
      'select seq from audit where practice_id = :practiceId and seq is not null order by seq desc limit 1',
      { replacements: { practiceId }, type: QueryTypes.SELECT },
    );
    return { rows: rows.map((r) => ({ ...r, at: r.at.toISOString() })), entries: Number(head?.seq ?? 0) };
  },
);

/** Entries that came with an archive, newest first: they belong to no chain of this installation. */
export const broughtTrail = byPractice(
  async (
    practiceId: string,
    limit: number,
  ): Promise<{ rows: (Omit<AuditRow, 'seq'> & { seq: null })[]; entries: number }> => {
    const rows = await database().query<Omit<AuditRow, 'at' | 'seq'> & { at: Date }>(
      `select a.at, a.what, coalesce(p.name, '') as "by", a.about from audit a left join practitioners p on p.id = a.practitioner_id and p.practice_id = a.practice_id
     where a.practice_id = :practiceId and a.seq is null order by a.at desc, a.id limit :limit`,
      { replacements: { practiceId, limit }, type: QueryTypes.SELECT },
    );
    const [all] = await database().query<{ n: number }>(
      'select count(*)::int as n from audit where practice_id = :practiceId and seq is null',
      { replacements: { practiceId }, type: QueryTypes.SELECT },
    );
    return { rows: rows.map((r) => ({ ...r, seq: null, at: r.at.toISOString() })), entries: all!.n };
  },
);

/** Entries read at once, whatever the length of the trail. */
const TRAIL_PORTION = 2000;

/** Checks the portion after an entry; call again with `upTo` until it is whole. */
export const checkTrail = byPractice(async (practiceId: string, after: number): Promise<TrailCheck> => {
  const ask = { practiceId, after: Math.max(0, Math.trunc(after)), limit: TRAIL_PORTION };
  const rows = (
    await database().query<Omit<Stored, 'at' | 'seq'> & { at: Date; seq: string }>(
      'select seq, at, what, practitioner_id as "by", about, hash from audit where practice_id = :practiceId and seq >= :after and seq is not null order by seq limit :limit + 1',
      { replacements: ask, type: QueryTypes.SELECT },
    )
  ).map((r): Stored => ({ ...r, seq: Number(r.seq), at: r.at.toISOString() }));
  // The entry before the portion gives the hash that its first one must fit.
  const before = ask.after > 0 ? rows.shift() : null;
  let hash = before?.hash ?? FIRST_HASH;
  let seq = ask.after;
  if (ask.after > 0 && before?.seq !== ask.after)
    return { upTo: ask.after, brokenAt: ask.after, whole: true, headFits: false };
  for (const row of rows) {
    if (row.seq !== seq + 1 || row.hash !== hashOf(hash, row))
      return { upTo: seq, brokenAt: row.seq, whole: true, headFits: null };
    ({ seq, hash } = row);
  }
  if (rows.length >= TRAIL_PORTION) return { upTo: seq, brokenAt: null, whole: false, headFits: null };
  const [head] = await database().query<{ entries: string; hash: string; signature: string }>(
    'select entries, hash, signature from trail_heads where practice_id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  const fits = head
    ? Number(head.entries) === seq &&
      head.hash === hash &&
      headFits({ practiceId, entries: seq, hash }, head.signature, trailKey())
    : seq === 0;
  return { upTo: seq, brokenAt: null, whole: true, headFits: fits };
});
