import { randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { WorkVisit } from '../../../core/exchange/index.ts';
import { USUAL_BOOKING_MINUTES } from '../../../core/record/index.ts';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';
import { type Member, tokenDigest } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

/** The link to one's own calendar, as it is known here: its secret is nobody's. */
export const calendarLinkOf = byPractice(
  async ({ practiceId, practitionerId }: Member): Promise<{ madeAt: string; withNames: boolean } | null> => {
    const [row] = await database().query<{ made: Date; withNames: boolean }>(
      'select made_at as made, with_names as "withNames" from calendar_links where practice_id = :practiceId and practitioner_id = :practitionerId',
      { replacements: { practiceId, practitionerId }, type: QueryTypes.SELECT },
    );
    return row ? { madeAt: row.made.toISOString(), withNames: row.withNames } : null;
  },
);

/** A link under which a calendar reads one's visits; the one before opens nothing any more. Its secret is told this once. */
export const makeCalendarLink = byPractice((who: Member, withNames: boolean): Promise<string> =>
  database().transaction(async (transaction) => {
    const secret = randomBytes(32).toString('base64url');
    await database().query(
      `insert into calendar_links (practice_id, practitioner_id, token_hash, with_names) values (:practiceId, :practitionerId, :hash, :withNames)
       on conflict (practitioner_id) do update set token_hash = excluded.token_hash, with_names = excluded.with_names, made_at = now()`,
      {
        replacements: {
          practiceId: who.practiceId,
          practitionerId: who.practitionerId,
          hash: tokenDigest(secret),
          withNames,
        },
        transaction,
      },
    );
    await writeAudit(who, 'calendar-link-made', {}, transaction);
    return secret;
  }),
);

export const endCalendarLink = byPractice((who: Member): Promise<boolean> =>
  database().transaction(async (transaction) => {
    const gone = await database().query(
      'delete from calendar_links where practice_id = :practiceId and practitioner_id = :practitionerId returning 1',
      {
        replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId },
        type: QueryTypes.SELECT,
        transaction,
      },
    );
    if (gone.length) await writeAudit(who, 'calendar-link-ended', {}, transaction);
    return gone.length > 0;
  }),
);

export interface CalendarHolder extends Member {
  practice: string;
  timeZone: string;
  name: string;
  withNames: boolean;
}
/** Whose calendar a secret opens, before anybody is signed in; nothing where they have left. */
export async function calendarOfSecret(secret: string): Promise<CalendarHolder | null> {
  if (!/^[\w-]{43}$/.test(secret)) return null;
  const [found] = await database().query<CalendarHolder>('select * from calendar_of(:hash)', {
    replacements: { hash: tokenDigest(secret) },
    type: QueryTypes.SELECT,
  });
  return found ?? null;
}

/** Days back and ahead that a calendar is told of. Our choice. */
const [DAYS_BACK, DAYS_AHEAD] = [14, 180];

/** Visits of one practitioner around now, those that were cancelled among them. */
export const workVisits = byPractice(
  async (
    { practiceId, practitionerId, withNames }: Member & { withNames: boolean },
    now: Date,
  ): Promise<WorkVisit[]> => {
    const at = (days: number) => new Date(now.getTime() + days * 86_400_000);
    const rows = await database().query<Omit<WorkVisit, 'startsAt'> & { startsAt: Date }>(
      `select v.id as "visitId", v.version, v.starts_at as "startsAt", coalesce(v.booked_minutes, ${USUAL_BOOKING_MINUTES}) as minutes,
       case when :withNames then c.name end as client, r.name as room, v.stage in ('cancelled', 'postponed') as "isOut"
       from visits v join clients c on c.practice_id = v.practice_id and c.id = v.client_id left join rooms r on r.practice_id = v.practice_id and r.id = v.room_id
       where v.practice_id = :practiceId and v.practitioner_id = :practitionerId and v.starts_at > :from and v.starts_at < :to order by v.starts_at limit 2000`,
      {
        replacements: { practiceId, practitionerId, withNames, from: at(-DAYS_BACK), to: at(DAYS_AHEAD) },
        type: QueryTypes.SELECT,
      },
    );
    return rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));
  },
);
