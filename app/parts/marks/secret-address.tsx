import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';

const Qr = lazy(() => import('./qr'));

/** A private link in the one moment in which it can be handed over: as text, as a code, and to be copied. */
export function SecretAddress({
  secret,
  opens = 'h',
  children,
}: {
  secret: string;
  /** What it opens: a client’s own pages, the way in for a colleague, or a practitioner’s calendar. */
  opens?: 'h' | 'join' | 'c';
  children?: ReactNode;
}) {
  const [copied, setCopied] = useState('');
  const address = `${location.origin}/${opens}/${secret}`;
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setCopied('Copied.'),
      () => setCopied('This browser does not copy: mark it and copy it by hand.'),
    );
  return (
    <>
      <code className="address">{address}</code>
      <div className="d-flex gap-3 align-items-start my-2">
        <Suspense>
          <Qr text={address} label="The private link as a code" />
        </Suspense>
        <div className="d-grid gap-2">
          <Button size="sm" onClick={() => void copy()}>
            Copy the link
          </Button>
          {children}
          <span role="status" className="soft small">
            {copied}
          </span>
        </div>
      </div>
    </>
  );
}
