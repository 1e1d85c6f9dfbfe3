import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { createPractice } from '../../server/db/queries/accounts.server';
import { newPracticeSchema, type NewPractice as NewPracticeInput } from '../schemas/account';
import { check, formObject, type FieldErrors } from '../schemas/read';
import { signIn } from '../session.server';
import { Field, useCheckedForm } from '../ui/field';
import { Wordmark } from '../ui/wordmark';
import type { Route } from './+types/new-practice';

export const meta = () => [{ title: 'Open a practice · Velvet Compass' }];

export async function action({ request }: Route.ActionArgs) {
  const input = await check(newPracticeSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const made = await createPractice(input.value);
  if (made === 'email-taken') return data({ errors: { email: 'This address is in use already. Sign in, or take another.' } as FieldErrors }, { status: 422 });
  return signIn(made, '/today');
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
        <Field form={form} name="password" label="Password" type="password" autoComplete="new-password" hint="At least 10 characters." className="mb-3" />
        <Button type="submit">Open the practice</Button>
      </Form>
      <p className="mt-4 mb-0 soft">
        Already here? <Link to="/sign-in">Sign in</Link>
      </p>
    </main>
  );
}
