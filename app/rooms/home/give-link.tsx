import { lazy, Suspense, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';

const Qr = lazy(() => import('../../parts/marks/qr'));

interface Known {
  madeAt: string;
  expiresOn: string;
  usedAt: string | null;
}

/** The private link of a plan: made, shown this once, renewed, ended. */
export function GiveLink({
  clientId,
  clientName,
  link,
  onChanged,
}: {
  clientId: string;
  clientName: string;
  link: Known | null;
  onChanged: () => void;
}) {
  const { shortDay, dayWords } = useDates();
  const [secret, setSecret] = useState('');
  const [failed, setFailed] = useState('');
  const [copied, setCopied] = useState('');
  const act = async (what: 'link' | 'end-link') => {
    const answer = await send<{ secret?: string }>(`/clients/${clientId}/home-plan/do?do=${what}`, {});
    setFailed(answer.ok ? '' : answer.message);
    setSecret(answer.ok ? (answer.value.secret ?? '') : '');
    setCopied('');
    onChanged();
  };
  const address = secret && `${location.origin}/h/${secret}`;
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setCopied('Copied.'),
      () => setCopied('This browser does not copy: mark it and copy it by hand.'),
    );
  return (
    <div className="give-link">
      {secret ? (
        <>
          <p className="mb-1">
            <strong>Shown this once</strong>: hand it over now. It opens this plan and nothing else; whoever has it can
            rate and run for {clientName}.
          </p>
          <code className="address">{address}</code>
          <div className="d-flex gap-3 align-items-start my-2">
            <Suspense>
              <Qr text={address} label="The private link as a code" />
            </Suspense>
            <div className="d-grid gap-2">
              <Button size="sm" onClick={() => void copy()}>
                Copy the link
              </Button>
              <Link to={`/paper/clients/${clientId}/home-plan#${secret}`}>Print the hand-out with it</Link>
              <span role="status" className="soft small">
                {copied}
              </span>
            </div>
          </div>
        </>
      ) : (
        <p className="mb-2">
          {link
            ? `A private link was made ${shortDay(link.madeAt)}, ${link.usedAt ? `last opened ${shortDay(link.usedAt)}` : 'not opened yet'}. It ends on ${dayWords(link.expiresOn)}.`
            : 'A private link opens this plan on a phone: guided, in the mirror, also without a network. No account.'}
        </p>
      )}
      <div className="d-flex gap-2 flex-wrap">
        <Button size="sm" variant="outline-primary" onClick={() => void act('link')}>
          {link ? 'Make a new one; this one ends' : 'Make a private link'}
        </Button>
        {link && (
          <Button size="sm" variant="outline-primary" onClick={() => void act('end-link')}>
            End the link
          </Button>
        )}
      </div>
      {failed && (
        <p className="caution" role="alert">
          {failed}
        </p>
      )}
    </div>
  );
}
