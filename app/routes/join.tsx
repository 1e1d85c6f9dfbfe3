import { Button } from 'react-bootstrap';
import { data, Form, useActionData } from 'react-router';
import { signIn } from '../../server/access/session.server';
import { addressOf } from '../../server/access/sign-in.server';
import { takeTry } from '../../server/db/queries/attempts.server';
import { acceptInvitation, invitationOf } from '../../server/db/queries/colleagues.server';
import { isCommonPassword } from '../../server/passwords';
import { Field, useCheckedForm } from '../parts/fields/field';
import { NewPassword } from '../parts/fields/new-password';
import { Wordmark } from '../parts/marks/wordmark';
import { type Join, joinSchema } from '../schemas/account';
import { checkForm, type FieldErrors, readForm } from '../schemas/read';
import type { Route } from './+types/join';

export const meta = () => [{ title: 'Come in · Velvet Compass' }, { name: 'referrer', content: 'no-referrer' }];

const GONE = 'This link opens nothing. It was used, taken back, or is older than seven days: ask for another.';

/** What stands behind a link; one that opens nothing counts as a try of its address. */
async function opened(secret: string, context: unknown) {
  const invitation = await invitationOf(secret);
  if (invitation) return invitation;
  const wait = await takeTry('links', addressOf(context));
  throw data(GONE, { status: wait ? 429 : 404 });
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { practice, practitionerId, name, email } = await opened(params.secret, context);
  return { practice, name, email, isKnown: practitionerId !== null };
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const invitation = await opened(params.secret, context);
  const input = await checkForm(joinSchema, await readForm(request));
  const told = (errors: FieldErrors, typed: object, status: number) => data({ errors, typed }, { status });
  if (!input.ok) return told(input.errors, input.typed, 422);
  const { email, password } = input.value;
  if (await isCommonPassword(password, [invitation.practice, invitation.name, email]))
    return told(
      { password: 'This is one of the passwords tried first, or close to one. Take other words.' },
      { email },
      422,
    );
  const came = await acceptInvitation(params.secret, { email, password });
  if (came === 'gone') throw data(GONE, { status: 404 });
  if (came === 'email-taken') return told({ email: 'This address is in use already. Take another.' }, { email }, 422);
  return signIn(request, came, '/today');
}

/** Coming in by a link: somebody new with their address, somebody known here with another password. */
export default function JoinPractice({ loaderData: { practice, name, email, isKnown } }: Route.ComponentProps) {
  const { form, bind } = useCheckedForm<Join>(joinSchema, useActionData<typeof action>(), { email });
  return (
    <main className="sign">
      <Wordmark />
      <h1>{isKnown ? `${name}, set your password` : `${name}, come in`}</h1>
      <p>
        {isKnown
          ? `For ${practice}. Wherever you are signed in, you are not any more then; a second factor is to be set up anew.`
          : `To work at ${practice}.`}
      </p>
      <Form {...bind}>
        <Field
          form={form}
          name="email"
          label="E-mail address"
          type="email"
          autoComplete="username"
          readOnly={isKnown}
          className="mb-3"
        />
        <NewPassword form={form} />
        <Button type="submit">Come in</Button>
      </Form>
    </main>
  );
}
