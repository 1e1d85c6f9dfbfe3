import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useVisit } from '../session/context';

/** Ends the visit; where something is open it says what, and asks once. */
export function FinishButton({ missing, onAsk }: { missing: readonly string[]; onAsk: () => void }) {
  const { end, save } = useVisit();
  return (
    <Button
      onClick={() => (missing.length ? onAsk() : end('done'))}
      disabled={save.refused.length > 0}
      title={save.refused.length ? 'What is not saved has to be changed or taken back first' : undefined}
    >
      Finish the visit
    </Button>
  );
}

export function FinishQuestion({ missing, onBack }: { missing: readonly string[]; onBack: () => void }) {
  const { end } = useVisit();
  const [first] = useState(missing);
  return (
    <div className="note-bar is-stop" role="alertdialog" aria-label="Finish the visit?">
      <strong>Finish with this open?</strong> It can be added later, and is then marked as added.
      <ul className="mb-2">
        {first.map((m) => (
          <li key={m}>{m}</li>
        ))}
      </ul>
      <div className="d-flex gap-2">
        <Button autoFocus onClick={() => end('done')}>
          Finish all the same
        </Button>
        <Button variant="outline-primary" onClick={onBack}>
          Go on recording
        </Button>
      </div>
    </div>
  );
}
