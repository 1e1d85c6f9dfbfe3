import { CONSENT_KINDS } from '../../../core/record';
import { useState } from 'react';
import { data, Link, redirect, useActionData, useRouteLoaderData } from 'react-router';
import { consentsOf } from '../../../server/db/queries/consents.server';
import { practiceTexts } from '../../../server/db/queries/practice.server';
import { updateClient } from '../../../server/db/queries/clients.server';
import { ConsentLine } from '../../parts/fields/consent-line';
import { ClientForm } from '../../rooms/client/client-form';
import { clientInput, clientSchema } from '../../schemas/client';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { may } from '../../../server/access/may';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/details';
import type { loader as frame } from './client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'care');
  const { practiceId, practitionerId, timeZone } = who;
  const [consents, texts] = await Promise.all([consentsOf(practiceId, params.clientId), practiceTexts(practiceId)]);
  return { consents, texts, timeZone, practitionerId, mayLetGo: may(who, 'change', 'records') };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await checkForm(clientSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  const result = await updateClient(who, params.clientId, input.value.version ?? 0, clientInput(input.value));
  if (result === 'missing') notFound('client');
  if (result === 'stale')
    return data(
      {
        errors: {
          name: 'These details were changed in another window meanwhile. Open them there, or reload this page to see what is stored; what you typed is still here.',
        } as FieldErrors,
        typed: undefined,
      },
      { status: 409 },
    );
  return redirect(`/clients/${params.clientId}`);
}

export default function Details({
  loaderData: { texts, timeZone, practitionerId, mayLetGo, consents: kept },
}: Route.ComponentProps) {
  const { client } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const [consents, setConsents] = useState(kept);
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Details</h1>
        </div>
        <section aria-label="Consent" className="narrow">
          {CONSENT_KINDS.map((kind) => (
            <ConsentLine
              key={kind}
              clientId={client.id}
              kind={kind}
              text={texts[`consent-${kind}`]}
              consents={consents}
              timeZone={timeZone}
              onConsents={setConsents}
            />
          ))}
        </section>
        <section aria-label="The whole record" className="narrow mb-4">
          <a href={`/clients/${client.id}/copy`} download>
            Take the whole record along
          </a>{' '}
          <span className="soft">as a file: a page to read, the document, the photos.</span>{' '}
          {mayLetGo && <Link to={`/clients/${client.id}/let-go`}>Let this client go …</Link>}
        </section>
        <ClientForm who={practitionerId} client={client} answered={useActionData<typeof action>()} verb="Save" />
      </main>
    </div>
  );
}
