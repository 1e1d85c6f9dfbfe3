import { COURSE_RULE_VERSION } from '../../core/relief/index.ts';
import { QueryTypes } from 'sequelize';
import { signHead, trailKey } from '../audit-chain.ts';
import { connect, database } from './connection.ts';
import { refreshOutdatedCourses } from './queries/courses.server.ts';
import { inPractice } from './scope.ts';

async function asOwner<T extends object>(ownerUrl: string, sql: string): Promise<T[]> {
  const owner = connect(ownerUrl, null);
  try {
    return await owner.query<T>(sql, { type: QueryTypes.SELECT });
  } finally {
    await owner.close();
  }
}

/** Every practice of the database: only its owner sees more than one. */
export const practiceIds = async (ownerUrl: string): Promise<string[]> =>
  (await asOwner<{ id: string }>(ownerUrl, 'select id from practices order by created_at, id')).map((r) => r.id);

/** Signs trails that have no signed head yet, as they stand. */
export async function anchorTrails(practices: readonly string[]): Promise<void> {
  for (const practiceId of practices)
    await inPractice(practiceId, () =>
      database().transaction(async (transaction) => {
        const [last] = await database().query<{ seq: string; hash: string }>(
          'select seq, hash from audit where practice_id = :practiceId and seq is not null order by seq desc limit 1',
          { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
        );
        if (!last) return;
        const head = { practiceId, entries: Number(last.seq), hash: last.hash };
        await database().query(
          'insert into trail_heads (practice_id, entries, hash, signature) values (:practiceId, :entries, :hash, :signature) on conflict do nothing',
          { replacements: { ...head, signature: signHead(head, trailKey()) }, transaction },
        );
      }),
    );
}

/** How techniques scatter over the clients of each practice, learned from what came before easier days on each course. */
export async function learnSpreads(ownerUrl: string): Promise<void> {
  await asOwner(
    ownerUrl,
    `update practices p set effect_spread = jsonb_build_object('pairs', l.pairs, 'meanSquare', l.mean_square) from (
       select s.practice_id, count(*) as pairs, avg((row->>'effect')::float8 ^ 2 - (row->>'error')::float8 ^ 2) as mean_square
       from course_states s cross join lateral jsonb_array_elements(s.preceded->'rows') row
       where row->>'effect' is not null and jsonb_array_length(row->'techniques') = 1 group by s.practice_id) l
     where l.practice_id = p.id`,
  );
}

/** Courses judged under an older rule, or not yet; which practices have any is one question. */
export async function refreshAllCourses(ownerUrl: string): Promise<void> {
  const outdated = await asOwner<{ id: string }>(
    ownerUrl,
    `select distinct k.practice_id as id from complaints k left join course_states s on s.practice_id = k.practice_id and s.complaint_id = k.id
     where s.rule_version is distinct from ${COURSE_RULE_VERSION} and exists (select 1 from readings r where r.practice_id = k.practice_id and r.complaint_id = k.id)`,
  );
  for (const { id } of outdated) await refreshOutdatedCourses(id);
}
