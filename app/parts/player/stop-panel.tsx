import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';

const REASONS = ['Client asked to stop', 'Sharp or rising pain', 'Light-headed', 'Out of time'];

/** A few words during a run: why it stops, or a note. */
export function StopPanel({
  kind,
  onDone,
  onCancel,
}: {
  kind: 'stop' | 'note';
  onDone: (text: string) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState('');
  return (
    <form
      className="note-bar is-stop mt-3"
      onKeyDown={(e) => e.key === 'Escape' && onCancel()}
      onSubmit={(e) => {
        e.preventDefault();
        if (kind === 'stop' || text.trim()) onDone(text.trim());
      }}
    >
      <Form.Label htmlFor="guide-words">{kind === 'stop' ? 'Why stop?' : 'Note at this moment'}</Form.Label>
      {kind === 'stop' && (
        <div className="chips mb-2">
          {REASONS.map((r) => (
            <button key={r} type="button" className="chip" onClick={() => onDone(r)}>
              {r}
            </button>
          ))}
        </div>
      )}
      <Form.Control id="guide-words" autoFocus maxLength={500} value={text} onChange={(e) => setText(e.target.value)} />
      <div className="d-flex gap-2 mt-2">
        <Button type="submit" size="sm" variant={kind === 'stop' ? 'danger' : 'primary'}>
          {kind === 'stop' ? 'Stop the run' : 'Keep the note'}
        </Button>
        <Button size="sm" variant="outline-primary" onClick={onCancel}>
          Go back
        </Button>
      </div>
    </form>
  );
}
