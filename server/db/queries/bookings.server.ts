import { type Booking, isStillBooked, overlapping, type VisitStage } from '../../../core/record/index.ts';
import type { Routine } from '../../../core/routine/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import type { VisitModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { createVisit } from './visits.server.ts';
import { lockVisit } from './shared.server.ts';

/** Looked at around a moment for what lies over it: no booking is longer. */
const REACH_MS = 8 * 3_600_000;

const SELECT = `select v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.practitioner_id as "practitionerId",
  p.name as practitioner, v.starts_at as "startsAt", v.booked_minutes as minutes, v.stage
  from visits v join clients c on c.practice_id = v.practice_id and c.id = v.client_id join practitioners p on p.practice_id = v.practice_id and p.id = v.practitioner_id
  where v.practice_id = :practiceId`;
type Row = Omit<Booking, 'startsAt'> & { startsAt: Date };
const plain = (rows: readonly Row[]): Booking[] => rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));

/** Bookings of the same practitioner, or of the same client, that lie over the wanted one. */
export const bookingsOver = byPractice(
  async (
    practiceId: string,
    wanted: { visitId: string; clientId: string; practitionerId: string; startsAt: Date; minutes: number | null },
  ): Promise<Booking[]> => {
    const at = wanted.startsAt.getTime();
    const rows = await database().query<Row>(
      `${SELECT} and v.starts_at > :from and v.starts_at < :to and v.stage not in ('cancelled', 'missed', 'postponed', 'stopped', 'done')
       and (v.practitioner_id = :practitionerId or v.client_id = :clientId) order by v.starts_at`,
      {
        replacements: {
          practiceId,
          practitionerId: wanted.practitionerId,
          clientId: wanted.clientId,
          from: new Date(at - REACH_MS),
          to: new Date(at + REACH_MS),
        },
        type: QueryTypes.SELECT,
      },
    );
    return overlapping({ ...wanted, startsAt: wanted.startsAt.toISOString() }, plain(rows));
  },
);

/** The next booking of a client after a moment that nobody has begun; null without one. */
export const nextBooking = byPractice(
  async (practiceId: string, clientId: string, after: Date): Promise<Booking | null> => {
    if (!isUuid(clientId)) return null;
    const rows = await database().query<Row>(
      `${SELECT} and v.client_id = :clientId and v.starts_at > :after and v.stage = 'screen' order by v.starts_at limit 1`,
      { replacements: { practiceId, clientId, after }, type: QueryTypes.SELECT },
    );
    return plain(rows)[0] ?? null;
  },
);

/** All bookings of a client from a moment on that nobody has begun, each with its version. */
export const futureBookings = byPractice(
  async (
    practiceId: string,
    clientId: string,
    from: Date,
  ): Promise<{ visitId: string; version: number; startsAt: string; minutes: number | null }[]> => {
    if (!isUuid(clientId)) return [];
    const rows = await database().query<{ visitId: string; version: number; at: Date; minutes: number | null }>(
      `select id as "visitId", version, starts_at as at, booked_minutes as minutes from visits
       where practice_id = :practiceId and client_id = :clientId and starts_at > :from and stage = 'screen' order by starts_at limit 100`,
      { replacements: { practiceId, clientId, from }, type: QueryTypes.SELECT },
    );
    return rows.map(({ at, ...v }) => ({ ...v, startsAt: at.toISOString() }));
  },
);

export const findBooking = byPractice(async (practiceId: string, visitId: string): Promise<Booking | null> => {
  if (!isUuid(visitId)) return null;
  const rows = await database().query<Row>(`${SELECT} and v.id = :visitId`, {
    replacements: { practiceId, visitId },
    type: QueryTypes.SELECT,
  });
  return plain(rows)[0] ?? null;
});

/** Books a visit, once for a key; null when client or practitioner are not of this practice. */
export async function book(
  who: Member,
  input: { clientId: string; practitionerId: string; startsAt: Date; minutes: number; once?: string },
): Promise<string | null> {
  const { minutes, ...visit } = input;
  return createVisit(who.practiceId, { ...visit, bookedMinutes: minutes });
}

/** Locks a booking that nobody has begun and does something with it. */
async function withBooking(
  who: Member,
  visitId: string,
  act: (visit: VisitModel, transaction: Transaction) => Promise<void>,
): Promise<'done' | 'missing' | 'begun'> {
  if (!isUuid(visitId)) return 'missing';
  return database().transaction(async (transaction) => {
    const visit = await lockVisit(who.practiceId, visitId, transaction);
    if (!visit) return 'missing';
    if (!isStillBooked(visit)) return 'begun';
    await act(visit, transaction);
    return 'done';
  });
}

export const moveBooking = byPractice(async (who: Member, visitId: string, startsAt: Date, minutes: number) =>
  withBooking(who, visitId, async (visit, transaction) => {
    await visit.update({ startsAt, bookedMinutes: minutes, version: visit.version + 1 }, { transaction });
    await writeAudit(who, 'booking-moved', { visit: visitId }, transaction);
  }),
);

/** Takes a booking out of the book: the client cancelled, or did not come. */
export const endBooking = byPractice(
  async (who: Member, visitId: string, stage: Extract<VisitStage, 'cancelled' | 'missed'>) =>
    withBooking(who, visitId, async (visit, transaction) => {
      await visit.update({ stage, endedAt: new Date(), version: visit.version + 1 }, { transaction });
      await writeAudit(who, `visit-${stage}`, { visit: visitId }, transaction);
    }),
);

/** A booking is begun with a copy of a template, where it has no routine yet. */
export const beginWith = byPractice(
  async (who: Member, visitId: string, template: { id: string; version: number; body: Routine }) =>
    withBooking(who, visitId, async (visit, transaction) => {
      if (visit.routine) return;
      const routineOrigin = { template: template.id, version: template.version };
      await visit.update({ routine: template.body, routineOrigin, version: visit.version + 1 }, { transaction });
    }),
);
