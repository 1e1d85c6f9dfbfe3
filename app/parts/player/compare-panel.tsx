import { SIDE_DIFFERENCE_NAMES, SIDE_DIFFERENCES, type SideCompare, type SideDifference } from '../../../core/guide';
import type { OneSide } from '../../../core/words';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';

/** One look between the sides: same head, same light, what differs. */
export function ComparePanel({
  doneSide,
  onDone,
  onCancel,
}: {
  doneSide: OneSide;
  onDone: (compare: SideCompare) => void;
  onCancel: () => void;
}) {
  const [side, setSide] = useState<OneSide>(doneSide);
  const [same, setSame] = useState({ sameHead: false, sameLight: false });
  const [differs, setDiffers] = useState<SideDifference[]>([]);
  const toggle = (d: SideDifference) => {
    const rest = differs.filter((o) => o !== d && (d === 'none' ? false : o !== 'none'));
    setDiffers(differs.includes(d) ? rest : [...rest, d]);
  };
  return (
    <form
      className="note-bar mt-3"
      aria-label="Compare the sides"
      onKeyDown={(e) => e.key === 'Escape' && onCancel()}
      onSubmit={(e) => {
        e.preventDefault();
        onDone({ doneSide: side, ...same, differs: differs.length ? differs : ['none'] });
      }}
    >
      <strong>Compare the sides.</strong> Head straight, chin level, face loose, eyes to the same point; look in the
      mirror or at the client from the front.
      <div className="d-flex gap-4 my-2 flex-wrap">
        <div className="chips" role="group" aria-label="Side that is done">
          {(['right', 'left'] as const).map((s) => (
            <button
              key={s}
              type="button"
              className="chip"
              aria-pressed={side === s}
              autoFocus={s === doneSide}
              onClick={() => setSide(s)}
            >
              client’s {s} is done
            </button>
          ))}
        </div>
        <div className="d-flex gap-4">
          <Form.Check
            id="same-head"
            label="Head held as before"
            checked={same.sameHead}
            onChange={(e) => setSame({ ...same, sameHead: e.target.checked })}
          />
          <Form.Check
            id="same-light"
            label="Same light"
            checked={same.sameLight}
            onChange={(e) => setSame({ ...same, sameLight: e.target.checked })}
          />
        </div>
      </div>
      <div className="chips mb-2" role="group" aria-label="On the done side">
        {SIDE_DIFFERENCES.map((d) => (
          <button key={d} type="button" className="chip" aria-pressed={differs.includes(d)} onClick={() => toggle(d)}>
            {SIDE_DIFFERENCE_NAMES[d]}
          </button>
        ))}
      </div>
      <div className="d-flex gap-2">
        <Button type="submit" size="sm">
          Keep the comparison
        </Button>
        <Button size="sm" variant="outline-primary" onClick={onCancel}>
          Go back
        </Button>
      </div>
    </form>
  );
}
