import { data, redirect, useActionData } from 'react-router';
import { createClient } from '../../../server/db/queries/clients.server';
import { ClientForm } from '../../rooms/client/client-form';
import { clientInput, clientSchema } from '../../schemas/client';
import { checkForm, readForm } from '../../schemas/read';
import { requirePractitioner } from '../../../server/access/session.server';
import type { Route } from './+types/new';

export const meta = () => [{ title: 'New client · Velvet Compass' }];
export const loader = async ({ request }: Route.LoaderArgs) => {
  const { practitionerId } = await requirePractitioner(request);
  return { practitionerId };
};

export async function action({ request }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await checkForm(clientSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  return redirect(`/clients/${await createClient(who, clientInput(input.value), input.value.once)}`);
}

export default function NewClient({ loaderData }: Route.ComponentProps) {
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>New client</h1>
        </div>
        <ClientForm who={loaderData.practitionerId} answered={useActionData<typeof action>()} verb="Add the client" />
      </main>
    </div>
  );
}
