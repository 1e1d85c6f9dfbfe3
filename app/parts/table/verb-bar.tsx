import {
  copySteps,
  mirrorSteps,
  moveSteps,
  removeSteps,
  shiftPressure,
  stepsOf,
  type Routine,
  type Totals,
} from '../../../core/routine';
import { clock } from '../../../core/words';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useCatalogue } from '../catalogue/catalogue';

/** What can be done with the chosen steps; each verb is one step back for Undo. */
export function VerbBar({
  routine,
  picked,
  totals,
  told,
  onTell,
  onEdit,
  onSideBySide,
  onKeepAsPart,
  onDone,
}: {
  routine: Routine;
  picked: ReadonlySet<string>;
  totals: Totals;
  /** What is said of the verb that was last asked for. */
  told: string;
  onTell: (text: string) => void;
  onEdit: (next: Routine) => void;
  onSideBySide: () => void;
  /** null where a part cannot be kept. */
  onKeepAsPart: ((part: Routine) => void) | null;
  onDone: () => void;
}) {
  const catalogue = useCatalogue();
  const [after, setAfter] = useState('');
  const steps = stepsOf(routine);
  const chosen = steps.filter((s) => picked.has(s.id));
  const seconds = steps.reduce((sum, s, i) => sum + (picked.has(s.id) ? totals.stepSeconds[i]! : 0), 0);
  const shift = (by: -1 | 1) => {
    const { routine: next, stayed } = shiftPressure(routine, picked, by, catalogue);
    onTell(
      stayed ? `${stayed} of ${chosen.length} stayed: nothing ${by < 0 ? 'softer' : 'firmer'} is taken there.` : '',
    );
    onEdit(next);
  };
  const move = () => {
    const to = Number(after);
    if (after.trim() === '' || !Number.isInteger(to) || to < 0 || to > steps.length)
      return onTell(`After which step: 0 to ${steps.length}.`);
    onTell('');
    setAfter('');
    onEdit(moveSteps(routine, picked, to));
  };
  return (
    <div className="verb-bar" role="toolbar" aria-label="For the chosen steps">
      <strong>{chosen.length} chosen</strong>
      <span className="num">{clock(seconds)}</span>
      <Button variant="link" onClick={onSideBySide}>
        All left, then right
      </Button>
      <Button variant="link" onClick={() => shift(-1)}>
        Softer
      </Button>
      <Button variant="link" onClick={() => shift(1)}>
        Firmer
      </Button>
      <span className="move-to">
        <Button variant="link" onClick={move}>
          Move to after
        </Button>{' '}
        <input
          aria-label="Move to after step"
          inputMode="numeric"
          size={2}
          value={after}
          onChange={(e) => setAfter(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && (e.preventDefault(), move())}
        />
      </span>
      <Button variant="link" onClick={() => onEdit(copySteps(routine, picked))}>
        Copy
      </Button>
      <Button variant="link" onClick={() => onEdit(mirrorSteps(routine, picked))}>
        Mirror
      </Button>
      {onKeepAsPart && (
        <Button variant="link" onClick={() => onKeepAsPart({ ...routine, items: chosen, budgetMinutes: null })}>
          Keep as a part
        </Button>
      )}
      <Button
        variant="link"
        onClick={() => {
          onEdit(removeSteps(routine, picked));
          onDone();
        }}
      >
        Remove
      </Button>
      <Button variant="link" className="ms-auto" onClick={onDone}>
        Let go (Esc)
      </Button>
      {told && (
        <span role="status" className="told">
          {told}
        </span>
      )}
    </div>
  );
}
