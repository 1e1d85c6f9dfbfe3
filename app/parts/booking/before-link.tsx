import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { send } from '../frame/send';
import { SecretAddress } from '../marks/secret-address';
import { Failed } from '../frame/failed';

/** A link for the days before a first visit: numbers on different days, and the questions in plain words. */
export function BeforeLink({ visitId, onClose }: { visitId: string; onClose: () => void }) {
  const [secret, setSecret] = useState('');
  const [failed, setFailed] = useState('');
  const make = async () => {
    const answer = await send<{ secret: string }>(`/bookings/${visitId}/link`, {});
    setFailed(answer.ok ? '' : answer.message);
    if (answer.ok) setSecret(answer.value.secret);
  };
  return (
    <div className="give-link" role="group" aria-label="Link before the first visit">
      {secret ? (
        <>
          <p className="mb-1">
            <strong>Shown this once</strong>: hand it over now. It opens until the day of the visit is over, and shows
            nobody what was answered.
          </p>
          <SecretAddress secret={secret} />
        </>
      ) : (
        <p className="mb-2">
          One number on each of three days, so that relief can be seen later, and the questions of Screen in plain
          words. What is said comes to Screen to be confirmed; a red flag is told on Today at once. A link made before
          ends with a new one.
        </p>
      )}
      <div className="d-flex gap-2 flex-wrap">
        {!secret && (
          <Button size="sm" onClick={() => void make()}>
            Make the link
          </Button>
        )}
        <Button size="sm" variant="outline-primary" onClick={onClose}>
          {secret ? 'Handed over' : 'Leave it'}
        </Button>
      </div>
      <Failed words={failed} />
    </div>
  );
}
