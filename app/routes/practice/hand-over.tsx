import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { counted } from '../../../core/words';
import { notFound, permitted } from '../../../server/access/session.server';
import { colleaguesOf } from '../../../server/db/queries/colleagues.server';
import { clientsInHands, handOver, handsOf } from '../../../server/db/queries/hand-over.server';
import { FieldFrame } from '../../parts/fields/field';
import { Failed } from '../../parts/frame/failed';
import { handOverSchema } from '../../schemas/account';
import { check, type FieldErrors, readForm } from '../../schemas/read';
import type { Route } from './+types/hand-over';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'colleagues');
  const person = (await colleaguesOf(practiceId)).find((p) => p.id === params.practitionerId);
  if (!person) notFound('colleague');
  const [clients, hands] = await Promise.all([clientsInHands(practiceId, person.id), handsOf(practiceId)]);
  return { name: person.name, clients, hands: hands.filter((h) => h.id !== person.id) };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'colleagues');
  const sent = await readForm(request);
  const told = (errors: FieldErrors, status: number) => data({ errors, done: '' }, { status });
  const others = [...sent.keys()].filter((name) => name !== 'to' && !name.startsWith('client:'));
  if (others.length) return told({ to: 'This form holds something that it does not ask for.' }, 422);
  const clients = [...sent.keys()].filter((name) => name.startsWith('client:')).map((name) => name.slice(7));
  const input = await check(handOverSchema, { to: sent.get('to') ?? '', clients });
  if (!input.ok) return told(input.errors, 422);
  const done = await handOver(who, params.practitionerId, input.value.to, input.value.clients);
  if (!done) notFound('colleague');
  const over = done.over
    ? ` ${counted(done.over, 'of them lies', 'of them lie')} over another visit: look at the days.`
    : '';
  return data({
    errors: {} as FieldErrors,
    done: `${counted(done.clients, 'client')} handed over, ${counted(done.visits, 'booked visit')} with them.${over}`,
  });
}

/** Clients of somebody, and what is booked with them, put into other hands. */
export default function HandOver({ loaderData: { name, clients, hands } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Clients of {name}</h1>
          <Link to="/practice/colleagues">Colleagues</Link>
        </div>
        {answered?.done && <p role="status">{answered.done}</p>}
        {clients.length === 0 ? (
          <p className="empty">
            <strong>No client is in the hands of {name}</strong>A client is in the hands of who worked with them last,
            or of who they were handed over to.
          </p>
        ) : hands.length === 0 ? (
          <p className="empty">
            <strong>Nobody else works here</strong>Ask a colleague in first.
          </p>
        ) : (
          <Form method="post" className="narrow" key={answered?.done}>
            <p>
              What is booked goes with them; what was done stays with who did it. Whoever takes over sees the whole
              record, as everybody who works here does.
            </p>
            <fieldset className="mb-3">
              <legend className="h5">Who is handed over</legend>
              {clients.map((c) => (
                <BsForm.Check
                  key={c.id}
                  id={c.id}
                  name={`client:${c.id}`}
                  defaultChecked
                  label={c.coming ? `${c.name}, ${counted(c.coming, 'visit')} booked` : c.name}
                />
              ))}
            </fieldset>
            <Failed words={answered?.errors.clients ?? ''} />
            <FieldFrame name="to" label="To" message={answered?.errors.to} className="mb-3">
              {hands.map((h) => (
                <option key={h.id} value={h.id}>
                  {h.name}
                </option>
              ))}
            </FieldFrame>
            <Button type="submit">Hand over</Button>
          </Form>
        )}
      </main>
    </div>
  );
}
