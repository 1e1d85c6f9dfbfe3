import type { RoutineOrigin } from '../../../../core/record';
import { readRoutine, type Routine } from '../../../../core/routine';
import { clock } from '../../../../core/words';
import { useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import { useDates } from '../../../parts/frame/use-dates';
import type { loader } from '../../../routes/visit/earlier';
import { Looking } from '../../../parts/frame/looking';
import { useRead } from '../../../parts/frame/use-read';

/** What was done with this client before, to begin from again. */
export function EarlierMenu({
  visitId,
  disabled,
  onStart,
}: {
  visitId: string;
  disabled: boolean;
  onStart: (body: Routine, origin: RoutineOrigin | null) => void;
}) {
  const { shortDay } = useDates();
  const list = useRead<typeof loader>();
  const [open, setOpen] = useState(false);
  const show = () => {
    setOpen(true);
    void list.load(`/visits/${visitId}/earlier`);
  };
  return (
    <>
      <Button size="sm" variant="outline-primary" disabled={disabled} onClick={show}>
        As an earlier time …
      </Button>
      {open && (
        <Modal show enforceFocus={false} onHide={() => setOpen(false)} scrollable aria-labelledby="earlier-title">
          <Modal.Header closeButton>
            <h2 id="earlier-title" className="m-0">
              As an earlier time
            </h2>
          </Modal.Header>
          <Modal.Body>
            {!list.data && <Looking isFailed={list.isFailed} />}
            {list.data && !list.data.earlier.length && <p className="soft">No earlier visit with a routine.</p>}
            <ul className="template-list">
              {list.data?.earlier.map((e, i) => (
                <li key={e.visitId}>
                  <button
                    type="button"
                    className="template-row"
                    onClick={() => {
                      setOpen(false);
                      onStart(readRoutine(e.routine), e.origin);
                    }}
                  >
                    <strong>
                      {i === 0 ? 'Last time: ' : ''}
                      {e.routine.name}
                    </strong>
                    <span className="num">{clock(e.seconds)}</span>
                    <span className="soft">
                      {shortDay(e.at)}, {e.steps} steps
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </Modal.Body>
        </Modal>
      )}
    </>
  );
}
