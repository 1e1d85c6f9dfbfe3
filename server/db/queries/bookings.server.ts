import {
  type Booking,
  type BookingAsks,
  bookingAsksOf,
  isStillBooked,
  type Keeps,
  keptMinutes,
  type VisitStage,
  type WantedBooking,
} from '../../../core/record/index.ts';
import { routineSeconds, type Routine } from '../../../core/routine/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import type { VisitModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import { storedRoutine } from '../stored.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { wasMade } from './once.server.ts';
import { findRoom, workingHoursOf } from './rooms.server.ts';
import { lockVisit } from './shared.server.ts';
import { createVisitIn } from './visits.server.ts';
import { waitsNoMore } from './waiting.server.ts';

/** Looked at around a moment for what lies over it: no booking is longer. */
const REACH_MS = 8 * 3_600_000;

const SELECT = `select v.id as "visitId", v.client_id as "clientId", c.name as "clientName", v.practitioner_id as "practitionerId",
  p.name as practitioner, v.starts_at as "startsAt", v.booked_minutes as minutes, v.stage, v.room_id as "roomId"
  from visits v join clients c on c.practice_id = v.practice_id and c.id = v.client_id join practitioners p on p.practice_id = v.practice_id and p.id = v.practitioner_id
  where v.practice_id = :practiceId`;
type Row = Omit<Booking, 'startsAt'> & { startsAt: Date };
const plain = (rows: readonly Row[]): Booking[] => rows.map((r) => ({ ...r, startsAt: r.startsAt.toISOString() }));

/** What stands in the book around a wanted time, of the practitioner, the client or the room. */
async function bookingsAround(
  practiceId: string,
  wanted: Omit<WantedBooking, 'keptMinutes'>,
  transaction: Transaction,
): Promise<(Booking & { seconds: number | null })[]> {
  const at = Date.parse(wanted.startsAt);
  const { practitionerId, clientId, roomId } = wanted;
  const replacements = {
    ...{ practiceId, practitionerId, clientId, roomId },
    from: new Date(at - REACH_MS),
    to: new Date(at + REACH_MS),
  };
  const rows = await database().query<Row & { routine: unknown }>(
    `${SELECT.replace('select ', 'select v.routine, ')} and v.starts_at > :from and v.starts_at < :to and v.stage not in ('cancelled', 'missed', 'postponed', 'stopped', 'done')
     and (v.practitioner_id = :practitionerId or v.client_id = :clientId or v.room_id = :roomId) order by v.starts_at`,
    { replacements, type: QueryTypes.SELECT, transaction },
  );
  return rows.map(({ routine, startsAt, ...row }) => ({
    ...row,
    startsAt: startsAt.toISOString(),
    seconds: plannedSeconds(routine),
  }));
}
/** Of a stored routine; null without one, or with none of its steps. */
function plannedSeconds(stored: unknown): number | null {
  const routine = storedRoutine(stored ?? null);
  return routine?.items.length ? routineSeconds(routine) : null;
}

/** How a booking is meant. */
export interface HowBooked {
  /** What looks like a slip was asked about already. */
  isSure: boolean;
  /** Its day is before today. */
  isPast: boolean;
}
/** Held while a booking is looked at and written, so that two of one moment see each other. */
async function withTheBook<T>(practiceId: string, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  return database().transaction(async (transaction) => {
    await database().query(`select pg_advisory_xact_lock(hashtextextended('book ' || :practiceId, 0))`, {
      replacements: { practiceId },
      transaction,
    });
    return work(transaction);
  });
}
async function asksOf(
  practiceId: string,
  wanted: Omit<WantedBooking, 'keptMinutes'>,
  seconds: number | null,
  how: HowBooked,
  transaction: Transaction,
) {
  if (how.isSure) return null;
  const others = await bookingsAround(practiceId, wanted, transaction);
  const room = await findRoom(practiceId, wanted.roomId, transaction);
  const around = await workingHoursOf(practiceId, transaction);
  const kept = <B extends Pick<Booking, 'minutes'>>(b: B, routineSeconds: number | null): B & Keeps => ({
    ...b,
    keptMinutes: keptMinutes({ minutes: b.minutes, routineSeconds }, around, room?.changeMinutes ?? 0),
  });
  return bookingAsksOf(
    kept(wanted, seconds),
    others.map(({ seconds: own, ...b }) => kept(b, own)),
    room,
    how.isPast,
  );
}
/** Whether somebody works with clients here, and a room is of this practice. */
async function isHere(
  practiceId: string,
  { practitionerId, roomId }: { practitionerId: string; roomId: string | null },
  transaction: Transaction,
): Promise<boolean> {
  if (!isUuid(practitionerId) || (roomId !== null && !isUuid(roomId))) return false;
  const [found] = await database().query(
    `select 1 from practitioners where practice_id = :practiceId and id = :practitionerId and left_at is null and role <> 'assistant'
     and (:roomId::uuid is null or exists (select 1 from rooms r where r.practice_id = :practiceId and r.id = :roomId))`,
    { replacements: { practiceId, practitionerId, roomId }, type: QueryTypes.SELECT, transaction },
  );
  return !!found;
}

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

export interface BookingInput {
  clientId: string;
  practitionerId: string;
  roomId?: string | null;
  startsAt: Date;
  minutes: number;
  once?: string;
  /** Whoever waited for a time has one now. */
  isFromWaiting?: boolean;
}
export type BookedOrAsked = { visitId: string; asks: null } | { visitId: null; asks: BookingAsks };
const MEANT: HowBooked = { isSure: true, isPast: false };

/** Books a visit, once for a key, or says what is to be asked first; null where client, practitioner or room are not of this practice. */
export const book = byPractice(
  async (
    who: Member,
    { minutes, isFromWaiting = false, roomId = null, ...input }: BookingInput,
    how: HowBooked = MEANT,
  ): Promise<BookedOrAsked | null> => {
    const { practiceId } = who;
    return withTheBook(practiceId, async (transaction) => {
      if (!(await isHere(practiceId, { ...input, roomId }, transaction))) return null;
      const wanted = { ...input, visitId: '', roomId, minutes, startsAt: input.startsAt.toISOString() };
      // Sent a second time it was booked already, and does not stand in its own way.
      const isAgain = await wasMade(practiceId, input.once, transaction);
      const asks = isAgain ? null : await asksOf(practiceId, wanted, null, how, transaction);
      if (asks) return { visitId: null, asks };
      const visitId = await createVisitIn(practiceId, { ...input, roomId, bookedMinutes: minutes }, transaction);
      if (visitId && isFromWaiting) await waitsNoMore(who, input.clientId, transaction);
      return visitId ? { visitId, asks: null } : null;
    });
  },
);

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

/** Where a booking goes: what is not said stays. */
export interface BookingMove {
  startsAt: Date;
  minutes: number;
  practitionerId?: string;
  roomId?: string | null;
}
export const moveBooking = byPractice(
  async (
    who: Member,
    visitId: string,
    to: BookingMove,
    how: HowBooked = MEANT,
  ): Promise<'done' | 'missing' | 'begun' | { asks: BookingAsks }> => {
    const { practiceId } = who;
    if (!isUuid(visitId)) return 'missing';
    return withTheBook(practiceId, async (transaction) => {
      const visit = await lockVisit(practiceId, visitId, transaction);
      if (!visit) return 'missing';
      if (!isStillBooked(visit)) return 'begun';
      const { startsAt, minutes, practitionerId = visit.practitionerId, roomId = visit.roomId } = to;
      const isOther = practitionerId !== visit.practitionerId || roomId !== visit.roomId;
      if (isOther && !(await isHere(practiceId, { practitionerId, roomId }, transaction))) return 'missing';
      const wanted = {
        visitId,
        clientId: visit.clientId,
        practitionerId,
        roomId,
        minutes,
        startsAt: startsAt.toISOString(),
      };
      const asks = await asksOf(practiceId, wanted, plannedSeconds(visit.routine), how, transaction);
      if (asks) return { asks };
      const version = visit.version + 1;
      await visit.update({ startsAt, bookedMinutes: minutes, practitionerId, roomId, version }, { transaction });
      await writeAudit(who, 'booking-moved', { visit: visitId }, transaction);
      return 'done';
    });
  },
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
