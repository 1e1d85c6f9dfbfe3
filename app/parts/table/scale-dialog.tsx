import { BOUNDS, scaleTo, type Routine } from '../../../core/routine';
import { clock } from '../../../core/words';
import { useState } from 'react';
import { Button, Modal } from 'react-bootstrap';

/** The routine at another length, with what gives shown before anything is changed. */
export function ScaleDialog({
  routine,
  names,
  onTake,
  onClose,
}: {
  routine: Routine;
  names: ReadonlyMap<string, string>;
  onTake: (next: Routine) => void;
  onClose: () => void;
}) {
  const [least, most] = BOUNDS.budgetMinutes;
  const [typed, setTyped] = useState(String(routine.budgetMinutes ?? 15));
  const minutes = Number(typed.replace(',', '.'));
  const isGood = typed.trim() !== '' && minutes >= least && minutes <= most;
  const scaled = isGood ? scaleTo(routine, minutes) : null;
  return (
    <Modal show enforceFocus={false} onHide={onClose} scrollable aria-labelledby="scale-title">
      <Modal.Body>
        <h2 id="scale-title">
          Fit to{' '}
          <input
            className="say is-number"
            aria-label="Minutes to fit to"
            aria-invalid={!isGood}
            inputMode="decimal"
            size={3}
            autoFocus
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />{' '}
          minutes
        </h2>
        {!isGood && (
          <p role="alert" className="caution">
            {least} to {most} minutes is accepted.
          </p>
        )}
        {scaled && (
          <>
            <p>
              It then runs <strong className="num">{clock(scaled.totalSeconds)}</strong>
              {scaled.totalSeconds > minutes * 60 + 0.5
                ? '. Its doses give no more: take steps, places or sets out as well.'
                : scaled.totalSeconds < minutes * 60 * 0.9
                  ? '. Its doses take no more.'
                  : '.'}
            </p>
            <ul className="plain-list small">
              {scaled.changes.map((c) => (
                <li key={c.stepId}>
                  {names.get(c.stepId)}: <span className="soft">{c.before} →</span> {c.after}
                </li>
              ))}
            </ul>
            {!scaled.changes.length && <p className="soft">Nothing changes but the minutes.</p>}
          </>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Leave it
        </Button>
        <Button disabled={!scaled} onClick={() => scaled && onTake(scaled.routine)}>
          Take it
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
