import type { Booking } from '../../../core/record/index.ts';
import type { Routine } from '../../../core/routine/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';

/** A visit of a day with what its length is told from. */
export interface DayRow extends Booking {
  /** Its own, or the client's latest earlier one. */
  routine: Routine | null;
  isTypical: boolean;
  /** Nobody has worked with the client yet. */
  isFirst: boolean;
  /** How often the client did not come. */
  missed: number;
}

/** Visits that begin within a span, in order, with their routines. */
export const dayRows = byPractice(async (practiceId: string, from: Date, to: Date): Promise<DayRow[]> => {
  const rows = await database().query<
    Omit<DayRow, 'startsAt' | 'routine' | 'isTypical'> & { startsAt: Date; own: unknown; latest: unknown }
  >(
    `select v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.practitioner_id as "practitionerId", p.name as practitioner,
     v.room_id as "roomId", v.starts_at as "startsAt", v.booked_minutes as minutes, v.stage, v.routine as own, o.routine as latest,
     not exists (select 1 from visits o where o.practice_id = v.practice_id and o.client_id = v.client_id and o.stage not in ('screen', 'cancelled', 'missed')) as "isFirst",
     (select count(*)::int from visits o where o.practice_id = v.practice_id and o.client_id = v.client_id and o.stage = 'missed') as missed
     from visits v join clients c on c.id = v.client_id and c.practice_id = v.practice_id join practitioners p on p.id = v.practitioner_id
     left join lateral (select o.routine from visits o where v.routine is null and o.practice_id = v.practice_id and o.client_id = v.client_id
       and o.routine is not null and o.starts_at < v.starts_at order by o.starts_at desc limit 1) o on true
     where v.practice_id = :practiceId and v.starts_at >= :from and v.starts_at < :to order by v.starts_at, lower(c.name)`,
    { replacements: { practiceId, from, to }, type: QueryTypes.SELECT },
  );
  return rows.map(({ startsAt, own, latest, ...row }) => ({
    ...row,
    startsAt: startsAt.toISOString(),
    routine: storedRoutine(own ?? latest),
    isTypical: !own,
  }));
});

/** When visits of a span are, and nothing else: for the days beside the one that is looked at. */
export const timesBetween = byPractice(
  async (practiceId: string, from: Date, to: Date): Promise<Pick<Booking, 'startsAt' | 'minutes'>[]> => {
    const rows = await database().query<{ startsAt: Date; minutes: number | null }>(
      `select starts_at as "startsAt", booked_minutes as minutes from visits
       where practice_id = :practiceId and starts_at >= :from and starts_at < :to and stage not in ('cancelled', 'postponed') order by starts_at`,
      { replacements: { practiceId, from, to }, type: QueryTypes.SELECT },
    );
    return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
  },
);

/** What a client's visits were like lately: what a new one is booked like. Whoever has left is not booked any more. */
export interface UsualVisit {
  routine: Routine | null;
  practitionerId: string | null;
  roomId: string | null;
}
export const usualVisit = byPractice(async (practiceId: string, clientId: string): Promise<UsualVisit | null> => {
  if (!isUuid(clientId)) return null;
  const [row] = await database().query<{ routine: unknown; practitionerId: string | null; roomId: string | null }>(
    `select p.id as "practitionerId", l.room_id as "roomId",
     (select v.routine from visits v where v.practice_id = c.practice_id and v.client_id = c.id and v.routine is not null order by v.starts_at desc limit 1) as routine
     from clients c left join lateral (select v.practitioner_id, v.room_id from visits v where v.practice_id = c.practice_id and v.client_id = c.id
       order by v.starts_at desc limit 1) l on true
     left join practitioners p on p.practice_id = c.practice_id and p.id = coalesce(c.practitioner_id, l.practitioner_id)
       and p.left_at is null and p.role <> 'assistant'
     where c.practice_id = :practiceId and c.id = :clientId`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return row ? { ...row, routine: storedRoutine(row.routine) } : null;
});
