import {
  BLOCK_WORDS,
  expandRoutine,
  pathWords,
  ribbonOf,
  stepCount,
  stepNames,
  stepsOf,
  totalsOf,
  type Catalogue,
  type Routine,
  type Step,
} from '../../../core/routine';
import type { RuleFinding } from '../../../core/rules';
import { clock, counted, PHASE_NAMES } from '../../../core/words';
import { Fragment, useMemo } from 'react';
import { stopsOf } from '../../parts/chart/chart-marks';
import type { KeepOff } from '../../parts/chart/layers';
import { useYourSeconds } from '../../parts/frame/use-learned';
import { SideMark } from '../../parts/marks/marks';
import { StepCells } from '../../parts/routine/step-cells';
import { PressurePie } from '../../parts/paper/marks';
import { PaperCharts, viewsShowing } from '../../parts/paper/paper-charts';
import { Ribbon } from '../../parts/ribbon/ribbon';

const MARKS = { stop: '■', warn: '▲', hint: '' } as const;

/** A routine as hands read it: where it goes, the ribbon, every step in its order, what the rules say. */
export function RoutinePaper({
  routine,
  catalogue,
  findings,
  keepOff,
}: {
  routine: Routine;
  catalogue: Catalogue;
  findings: readonly RuleFinding[];
  keepOff: readonly KeepOff[];
}) {
  const cues = useMemo(() => expandRoutine(routine), [routine]);
  const totals = totalsOf(stepCount(routine), cues);
  const names = stepNames(routine, catalogue);
  const stops = useMemo(() => stopsOf(routine, null), [routine]);
  const views = useMemo(() => viewsShowing(stops.map((s) => s.place)), [stops]);
  const steps = stepsOf(routine);
  const told = findings.filter((f) => f.severity !== 'hint');
  const numbersOf = (f: RuleFinding) => f.stepIds.map((id) => steps.findIndex((s) => s.id === id) + 1).filter(Boolean);
  const yours = useYourSeconds(routine);
  const phaseOf = (step: Step | undefined) => step && catalogue.techniques.get(step.technique)?.phase;
  const row = (step: Step) => {
    const i = steps.indexOf(step);
    const phase = phaseOf(step);
    // What nobody lays hands on has no place of its own.
    const where = step.contact === 'none' ? '' : pathWords(step, catalogue);
    return (
      <tr key={step.id}>
        <td className="soft">{phase && phaseOf(steps[i - 1]) !== phase && PHASE_NAMES[phase]}</td>
        <td className="num">{i + 1}</td>
        <td>
          <strong>{names.get(step.id)}</strong>
          {where && <div>{where}</div>}
          {step.note && <div>{step.note}</div>}
        </td>
        <StepCells step={step} seconds={totals.stepSeconds[i] ?? 0} mark={(p) => <PressurePie pressure={p} />} />
      </tr>
    );
  };
  return (
    <>
      <h1>{routine.name}</h1>
      <p>
        {counted(steps.length, 'step')}, {clock(totals.totalSeconds)}
        {routine.budgetMinutes !== null && ` of ${routine.budgetMinutes} min`}
        {yours !== null && `, by your own runs about ${clock(yours)}`}. {catalogue.schools.get(routine.school)?.name}
        {routine.order ? `, but: ${routine.order.reason}` : ''}.
      </p>
      {routine.notes && <p>{routine.notes}</p>}
      {told.length > 0 && (
        <ul className="paper-told">
          {told.map((f, i) => (
            <li key={`${f.rule}-${i}`}>
              {MARKS[f.severity]} <strong>{f.title}</strong>
              {numbersOf(f).length > 0 && ` (${numbersOf(f).join(', ')})`} {f.reason}
            </li>
          ))}
        </ul>
      )}
      {views.length > 0 && <PaperCharts views={views} stops={stops} keepOff={keepOff} />}
      <Ribbon
        data={ribbonOf(routine, cues, catalogue)}
        budgetSeconds={routine.budgetMinutes === null ? null : routine.budgetMinutes * 60}
        names={names}
        height={118}
      />
      <table className="paper-table">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Phase</span>
            </th>
            <th scope="col">
              <span className="visually-hidden">Number</span>
            </th>
            <th scope="col">Step</th>
            <th scope="col">Pressure</th>
            <th scope="col">Dose</th>
            <th scope="col">Side</th>
            <th scope="col" className="text-end">
              Time
            </th>
          </tr>
        </thead>
        <tbody>
          {routine.items.map((item) =>
            item.kind === 'step' ? (
              row(item)
            ) : (
              <Fragment key={item.id}>
                <tr className="paper-block">
                  <td />
                  <td />
                  <td colSpan={5}>
                    Steps {steps.indexOf(item.steps[0]!) + 1} to {steps.indexOf(item.steps.at(-1)!) + 1}:{' '}
                    {BLOCK_WORDS[item.sides]}
                  </td>
                </tr>
                {item.steps.map(row)}
              </Fragment>
            ),
          )}
        </tbody>
      </table>
      <p className="paper-key">
        {(['feather', 'light', 'medium', 'firm', 'deep'] as const).map((p) => (
          <span key={p}>
            <PressurePie pressure={p} /> {p}
          </span>
        ))}
        {(['right', 'left', 'both', 'midline'] as const).map((side) => (
          <span key={side}>
            <SideMark side={side} /> {side === 'right' || side === 'left' ? `client’s ${side}` : side}
          </span>
        ))}
      </p>
    </>
  );
}
