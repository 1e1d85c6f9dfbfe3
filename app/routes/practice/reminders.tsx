import { useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, Link, useActionData, useRevalidator, useRouteLoaderData } from 'react-router';
import { MAIL_TRIES, outboxOf, setReminders, type OutboxRow } from '../../../server/db/queries/reminders.server';
import { remindersDue } from '../../../server/access/reminders.server';
import { permitted } from '../../../server/access/session.server';
import { hasMail } from '../../../server/mail.server';
import { REMINDED_FROM_HOUR } from '../../../core/schedule';
import { saveFile } from '../../parts/export/picture';
import { FieldFrame } from '../../parts/fields/field';
import { useDates } from '../../parts/frame/use-dates';
import { remindersSchema } from '../../schemas/practice';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import type { loader as frame } from './practice';
import type { Route } from './+types/reminders';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'rules');
  const { settings, today, due } = await remindersDue(practiceId, new Date());
  const { reminds, mailFrom } = settings;
  return {
    reminds,
    mailFrom,
    today,
    isConnected: hasMail(),
    /** Those that may still go out. */
    due: due.map((d) => d.about),
    outbox: await outboxOf(practiceId),
    tries: MAIL_TRIES,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const form = await readForm(request);
  const told = (errors: FieldErrors, status: number) => data({ errors, kept: false }, { status });
  const input = await checkForm(remindersSchema, form);
  if (!input.ok) return told(input.errors, 422);
  await setReminders(who, input.value);
  return { errors: {} as FieldErrors, kept: true };
}

/** Whether clients who agreed are written to, and what was written. */
export default function Reminders({ loaderData }: Route.ComponentProps) {
  const { reminds, mailFrom, isConnected, due, outbox, today, tries } = loaderData;
  const { isOwner } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Reminders</h1>
          <span className="soft">by e-mail, to clients who agreed, and to nobody else</span>
        </div>
        <div className="narrow">
          <p>
            The day before a visit, and when 1, 3, 7 and 14 planned days of a home plan went by without a run, from{' '}
            {REMINDED_FROM_HOUR} o’clock. A letter names the first name, the practice and the time, nothing of why
            somebody comes. A plan that waits for an answer is not reminded of.
          </p>
          <Form method="post">
            <fieldset disabled={!isOwner} className="border-0 p-0 m-0">
              <legend className="visually-hidden">Reminders</legend>
              <BsForm.Check
                id="reminds"
                name="reminds"
                value="true"
                defaultChecked={reminds}
                label="Write to clients who agreed"
              />
              <FieldFrame
                name="mailFrom"
                type="email"
                label="Letters come from"
                placeholder="studio@harbour-row.example"
                maxLength={254}
                defaultValue={mailFrom}
                message={answered?.errors.mailFrom}
              />
            </fieldset>
            <p className="soft mt-2">
              {isConnected
                ? 'A mail server is connected: what is due goes out by itself.'
                : 'No mail server is connected to this installation: what is due waits below and can be taken as a file. The README tells how one is connected.'}
            </p>
            {isOwner && (
              <div className="d-flex gap-3 align-items-center">
                <Button type="submit">Keep</Button>
                <span role="status">{answered?.kept && 'Kept.'}</span>
              </div>
            )}
          </Form>
        </div>
        <h2 className="mt-4 mb-2">Outbox</h2>
        {outbox.length ? (
          <ul className="outbox">
            {outbox.map((row) => (
              <Row key={row.id} row={row} mayGo={row.dueOn === today && due.includes(row.about)} tries={tries} />
            ))}
          </ul>
        ) : (
          <p className="empty">
            <strong>{reminds ? 'Nothing was due yet' : 'Nobody is written to'}</strong>
            Consent and the address stand with each client under Details.
          </p>
        )}
      </main>
    </div>
  );
}

/** Why a letter did not go out, as far as the mail server said. */
const FAILURES: Readonly<Record<string, string>> = {
  EENVELOPE: 'the mail server did not take this address',
  EAUTH: 'the mail server did not take the name or password',
  ECONNECTION: 'the mail server was not reached',
  ECONNREFUSED: 'the mail server was not reached',
  ESOCKET: 'the mail server was not reached',
  ETIMEDOUT: 'the mail server did not answer',
  EDNS: 'the mail server was not found',
};

function Row({ row, mayGo, tries }: { row: OutboxRow; mayGo: boolean; tries: number }) {
  const { dayWords, shortDay, timeOfDay } = useDates();
  const { revalidate } = useRevalidator();
  const [failed, setFailed] = useState('');
  const take = async () => {
    const answer = await fetch(`/practice/reminders/${row.id}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: '{}',
    }).catch(() => null);
    if (answer?.ok) saveFile('reminder.eml', await answer.blob());
    setFailed(answer?.ok ? '' : answer?.status === 404 ? 'It may no longer go out.' : 'Not taken. Try again.');
    void revalidate();
  };
  const failure = row.failure && (FAILURES[row.failure] ?? `the mail server did not take it (${row.failure})`);
  const became = row.sentAt
    ? `${row.via === 'file' ? 'taken as a file' : 'sent'} ${shortDay(row.sentAt)} ${timeOfDay(row.sentAt)}`
    : !mayGo
      ? failure
        ? `not sent: ${failure}`
        : 'not sent: no longer due'
      : row.tries >= tries
        ? `given up after ${tries} tries: ${failure}`
        : failure
          ? `tried ${row.tries} of ${tries} times, is tried again: ${failure}`
          : 'waits';
  return (
    <li>
      <div className="head">
        <span className="num">{dayWords(row.dueOn)}</span>
        <span>
          <Link to={`/clients/${row.clientId}/details`}>{row.clientName}</Link>{' '}
          <span className="soft small">{row.address}</span>
        </span>
        <span className="end">{became}</span>
        {mayGo && !row.sentAt && (
          <Button size="sm" variant="outline-primary" onClick={() => void take()}>
            Take as a file
          </Button>
        )}
      </div>
      {failed && (
        <div className="caution small" role="alert">
          {failed}
        </div>
      )}
      <details>
        <summary>{row.subject}</summary>
        <p className="letter">{row.body}</p>
      </details>
    </li>
  );
}
