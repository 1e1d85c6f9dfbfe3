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
  return (
    <div className="note-bar is-stop" role="alertdialog" aria-label="Finish the visit?">
      <strong>{missing.length ? 'Finish with this open?' : 'Nothing is open any more.'}</strong>{' '}
      {missing.length > 0 && 'It can be added later, and is then marked as added.'}
      <ul className="mb-2">
        {missing.map((m) => (
          <li key={m}>{m}</li>
        ))}
      </ul>
      <div className="d-flex gap-2">
        <Button autoFocus onClick={() => end('done')}>
          {missing.length ? 'Finish all the same' : 'Finish'}
        </Button>
        <Button variant="outline-primary" onClick={onBack}>
          Go on recording
        </Button>
      </div>
    </div>
  );
}
