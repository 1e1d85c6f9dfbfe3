import { QueryTypes } from 'sequelize';
import { signHead, trailKey } from '../audit-chain.ts';
import { connect, database } from './connection.ts';
import { refreshOutdatedCourses } from './queries/courses.server.ts';
import { inPractice } from './scope.ts';

/** Every practice of the database: only its owner sees more than one. */
export async function practiceIds(ownerUrl: string): Promise<string[]> {
  const owner = connect(ownerUrl, null);
  try {
    return (await owner.query<{ id: string }>('select id from practices order by created_at, id', { type: QueryTypes.SELECT })).map((r) => r.id);
  } finally {
    await owner.close();
  }
}

/** Signs trails that have no signed head yet, as they stand. */
export async function anchorTrails(practices: readonly string[]): Promise<void> {
  for (const practiceId of practices)
    await inPractice(practiceId, () =>
      database().transaction(async (transaction) => {
        const [last] = await database().query<{ seq: string; hash: string }>('select seq, hash from audit where practice_id = :practiceId and seq is not null order by seq desc limit 1', { replacements: { practiceId }, type: QueryTypes.SELECT, transaction });
        if (!last) return;
        const head = { practiceId, entries: Number(last.seq), hash: last.hash };
        await database().query('insert into trail_heads (practice_id, entries, hash, signature) values (:practiceId, :entries, :hash, :signature) on conflict do nothing', { replacements: { ...head, signature: signHead(head, trailKey()) }, transaction });
      }),
    );
}

/** Courses judged under an older rule, or not yet. */
export async function refreshAllCourses(practices: readonly string[]): Promise<void> {
  for (const practiceId of practices) await refreshOutdatedCourses(practiceId);
}
