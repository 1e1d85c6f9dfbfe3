import { QueryTypes } from 'sequelize';
import { database } from '../server/db/connection.ts';
import { book } from '../server/db/queries/bookings.server.ts';
import { giveConsent } from '../server/db/queries/consents.server.ts';
import { setReminders } from '../server/db/queries/reminders.server.ts';

/** Clients of the demo who agreed to be written to. Addresses end in a name that is kept free for examples. */
const AGREED: Readonly<Record<string, string>> = {
  'Noor Halvorsen': 'noor@post.example',
  'Odile Brandt': 'odile@post.example',
};
const VISIT_TOMORROW = 'Odile Brandt';

/** Reminders of the demo: switched on, two clients agreed, and one of them comes tomorrow. */
export async function seedReminders(practiceId: string, tomorrowAt: Date): Promise<void> {
  for (const [name, email] of Object.entries(AGREED)) {
    const [row] = await database().query<{ clientId: string; practitionerId: string }>(
      `update clients c set email = :email from visits v where c.practice_id = :practiceId and c.name = :name and v.practice_id = c.practice_id and v.client_id = c.id
       returning c.id as "clientId", v.practitioner_id as "practitionerId"`,
      { replacements: { practiceId, name, email }, type: QueryTypes.SELECT },
    );
    const { clientId, practitionerId } = row!;
    const who = { practiceId, practitionerId };
    await giveConsent(who, clientId, 'reminders', 0);
    if (name !== VISIT_TOMORROW) continue;
    await setReminders(who, { reminds: true, mailFrom: 'studio@harbour-row.example' });
    await book(who, { clientId, practitionerId, startsAt: tomorrowAt, minutes: 60 });
  }
}
