import { QueryTypes } from 'sequelize';
import type { Answer } from '../../../core/limits/index.ts';
import type { BeforeItem } from '../../../core/schedule/index.ts';
import { happenedAt } from '../../../core/schedule/index.ts';
import { isYes } from '../../../core/limits/index.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { refreshCourse } from './courses.server.ts';
import { keepFlag, keepHomeRating } from './home-arrivals.server.ts';
import type { LinkHolder } from './links.server.ts';

/**
 * Keeps what a client tells before a first visit: all of it or nothing, a later word in the place of an earlier one. A
 * yes to a red flag that was none before is told on Today. @returns the ids that are kept.
 */
export const takeSaidBefore = byPractice(
  async (
    holder: LinkHolder,
    items: readonly BeforeItem[],
    redFlags: ReadonlySet<string>,
    sentAt: Date,
    now: Date,
  ): Promise<string[]> => {
    const { practiceId, clientId } = holder;
    return database().transaction(async (transaction) => {
      const [client] = await database().query<{ made: Date }>(
        'select created_at as made from clients where practice_id = :practiceId and id = :clientId for update',
        { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
      );
      const rated = new Set<string>();
      for (const item of items) {
        const at = happenedAt(new Date(item.at), sentAt, now, client!.made);
        if (item.kind === 'rating') {
          if (await keepHomeRating(holder, item, at, transaction)) rated.add(item.complaintId);
          continue;
        }
        const changed = await database().query<{ question: string; answer: Answer; before: Answer | null }>(
          `with said as (select key as question, value as answer from jsonb_each_text(cast(:answers as jsonb))),
           old as (select s.question, s.answer from said_before s join said using (question) where s.practice_id = :practiceId and s.client_id = :clientId),
           kept as (insert into said_before (practice_id, client_id, question, answer, at) select :practiceId, :clientId, question, answer, :at from said
             on conflict (practice_id, client_id, question) do update set answer = excluded.answer, at = excluded.at where said_before.at < excluded.at
             returning question, answer)
           select kept.question, kept.answer, old.answer as before from kept left join old using (question)`,
          {
            replacements: { practiceId, clientId, answers: JSON.stringify(item.answers), at },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        const yes = changed.filter((c) => redFlags.has(c.question) && isYes(c.answer) && !isYes(c.before ?? undefined));
        if (yes.length)
          await keepFlag(
            holder,
            item.id,
            yes.map((c) => c.question),
            at,
            transaction,
          );
      }
      for (const id of [...rated].sort()) await refreshCourse(practiceId, clientId, id, transaction);
      return items.map((i) => i.id);
    });
  },
);

/** What a client told ahead and no visit but this one has asked about since, by question. */
export const saidBefore = byPractice(
  async (practiceId: string, visit: { id: string; clientId: string }): Promise<Record<string, Answer>> => {
    if (!isUuid(visit.clientId) || !isUuid(visit.id)) return {};
    const rows = await database().query<{ question: string; answer: Answer }>(
      `select question, answer from said_before s where practice_id = :practiceId and client_id = :clientId and not exists (
         select 1 from visits v where v.practice_id = :practiceId and v.client_id = :clientId and v.id <> :id
         and v.stage not in ('screen', 'cancelled', 'missed') and v.starts_at > s.at)`,
      { replacements: { practiceId, clientId: visit.clientId, id: visit.id }, type: QueryTypes.SELECT },
    );
    return Object.fromEntries(rows.map((r) => [r.question, r.answer]));
  },
);

/** Days on which a client rated by themselves since a link was made, in order. */
export const ratedDays = byPractice(async (holder: LinkHolder, zone: string): Promise<string[]> => {
  const { practiceId, clientId, id } = holder;
  const rows = await database().query<{ day: string }>(
    `select distinct (r.taken_at at time zone :zone)::date::text as day from readings r join client_links l on l.practice_id = r.practice_id and l.id = :id
     where r.practice_id = :practiceId and r.client_id = :clientId and r.source = 'home' and r.visit_id is null and r.taken_at >= l.made_at - interval '1 day' order by 1`,
    { replacements: { practiceId, clientId, id, zone }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => r.day);
});
