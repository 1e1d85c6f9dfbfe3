import { QueryTypes, type Transaction } from 'sequelize';
import type { DateFormat } from '../../../core/record/index.ts';
import type { Letter, ReminderKind } from '../../../core/schedule/index.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';

export interface ReminderSettings {
  practice: string;
  contact: string;
  zone: string;
  dates: DateFormat;
  /** Whether it writes to clients at all. */
  reminds: boolean;
  mailFrom: string;
}
export const reminderSettings = byPractice(async (practiceId: string): Promise<ReminderSettings> => {
  const [row] = await database().query<ReminderSettings>(
    'select name as practice, contact, time_zone as zone, date_format as dates, reminds, mail_from as "mailFrom" from practices where id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return row!;
});

export const setReminders = byPractice(
  async (who: Member, { reminds, mailFrom }: { reminds: boolean; mailFrom: string }): Promise<void> =>
    database().transaction(async (transaction) => {
      await database().query('update practices set reminds = :reminds, mail_from = :mailFrom where id = :id', {
        replacements: { id: who.practiceId, reminds, mailFrom },
        transaction,
      });
      await writeAudit(who, 'reminders-set', { on: String(reminds) }, transaction);
    }),
);

/** Practices that write to clients: nothing else of them is told. */
export const practicesThatRemind = async (): Promise<string[]> =>
  (
    await database().query<{ id: string }>('select id from practices_that_remind() as id', { type: QueryTypes.SELECT })
  ).map((r) => r.id);

/** A client who agreed, and did not take it back, and has an address. */
const AGREED = `c.email <> '' and exists (select 1 from consents k where k.practice_id = c.practice_id and k.client_id = c.id and k.kind = 'reminders' and k.withdrawn_at is null)`;

/** Bookings of a calendar day of the practice whose clients agreed to be written to. */
export const bookingsToRemind = byPractice(
  async (
    practiceId: string,
    day: string,
    zone: string,
  ): Promise<
    {
      visitId: string;
      clientId: string;
      name: string;
      email: string;
      startsAt: string;
      minutes: number | null;
      by: string;
    }[]
  > => {
    const rows = await database().query<{
      visitId: string;
      clientId: string;
      name: string;
      email: string;
      at: Date;
      minutes: number | null;
      by: string;
    }>(
      `select v.id as "visitId", c.id as "clientId", c.name, c.email, v.starts_at as at, v.booked_minutes as minutes, p.name as by
       from visits v join clients c on c.practice_id = v.practice_id and c.id = v.client_id join practitioners p on p.practice_id = v.practice_id and p.id = v.practitioner_id
       where v.practice_id = :practiceId and v.stage = 'screen' and v.starts_at >= cast(:day as timestamp) at time zone :zone
         and v.starts_at < (cast(:day as timestamp) + interval '1 day') at time zone :zone and ${AGREED} order by v.starts_at`,
      { replacements: { practiceId, day, zone }, type: QueryTypes.SELECT },
    );
    return rows.map(({ at, ...r }) => ({ ...r, startsAt: at.toISOString() }));
  },
);

/** Plans in force of clients who agreed, with the days on which something was done. */
export const plansToRemind = byPractice(
  async (
    practiceId: string,
    today: string,
  ): Promise<
    {
      planId: string;
      clientId: string;
      name: string;
      email: string;
      from: string;
      until: string;
      weekdays: number[];
      runDays: string[];
    }[]
  > =>
    database().query(
      `select h.id as "planId", c.id as "clientId", c.name, c.email, h.plan->>'from' as "from", h.plan->>'until' as "until", h.plan->'weekdays' as weekdays,
         coalesce((select json_agg(distinct r.ran_on::text) from home_runs r where r.practice_id = h.practice_id and r.plan_id = h.id and r.counts), '[]') as "runDays"
       from home_plans h join clients c on c.practice_id = h.practice_id and c.id = h.client_id
       where h.practice_id = :practiceId and h.ended_at is null and h.plan->>'from' <= :today and h.plan->>'until' >= :today and ${AGREED} order by h.id`,
      { replacements: { practiceId, today }, type: QueryTypes.SELECT },
    ),
);

export interface DueReminder extends Letter {
  clientId: string;
  kind: ReminderKind;
  /** What it is about: the same thing is written of once. */
  about: string;
  dueOn: string;
  address: string;
}

/** Puts what is due into the outbox, each once. */
export const makeReminders = byPractice(async (practiceId: string, due: readonly DueReminder[]): Promise<void> => {
  if (!due.length) return;
  await database().query(
    `insert into reminders (practice_id, client_id, kind, about, due_on, address, subject, body)
     select :practiceId, "clientId", kind, about, "dueOn", address, subject, body from json_to_recordset(cast(:due as json))
       as d("clientId" uuid, kind text, about text, "dueOn" date, address text, subject text, body text)
     on conflict (practice_id, kind, about) do nothing`,
    { replacements: { practiceId, due: JSON.stringify(due) } },
  );
});

export interface OutboxRow extends Omit<DueReminder, 'dueOn'> {
  id: string;
  clientName: string;
  dueOn: string;
  sentAt: string | null;
  via: 'mail' | 'file' | null;
  tries: number;
  failure: string;
}
const COLUMNS = `r.id, r.client_id as "clientId", c.name as "clientName", r.kind, r.about, r.due_on::text as "dueOn", r.address, r.subject, r.body, r.sent_at as "sentAt", r.via, r.tries, r.failure`;
const OUTBOX_SHOWN = 60;

/** What was made to be sent, the latest first. */
export const outboxOf = byPractice(async (practiceId: string): Promise<OutboxRow[]> => {
  const rows = await database().query<Omit<OutboxRow, 'sentAt'> & { sentAt: Date | null }>(
    `select ${COLUMNS} from reminders r join clients c on c.practice_id = r.practice_id and c.id = r.client_id
     where r.practice_id = :practiceId order by r.made_at desc, r.id limit ${OUTBOX_SHOWN}`,
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return rows.map((r) => ({ ...r, sentAt: r.sentAt?.toISOString() ?? null }));
});

/** Tries of one reminder before it is given up. Our choice. */
export const MAIL_TRIES = 5;
/** Minutes before the second try; each later one waits twice as long. Our choice. */
const FIRST_WAIT_MINUTES = 5;

/** One that is still to go out today, held against a second sender; null where there is none, or consent is gone. */
const lockWaiting = async (
  practiceId: string,
  dueOn: string,
  which: { about?: readonly string[]; id?: string },
  transaction: Transaction,
): Promise<OutboxRow | null> => {
  const [row] = await database().query<OutboxRow>(
    `select ${COLUMNS} from reminders r join clients c on c.practice_id = r.practice_id and c.id = r.client_id
     where r.practice_id = :practiceId and r.sent_at is null and r.due_on = :dueOn and ${AGREED} and r.address = c.email
       and ${which.id ? 'r.id = :id' : `r.about in (:about) and r.tries < ${MAIL_TRIES} and (r.next_try_at is null or r.next_try_at <= now())`}
     order by r.made_at, r.id limit 1 for update of r skip locked`,
    {
      replacements: { practiceId, dueOn, about: which.about ?? [], id: which.id ?? null },
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  return row ?? null;
};

/**
 * Sends one of those that are still due, if any is left; a failure is noted with when it is tried again. It is held
 * while it goes out, so that it goes out once. A machine that dies in that moment sends it again, under the same id.
 * @returns whether there may be more.
 */
export const sendOne = byPractice(
  async (
    practiceId: string,
    dueOn: string,
    about: readonly string[],
    deliver: (letter: OutboxRow) => Promise<void>,
  ): Promise<boolean> => {
    if (!about.length) return false;
    return database().transaction(async (transaction) => {
      const letter = await lockWaiting(practiceId, dueOn, { about }, transaction);
      if (!letter) return false;
      const failure = await deliver(letter).then(
        () => '',
        (error: unknown) => ((error as { code?: string }).code ?? 'failed').slice(0, 40),
      );
      await database().query(
        failure
          ? `update reminders set tries = tries + 1, failure = :failure, next_try_at = now() + make_interval(mins => ${FIRST_WAIT_MINUTES} * power(2, tries)::int) where practice_id = :practiceId and id = :id`
          : `update reminders set tries = tries + 1, failure = '', sent_at = now(), via = 'mail' where practice_id = :practiceId and id = :id`,
        { replacements: { practiceId, id: letter.id, failure }, transaction },
      );
      return true;
    });
  },
);

/** Gives one out as a file: it does not go by e-mail afterwards. Null where it is none that may still be given. */
export const takeAsFile = byPractice(
  async (who: Member, id: string, dueOn: string, about: readonly string[]): Promise<OutboxRow | null> => {
    if (!isUuid(id)) return null;
    const { practiceId } = who;
    return database().transaction(async (transaction) => {
      const letter = await lockWaiting(practiceId, dueOn, { id }, transaction);
      if (!letter || !about.includes(letter.about)) return null;
      await database().query(
        `update reminders set sent_at = now(), via = 'file' where practice_id = :practiceId and id = :id`,
        { replacements: { practiceId, id }, transaction },
      );
      await writeAudit(who, 'reminder-as-file', { client: letter.clientId }, transaction);
      return letter;
    });
  },
);
