import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useSearchParams } from 'react-router';
import { checkPassword } from '../../server/db/queries/accounts.server';
import { signInSchema, type SignInInput } from '../schemas/account';
import { check, formObject, type FieldErrors } from '../schemas/read';
import { countFailure, forgetFailures, waitMinutes } from '../../server/db/queries/attempts.server';
import { safeReturn, signIn, whoIs } from '../session.server';
import { Field, useCheckedForm } from '../ui/field';
import { Wordmark } from '../ui/wordmark';
import type { Route } from './+types/sign-in';

export const meta = () => [{ title: 'Sign in · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  if (await whoIs(request)) throw redirect('/today');
  return null;
}

export async function action({ request }: Route.ActionArgs) {
  const input = await check(signInSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { email, password, to } = input.value;
  const wait = await waitMinutes(email);
  if (wait) return data({ errors: { password: `Too many wrong tries. Try again in ${wait} minute${wait === 1 ? '' : 's'}.` } as FieldErrors }, { status: 429 });
  const who = await checkPassword(email, password);
  if (!who) {
    await countFailure(email);
    return data({ errors: { password: 'This e-mail address and password do not belong together.' } as FieldErrors }, { status: 422 });
  }
  await forgetFailures(email);
  return signIn(who, safeReturn(to));
}

export default function SignIn() {
  const answered = useActionData<typeof action>();
  const [query] = useSearchParams();
  const { form, bind } = useCheckedForm<SignInInput>(signInSchema, answered, { to: query.get('to') ?? '' });
  return (
    <main className="sign">
      <Wordmark />
      <h1>Sign in</h1>
      <Form {...bind}>
        <input type="hidden" {...form.register('to')} />
        <Field form={form} name="email" label="E-mail address" type="email" autoComplete="username" className="mb-3" />
        <Field form={form} name="password" label="Password" type="password" autoComplete="current-password" className="mb-3" />
        <Button type="submit">Sign in</Button>
      </Form>
      <p className="mt-4 mb-0 soft">
        New here? <Link to="/new-practice">Open a practice</Link>
      </p>
    </main>
  );
}
