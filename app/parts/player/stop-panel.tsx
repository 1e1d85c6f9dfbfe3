import { useState } from 'react';
import { Form } from 'react-bootstrap';

const REASONS = ['Client asked to stop', 'Sharp or rising pain', 'Light-headed', 'Out of time'];

/** Asked once, in the place of the count: whether it stops, and why. */
export function StopPanel({
  reasons = REASONS,
  words = 'Stop the run? It can be taken up again here.',
  onStop,
  onCancel,
}: {
  reasons?: readonly string[] | undefined;
  words?: string | undefined;
  onStop: (reason: string) => void;
  onCancel: () => void;
}) {
  const [reason, setReason] = useState('');
  const [other, setOther] = useState('');
  return (
    <form
      className="ask-in-place is-stop"
      aria-label="Stop the run"
      onKeyDown={(e) => e.key === 'Escape' && onCancel()}
      onSubmit={(e) => {
        e.preventDefault();
        onStop(other.trim() || reason);
      }}
    >
      <strong>{words}</strong>
      <div className="chips" role="group" aria-label="Why">
        {reasons.map((r) => (
          <button
            key={r}
            type="button"
            className="chip"
            aria-pressed={reason === r}
            onClick={() => setReason(reason === r ? '' : r)}
          >
            {r}
          </button>
        ))}
      </div>
      <Form.Control
        aria-label="Another reason"
        placeholder="Another reason"
        maxLength={500}
        value={other}
        onChange={(e) => setOther(e.target.value)}
      />
      <div className="large-two">
        <button type="submit" className="go-on is-stop" autoFocus>
          <strong>Stop the run</strong>
        </button>
        <button type="button" className="go-on" onClick={onCancel}>
          <strong>Go back</strong>
        </button>
      </div>
    </form>
  );
}
