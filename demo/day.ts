import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../server/db/connection.ts';
import { book } from '../server/db/queries/bookings.server.ts';
import { letWait } from '../server/db/queries/waiting.server.ts';

/** The two rooms above the repair shop. */
export async function seedRooms(
  practiceId: string,
  transaction: Transaction,
): Promise<{ street: string; yard: string }> {
  const rooms = await database().query<{ id: string }>(
    `insert into rooms (practice_id, name, change_minutes) values (:practiceId, 'Street room', 5), (:practiceId, 'Yard room', 8) returning id`,
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );
  return { street: rooms[0]!.id, yard: rooms[1]!.id };
}

/** Days from now, a time, a client, a length. */
const BOOKED: readonly (readonly [daysAhead: number, time: string, client: string, minutes: number])[] = [
  [2, '10:00', 'Odile Brandt', 50],
  [2, '17:00', 'Mireille Sato-Lund', 60],
  [3, '09:30', 'Tobias Achterberg', 60],
  [3, '12:00', 'Sunniva Adeyemi', 60],
  [3, '16:00', 'Yannick Bello', 45],
  [4, '11:00', 'Mireille Sato-Lund', 60],
  [6, '14:00', 'Odile Brandt', 50],
];

/** Bookings of the coming days, and who waits for a time. */
export async function seedBookings(practiceId: string, at: (daysAhead: number, time: string) => Date): Promise<void> {
  const clients = await database().query<{ id: string; name: string; with: string; room: string }>(
    `select c.id, c.name, v.practitioner_id as with, v.room_id as room from clients c
     join lateral (select practitioner_id, room_id from visits v where v.practice_id = c.practice_id and v.client_id = c.id order by starts_at desc limit 1) v on true
     where c.practice_id = :practiceId`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  const one = (name: string) => clients.find((c) => c.name === name);
  for (const [days, time, name, minutes] of BOOKED) {
    const client = one(name);
    if (!client) continue;
    await book(
      { practiceId, practitionerId: client.with },
      { clientId: client.id, practitionerId: client.with, roomId: client.room, startsAt: at(days, time), minutes },
    );
  }
  const caspian = one('Caspian Holt');
  const by = { practiceId, practitionerId: clients[0]!.with };
  if (caspian)
    await letWait(by, {
      clientId: caspian.id,
      practitionerId: null,
      minutes: 50,
      weekdays: [],
      partOfDay: 'any',
    });
  const lena = one('Lena Marchetti');
  if (lena)
    await letWait(by, {
      clientId: lena.id,
      practitionerId: lena.with,
      minutes: 45,
      weekdays: [2, 4],
      partOfDay: 'evening',
    });
}
