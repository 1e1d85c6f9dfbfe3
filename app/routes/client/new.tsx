import { data, redirect, useActionData } from 'react-router';
import { createClient } from '../../../server/db/queries/clients.server';
import { may } from '../../../server/access/may';
import { PersonForm } from '../../rooms/client/person-form';
import { ClientForm } from '../../rooms/client/client-form';
import { clientInput, clientSchema, personSchema } from '../../schemas/client';
import { checkForm, readForm } from '../../schemas/read';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/new';

export const meta = () => [{ title: 'New client · Velvet Compass' }];
export const loader = async ({ request }: Route.LoaderArgs) => {
  const who = await permitted(request, 'see', 'people');
  return { practitionerId: who.practitionerId, namesOnly: !may(who, 'change', 'care') };
};

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'people');
  const sent = await readForm(request);
  if (!may(who, 'change', 'care')) {
    const person = await checkForm(personSchema, sent);
    if (!person.ok) return data({ errors: person.errors, typed: person.typed }, { status: 422 });
    const { once, ...named } = person.value;
    return redirect(`/today?for=${await createClient(who, { ...clientInput(clientSchema.cast(named)) }, once)}`);
  }
  const input = await checkForm(clientSchema, sent);
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  return redirect(`/clients/${await createClient(who, clientInput(input.value), input.value.once)}`);
}

export default function NewClient({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>New client</h1>
        </div>
        {loaderData.namesOnly ? (
          <PersonForm answered={answered} />
        ) : (
          <ClientForm who={loaderData.practitionerId} answered={answered} verb="Add the client" />
        )}
      </main>
    </div>
  );
}
