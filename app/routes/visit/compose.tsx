import { knownAt } from '../../../core/record';
import { emptyRoutine, readRoutine } from '../../../core/routine';
import { complaintName, InputError } from '../../../core/words';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { data } from 'react-router';
import { saveTemplate } from '../../../server/db/queries/templates.server';
import { requirePractitioner } from '../../../server/access/session.server';
import { soundingsOf } from '../../parts/chart/chart-marks';
import { EarlierMenu } from '../../rooms/visit/compose/earlier-menu';
import { RoutineTable } from '../../parts/table/routine-table';
import { MakeUp } from '../../rooms/visit/compose/make-up';
import { OriginLine } from '../../rooms/visit/compose/origin-line';
import { TemplatesMenu } from '../../rooms/visit/compose/templates-menu';
import { useRoutine } from '../../parts/table/use-routine';
import { useVisit } from '../../rooms/visit/session/context';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { keepTemplateSchema } from '../../schemas/template';
import type { Route } from './+types/compose';

/** Keeps the routine on the table as a template. */
export async function action({ request }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await checkForm(keepTemplateSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, kept: undefined }, { status: 422 });
  try {
    const made = await saveTemplate(
      who,
      input.value.name,
      readRoutine(JSON.parse(input.value.routine)),
      input.value.once,
    );
    if (made === 'name-taken')
      return data(
        { errors: { name: 'There is a template of this name already. Take another.' } as FieldErrors, kept: undefined },
        { status: 422 },
      );
    return { errors: undefined, kept: input.value.name };
  } catch (error) {
    if (!(error instanceof InputError) && !(error instanceof SyntaxError)) throw error;
    return data({ errors: { name: error.message } as FieldErrors, kept: undefined }, { status: 422 });
  }
}

/** With the solver beside it: fetched when it is asked for. */
const ProposalView = lazy(() =>
  import('../../parts/proposal/proposal-view').then((m) => ({ default: m.ProposalView })),
);

/** What would make a proposal fit better. */
function WhatIsMissing({ known, unrated }: Pick<ReturnType<typeof knownAt>, 'known' | 'unrated'>) {
  const told = [
    known.tenderness.length ? '' : 'Press the muscles in Assess for a closer fit.',
    unrated.length ? `Nobody has rated ${unrated.join(' and ').toLowerCase()}: it counts as 5 of 10.` : '',
  ].filter(Boolean);
  return told.length ? <p className="soft small mb-1">{told.join(' ')}</p> : null;
}

export default function Compose() {
  const {
    visit,
    client,
    readings,
    earlier,
    findings,
    screening,
    routine,
    origin,
    setRoutine,
    undo,
    redo,
    goTo,
    ended,
    practiceSchool,
  } = useVisit();
  const first = client.complaints.find((c) => !c.closed);
  const name = first ? complaintName(first) : 'Routine';
  const onTable = useMemo(() => routine ?? emptyRoutine(name, practiceSchool), [routine, name, practiceSchool]);
  const table = useRoutine({ routine: onTable, setRoutine, screening, checkedWith: screening, undo, redo });
  const [opensFirst, setOpensFirst] = useState(false);
  const [proposing, setProposing] = useState(false);
  const asked = useMemo(
    () => knownAt(client, readings, earlier, findings, table.catalogue),
    [client, readings, earlier, findings, table.catalogue],
  );
  if (proposing)
    return (
      <Suspense fallback={<p className="soft p-4">Getting ready …</p>}>
        <ProposalView
          whose={client.id}
          name={routine?.name ?? name}
          known={asked.known}
          screening={screening}
          catalogue={table.catalogue}
          school={onTable.school}
          minutes={onTable.budgetMinutes}
          now={routine}
          soundings={soundingsOf(readings, 'before')}
          notes={<WhatIsMissing known={asked.known} unrated={asked.unrated} />}
          onTake={(next, thenEdit) => {
            if (!table.edit(next, null)) return;
            setProposing(false);
            setOpensFirst(thenEdit);
          }}
          onLeave={() => setProposing(false)}
        />
      </Suspense>
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
