import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** Whoever works with clients now: of these a booking and a client can be. */
export interface Hands {
  id: string;
  name: string;
}
export const handsOf = byPractice((practiceId: string): Promise<Hands[]> =>
  database().query<Hands>(
    `select id, name from practitioners where practice_id = :practiceId and left_at is null and role <> 'assistant' order by lower(name), id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  ),
);

/** A client is in the hands of who was named, else of who worked with them last. */
const IN_HANDS = `coalesce(c.practitioner_id, (select v.practitioner_id from visits v where v.practice_id = c.practice_id and v.client_id = c.id
  order by v.starts_at desc limit 1))`;
const COMING = `v.stage = 'screen' and v.starts_at > now()`;

export interface ClientOfTheirs {
  id: string;
  name: string;
  /** Visits that are booked with them from now on. */
  coming: number;
}
/** Clients in somebody's hands, and those who are booked with them, by name. */
export const clientsInHands = byPractice(
  async (practiceId: string, practitionerId: string): Promise<ClientOfTheirs[]> =>
    isUuid(practitionerId)
      ? database().query<ClientOfTheirs>(
          `select c.id, c.name, coalesce(b.coming, 0)::int as coming from clients c
           left join (select v.client_id, count(*) as coming from visits v where v.practice_id = :practiceId and v.practitioner_id = :practitionerId and ${COMING}
             group by v.client_id) b on b.client_id = c.id
           where c.practice_id = :practiceId and (b.coming is not null or ${IN_HANDS} = :practitionerId) order by lower(c.name), c.id`,
          { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
        )
      : [],
);

/** Who works with a client; null where nobody has yet. */
export const handsOfClient = byPractice(async (practiceId: string, clientId: string): Promise<Hands | null> => {
  if (!isUuid(clientId)) return null;
  const [found] = await database().query<Hands>(
    `select p.id, p.name from clients c join practitioners p on p.practice_id = c.practice_id and p.id = ${IN_HANDS}
     where c.practice_id = :practiceId and c.id = :clientId`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return found ?? null;
});

export interface HandedOver {
  clients: number;
  /** Booked visits that went with them. */
  visits: number;
  /** Of those, how many lie over another one of who has them now. */
  over: number;
}
/** Puts clients and what is booked with them into other hands, all or none. Null where who gives or takes is not here. */
export const handOver = byPractice(
  async (who: Member, from: string, to: string, clients: readonly string[]): Promise<HandedOver | null> => {
    if (from === to || ![from, to, ...clients].every(isUuid)) return null;
    const { practiceId } = who;
    const own = { practiceId, from, to, clients: [...clients] };
    return database().transaction(async (transaction) => {
      const asked = { replacements: own, type: QueryTypes.SELECT, transaction } as const;
      const people = await database().query<{ id: string }>(
        `select id from practitioners where practice_id = :practiceId and (id = :from or (id = :to and left_at is null and role <> 'assistant')) for share`,
        asked,
      );
      if (people.length < 2) return null;
      const given = await database().query<{ id: string }>(
        'update clients set practitioner_id = :to where practice_id = :practiceId and id in (:clients) returning id',
        asked,
      );
      const visits = await database().query<{ id: string }>(
        `update visits v set practitioner_id = :to, version = version + 1
         where v.practice_id = :practiceId and v.practitioner_id = :from and v.client_id in (:clients) and ${COMING} returning v.id`,
        asked,
      );
      const over = visits.length
        ? await database().query<{ n: number }>(
            `select count(distinct v.id)::int as n from visits v join visits o on o.practice_id = v.practice_id and o.practitioner_id = :to and o.id <> v.id
               and o.stage not in ('cancelled', 'missed', 'postponed', 'stopped', 'done')
               and tstzrange(o.starts_at, o.starts_at + coalesce(o.booked_minutes, 60) * interval '1 minute')
                && tstzrange(v.starts_at, v.starts_at + coalesce(v.booked_minutes, 60) * interval '1 minute')
             where v.practice_id = :practiceId and v.id in (:moved)`,
            { ...asked, replacements: { ...own, moved: visits.map((v) => v.id) } },
          )
        : [{ n: 0 }];
      await writeAudit(
        who,
        'clients-handed-over',
        { practitioner: to, clients: given.length, visits: visits.length },
        transaction,
      );
      return { clients: given.length, visits: visits.length, over: over[0]!.n };
    });
  },
);
