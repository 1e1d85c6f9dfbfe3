import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { whyUnsigned } from '../../../server/access/signature.server';
import { eraseKept, keptRecords, type KeptRecord } from '../../../server/db/queries/client-record.server';
import { FieldFrame } from '../../parts/fields/field';
import { useDates } from '../../parts/frame/use-dates';
import { dayOf } from '../../../core/schedule';
import { signedSchema } from '../../schemas/let-go';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import type { Route } from './+types/kept';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'records');
  return { records: await keptRecords(practiceId), today: dayOf(new Date().toISOString(), timeZone) };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const form = await readForm(request);
  const id = form.get('id') ?? '';
  const told = (errors: FieldErrors, status: number) => data({ id, errors }, { status });
  const input = await checkForm(signedSchema, form, ['id']);
  if (!input.ok) return told(input.errors, 422);
  const unsigned = await whyUnsigned(who, input.value.password);
  if (unsigned) return told({ password: unsigned.message }, unsigned.status);
  if (!(await eraseKept(who, id))) notFound('record');
  return { id: '', errors: {} as FieldErrors };
}

/** What has to be kept of clients who were let go, each until its day; nothing goes by itself. */
export default function Kept({ loaderData: { records, today } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Closed records</h1>
          <span className="soft">of clients who were let go: each is kept until its day, and erased by hand</span>
          <Link to="/practice/retention">How long visits and photos are kept</Link>
        </div>
        {records.length ? (
          <ul className="outbox">
            {records.map((r) => (
              <Row
                key={r.id}
                record={r}
                isOver={r.until <= today}
                told={answered?.id === r.id ? answered.errors.password : undefined}
              />
            ))}
          </ul>
        ) : (
          <p className="empty">
            <strong>No closed record</strong>A client is let go under Details, at the end of the record.
          </p>
        )}
      </main>
    </div>
  );
}

function Row({ record, isOver, told }: { record: KeptRecord; isOver: boolean; told: string | undefined }) {
  const { dayWords, shortDay } = useDates();
  const [asks, setAsks] = useState(!!told);
  return (
    <li>
      <div className="head">
        <strong>{record.name}</strong>
        <span className={isOver ? 'now' : 'soft'}>
          {isOver ? 'its day has come: ' : 'until '}
          {dayWords(record.until)}
        </span>
        <span className="end soft small">
          closed {shortDay(record.madeAt)} by {record.by}
        </span>
      </div>
      <p className="mb-1">{record.reason}</p>
      <div className="d-flex gap-3 align-items-end flex-wrap">
        <a href={`/practice/kept/${record.id}`} download>
          Open the file
        </a>
        {!asks && (
          <Button size="sm" variant="outline-primary" onClick={() => setAsks(true)}>
            Erase it …
          </Button>
        )}
      </div>
      {asks && (
        <Form method="post" className="d-flex gap-2 align-items-end mt-2">
          <input type="hidden" name="id" value={record.id} />
          <FieldFrame
            name="password"
            type="password"
            label="Your own password"
            autoComplete="current-password"
            message={told}
          />
          <Button type="submit" size="sm" variant="danger">
            Erase for good
          </Button>
          <Button size="sm" variant="outline-primary" onClick={() => setAsks(false)}>
            Leave it
          </Button>
        </Form>
      )}
    </li>
  );
}
