import { OverDialog } from './over-dialog';
import { useAway } from './reach';

/** Says that something waits for a connection; what was typed stays in its fields meanwhile. */
export function AwayNote() {
  if (!useAway()) return null;
  return (
    <OverDialog>
      <p className="note-bar is-stop no-print" role="alert">
        <strong>No connection to the records.</strong> What you asked for is done as soon as there is one; what you
        typed is still here.
      </p>
    </OverDialog>
  );
}
