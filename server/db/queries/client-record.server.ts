import { QueryTypes, Transaction } from 'sequelize';
import type { CopiedRow, CopyKind } from '../../../core/exchange/index.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

const OF_CLIENT = 't.client_id = :clientId';
const OF_VISIT = 't.visit_id in (select id from visits where practice_id = :practiceId and client_id = :clientId)';
/** Where the facts of a client lie, by which way they are theirs, and in what order they are told. */
const WHERE: Record<CopyKind, { from: string; by: string; order: string }> = {
  clients: { from: 'clients', by: 't.id = :clientId', order: 't.id' },
  complaints: { from: 'complaints', by: OF_CLIENT, order: 't.position' },
  consents: { from: 'consents', by: OF_CLIENT, order: 't.given_at' },
  'body-measures': { from: 'body_measures', by: OF_CLIENT, order: 't.taken_on' },
  'patch-tests': { from: 'patch_tests', by: OF_CLIENT, order: 't.tested_on' },
  'said-before': { from: 'said_before', by: OF_CLIENT, order: 't.at, t.question' },
  visits: { from: 'visits', by: OF_CLIENT, order: 't.starts_at' },
  waiting: { from: 'waiting', by: OF_CLIENT, order: 't.made_at' },
  overrides: { from: 'overrides', by: OF_VISIT, order: 't.signed_at' },
  amendments: { from: 'visit_amendments', by: OF_VISIT, order: 't.written_at' },
  readings: { from: 'readings', by: OF_CLIENT, order: 't.taken_at, t.id' },
  scores: { from: 'scores', by: OF_CLIENT, order: 't.taken_at' },
  runs: { from: 'runs', by: OF_VISIT, order: 't.created_at' },
  'run-events': {
    from: 'run_events',
    by: `t.run_id in (select r.id from runs r join visits v on v.practice_id = r.practice_id and v.id = r.visit_id where r.practice_id = :practiceId and v.client_id = :clientId)`,
    order: 't.run_id, t.at_ms',
  },
  photos: { from: 'photos', by: OF_CLIENT, order: 't.taken_at' },
  decisions: { from: 'decisions', by: OF_CLIENT, order: 't.decided_at' },
  'home-plans': { from: 'home_plans', by: OF_CLIENT, order: 't.number' },
  'home-runs': { from: 'home_runs', by: OF_CLIENT, order: 't.ended_at' },
  'home-after': { from: 'home_after', by: OF_CLIENT, order: 't.at' },
  'home-flags': { from: 'home_flags', by: OF_CLIENT, order: 't.at' },
  links: { from: 'client_links', by: OF_CLIENT, order: 't.made_at' },
  reminders: { from: 'reminders', by: OF_CLIENT, order: 't.made_at' },
};

/** Tables that hold something of a client which is no fact of its own: worked out from others, or how it was sent. */
export const NO_FACTS = ['course_states', 'visit_writes'] as const;
/** Tables of which a copy tells. */
export const COPIED_TABLES: readonly string[] = Object.values(WHERE).map((w) => w.from);

/** Everything that is on record of a client, kind by kind, as one moment sees it; null for nobody’s client. */
export const wholeRecord = byPractice(
  async (practiceId: string, clientId: string): Promise<Record<CopyKind, CopiedRow[]> | null> => {
    if (!isUuid(clientId)) return null;
    return database().transaction(
      { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
      async (transaction) => {
        const out = {} as Record<CopyKind, CopiedRow[]>;
        for (const [kind, { from, by, order }] of Object.entries(WHERE) as [CopyKind, (typeof WHERE)[CopyKind]][]) {
          const rows = await database().query<{ row: CopiedRow }>(
            // A secret is nobody’s to take along, and a picture is a file of its own.
            `select to_jsonb(t) - 'practice_id' - 'token_hash' - 'bytes' as row from ${from} t where t.practice_id = :practiceId and ${by} order by ${order}`,
            { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
          );
          out[kind] = rows.map((r) => r.row);
        }
        return out.clients.length ? out : null;
      },
    );
  },
);

/** The pictures of a client, one after the other. */
export async function* clientPhotos(
  practiceId: string,
  photos: readonly CopiedRow[],
): AsyncGenerator<{ id: string; bytes: Buffer }> {
  for (const { id } of photos) {
    const bytes = await onePhoto(practiceId, String(id));
    if (bytes) yield { id: String(id), bytes };
  }
}
const onePhoto = byPractice(async (practiceId: string, id: string): Promise<Buffer | null> => {
  const [row] = await database().query<{ bytes: Buffer }>(
    'select bytes from photos where practice_id = :practiceId and id = :id',
    { replacements: { practiceId, id }, type: QueryTypes.SELECT },
  );
  return row?.bytes ?? null;
});

/** Names of those who work here, by id. */
export const memberNames = byPractice(async (practiceId: string): Promise<Record<string, string>> => {
  const rows = await database().query<{ id: string; name: string }>(
    'select id, name from practitioners where practice_id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return Object.fromEntries(rows.map((r) => [r.id, r.name]));
});

/** What stays of somebody who is let go: a closed file until a day; null where nothing has to stay. */
export interface ToKeep {
  name: string;
  reason: string;
  until: string;
  file: Buffer;
}

/**
 * Takes a client out of the practice, with everything of theirs; what has to be kept is put away in the same moment. The
 * trail tells that somebody was let go and by whom, not who it was. False for nobody’s client.
 */
export const letClientGo = byPractice(async (who: Member, clientId: string, keep: ToKeep | null): Promise<boolean> => {
  if (!isUuid(clientId)) return false;
  const { practiceId, practitionerId } = who;
  return database().transaction(async (transaction) => {
    const [row] = await database().query<{ gone: boolean }>('select erase_client(:clientId) as gone', {
      replacements: { clientId },
      type: QueryTypes.SELECT,
      transaction,
    });
    if (!row!.gone) return false;
    if (keep)
      await database().query(
        'insert into kept_records (practice_id, name, reason, keep_until, file, made_by) values (:practiceId, :name, :reason, :until, :file, :practitionerId)',
        { replacements: { practiceId, practitionerId, ...keep }, transaction },
      );
    await writeAudit(who, keep ? 'client-limited' : 'client-erased', keep ? { until: keep.until } : {}, transaction);
    return true;
  });
});

export interface KeptRecord {
  id: string;
  name: string;
  reason: string;
  until: string;
  madeAt: string;
  by: string;
}
export const keptRecords = byPractice(async (practiceId: string): Promise<KeptRecord[]> => {
  const rows = await database().query<Omit<KeptRecord, 'madeAt'> & { made: Date }>(
    `select k.id, k.name, k.reason, k.keep_until::text as until, k.made_at as made, p.name as by from kept_records k join practitioners p on p.practice_id = k.practice_id and p.id = k.made_by
     where k.practice_id = :practiceId order by k.keep_until, k.name limit 500`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ made, ...r }) => ({ ...r, madeAt: made.toISOString() }));
});

/** The closed file itself; the trail tells that it was opened. */
export const openKept = byPractice(async (who: Member, id: string): Promise<Buffer | null> => {
  if (!isUuid(id)) return null;
  const { practiceId } = who;
  return database().transaction(async (transaction) => {
    const [row] = await database().query<{ file: Buffer }>(
      'select file from kept_records where practice_id = :practiceId and id = :id',
      { replacements: { practiceId, id }, type: QueryTypes.SELECT, transaction },
    );
    if (row) await writeAudit(who, 'kept-record-opened', { record: id }, transaction);
    return row?.file ?? null;
  });
});

/** Takes a closed file away for good. */
export const eraseKept = byPractice(async (who: Member, id: string): Promise<boolean> => {
  if (!isUuid(id)) return false;
  const { practiceId } = who;
  return database().transaction(async (transaction) => {
    const rows = await database().query(
      'delete from kept_records where practice_id = :practiceId and id = :id returning id',
      {
        replacements: { practiceId, id },
        type: QueryTypes.SELECT,
        transaction,
      },
    );
    if (rows.length) await writeAudit(who, 'kept-record-erased', { record: id }, transaction);
    return rows.length > 0;
  });
});
