import { data, redirect, useActionData, useRouteLoaderData } from 'react-router';
import { updateClient } from '../../../server/db/queries/clients.server';
import { ClientForm } from '../../client/client-form';
import { clientInput, clientSchema } from '../../schemas/client';
import { check, formObject, type FieldErrors } from '../../schemas/read';
import { notFound, requirePractitioner } from '../../session.server';
import type { Route } from './+types/details';
import type { loader } from './client';

export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId } = await requirePractitioner(request);
  const input = await check(clientSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const result = await updateClient(practiceId, params.clientId, input.value.version ?? 0, clientInput(input.value));
  if (result === 'missing') notFound('client');
  if (result === 'stale') return data({ errors: { name: 'These details were changed in another window meanwhile. Open them there, or reload this page to see what is stored; what you typed is still here.' } as FieldErrors }, { status: 409 });
  return redirect(`/clients/${params.clientId}`);
}

export default function Details() {
  const { client } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof loader>>;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Details</h1>
        </div>
        <ClientForm client={client} answered={useActionData<typeof action>()} verb="Save" />
      </main>
    </div>
  );
}
