import type { Routine } from '../../../core/routine';
import { screen } from '../../../core/limits';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Form, Link, useBlocker } from 'react-router';
import { CAUTIONS } from '../../../reference/facts/cautions';
import { RoutineTable } from '../../parts/table/routine-table';
import { useRoutine } from '../../parts/table/use-routine';

interface Template {
  id: string;
  name: string;
  body: Routine;
  version: number;
}
interface Draft {
  past: readonly Routine[];
  now: Routine;
  future: readonly Routine[];
}

/** A routine of the practice on the table, outside of any visit: nothing is kept until it is said. */
export function TemplateEditor({ template, told }: { template: Template; told: string }) {
  const [{ past, now, future }, setDraft] = useState<Draft>({ past: [], now: template.body, future: [] });
  const screening = useMemo(() => screen(CAUTIONS, {}), []);
  const table = useRoutine({
    routine: now,
    setRoutine: (next) => setDraft({ past: [...past, now], now: next, future: [] }),
    screening,
    checkedWith: null,
    undo: past.length ? () => setDraft({ past: past.slice(0, -1), now: past.at(-1)!, future: [now, ...future] }) : null,
    redo: future.length ? () => setDraft({ past: [...past, now], now: future[0]!, future: future.slice(1) }) : null,
  });
  const changed = now !== template.body;
  // Leaving with changes is asked about, keeping them is not.
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => changed && currentLocation.pathname !== nextLocation.pathname,
  );
  return (
    <>
      <RoutineTable
        table={table}
        title={`Edit ${template.name}`}
        disabled={false}
        isPage
        saved={<span className="soft small">{changed ? 'not kept yet' : `version ${template.version}`}</span>}
        above={
          <>
            {told && (
              <p role="alert" className="caution">
                {told}
              </p>
            )}
            {blocker.state === 'blocked' && (
              <div className="note-bar is-stop" role="alert">
                What was changed here is not kept.{' '}
                <Button variant="link" onClick={() => blocker.proceed()}>
                  Leave it
                </Button>{' '}
                <Button variant="link" onClick={() => blocker.reset()}>
                  Stay
                </Button>
              </div>
            )}
          </>
        }
        onward={() => (
          <Form method="post" action={`/routines/${template.id}`}>
            <input type="hidden" name="version" value={template.version} />
            <input type="hidden" name="routine" value={JSON.stringify(now)} />
            <Button type="submit" name="do" value="change" disabled={!changed}>
              Keep as version {template.version + 1}
            </Button>
          </Form>
        )}
        tools={() => <Link to={`/routines/${template.id}`}>Back to “{template.name}”</Link>}
      />
    </>
  );
}
