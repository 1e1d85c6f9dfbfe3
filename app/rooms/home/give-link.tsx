import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';
import { SecretAddress } from '../../parts/marks/secret-address';
import { Failed } from '../../parts/frame/failed';

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
  const act = async (what: 'link' | 'end-link') => {
    const answer = await send<{ secret?: string }>(`/clients/${clientId}/home-plan/do?do=${what}`, {});
    setFailed(answer.ok ? '' : answer.message);
    setSecret(answer.ok ? (answer.value.secret ?? '') : '');
    onChanged();
  };
  return (
    <div className="give-link">
      {secret ? (
        <>
          <p className="mb-1">
            <strong>Shown this once</strong>: hand it over now. It opens this plan and nothing else; whoever has it can
            rate and run for {clientName}.
          </p>
          <SecretAddress secret={secret}>
            <Link to={`/paper/clients/${clientId}/home-plan#${secret}`}>Print the hand-out with it</Link>
          </SecretAddress>
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
      <Failed words={failed} />
    </div>
  );
}
