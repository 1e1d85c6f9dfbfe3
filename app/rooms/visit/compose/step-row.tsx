import { doseWords, SIDE_MODES, type SidePlan, type Step, type Technique } from '../../../../core/routine';
import { clock, type Pressure, PRESSURES } from '../../../../core/words';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { MotionGlyph } from '../../../parts/marks/glyph';
import { PressureDot, SideMark, sideOfPlan, SIDE_PLAN_NAMES } from '../../../parts/marks/marks';
import { StepEditor } from './step-editor';

interface Props {
  step: Step;
  number: number;
  technique: Technique;
  seconds: number;
  flag: 'stop' | 'warn' | undefined;
  chosen: boolean;
  disabled: boolean;
  onChoose: () => void;
  onChange: (next: Step) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

/** One line of the routine: dragged by its handle, moved by `[` and `]`, edited in place. */
export function StepRow({
  step,
  number,
  technique,
  seconds,
  flag,
  chosen,
  disabled,
  onChoose,
  onChange,
  onMove,
  onRemove,
}: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
    disabled,
  });
  const name = step.label ?? technique.name;
  const onKeyDown = (event: React.KeyboardEvent) => {
    if ((event.target as HTMLElement).closest('input, select, textarea')) return;
    if (event.key === '[' || event.key === ']') onMove(event.key === '[' ? -1 : 1);
    else if (event.key === 'Delete') onRemove();
    else return;
    event.preventDefault();
  };
  return (
    <div
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-step={step.id}
      onKeyDown={onKeyDown}
    >
      <div className={`step${chosen ? ' is-chosen' : ''}${isDragging ? ' is-dragged' : ''}`}>
        <button
          type="button"
          className="handle"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
        >
          ⠿
        </button>
        <button type="button" className="name" aria-expanded={chosen} onClick={onChoose} title={name}>
          <span className="soft num small">{number}</span> {name}{' '}
          {flag && (
            <span className={`flag-${flag}`} title={flag === 'stop' ? 'May not stay as it is' : 'Worth a look'}>
              {flag === 'stop' ? '■' : '▲'}
              <span className="visually-hidden">{flag === 'stop' ? 'stopped' : 'warned'}</span>
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
            <span className="soft">no pressure</span>
          )}
        </span>
        <span className="dose-cell">
          <button
            type="button"
            className="dose"
            onClick={onChoose}
            title={doseWords(step)}
            aria-label={`Dose of ${name}: ${doseWords(step)}`}
          >
            {doseWords(step)}
          </button>
        </span>
        <span className="cell sides-cell">
          <SideMark side={sideOfPlan(step.sides.mode)} />
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
        </span>
        <span className="time">{clock(seconds)}</span>
        <button type="button" className="remove" onClick={onRemove} aria-label={`Remove ${name}`} title="Remove">
          ×
        </button>
      </div>
      {chosen && <StepEditor step={step} technique={technique} onChange={onChange} />}
    </div>
  );
}

/** An extra set makes sense only where sides are worked one by one, and on that side. */
function withMode(sides: SidePlan, mode: SidePlan['mode']): SidePlan {
  const keeps = sides.extra && (mode === 'each' || mode === sides.extra.side);
  return { ...sides, mode, extra: keeps ? sides.extra : null };
}
