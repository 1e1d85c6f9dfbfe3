import { useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useRouteLoaderData } from 'react-router';
import { counted } from '../../../core/words';
import { clientCopy, keptFile } from '../../../server/access/client-copy.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { whyUnsigned } from '../../../server/access/signature.server';
import { letClientGo } from '../../../server/db/queries/client-record.server';
import { FieldFrame } from '../../parts/fields/field';
import { dayOf } from '../../../core/schedule';
import { letGoSchema } from '../../schemas/let-go';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import type { Route } from './+types/let-go';
import type { loader as frame } from './client';
import { Failed } from '../../parts/frame/failed';

export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'records');
  const copy = await clientCopy(who, params.clientId, new Date());
  if (!copy) notFound('client');
  const { visits, readings, photos, links } = copy.kinds;
  return {
    visits: visits.length,
    readings: readings.length,
    photos: photos.length,
    homePlans: copy.kinds['home-plans'].length,
    links: links.filter((l) => l.ended_at === null).length,
    goesOn: visits.some((v) => ['assess', 'compose', 'guide', 'record'].includes(String(v.stage))),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const form = await readForm(request);
  const told = (errors: FieldErrors, status: number) => data({ errors, typed: Object.fromEntries(form) }, { status });
  const input = await checkForm(letGoSchema, form);
  if (!input.ok) return told(input.errors, 422);
  const { how, until, reason, password } = input.value;
  const now = new Date();
  const copy = await clientCopy(who, params.clientId, now);
  if (!copy) notFound('client');
  if (how === 'keep' && until! <= dayOf(now.toISOString(), who.timeZone))
    return told({ until: 'A day after today is accepted.' }, 422);
  const unsigned = await whyUnsigned(who, password);
  if (unsigned) return told({ password: unsigned.message }, unsigned.status);
  const keep =
    how === 'keep'
      ? { name: String(copy.kinds.clients[0]!.name), reason, until: until!, file: await keptFile(who, copy) }
      : null;
  if (!(await letClientGo(who, params.clientId, keep))) notFound('client');
  return redirect(keep ? '/practice/kept' : '/clients');
}

/** The end of a record: erased, or closed and kept as long as something asks for it. */
export default function LetGo({ loaderData }: Route.ComponentProps) {
  const { client } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  const errors = answered?.errors ?? {};
  const typed = (answered?.typed ?? {}) as Record<string, string>;
  const [how, setHow] = useState(typed.how ?? '');
  const { visits, readings, photos, homePlans, links, goesOn } = loaderData;
  return (
    <div className="page">
      <main className="narrow">
        <div className="page-head">
          <h1>Let {client.name} go</h1>
        </div>
        <p>
          {counted(visits, 'visit')}, {counted(readings, 'rating and measure', 'ratings and measures')},{' '}
          {counted(photos, 'photo')}, {counted(homePlans, 'home plan')}
          {links > 0 && `, ${counted(links, 'private link')} in use`}. It cannot be taken back.{' '}
          <a href={`/clients/${client.id}/copy`} download>
            Take the whole record along
          </a>{' '}
          first, for them or for you.
        </p>
        {goesOn && <p className="caution">A visit of theirs is not finished.</p>}
        <Form method="post">
          <fieldset className="border-0 p-0 m-0">
            <legend className="visually-hidden">How</legend>
            <BsForm.Check
              type="radio"
              name="how"
              id="how-erase"
              value="erase"
              checked={how === 'erase'}
              onChange={() => setHow('erase')}
              label={<strong>Erase everything</strong>}
            />
            <p className="ps-4">
              Nothing stays of them here: no name, no visit, no photo, no link. The audit trail keeps that somebody was
              erased, by whom and when, not who it was. What lies in backups goes when those do.
            </p>
            <BsForm.Check
              type="radio"
              name="how"
              id="how-keep"
              value="keep"
              checked={how === 'keep'}
              onChange={() => setHow('keep')}
              label={<strong>Close the record and keep what must be kept</strong>}
            />
            <p className="ps-4">
              What was asked, found, agreed and done is put away as one closed file under Practice, until a day you say.
              Photos, home plans, links, messages and the address are erased. Nobody works with it any more.
            </p>
            <Failed words={errors.how} />
          </fieldset>
          {how === 'keep' && (
            <div className="form-grid">
              <FieldFrame
                name="until"
                type="date"
                label="Kept until"
                defaultValue={typed.until ?? ''}
                message={errors.until}
              />
              <FieldFrame
                name="reason"
                label="What asks for it"
                maxLength={300}
                hint="The law or contract, as your adviser names it."
                defaultValue={typed.reason ?? ''}
                message={errors.reason}
              />
            </div>
          )}
          <FieldFrame
            name="password"
            type="password"
            label="Your own password"
            autoComplete="current-password"
            message={errors.password}
          />
          <div className="d-flex gap-3 mt-3">
            <Button type="submit" variant="danger">
              {how === 'keep' ? 'Close and keep' : 'Erase'}
            </Button>
            <Link to={`/clients/${client.id}/details`} className="btn btn-outline-primary">
              Leave it
            </Link>
          </div>
        </Form>
      </main>
    </div>
  );
}
