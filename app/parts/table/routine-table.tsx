import {
  freshId,
  insertStep,
  insertSteps,
  makeBlock,
  moveStep,
  replaceStep,
  stepNames,
  stepsOf,
  type Routine,
  type Step,
  stepOpening,
} from '../../../core/routine';
import { applyFix, type RuleFinding } from '../../../core/rules';
import { admitRoutine } from '../../../core/limits';
import type { RoutineOrigin } from '../../../core/record';
import { clock, counted, InputError } from '../../../core/words';
import { useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { keepOffMarks, stopsOf } from '../chart/chart-marks';
import { FaceChart } from '../chart/face-chart';
import { ClientJaw } from '../chart/jaw/client-jaw';
import { jawHeld } from '../chart/jaw/jaw-view';
import type { Sounding } from '../chart/layers';
import { pathsOf } from '../chart/path-layer';
import type { Place } from '../chart/places';
import { isQuiet } from '../keys/keys';
import { Ribbon } from '../ribbon/ribbon';
import { OrderField } from '../routine/order-field';
import { UndoButtons } from '../frame/undo-buttons';
import { AddStep } from './add-step';
import { FindingLine } from './finding-line';
import { ScaleDialog } from './scale-dialog';
import { StepList } from './step-list';
import { TotalHead } from './total-head';
import { useChoice } from './use-choice';
import { usePickable } from './use-pickable';
import type { Table } from './use-routine';
import { VerbBar } from './verb-bar';

interface Props {
  table: Table;
  disabled: boolean;
  /** Of the page, for those who hear it. */
  title: string;
  /** It is a page of its own, and not a stage of a visit: no part of it is kept beside it. */
  isPage?: boolean;
  /** The first step is open when the table is laid. */
  opensFirst?: boolean;
  soundings?: readonly Sounding[];
  /** What is said of the saving, beside the name. */
  saved: ReactNode;
  /** Above the table. */
  above?: ReactNode;
  /** The one way on from here. */
  onward: (stopped: boolean) => ReactNode;
  /** What the page offers below the table: templates, or what is done with this one. */
  tools: (table: {
    /** Puts a routine in place of the one on the table, or a part of one behind the open step. */
    start: (body: Routine, as: 'whole' | 'part', origin?: RoutineOrigin | null) => void;
    keeping: Routine | null;
    keep: (routine: Routine | null) => void;
  }) => ReactNode;
}

/** The table that a routine is composed on: chart, steps and ribbon of one routine, wherever it is kept. */
export function RoutineTable({
  table,
  title,
  disabled,
  isPage,
  opensFirst,
  soundings,
  saved,
  above,
  onward,
  tools,
}: Props) {
  const { routine, edit, findings, totals, catalogue, screening } = table;
  const choice = useChoice(table, opensFirst);
  const { chosen, setChosen, picked } = choice;
  const [picking, setPicking] = useState(false);
  const [keeping, setKeeping] = useState<Routine | null>(null);
  const [scaling, setScaling] = useState(false);
  const [told, setTold] = useState('');
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
  const pickable = usePickable(screening, catalogue);
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
  const limits = useContext(ClientJaw);
  const jaw = openStep && jawHeld(stepOpening(openStep.body, limits));
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
    const here = document.activeElement;
    const isBehind = (l: HTMLElement) =>
      !!here && !l.contains(here) && !!(here.compareDocumentPosition(l) & Node.DOCUMENT_POSITION_FOLLOWING);
    const next = (list.current?.contains(here) ? lines.find(isBehind) : null) ?? lines[0];
    if (!next) return;
    next.scrollIntoView({ block: 'nearest' });
    (next.querySelector('button') ?? next).focus();
  };
  /** The chosen steps wholly on the left, then wholly on the right; why they cannot is told where the verbs are. */
  const sideBySide = () => {
    try {
      const ids = steps.filter((s) => picked.has(s.id)).map((s) => s.id);
      if (edit(makeBlock(routine, ids, 'left-then-right'))) choice.release();
      setTold('');
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setTold(`${error.message}.`);
    }
  };
  const move = (id: string, by: -1 | 1) =>
    edit(moveStep(routine, id, stepsOf(routine).findIndex((s) => s.id === id) + by));
  /** What is put on the table comes without what this client may not have today, and says so. */
  const start = (body: Routine, as: 'whole' | 'part', origin: RoutineOrigin | null = null) => {
    const { routine: fit, leftOut, lowered } = admitRoutine(body, screening, catalogue);
    const isPart = as === 'part' && steps.length > 0;
    const at = behind ?? steps.length;
    setChosen(null);
    if (isPart ? edit(insertSteps(routine, stepsOf(fit), at)) : edit(fit, origin))
      setAdapted(
        [
          isPart ? `“${body.name}” stands behind step ${at}.` : '',
          leftOut.length ? `Left out for this client: ${leftOut.join(', ')}.` : '',
          lowered.length ? `Lowered: ${lowered.join(', ')}.` : '',
        ]
          .filter(Boolean)
          .join(' '),
      );
  };
  const budgetSeconds = routine.budgetMinutes === null ? null : routine.budgetMinutes * 60;

  return (
    <div className={`compose${isPage ? ' is-page' : ''}`}>
      <div className="visit-body">
        <div className="chart-side">
          <FaceChart
            stops={stopsOf(routine, chosen)}
            paths={pathsOf(routine, chosen)}
            onChooseStop={setChosen}
            soundings={soundings}
            keepOff={keepOffMarks(screening)}
            pick={{ places: pickable, onPick: pickPlace }}
            jaw={jaw}
          />
        </div>
        <main className="work">
          {above}
          <fieldset disabled={disabled} className="border-0 p-0 m-0">
            <div className="work-head">
              <h1 className="visually-hidden">{title}</h1>
              <input
                className="routine-name"
                aria-label="Name of the routine"
                maxLength={120}
                size={Math.max(8, routine.name.length)}
                value={routine.name}
                onChange={(e) => e.target.value && edit({ ...routine, name: e.target.value })}
              />
              {saved}
              <TotalHead
                routine={routine}
                totalSeconds={totals.totalSeconds}
                onBudget={(budgetMinutes) => edit({ ...routine, budgetMinutes })}
              />
            </div>
            {picked.size > 0 ? (
              <VerbBar
                routine={routine}
                picked={picked}
                totals={totals}
                told={told}
                onTell={setTold}
                onEdit={edit}
                onSideBySide={sideBySide}
                onKeepAsPart={isPage ? null : setKeeping}
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
                {onward(stopped)}
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
                  Hide this
                </Button>
              </div>
            )}
            <div
              ref={list}
              onKeyDown={(e) => {
                const row = (e.target as HTMLElement).closest<HTMLElement>('[data-step]');
                if (!row || disabled || e.ctrlKey || e.metaKey || e.altKey) return;
                if ((e.target as HTMLElement).closest('input, select, textarea, .handle')) return;
                if (e.key === 'b' && picked.size) sideBySide();
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
                <FindingLine key={`${f.rule}-${i}`} finding={f} disabled={disabled} onFix={() => fix(f)} />
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
                  disabled={disabled}
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
              {tools({ start, keeping, keep: setKeeping })}
              <UndoButtons undo={table.undo} redo={table.redo} />
              <Button variant="link" disabled={!routine.items.length} onClick={() => setScaling(true)}>
                Fit to minutes …
              </Button>
              <span className="soft">
                Hands on: right {clock(totals.handSeconds.right)} and {counted(totals.counts.right, 'count')}, left{' '}
                {clock(totals.handSeconds.left)} and {totals.counts.left}
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
