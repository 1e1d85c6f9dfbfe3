import {
  BOUNDS,
  freshId,
  insertStep,
  insertSteps,
  makeBlock,
  moveStep,
  readRoutine,
  replaceStep,
  stepNames,
  stepsOf,
  type Routine,
  type Step,
} from '../../../core/routine';
import { applyFix, type RuleFinding } from '../../../core/rules';
import { clientInches, distanceWords, pointDistance } from '../../../core/atlas';
import { admitRoutine, keepOffPlaces } from '../../../core/limits';
import { clock, complaintName, InputError, type Region, type Side } from '../../../core/words';
import { useContext, useEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { data } from 'react-router';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { landmarkName } from '../../../reference/facts/landmarks';
import { PRESSED_MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';
import { saveTemplate } from '../../../server/db/queries/templates.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { ClientChart } from '../../parts/chart/client-chart';
import { pathsOf } from '../../parts/chart/path-layer';
import { placesOn, type Place } from '../../parts/chart/places';
import { AddStep } from '../../rooms/visit/compose/add-step';
import { BudgetField } from '../../rooms/visit/compose/budget-field';
import { OrderField } from '../../parts/routine/order-field';
import { FindingLine } from '../../rooms/visit/compose/finding-line';
import { ScaleDialog } from '../../rooms/visit/compose/scale-dialog';
import { StepList } from '../../rooms/visit/compose/step-list';
import { TemplatesMenu } from '../../rooms/visit/compose/templates-menu';
import { useChoice } from '../../rooms/visit/compose/use-choice';
import { VerbBar } from '../../rooms/visit/compose/verb-bar';
import { useRoutine } from '../../rooms/visit/compose/use-routine';
import { Ribbon } from '../../parts/ribbon/ribbon';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { keepTemplateSchema } from '../../schemas/template';
import { requirePractitioner } from '../../../server/access/session.server';
import { isQuiet } from '../../parts/keys/keys';
import { keepOffMarks, soundingsOf, stopsOf } from '../../parts/chart/chart-marks';
import { useVisit } from '../../rooms/visit/session/context';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { UndoButtons } from '../../rooms/visit/session/undo-buttons';
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

export default function Compose() {
  const { visit, client, readings, screening, goTo, ended, practiceSchool } = useVisit();
  const first = client.complaints.find((c) => !c.closed);
  const table = useRoutine(first ? complaintName(first) : 'Routine', practiceSchool);
  const { routine, edit, findings, totals, catalogue } = table;
  const choice = useChoice(table);
  const { chosen, setChosen, picked } = choice;
  const [picking, setPicking] = useState(false);
  const [keeping, setKeeping] = useState<Routine | null>(null);
  const [scaling, setScaling] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  const [place, setPlace] = useState<Place | null>(null);
  const [adapted, setAdapted] = useState('');
  const adder = useRef<HTMLInputElement>(null);

  const flags = useMemo(() => {
    const out = new Map<string, 'stop' | 'warn'>();
    for (const f of findings)
      if (f.severity !== 'hint') for (const id of f.stepIds) if (out.get(id) !== 'stop') out.set(id, f.severity);
    return out;
  }, [findings]);
  const names = useMemo(() => stepNames(routine, catalogue), [routine, catalogue]);
  const { measures } = useContext(ClientChart);
  const pickable = useMemo(() => {
    const inches = measures && clientInches(BODY_INCHES, measures);
    const closed = keepOffPlaces(screening, catalogue);
    const isClosed = (key: string, side: Side) =>
      closed.some(
        (k) => `${k.place.kind}:${k.place.id}` === key && (k.side === null || side === 'midline' || side === k.side),
      );
    const of = (kind: 'point' | 'muscle', id: string, name: string, region: Region, more?: string) =>
      placesOn({ kind, id }, 'both').map((p) => ({
        place: p,
        name,
        region,
        more,
        off: isClosed(`${kind}:${id}`, p.side) || isClosed(`region:${region}`, p.side),
      }));
    return [
      ...PRESSED_MUSCLES.flatMap((m) => of('muscle', m.id, m.name, m.region)),
      ...POINTS.flatMap((p) =>
        of(
          'point',
          p.id,
          `${p.id} ${p.name}`,
          p.region,
          inches && p.place.cun ? distanceWords(pointDistance(p, inches), landmarkName) : undefined,
        ),
      ),
    ];
  }, [screening, measures, catalogue]);
  const stopped = findings.some((f) => f.severity === 'stop');

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.target as HTMLElement).closest('input, textarea') && (event.target as HTMLInputElement).value) return;
      if (event.key === '+' && !isQuiet(event)) adder.current?.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const add = (step: Step, at: number) => {
    if (edit(insertStep(routine, step, at))) setChosen(step.id);
  };
  const steps = stepsOf(routine);
  const openStep = steps.find((s) => s.id === chosen) ?? null;
  const behind = openStep ? steps.indexOf(openStep) + 1 : null;
  /** While places are picked for the open step, the chart gives it places, in order. */
  const pickPlace = (p: Place) => {
    if (picking && openStep) {
      edit(replaceStep(routine, openStep.id, (s) => ({ ...s, path: [...s.path, { kind: p.kind, id: p.id }] })));
      return;
    }
    setPlace(p);
    adder.current?.focus();
  };
  const fix = (f: RuleFinding) => f.fix && edit(applyFix(routine, f.fix.action, catalogue));
  const worth = findings.filter((f) => f.severity !== 'hint');
  const loose = findings.filter((f) => !steps.some((s) => s.id === f.stepIds[0]));
  /** From one finding to the next, beginning behind the one in sight. */
  const toNextFinding = () => {
    const lines = [...(list.current?.querySelectorAll<HTMLElement>('.finding:not(.is-hint)') ?? [])];
    const at = lines.findIndex((l) => l === document.activeElement || l.contains(document.activeElement));
    const next = lines[(at + 1) % lines.length];
    if (!next) return;
    next.scrollIntoView({ block: 'nearest' });
    (next.querySelector('button') ?? next).focus();
  };
  const setBlock = () => {
    try {
      const ids = steps.filter((s) => picked.has(s.id)).map((s) => s.id);
      if (edit(makeBlock(routine, ids, 'left-then-right'))) choice.release();
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
    }
  };
  const move = (id: string, by: -1 | 1) =>
    edit(moveStep(routine, id, stepsOf(routine).findIndex((s) => s.id === id) + by));
  /** A template comes without what this client may not have today, and says so; a part of one goes behind the open step. */
  const start = (body: Routine) => {
    const { routine: fit, leftOut, lowered } = admitRoutine(body, screening, catalogue);
    const isPart = body.budgetMinutes === null && steps.length > 0;
    setChosen(null);
    if (edit(isPart ? insertSteps(routine, stepsOf(fit), behind ?? steps.length) : fit))
      setAdapted(
        [
          leftOut.length ? `Left out for this client: ${leftOut.join(', ')}.` : '',
          lowered.length ? `Lowered: ${lowered.join(', ')}.` : '',
        ]
          .filter(Boolean)
          .join(' '),
      );
  };
  const budgetSeconds = routine.budgetMinutes === null ? null : routine.budgetMinutes * 60;

  return (
    <div className="compose">
      <div className="visit-body">
        <div className="chart-side">
          <FaceChart
            stops={stopsOf(routine, chosen)}
            paths={pathsOf(routine, chosen)}
            onChooseStop={setChosen}
            soundings={soundingsOf(readings, 'before')}
            keepOff={keepOffMarks(screening)}
            pick={{ places: pickable, onPick: pickPlace }}
          />
        </div>
        <main className="work">
          <SaveConflict />
          <fieldset disabled={ended} className="border-0 p-0 m-0">
            <div className="work-head">
              <h1 className="visually-hidden">Compose</h1>
              <input
                className="routine-name"
                aria-label="Name of the routine"
                maxLength={120}
                size={Math.max(8, routine.name.length)}
                value={routine.name}
                onChange={(e) => e.target.value && edit({ ...routine, name: e.target.value })}
              />
              <SaveState />
              <span className="total" aria-label={`Total ${clock(totals.totalSeconds)}`}>
                <span
                  className={budgetSeconds !== null && totals.totalSeconds > budgetSeconds ? 'worse' : ''}
                  data-testid="total"
                >
                  {clock(totals.totalSeconds)}
                </span>{' '}
                <BudgetField
                  minutes={routine.budgetMinutes}
                  range={BOUNDS.budgetMinutes}
                  onCommit={(budgetMinutes) => edit({ ...routine, budgetMinutes })}
                />
                {budgetSeconds !== null && (
                  <span className="free">
                    {totals.totalSeconds > budgetSeconds
                      ? `${clock(totals.totalSeconds - budgetSeconds)} over`
                      : `${clock(budgetSeconds - totals.totalSeconds)} free`}
                  </span>
                )}
              </span>
            </div>
            {picked.size > 0 ? (
              <VerbBar
                routine={routine}
                picked={picked}
                totals={totals}
                onEdit={edit}
                onKeepAsPart={setKeeping}
                onDone={choice.release}
              />
            ) : (
              <div className="tool-line">
                <AddStep
                  ref={adder}
                  screening={screening}
                  freshId={freshId(routine)}
                  place={place}
                  routine={routine}
                  behind={behind}
                  onClearPlace={() => setPlace(null)}
                  onAdd={add}
                />
                <OrderField routine={routine} onChange={edit} />
                {worth.length > 0 && (
                  <Button variant="link" className="to-look-at" onClick={toNextFinding}>
                    <span className={stopped ? 'flag-stop' : 'flag-warn'}>{stopped ? '■' : '▲'}</span> {worth.length} to
                    look at
                  </Button>
                )}
                {!ended && (
                  <Button
                    onClick={() => goTo('guide')}
                    disabled={!routine.items.length || stopped}
                    title={stopped ? 'Something is off limits: see below' : undefined}
                  >
                    Guide
                  </Button>
                )}
              </div>
            )}
            {picking && openStep && (
              <div className="note-bar" role="status">
                Places picked on the chart go into the path of step {behind}.{' '}
                <Button variant="link" onClick={() => setPicking(false)}>
                  Done
                </Button>
              </div>
            )}
            {table.problem && (
              <div className="note-bar is-stop" role="alert">
                {table.problem}
              </div>
            )}
            {adapted && (
              <div className="note-bar" role="status">
                {adapted}{' '}
                <Button variant="link" onClick={() => setAdapted('')}>
                  All right
                </Button>
              </div>
            )}
            <div
              ref={list}
              onKeyDown={(e) => {
                const row = (e.target as HTMLElement).closest<HTMLElement>('[data-step]');
                if (!row || ended || e.ctrlKey || e.metaKey || e.altKey) return;
                if ((e.target as HTMLElement).closest('input, select, textarea, .handle')) return;
                if (e.key === 'b' && picked.size) setBlock();
                else if (e.key === 'f') toNextFinding();
                else if (e.key === 'F') {
                  const first = findings.find((f) => f.fix && f.stepIds[0] === row.dataset.step);
                  if (first) fix(first);
                } else if (!choice.onRowKey(row.dataset.step!, e.key, e.currentTarget)) return;
                e.preventDefault();
                e.stopPropagation();
              }}
            >
              {loose.map((f, i) => (
                <FindingLine key={`${f.rule}-${i}`} finding={f} disabled={ended} onFix={() => fix(f)} />
              ))}
              {routine.items.length ? (
                <StepList
                  routine={routine}
                  stepSeconds={totals.stepSeconds}
                  flags={flags}
                  findings={findings}
                  chosen={chosen}
                  picked={picked}
                  picking={picking}
                  disabled={ended}
                  onChoose={(id) => {
                    setPicking(false);
                    setChosen(id);
                  }}
                  onPick={choice.pick}
                  onPicking={setPicking}
                  onEdit={edit}
                  onFix={fix}
                />
              ) : (
                <p className="empty">
                  <strong>No steps yet</strong>
                  Touch a place on the chart, type one above, or start from what there is.
                </p>
              )}
            </div>
            <div className="compose-tools">
              <TemplatesMenu
                visitId={visit.id}
                routine={routine}
                disabled={ended}
                onStart={start}
                keeping={keeping}
                onKeeping={setKeeping}
              />
              <UndoButtons undo={table.undo} redo={table.redo} />
              <Button variant="link" disabled={!routine.items.length} onClick={() => setScaling(true)}>
                Fit to minutes …
              </Button>
              <span className="soft">
                Right {clock(totals.workSeconds.right)}, left {clock(totals.workSeconds.left)} hands on
                {totals.rangeSeconds.most - totals.rangeSeconds.least > 1 &&
                  `; ${clock(totals.rangeSeconds.least)} to ${clock(totals.rangeSeconds.most)} with open doses`}
              </span>
            </div>
            {scaling && (
              <ScaleDialog
                routine={routine}
                names={names}
                onClose={() => setScaling(false)}
                onTake={(next) => {
                  setScaling(false);
                  edit(next);
                }}
              />
            )}
          </fieldset>
        </main>
      </div>
      <Ribbon
        data={table.ribbon}
        budgetSeconds={budgetSeconds}
        names={names}
        flags={flags}
        chosen={chosen}
        onChoose={setChosen}
        onMove={move}
        height={118}
      />
    </div>
  );
}
