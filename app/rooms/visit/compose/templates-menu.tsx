import type { RoutineOrigin } from '../../../../core/record';
import { readRoutine, type Routine } from '../../../../core/routine';
import { useEffect, useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import { useFetcher } from 'react-router';
import type { FieldErrors } from '../../../schemas/read';
import { FieldFrame } from '../../../parts/fields/field';
import { OnceKey } from '../../../parts/fields/once-key';
import { TemplateList } from './template-list';

/** Start from a template of the practice, or keep what is here as one. */
export function TemplatesMenu({
  visitId,
  routine,
  disabled,
  onStart,
  keeping,
  onKeeping,
}: {
  visitId: string;
  /** What is being kept: the routine, or a part of it. */
  keeping: Routine | null;
  onKeeping: (routine: Routine | null) => void;
  routine: Routine;
  disabled: boolean;
  onStart: (body: Routine, origin: RoutineOrigin | null) => void;
}) {
  const keep = useFetcher<{ errors?: FieldErrors; kept?: string }>();
  const [choosing, setChoosing] = useState(false);
  const kept = keep.data?.kept;
  useEffect(() => {
    if (keep.data?.kept) onKeeping(null);
  }, [keep.data, onKeeping]);
  const [missing, setMissing] = useState(false);
  /** The routine itself comes when it is chosen: a practice may keep many. */
  const bring = async (id: string): Promise<void> => {
    const answer = await fetch(`/routines/${id}/file`).catch(() => null);
    const found = answer?.ok && !answer.redirected;
    setMissing(!found);
    if (!found) return;
    // Which version it is comes with it: the list may be older.
    const version = Number(answer.headers.get('ETag')?.replace(/\D/g, ''));
    onStart(readRoutine(await answer.json()), version ? { template: id, version } : null);
  };
  return (
    <>
      <Button size="sm" variant="outline-primary" disabled={disabled} onClick={() => setChoosing(true)}>
        Start from a template
      </Button>
      {choosing && (
        <TemplateList
          visitId={visitId}
          onClose={() => setChoosing(false)}
          onChoose={(id) => {
            setChoosing(false);
            void bring(id);
          }}
        />
      )}
      <Button size="sm" variant="outline-primary" disabled={!routine.items.length} onClick={() => onKeeping(routine)}>
        Keep as a template
      </Button>
      {missing && (
        <span role="alert" className="worse">
          That template could not be fetched. Try again.
        </span>
      )}
      {kept && !keeping && (
        <span role="status" className="soft">
          Kept as “{kept}”
        </span>
      )}
      <Modal show={!!keeping} enforceFocus={false} onHide={() => onKeeping(null)} aria-labelledby="keep-title">
        <keep.Form method="post">
          <Modal.Body>
            <h2 id="keep-title" className="mb-3">
              Keep as a template
            </h2>
            <OnceKey key={kept ?? ''} />
            <input type="hidden" name="routine" value={JSON.stringify(keeping)} />
            <FieldFrame
              name="name"
              label="Name"
              defaultValue={keeping === routine ? routine.name : `Part of ${routine.name}`}
              autoFocus
              maxLength={160}
              message={keep.data?.errors?.name}
            />
          </Modal.Body>
          <Modal.Footer>
            <Button variant="outline-primary" onClick={() => onKeeping(null)}>
              Cancel
            </Button>
            <Button type="submit">Keep</Button>
          </Modal.Footer>
        </keep.Form>
      </Modal>
    </>
  );
}
