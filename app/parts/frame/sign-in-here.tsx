import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FieldFrame } from '../fields/field';
import { OverDialog } from './over-dialog';
import { tellSignedIn, useSignedOut } from './signed-out';

interface Props {
  practitionerId: string;
  name: string;
  email: string;
}

/** When the session has ended under the work: the same person signs in again in place, and what was typed goes on. */
export function SignInHere({ practitionerId, name, email }: Props) {
  const out = useSignedOut();
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const [problem, setProblem] = useState<{ password?: string; code?: string }>({});
  if (!out) return null;
  const signIn = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await fetch('/sign-in/here', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ practitionerId, email, password, code }),
    }).catch(() => null);
    const told = (await answer?.json().catch(() => null)) as { errors?: Record<string, string> } | null;
    setProblem(answer?.ok ? {} : (told?.errors ?? { password: 'No connection. Try again.' }));
    if (!answer?.ok) return;
    setPassword('');
    setCode('');
    tellSignedIn();
  };
  return (
    <OverDialog>
      <form className="note-bar is-stop no-print" aria-label="Sign in again" onSubmit={(e) => void signIn(e)}>
        <p className="mb-2" role="alert">
          <strong>Your session has ended.</strong> What you entered is still here and is written as soon as you are
          signed in again.
        </p>
        <input type="hidden" autoComplete="username" value={email} readOnly />
        <div className="d-flex gap-2 align-items-start flex-wrap">
          <FieldFrame
            label={`Password of ${name}`}
            type="password"
            autoComplete="current-password"
            autoFocus
            value={password}
            onChange={(e: { target: { value: string } }) => setPassword(e.target.value)}
            message={problem.password}
          />
          {problem.code && (
            <FieldFrame
              label="Code"
              inputMode="numeric"
              autoComplete="one-time-code"
              autoFocus
              value={code}
              onChange={(e: { target: { value: string } }) => setCode(e.target.value)}
              message={problem.code}
            />
          )}
          <Button type="submit" className="mt-4">
            Sign in again
          </Button>
        </div>
      </form>
    </OverDialog>
  );
}
