import { mapSteps, readRoutine, stepCount, stepsOf, routineSeconds, type Routine } from '../../../core/routine';
import { clock, InputError } from '../../../core/words';
import { useState } from 'react';
import { Button, Form as BsForm, Modal } from 'react-bootstrap';
import { Form, useActionData } from 'react-router';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { OnceKey } from '../../parts/fields/once-key';

/** A file larger than this is no routine. */
const MOST_BYTES = 10_000_000;

/** Reads a file as a routine; what is wrong is told with its path and what is accepted there. */
export async function routineFromFile(file: File): Promise<Routine | string> {
  if (file.size > MOST_BYTES) return `The file has ${(file.size / 1e6).toFixed(1)} MB; up to 10 MB is accepted.`;
  try {
    return readRoutine(JSON.parse(await file.text()));
  } catch (error) {
    if (error instanceof InputError) return `Not taken in: ${error.message}.`;
    if (error instanceof SyntaxError) return 'Not taken in: this is no JSON file.';
    if (error instanceof RangeError) return 'Not taken in: it is nested too deep.';
    throw error;
  }
}

/** A routine file: looked at before anything is kept; what this practice does not know is exchanged first. */
export function ImportRoutine({
  read: given,
  onClose,
}: {
  /** What a dropped file was read as; null: none yet. */
  read: Routine | string | null;
  onClose: () => void;
}) {
  const catalogue = useCatalogue();
  const answered = useActionData<{ name?: string }>();
  const [routine, setRoutine] = useState<Routine | null>(typeof given === 'string' ? null : given);
  const [told, setTold] = useState(typeof given === 'string' ? given : '');
  const [instead, setInstead] = useState<Readonly<Record<string, string>>>({});
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = await routineFromFile(file);
    setTold(typeof read === 'string' ? read : '');
    setRoutine(typeof read === 'string' ? null : read);
    setInstead({});
  };
  const unknown = [...new Set(routine ? stepsOf(routine).map((s) => s.technique) : [])].filter(
    (id) => !catalogue.techniques.has(id),
  );
  const ready = routine && unknown.every((id) => instead[id]);
  const exchanged: Routine | null = ready ? exchange(routine, instead) : null;
  return (
    <Modal show enforceFocus={false} onHide={onClose} scrollable aria-labelledby="import-title">
      <Form method="post">
        <Modal.Header closeButton>
          <h2 id="import-title" className="m-0">
            Import a routine
          </h2>
        </Modal.Header>
        <Modal.Body>
          <BsForm.Control
            type="file"
            accept=".json,application/json"
            aria-label="Routine file"
            onChange={(e) => void take((e.target as HTMLInputElement).files?.[0])}
          />
          {told && (
            <p role="alert" className="caution mt-2">
              {told}
            </p>
          )}
          {routine && (
            <>
              <p className="mt-3">
                {stepCount(routine)} steps, {clock(routineSeconds(routine))}
                {routine.budgetMinutes === null ? '' : ` of ${routine.budgetMinutes} min`}
              </p>
              <BsForm.Group controlId="import-name" className="mb-3">
                <BsForm.Label>Name</BsForm.Label>
                <BsForm.Control name="name" defaultValue={routine.name} maxLength={120} isInvalid={!!answered?.name} />
                {answered?.name && (
                  <div role="alert" className="caution small">
                    {answered.name}
                  </div>
                )}
              </BsForm.Group>
              {unknown.map((id) => (
                <BsForm.Group key={id} controlId={`instead-${id}`} className="mb-2">
                  <BsForm.Label>
                    This practice does not know “{id}”. In its place, with the dose of the file:
                  </BsForm.Label>
                  <BsForm.Select
                    value={instead[id] ?? ''}
                    onChange={(e) => setInstead({ ...instead, [id]: e.target.value })}
                  >
                    <option value="">Choose a technique</option>
                    <option value="leave-out">Leave these steps out</option>
                    {[...catalogue.techniques.values()]
                      .filter((t) => !t.retired)
                      .map((t) => (
                        <option key={t.id} value={t.id}>
                          {t.name}
                        </option>
                      ))}
                  </BsForm.Select>
                </BsForm.Group>
              ))}
            </>
          )}
          <OnceKey key={routine?.name ?? ''} />
          <input type="hidden" name="routine" value={exchanged ? JSON.stringify(exchanged) : ''} />
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-primary" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" name="do" value="import" disabled={!exchanged}>
            Keep it
          </Button>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}

/** The same routine with other techniques in place of those that are not known, or without their steps. */
export const exchange = (routine: Routine, instead: Readonly<Record<string, string>>): Routine =>
  mapSteps(routine, (s) =>
    instead[s.technique] === 'leave-out' ? null : { ...s, technique: instead[s.technique] ?? s.technique },
  );
