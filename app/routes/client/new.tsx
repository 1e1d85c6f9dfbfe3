import { data, redirect, useActionData } from 'react-router';
import { createClient } from '../../../server/db/queries/clients.server';
import { ClientForm } from '../../client/client-form';
import { clientInput, clientSchema } from '../../schemas/client';
import { check, formObject } from '../../schemas/read';
import { requirePractitioner } from '../../session.server';
import type { Route } from './+types/new';

export const meta = () => [{ title: 'New client · Velvet Compass' }];
export const loader = async ({ request }: Route.LoaderArgs) => (await requirePractitioner(request), null);

export async function action({ request }: Route.ActionArgs) {
  const { practiceId } = await requirePractitioner(request);
  const input = await check(clientSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  return redirect(`/clients/${await createClient(practiceId, clientInput(input.value))}`);
}

export default function NewClient() {
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>New client</h1>
        </div>
        <ClientForm answered={useActionData<typeof action>()} verb="Add the client" />
      </main>
    </div>
  );
}
