import { Button } from 'react-bootstrap';
import { useVisit } from './context';

/** Whether everything is written; and the choice when two windows changed one visit. */
export function SaveState() {
  const { save } = useVisit();
  const text = { saved: 'Saved', saving: 'Saving …', waiting: 'Not saved yet, trying again …', stale: 'Not saved', ended: 'Not saved', refused: 'Not saved' }[save.status];
  return (
    <span className={`save-state${save.status === 'waiting' ? ' is-waiting' : ''}`} role="status">
      {text}
    </span>
  );
}

export function SaveConflict() {
  const { save, takeTheirs, keepMine } = useVisit();
  if (save.status === 'refused')
    return (
      <div className="note-bar is-stop" role="alert">
        {save.message}
      </div>
    );
  if (save.status === 'ended')
    return (
      <div className="note-bar is-stop" role="alert">
        This visit was ended in another window. What you entered since then is not kept.{' '}
        <Button variant="link" onClick={takeTheirs}>
          Show it as it is stored
        </Button>
      </div>
    );
  if (save.status !== 'stale') return null;
  return (
    <div className="note-bar is-stop" role="alert">
      <strong>This visit was changed in another window.</strong> Your last entry is not written yet.{' '}
      <Button variant="link" onClick={takeTheirs}>
        Take what is stored
      </Button>{' '}
      or{' '}
      <Button variant="link" onClick={keepMine}>
        write mine over it
      </Button>
      .
    </div>
  );
}
