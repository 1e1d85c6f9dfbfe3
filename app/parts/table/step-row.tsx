import { doseWords, SIDE_MODES, type SidePlan, type Step, type Technique } from '../../../core/routine';
import { clock, type Pressure, PRESSURES } from '../../../core/words';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ReactNode } from 'react';
import { MotionGlyph } from '../marks/glyph';
import { PressureDot, SideMark, sideOfPlan, SIDE_PLAN_NAMES } from '../marks/marks';

interface Props {
  step: Step;
  number: number;
  technique: Technique;
  seconds: number;
  flag: 'stop' | 'warn' | undefined;
  isOpen: boolean;
  /** Among those that the verbs are for. */
  isPicked: boolean;
  disabled: boolean;
  onOpen: () => void;
  /** Into the choice or out of it; with `through`, all from the last one to here. */
  onPick: (through: boolean) => void;
  onChange: (next: Step) => void;
  /** What stands under the row: findings, and the open step. */
  children: ReactNode;
}

/** One line of the routine: dragged by its number, edited in place. */
export function StepRow({
  step,
  number,
  technique,
  seconds,
  flag,
  isOpen,
  isPicked,
  disabled,
  onOpen,
  onPick,
  onChange,
  children,
}: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
    disabled,
  });
  const name = step.label ?? technique.name;
  return (
    <div
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`step-place${isOpen ? ' is-chosen' : ''}${isPicked ? ' is-picked' : ''}`}
      data-step={step.id}
    >
      <div className={`step${isDragging ? ' is-dragged' : ''}`}>
        <button
          type="button"
          className="handle"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          title="Drag to move, touch to choose"
          onClick={(e) => onPick(e.shiftKey)}
        >
          {isPicked ? '✓' : number}
        </button>
        <button
          type="button"
          className="name"
          aria-expanded={isOpen}
          aria-label={`${number} ${name}${isPicked ? ', chosen' : ''}${flag === 'stop' ? ', stopped' : flag ? ', warned' : ''}`}
          onClick={(e) => (e.shiftKey || e.ctrlKey || e.metaKey ? onPick(e.shiftKey) : onOpen())}
          title={name}
        >
          {name}{' '}
          {flag && (
            <span className={`flag-${flag}`} title={flag === 'stop' ? 'May not stay as it is' : 'Worth a look'}>
              {flag === 'stop' ? '■' : '▲'}
            </span>
          )}
        </button>
        <span className="soft glyph-cell">
          <MotionGlyph motion={step.motion} />
        </span>
        <span className="cell">
          {step.pressure ? (
            <>
              <PressureDot pressure={step.pressure.there} />
              <select
                aria-label={`Pressure of ${name}`}
                value={step.pressure.there}
                onChange={(e) =>
                  onChange({ ...step, pressure: { ...step.pressure!, there: e.target.value as Pressure } })
                }
              >
                {PRESSURES.map((p) => (
                  <option key={p}>{p}</option>
                ))}
              </select>
            </>
          ) : (
            <span className="soft">none</span>
          )}
        </span>
        <span className="dose-cell">
          <button
            type="button"
            className="dose"
            onClick={onOpen}
            title={doseWords(step)}
            aria-label={`Dose of ${name}: ${doseWords(step)}`}
          >
            {doseWords(step)}
          </button>
        </span>
        <span className="cell sides-cell">
          <SideMark side={sideOfPlan(step.sides.mode)} />
          {technique.isTest || step.dose.parts.every((p) => p.kind === 'breath') ? (
            <span>{SIDE_PLAN_NAMES[step.sides.mode]}</span>
          ) : (
            <select
              aria-label={`Sides of ${name}`}
              value={step.sides.mode}
              onChange={(e) => onChange({ ...step, sides: withMode(step.sides, e.target.value as SidePlan['mode']) })}
            >
              {SIDE_MODES.map((m) => (
                <option key={m} value={m}>
                  {SIDE_PLAN_NAMES[m]}
                </option>
              ))}
            </select>
          )}
        </span>
        <span className="time">{clock(seconds)}</span>
      </div>
      {children}
    </div>
  );
}

/** An extra set makes sense only where sides are worked one by one, and on that side. */
function withMode(sides: SidePlan, mode: SidePlan['mode']): SidePlan {
  const keeps = sides.extra && (mode === 'each' || mode === sides.extra.side);
  return { ...sides, mode, extra: keeps ? sides.extra : null };
}
