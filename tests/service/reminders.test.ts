import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { newStep } from '../../core/routine/index.ts';
import type { Client } from '../../core/record/index.ts';
import { startMailbox, type Mailbox } from '../../devices/mailbox.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { remindersDue } from '../../server/access/reminders.server.ts';
import { endBooking, moveBooking } from '../../server/db/queries/bookings.server.ts';
import { giveConsent, withdrawConsent } from '../../server/db/queries/consents.server.ts';
import { keepFlag } from '../../server/db/queries/home-arrivals.server.ts';
import { endHomePlan, keepHomePlan, noteHomeRuns, homePlansOf } from '../../server/db/queries/home-plans.server.ts';
import { MAIL_TRIES, outboxOf, setReminders, takeAsFile } from '../../server/db/queries/reminders.server.ts';
import { database } from '../../server/db/connection.ts';
import { inPractice } from '../../server/db/scope.ts';
import { letterFile } from '../../server/mail.server.ts';
import { remindAll } from '../../server/reminding.server.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
/** A day and hour of the practice; what is due depends on nothing else. */
const NOON = new Date('2026-11-10T11:00:00Z');
let client: Client;
let mailbox: Mailbox;

const connect = async (refuse?: (to: string) => boolean) => {
  await mailbox?.close();
  mailbox = await startMailbox(refuse ? { refuse } : {});
  process.env.VELVET_MAIL = mailbox.address;
};
beforeEach(async () => {
  await asOwner(`update practices set time_zone = 'Europe/Lisbon' where id = :id`, { id: own.tenant.practiceId });
  await asOwner('delete from reminders');
  await asOwner(`update practices set reminds = false where id <> :id`, { id: own.tenant.practiceId });
  await asOwner(`delete from clients where practice_id = :id`, { id: own.tenant.practiceId });
  await connect();
  await setReminders(own.tenant, { reminds: true, mailFrom: 'studio@harbour-row.example' });
  client = await addClient(own.tenant, 'Noor Halvorsen', { email: 'noor@post.example' });
  await giveConsent(own.tenant, client.id, 'reminders', 0);
});
afterEach(async () => {
  delete process.env.VELVET_MAIL;
  await mailbox.close();
});
const TOMORROW = new Date('2026-11-11T09:30:00Z');
const tomorrow = () => addVisit(own.tenant, client.id, TOMORROW);
/** A letter with its folded lines whole again. */
const textOf = (letter: Mailbox['letters'][number] | undefined) => letter!.text.replace(/=\r?\n/g, '');
const subjects = () => mailbox.letters.map((l) => /^Subject: (.*)$/m.exec(l.text)?.[1]);

describe('a visit of tomorrow', () => {
  test('is written of once, to the address on record, with nothing of why somebody comes', async () => {
    await tomorrow();
    expect(await remindAll(NOON)).toBe(1);
    expect(await remindAll(NOON)).toBe(0);
    expect(mailbox.letters).toHaveLength(1);
    const [letter] = mailbox.letters;
    expect(letter!.to).toEqual(['noor@post.example']);
    const text = textOf(letter);
    expect(text).toContain('Wednesday 11 November, 09:30');
    expect(text).toContain('Auto-Submitted: auto-generated');
    expect(text).not.toContain('Halvorsen');
    for (const complaint of client.complaints) expect(text.toLowerCase()).not.toContain(complaint.kind);
    expect((await outboxOf(own.tenant.practiceId))[0]).toMatchObject({ via: 'mail', tries: 1, failure: '' });
  });
  test('not of today or the day after, not before the hour, not when it is cancelled; anew when it was moved', async () => {
    const id = await tomorrow();
    await addVisit(own.tenant, client.id, new Date('2026-11-10T15:00:00Z'));
    await addVisit(own.tenant, client.id, new Date('2026-11-12T00:00:00Z'));
    expect(await remindAll(new Date('2026-11-10T07:59:00Z'))).toBe(0);
    expect(await remindAll(new Date('2026-11-10T08:00:00Z'))).toBe(1);
    await moveBooking(own.tenant, id, { startsAt: new Date('2026-11-11T16:00:00Z'), minutes: 60 });
    expect(await remindAll(NOON)).toBe(1);
    expect(textOf(mailbox.letters[1])).toContain(', 16:00');
    await moveBooking(own.tenant, id, { startsAt: new Date('2026-11-11T17:00:00Z'), minutes: 60 });
    await endBooking(own.tenant, id, 'cancelled');
    expect(await remindAll(NOON)).toBe(0);
  });
});

describe('consent', () => {
  test('without it, without an address, and once it is taken back nothing is made and nothing goes out', async () => {
    await tomorrow();
    const silent = await addClient(own.tenant, 'Lena Marchetti', { email: 'lena@post.example' });
    await addVisit(own.tenant, silent.id, TOMORROW);
    const other = await addClient(own.tenant, 'Odile Brandt');
    await giveConsent(own.tenant, other.id, 'reminders', 0);
    await addVisit(own.tenant, other.id, TOMORROW);
    // Consent to the work is no consent to letters.
    await giveConsent(own.tenant, silent.id, 'work', 0);
    await remindersDue(own.tenant.practiceId, NOON);
    expect((await outboxOf(own.tenant.practiceId)).map((r) => r.clientName)).toEqual(['Noor Halvorsen']);
    await withdrawConsent(own.tenant, client.id, 'reminders');
    expect(await remindAll(NOON)).toBe(0);
    expect(mailbox.letters).toEqual([]);
  });
  test('taken back between the look and the sending: it does not go out', async () => {
    await tomorrow();
    const { today, due } = await remindersDue(own.tenant.practiceId, NOON);
    // By hand: taking it back also takes the letter away, and here the sending itself has to look.
    await asOwner(`update consents set withdrawn_at = now() where client_id = :id`, { id: client.id });
    const { sendOne } = await import('../../server/db/queries/reminders.server.ts');
    let sent = 0;
    const about = due.map((d) => d.about);
    await sendOne(own.tenant.practiceId, today, about, () => Promise.resolve(void sent++));
    expect(sent).toBe(0);
    expect(await takeAsFile(own.tenant, (await outboxOf(own.tenant.practiceId))[0]!.id, today, about)).toBeNull();
  });
  test('an address that was changed since is not written to with the old letter', async () => {
    await tomorrow();
    await remindersDue(own.tenant.practiceId, NOON);
    await asOwner(`update clients set email = 'new@post.example' where id = :id`, { id: client.id });
    expect(await remindAll(NOON)).toBe(0);
  });
  test('what goes wrong in one practice holds up no other', async () => {
    const others = [await openPractice(), await openPractice()];
    const [first, last] = others.map((o) => o.practiceId).sort();
    for (const [i, other] of others.entries()) {
      await asOwner(`update practices set time_zone = 'Europe/Lisbon' where id = :id`, { id: other.practiceId });
      await setReminders(other, { reminds: true, mailFrom: 'other@row.example' });
      const one = await addClient(other, 'Jun Castellan', { email: `jun${i}@post.example` });
      await giveConsent(other, one.id, 'reminders', 0);
      await addVisit(other, one.id, TOMORROW);
    }
    // A plan that cannot be read, in the practice that comes first.
    await asOwner(
      `insert into home_plans (practice_id, id, client_id, number, plan, made_by, made_at) select c.practice_id, gen_random_uuid(), c.id, 1,
         '{"from": "2026-11-01", "until": "2026-11-30"}', p.id, now() from clients c join practitioners p on p.practice_id = c.practice_id where c.practice_id = :first`,
      { first },
    );
    await remindAll(NOON);
    const sent = await asOwner<{ id: string }>('select practice_id as id from reminders where sent_at is not null');
    expect(sent.map((r) => r.id)).toEqual([last]);
  });
  test('a practice that does not write writes nothing', async () => {
    await setReminders(own.tenant, { reminds: false, mailFrom: '' });
    await tomorrow();
    expect(await remindAll(NOON)).toBe(0);
    expect(await outboxOf(own.tenant.practiceId)).toEqual([]);
  });
});

describe('a home plan that waits', () => {
  const technique = [...CATALOGUE.techniques.values()].find(
    (t) => t.by === 'client' && !t.tool && !t.isTest && t.pressure,
  )!;
  const plan = (from: string) => ({
    steps: [{ step: newStep(technique, 'home-1'), words: 'Slowly.' }],
    timesADay: 1,
    weekdays: [1, 2, 3, 4, 5, 6, 7],
    from,
    until: '2026-11-30',
    reviewOn: '2026-12-01',
    shown: [],
  });
  test('is written of after the days that count, once each, and not on a day with a run', async () => {
    await keepHomePlan(own.tenant, client.id, plan('2026-11-09'));
    expect(await remindAll(new Date('2026-11-09T11:00:00Z'))).toBe(0);
    expect(await remindAll(NOON)).toBe(1);
    expect(await remindAll(NOON)).toBe(0);
    expect(subjects()[0]).toContain('Your home plan');
    const planId = (await homePlansOf(own.tenant.practiceId, client.id))[0]!.id;
    await noteHomeRuns(own.tenant, client.id, {
      planId,
      day: '2026-11-12',
      times: 1,
      by: new Date('2026-11-12T11:00:00Z'),
    });
    expect(await remindAll(new Date('2026-11-12T12:00:00Z'))).toBe(0);
    expect(await remindAll(new Date('2026-11-14T12:00:00Z'))).toBe(1);
    await endHomePlan(own.tenant, client.id);
    expect(await remindAll(new Date('2026-11-16T12:00:00Z'))).toBe(0);
  });
  test('that is held back is not asked for', async () => {
    await keepHomePlan(own.tenant, client.id, plan('2026-11-09'));
    const { practiceId } = own.tenant;
    await inPractice(practiceId, () =>
      database().transaction((t) =>
        keepFlag({ practiceId, clientId: client.id }, crypto.randomUUID(), ['jaw'], NOON, t),
      ),
    );
    expect(await remindAll(NOON)).toBe(0);
    expect(await outboxOf(practiceId)).toEqual([]);
  });
});

describe('the outbox', () => {
  test('a letter that is not taken is tried again, later and later, and given up in the end', async () => {
    await connect(() => true);
    await tomorrow();
    const again = () => asOwner(`update reminders set next_try_at = now() - interval '1 second'`);
    expect(await remindAll(NOON)).toBe(1);
    expect(await remindAll(NOON)).toBe(0);
    for (let i = 1; i < MAIL_TRIES; i++) {
      await again();
      expect(await remindAll(NOON)).toBe(1);
    }
    await again();
    expect(await remindAll(NOON)).toBe(0);
    expect((await outboxOf(own.tenant.practiceId))[0]).toMatchObject({
      sentAt: null,
      tries: MAIL_TRIES,
      failure: 'EENVELOPE',
    });
    expect(mailbox.letters).toEqual([]);
  });
  test('two senders at once send each letter once', async () => {
    for (let i = 0; i < 6; i++) {
      const one = await addClient(own.tenant, `Client ${i}`, { email: `c${i}@post.example` });
      await giveConsent(own.tenant, one.id, 'reminders', 0);
      await addVisit(own.tenant, one.id, TOMORROW);
    }
    await Promise.all([remindAll(NOON), remindAll(NOON), remindAll(NOON)]);
    expect(mailbox.letters.map((l) => l.to[0]).sort()).toEqual(
      Array.from({ length: 6 }, (_, i) => `c${i}@post.example`),
    );
  });
  test('taken as a file it does not go out by itself; yesterday’s goes out no more', async () => {
    await tomorrow();
    const { today, due } = await remindersDue(own.tenant.practiceId, NOON);
    const about = due.map((d) => d.about);
    const { id } = (await outboxOf(own.tenant.practiceId))[0]!;
    expect(await takeAsFile(await openPractice(), id, today, about)).toBeNull();
    expect(await takeAsFile(own.tenant, id, '2026-11-11', about)).toBeNull();
    const letter = (await takeAsFile(own.tenant, id, today, about))!;
    expect(await takeAsFile(own.tenant, id, today, about)).toBeNull();
    expect(await remindAll(NOON)).toBe(0);
    const file = (
      await letterFile({ ...letter, to: letter.address, from: 'studio@harbour-row.example', practice: 'Harbour' })
    ).toString();
    expect(file).toMatch(/^From: Harbour <studio@harbour-row\.example>/m);
    expect(file).toMatch(/^To: noor@post\.example/m);
  });
  test('a name with a line break in it makes no header', async () => {
    const file = (
      await letterFile({
        id: 'x',
        from: 'a@b.example',
        practice: 'Quay\r\nBcc: all@post.example',
        to: 'c@d.example',
        subject: 'One\r\nBcc: two',
        body: 'text',
      })
    ).toString();
    expect(file).not.toMatch(/^Bcc:/m);
  });
});
