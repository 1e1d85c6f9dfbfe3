import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useSearchParams } from 'react-router';
import { signInSchema, type SignInInput } from '../schemas/account';
import { checkForm, readForm } from '../schemas/read';
import { safeReturn, signIn, whoIs } from '../../server/access/session.server';
import { addressOf, trySignIn } from '../../server/access/sign-in.server';
import { Field, HiddenField, useCheckedForm } from '../parts/fields/field';
import { Wordmark } from '../parts/marks/wordmark';
import type { Route } from './+types/sign-in';

export const meta = () => [{ title: 'Sign in · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  if (await whoIs(request)) throw redirect('/today');
  return null;
}

export async function action({ request, context }: Route.ActionArgs) {
  const input = await checkForm(signInSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  const { to, ...typed } = input.value;
  const tried = await trySignIn(typed, addressOf(context));
  if ('who' in tried) return signIn(request, tried.who, safeReturn(to));
  return data({ errors: tried.errors, typed: { email: typed.email, to } as object }, { status: tried.status });
}

export default function SignIn() {
  const answered = useActionData<typeof action>();
  const [query] = useSearchParams();
  const { form, bind } = useCheckedForm<SignInInput>(signInSchema, answered, { to: query.get('to') ?? '' });
  // Asked for once the password was right; who has no script types the password again beside it.
  const asksCode = !!answered?.errors.code;
  return (
    <main className="sign">
      <Wordmark />
      <h1>Sign in</h1>
      <Form {...bind}>
        <HiddenField form={form} name="to" />
        <Field form={form} name="email" label="E-mail address" type="email" autoComplete="username" className="mb-3" />
        <Field
          form={form}
          name="password"
          label="Password"
          type="password"
          autoComplete="current-password"
          className="mb-3"
        />
        {asksCode && (
          <Field
            form={form}
            name="code"
            label="Code"
            inputMode="numeric"
            autoComplete="one-time-code"
            autoFocus
            hint="Of your authenticator app, or a spare code."
            className="mb-3"
          />
        )}
        <Button type="submit">Sign in</Button>
      </Form>
      <p className="mt-4 mb-0 soft">
        New here? <Link to="/new-practice">Open a practice</Link>
      </p>
    </main>
  );
}
