import { type Around, type Room, USUAL_AROUND } from '../../../core/record/index.ts';
import { QueryTypes, type Transaction, UniqueConstraintError } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';

const COLUMNS = 'id, name, change_minutes as "changeMinutes", is_closed as "isClosed", version';

/** Rooms of the practice by name, closed ones last. */
export const roomsOf = byPractice((practiceId: string): Promise<Room[]> =>
  database().query<Room>(
    `select ${COLUMNS} from rooms where practice_id = :practiceId order by is_closed, lower(name), id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  ),
);

export const findRoom = byPractice(
  async (practiceId: string, id: string | null, transaction?: Transaction): Promise<Room | null> => {
    if (!id || !isUuid(id)) return null;
    const [room] = await database().query<Room>(
      `select ${COLUMNS} from rooms where practice_id = :practiceId and id = :id`,
      { replacements: { practiceId, id }, type: QueryTypes.SELECT, transaction },
    );
    return room ?? null;
  },
);

export type RoomInput = Pick<Room, 'name' | 'changeMinutes' | 'isClosed'>;
async function orTaken<T>(work: () => Promise<T>): Promise<T | 'name-taken'> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof UniqueConstraintError) return 'name-taken';
    throw error;
  }
}

/** Adds a room, once for a key. */
export const addRoom = byPractice((who: Member, input: RoomInput, key?: string): Promise<string> =>
  orTaken(() =>
    database().transaction((transaction) =>
      once(who.practiceId, key, 'room', transaction, async () => {
        const [room] = await database().query<{ id: string }>(
          'insert into rooms (practice_id, name, change_minutes, is_closed) values (:practiceId, :name, :changeMinutes, :isClosed) returning id',
          { replacements: { practiceId: who.practiceId, ...input }, type: QueryTypes.SELECT, transaction },
        );
        await writeAudit(who, 'room-added', { room: room!.id }, transaction);
        return room!.id;
      }),
    ),
  ),
);

export const changeRoom = byPractice(
  (
    who: Member,
    id: string,
    expectedVersion: number,
    input: RoomInput,
  ): Promise<'saved' | 'stale' | 'missing' | 'name-taken'> =>
    orTaken(() =>
      database().transaction(async (transaction) => {
        const room = await findRoom(who.practiceId, id, transaction);
        if (!room) return 'missing';
        const changed = await database().query(
          `update rooms set name = :name, change_minutes = :changeMinutes, is_closed = :isClosed, version = version + 1
           where practice_id = :practiceId and id = :id and version = :expectedVersion returning id`,
          {
            replacements: { practiceId: who.practiceId, id, expectedVersion, ...input },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        if (!changed.length) return 'stale';
        await writeAudit(who, 'room-changed', { room: id }, transaction);
        return 'saved';
      }),
    ),
);

/** When a practice works and what goes around a routine. */
export interface WorkingHours extends Around {
  /** HH:MM in the zone of the practice. */
  dayFrom: string;
  dayUntil: string;
}
export const workingHoursOf = byPractice(
  async (practiceId: string, transaction?: Transaction): Promise<WorkingHours> => {
    const [hours] = await database().query<WorkingHours>(
      `select before_minutes as "beforeMinutes", after_minutes as "afterMinutes", day_from as "dayFrom", day_until as "dayUntil"
     from practices where id = :practiceId`,
      { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
    );
    return hours ?? { ...USUAL_AROUND, dayFrom: '09:00', dayUntil: '19:00' };
  },
);

export const setWorkingHours = byPractice((who: Member, hours: WorkingHours): Promise<void> =>
  database().transaction(async (transaction) => {
    await database().query(
      `update practices set before_minutes = :beforeMinutes, after_minutes = :afterMinutes, day_from = :dayFrom, day_until = :dayUntil
       where id = :practiceId`,
      { replacements: { practiceId: who.practiceId, ...hours }, transaction },
    );
    await writeAudit(who, 'hours-set', {}, transaction);
  }),
);
