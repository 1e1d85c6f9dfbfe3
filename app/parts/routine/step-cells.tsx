import { doseWords, pressureWords, type Step } from '../../../core/routine';
import { clock, type Pressure } from '../../../core/words';
import type { ReactNode } from 'react';
import { SIDE_PLAN_NAMES, SideMark, sideOfPlan } from '../marks/marks';

/** How hard, how much, on which side and how long: the cells of a step that is only read. */
export function StepCells({
  step,
  seconds,
  mark,
}: {
  step: Step;
  seconds: number;
  /** The pressure as a mark: its colour on the screen, its share of ink on paper. */
  mark: (pressure: Pressure) => ReactNode;
}) {
  return (
    <>
      <td className="text-nowrap">
        {step.pressure && (
          <>
            {mark(step.pressure.there)} {pressureWords(step)}
          </>
        )}
      </td>
      <td>{doseWords(step)}</td>
      <td className="text-nowrap">
        <SideMark side={sideOfPlan(step.sides.mode)} /> {SIDE_PLAN_NAMES[step.sides.mode]}
      </td>
      <td className="num text-end">{clock(seconds)}</td>
    </>
  );
}
