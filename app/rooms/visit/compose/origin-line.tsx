import type { RoutineOrigin } from '../../../../core/record';
import { laterChanges, stepNames, takeOver, type Routine } from '../../../../core/routine';
import { useEffect, useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import { Link } from 'react-router';
import { useCatalogue } from '../../../parts/catalogue/catalogue';
import type { loader } from '../../../routes/routine-since';
import { useRead } from '../../../parts/frame/use-read';

const STANDS = { open: '', there: 'as here already', gone: 'no longer here', 'changed-here': 'changed here too' };

/** Where this client's routine was copied from, and what changed there since, to be taken over one by one. */
export function OriginLine({
  origin,
  routine,
  disabled,
  onTake,
  onSeen,
}: {
  origin: RoutineOrigin | null;
  routine: Routine;
  disabled: boolean;
  onTake: (next: Routine) => boolean;
  /** All was gone through: the copy stands to the routine as it is now. */
  onSeen: (origin: RoutineOrigin) => void;
}) {
  const { load, data } = useRead<typeof loader>();
  const [open, setOpen] = useState(false);
  const [refused, setRefused] = useState(false);
  const catalogue = useCatalogue();
  useEffect(() => {
    if (origin) void load(`/routines/${origin.template}/since?version=${origin.version}`);
  }, [load, origin]);
  if (!origin || !data || data.id !== origin.template) return null;
  const changes = laterChanges(routine, data.base, data.now);
  const names = new Map([...stepNames(data.base, catalogue), ...stepNames(data.now, catalogue)]);
  const isNewer = data.version > origin.version;
  const seen = () => {
    setOpen(false);
    onSeen({ template: data.id, version: data.version });
  };
  return (
    <>
      <span className="soft small">
        From <Link to={`/routines/${data.id}`}>{data.name}</Link>, version {origin.version}.{' '}
        {isNewer && (
          <Button variant="link" size="sm" className="p-0 align-baseline" onClick={() => setOpen(true)}>
            Now version {data.version}: what changed
          </Button>
        )}
      </span>
      {open && (
        <Modal show enforceFocus={false} onHide={() => setOpen(false)} scrollable aria-labelledby="since-title">
          <Modal.Header closeButton>
            <h2 id="since-title" className="m-0">
              Changed in “{data.name}” since version {origin.version}
            </h2>
          </Modal.Header>
          <Modal.Body>
            {!changes.length && <p>No step changed.</p>}
            <ul className="plain-list since">
              {changes.map((c) => {
                const name = names.get((c.now ?? c.before)!.id);
                return (
                  <li key={`${c.before?.id} ${c.now?.id}`}>
                    <span>
                      <strong>{name}</strong>: {c.before && c.now ? c.words.join(', ') : c.now ? 'new' : 'taken out'}{' '}
                      {STANDS[c.stands] && <span className="soft">({STANDS[c.stands]})</span>}
                    </span>
                    {(c.stands === 'open' || c.stands === 'changed-here') && (
                      <Button
                        size="sm"
                        variant="outline-primary"
                        disabled={disabled}
                        aria-label={`Take over: ${name}`}
                        onClick={() => setRefused(!onTake(takeOver(routine, data.now, c)))}
                      >
                        Take over
                      </Button>
                    )}
                  </li>
                );
              })}
            </ul>
            {refused && (
              <p role="alert" className="worse mb-0">
                This client may not have that today.
              </p>
            )}
          </Modal.Body>
          <Modal.Footer>
            <Button variant="outline-primary" onClick={() => setOpen(false)}>
              Later
            </Button>
            <Button disabled={disabled} onClick={seen}>
              Gone through
            </Button>
          </Modal.Footer>
        </Modal>
      )}
    </>
  );
}
