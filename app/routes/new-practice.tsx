import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { createPractice } from '../../server/db/queries/accounts.server';
import { takeTry } from '../../server/db/queries/attempts.server';
import { isCommonPassword } from '../../server/passwords';
import { newPracticeSchema, type NewPractice as NewPracticeInput } from '../schemas/account';
import { checkForm, readForm, type FieldErrors } from '../schemas/read';
import { signIn } from '../../server/access/session.server';
import { addressOf, trySignIn } from '../../server/access/sign-in.server';
import { Field, useCheckedForm } from '../parts/fields/field';
import { NewPassword } from '../parts/fields/new-password';
import { Wordmark } from '../parts/marks/wordmark';
import type { Route } from './+types/new-practice';

export const meta = () => [{ title: 'Open a practice · Velvet Compass' }];

export async function action({ request, context }: Route.ActionArgs) {
  const input = await checkForm(newPracticeSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  const { practice, name, email, password } = input.value;
  const refuse = (errors: FieldErrors, status: number) =>
    data({ errors, typed: { ...input.value, password: undefined } as object }, { status });
  if (await isCommonPassword(password, [practice, name, email]))
    return refuse(
      {
        password:
          'This is one of the passwords tried first, or close to one. A few words that do not belong together are accepted.',
      },
      422,
    );
  const wait = await takeTry('practices', addressOf(context));
  if (wait)
    return refuse({ practice: `Many practices were opened from here just now. Try again in ${wait} minutes.` }, 429);
  const made = await createPractice(input.value);
  if (made === 'email-taken') {
    // Pressed twice, the second press finds what the first one made; whoever knows the password is let in.
    const tried = await trySignIn({ email, password, code: '' }, addressOf(context));
    return 'who' in tried
      ? signIn(request, tried.who, '/today')
      : refuse({ email: 'This address is in use already. Sign in, or take another.' }, 422);
  }
  return signIn(request, made, '/today');
}

export default function NewPractice() {
  const { form, bind } = useCheckedForm<NewPracticeInput>(newPracticeSchema, useActionData<typeof action>());
  useEffect(() => form.setValue('timeZone', Intl.DateTimeFormat().resolvedOptions().timeZone), [form]);
  return (
    <main className="sign">
      <Wordmark />
      <h1>Open a practice</h1>
      <Form {...bind}>
        <Field form={form} name="practice" label="Name of the practice" autoComplete="organization" className="mb-3" />
        <Field form={form} name="timeZone" label="Time zone" hint="Days begin and end by it." className="mb-3" />
        <Field form={form} name="name" label="Your name" autoComplete="name" className="mb-3" />
        <Field form={form} name="email" label="E-mail address" type="email" autoComplete="username" className="mb-3" />
        <NewPassword form={form} />
        <Button type="submit">Open the practice</Button>
      </Form>
      <p className="mt-4 mb-0 soft">
        Already here? <Link to="/sign-in">Sign in</Link>
      </p>
    </main>
  );
}
