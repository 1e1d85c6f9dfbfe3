import { emptyRoutine } from '../../../core/routine';
import { complaintName } from '../../../core/words';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { data, Link } from 'react-router';
import { saveTemplate } from '../../../server/db/queries/templates.server';
import { sentRoutine } from '../../../server/access/sent-routine.server';
import { permitted } from '../../../server/access/session.server';
import { soundingsOf } from '../../parts/chart/chart-marks';
import { EarlierMenu } from '../../rooms/visit/compose/earlier-menu';
import { RoutineTable } from '../../parts/table/routine-table';
import { MakeUp } from '../../rooms/visit/compose/make-up';
import { ProposeHere } from '../../rooms/visit/compose/propose-here';
import { OriginLine } from '../../rooms/visit/compose/origin-line';
import { TemplatesMenu } from '../../rooms/visit/compose/templates-menu';
import { useRoutine } from '../../parts/table/use-routine';
import { useVisit } from '../../rooms/visit/session/context';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { keepTemplateSchema } from '../../schemas/template';
import type { Route } from './+types/compose';

const refused = (name: string) => data({ errors: { name } as FieldErrors, kept: undefined }, { status: 422 });

/** Keeps the routine on the table as a template. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await checkForm(keepTemplateSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, kept: undefined }, { status: 422 });
  const sent = await sentRoutine(who.practiceId, input.value.routine);
  if ('told' in sent) return refused(sent.told);
  const made = await saveTemplate(who, input.value.name, sent.routine, input.value.once);
  if (made === 'name-taken') return refused('There is a template of this name already. Take another.');
  return { errors: undefined, kept: input.value.name };
}

export default function Compose() {
  const { visit, client, readings, screening, routine, origin, setRoutine, undo, redo, goTo, ended, practiceSchool } =
    useVisit();
  const first = client.complaints.find((c) => !c.closed);
  const name = first ? complaintName(first) : 'Routine';
  const onTable = useMemo(() => routine ?? emptyRoutine(name, practiceSchool), [routine, name, practiceSchool]);
  const table = useRoutine({ routine: onTable, setRoutine, screening, checkedWith: screening, undo, redo });
  const [opensFirst, setOpensFirst] = useState(false);
  const [proposing, setProposing] = useState(false);
  if (proposing)
    return (
      <ProposeHere
        table={table}
        name={routine?.name ?? name}
        now={routine}
        onLeave={(thenEdit) => {
          setProposing(false);
          setOpensFirst(thenEdit);
        }}
      />
    );
  return (
    <RoutineTable
      opensFirst={opensFirst}
      table={table}
      title="Compose"
      disabled={ended}
      soundings={soundingsOf(readings, 'before')}
      above={<SaveConflict />}
      saved={<SaveState />}
      onward={(stopped) =>
        !ended && (
          <>
            <Button variant="outline-primary" onClick={() => setProposing(true)}>
              Propose
            </Button>
            <Button
              onClick={() => goTo('guide')}
              disabled={!onTable.items.length || stopped}
              title={stopped ? 'Something is off limits: see below' : undefined}
            >
              Guide
            </Button>
          </>
        )
      }
      tools={({ start, keeping, keep }) => (
        <>
          <TemplatesMenu
            visitId={visit.id}
            routine={onTable}
            disabled={ended}
            onStart={(body, from) => start(body, body.budgetMinutes === null ? 'part' : 'whole', from)}
            keeping={keeping}
            onKeeping={keep}
          />
          <EarlierMenu visitId={visit.id} disabled={ended} onStart={(body, from) => start(body, 'whole', from)} />
          <MakeUp visitId={visit.id} routine={onTable} disabled={ended} onEdit={table.edit} />
          {onTable.items.length > 0 && (
            <>
              <Link to={`/paper/visits/${visit.id}/routine`}>Print</Link>
              <Link to={`/pad/rehearse?visit=${visit.id}`}>Rehearse</Link>
            </>
          )}
          <OriginLine
            origin={origin}
            routine={onTable}
            disabled={ended}
            onTake={table.edit}
            onSeen={(now) => setRoutine(onTable, now)}
          />
        </>
      )}
    />
  );
}
