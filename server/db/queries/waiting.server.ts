import type { WaitingClient } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** Who waits for a time, the longest first. */
export const waitingOf = byPractice(async (practiceId: string): Promise<WaitingClient[]> => {
  const rows = await database().query<Omit<WaitingClient, 'since'> & { made: Date }>(
    `select w.id, w.client_id as "clientId", c.name as "clientName", w.practitioner_id as "practitionerId", w.minutes, w.weekdays,
     w.part_of_day as "partOfDay", w.made_at as made
     from waiting w join clients c on c.practice_id = w.practice_id and c.id = w.client_id
     where w.practice_id = :practiceId order by w.made_at, w.id limit 200`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ made, ...row }) => ({ ...row, since: made.toISOString() }));
});

/** Puts a client on the list, or changes what they wait for. Null where client or practitioner are not of this practice. */
export const letWait = byPractice(
  (
    who: Member,
    input: Pick<WaitingClient, 'clientId' | 'practitionerId' | 'minutes' | 'weekdays' | 'partOfDay'>,
  ): Promise<string | null> =>
    database().transaction(async (transaction) => {
      const own = { practiceId: who.practiceId, by: who.practitionerId, ...input };
      if (!isUuid(input.clientId) || (input.practitionerId && !isUuid(input.practitionerId))) return null;
      const [row] = await database().query<{ id: string }>(
        `insert into waiting (practice_id, client_id, practitioner_id, minutes, weekdays, part_of_day, made_by)
         select c.practice_id, c.id, p.id, :minutes, string_to_array(:days, ',')::int[], :partOfDay, :by::uuid
         from clients c left join practitioners p on p.practice_id = c.practice_id and p.id = :practitionerId
         where c.practice_id = :practiceId and c.id = :clientId and (:practitionerId::uuid is null or p.id is not null)
         on conflict (practice_id, client_id) do update set practitioner_id = excluded.practitioner_id, minutes = excluded.minutes,
           weekdays = excluded.weekdays, part_of_day = excluded.part_of_day
         returning id`,
        { replacements: { ...own, days: input.weekdays.join(',') }, type: QueryTypes.SELECT, transaction },
      );
      if (!row) return null;
      await writeAudit(who, 'put-on-waiting-list', { client: input.clientId }, transaction);
      return row.id;
    }),
);

/** Takes a client off the list inside another change; false where they did not wait. */
export async function waitsNoMore(who: Member, clientId: string, transaction: Transaction): Promise<boolean> {
  const gone = await database().query(
    'delete from waiting where practice_id = :practiceId and client_id = :clientId returning id',
    { replacements: { practiceId: who.practiceId, clientId }, type: QueryTypes.SELECT, transaction },
  );
  if (gone.length) await writeAudit(who, 'off-waiting-list', { client: clientId }, transaction);
  return gone.length > 0;
}
export const endWaiting = byPractice(async (who: Member, clientId: string): Promise<boolean> =>
  isUuid(clientId) ? database().transaction((transaction) => waitsNoMore(who, clientId, transaction)) : false,
);
