import { lazy, Suspense } from 'react';
import { Button } from 'react-bootstrap';
import type { FetcherWithComponents } from 'react-router';
import { FieldFrame } from '../../parts/fields/field';
import type { FieldErrors } from '../../schemas/read';

const Qr = lazy(() => import('../../parts/marks/qr'));
type Told = FetcherWithComponents<{ errors: FieldErrors }>;

/** A change of how one comes in, signed with the password that one has. */
export function WithPassword({
  fetcher,
  what,
  verb,
  children,
}: {
  fetcher: Told;
  what: 'offer' | 'end';
  verb: string;
  children: React.ReactNode;
}) {
  return (
    <fetcher.Form method="post" noValidate>
      <p>{children}</p>
      <input type="hidden" name="do" value={what} />
      <FieldFrame
        name="present"
        label="Your password"
        type="password"
        autoComplete="current-password"
        message={fetcher.data?.errors.present}
        className="mb-3"
      />
      <Button type="submit">{verb}</Button>
    </fetcher.Form>
  );
}

/** The secret for an authenticator app: as a code to be read, and as letters to be typed. */
export function Offered({ secret, address }: { secret: string; address: string }) {
  return (
    <>
      <p>
        Read this code with your authenticator app, or type the letters into it. Nothing is asked for at the door until
        the first six digits were right.
      </p>
      <div className="d-flex gap-3 align-items-center flex-wrap mb-3">
        <Suspense>
          <Qr text={address} label="The secret as a code" />
        </Suspense>
        <code className="address" aria-label="The secret as letters">
          {secret.match(/.{1,4}/g)!.join(' ')}
        </code>
      </div>
    </>
  );
}

export function FirstCode({ fetcher }: { fetcher: Told }) {
  return (
    <fetcher.Form method="post" noValidate>
      <input type="hidden" name="do" value="first" />
      <FieldFrame
        name="code"
        label="Six digits of the app"
        inputMode="numeric"
        autoComplete="one-time-code"
        message={fetcher.data?.errors.code}
        className="mb-3"
      />
      <Button type="submit">Ask for it from now on</Button>
    </fetcher.Form>
  );
}

/** Codes for the day the phone is lost; each opens once. */
export function SpareCodes({ codes }: { codes: readonly string[] }) {
  return (
    <div role="status">
      <p>
        <strong>A code is asked for from now on.</strong> These spare codes are told this once: print or write them
        down. Each opens the door once, instead of a code of the app. Without phone and spare codes an owner of the
        practice gives you a link to set a password.
      </p>
      <ul className="spare-codes num">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
    </div>
  );
}
