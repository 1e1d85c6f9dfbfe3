import { counted } from '../../../../core/words';
import type { VisitPatch } from '../../../../core/record';
import { Button } from 'react-bootstrap';
import { useVisit } from './context';

const WORDS = {
  opening: 'Opening …',
  saved: 'Saved',
  saving: 'Saving …',
  waiting: 'Not saved yet, kept on this device, trying again …',
  'signed-out': 'Not saved: signed out',
  stale: 'Not saved',
  ended: 'Not saved',
} as const;

/** Whether everything is written. "Saved" stands there only when what is shown is what is stored. */
export function SaveState() {
  const { save } = useVisit();
  const refused = save.refused.length;
  const text =
    refused && save.status === 'saved'
      ? refused === 1
        ? 'One entry is not saved'
        : `${refused} entries are not saved`
      : WORDS[save.status];
  return (
    <span
      className={`save-state${save.status === 'waiting' || save.status === 'signed-out' || refused ? ' is-waiting' : ''}`}
      role="status"
    >
      {text}
    </span>
  );
}

const WHAT: Record<VisitPatch['kind'], string> = {
  screen: 'The screening',
  readings: 'A reading',
  routine: 'The routine',
  record: 'The record',
  findings: 'A finding',
  answers: 'Answers to a measure',
  stage: 'The step onward',
};

/** What was refused, with both ways out: change it where it stands, or take back what is stored. */
function Refused() {
  const { save, takeBack } = useVisit();
  return save.refused.map((w) => (
    <div key={w.saveId} className="note-bar is-stop" role="alert">
      <strong>{WHAT[w.patch.kind]} is not saved.</strong> {w.message}{' '}
      {w.patch.kind === 'stage' ? '' : 'Shown is what you entered; change it to try again, or '}
      <Button variant="link" onClick={() => takeBack(w.saveId)}>
        {w.patch.kind === 'stage' ? 'Close' : 'show what is stored'}
      </Button>
    </div>
  ));
}

/** Everything that stands between what is shown and what is stored. */
export function SaveConflict() {
  const { save, takenUp, changedElsewhere, takeTheirs, keepMine } = useVisit();
  return (
    <>
      {changedElsewhere && (
        <div className="note-bar" role="status">
          Changed on another screen just now; shown is what is stored.
        </div>
      )}
      {takenUp > 0 && (
        <div className="note-bar" role="status">
          {counted(takenUp, 'entry', 'entries')} of this visit had not been written when it was left;{' '}
          {save.status === 'saved' && !save.refused.length
            ? 'they are saved now.'
            : 'kept on this device, written now.'}
        </div>
      )}
      <Refused />
      {save.status === 'ended' && (
        <div className="note-bar is-stop" role="alert">
          This visit was ended in another window. What you entered since then is not kept.{' '}
          <Button variant="link" onClick={takeTheirs}>
            Show it as it is stored
          </Button>
        </div>
      )}
      {save.status === 'stale' && (
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
      )}
    </>
  );
}
