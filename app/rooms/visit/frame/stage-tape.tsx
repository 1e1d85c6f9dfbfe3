import { type Stage, STAGE_NAMES, stageIndex, STAGES, type VisitStage } from '../../../../core/record';
import { NavLink } from 'react-router';

const STEP = 100;
const WIDTH = 500;

/** A ruler with five stages that slides under one fixed notch: the stage on the screen is always at the notch. */
export function StageTape({
  visitId,
  stage,
  showing,
  blocked,
}: {
  visitId: string;
  stage: VisitStage;
  showing: Stage;
  blocked: boolean;
}) {
  const at = STAGES.indexOf(showing);
  const reached = stageIndex(stage);
  const shift = WIDTH / 2 - (at * STEP + STEP / 2);
  const ticks = Array.from({ length: STAGES.length * 8 + 1 }, (_, i) => i);
  return (
    <nav className="stage-tape" aria-label="Stages of the visit">
      <svg viewBox={`0 0 ${WIDTH} 46`} preserveAspectRatio="xMidYMin meet" aria-hidden="true">
        <line x1="0" x2={WIDTH} y1="14" y2="14" stroke="var(--line)" />
        {ticks.map((i) => {
          const x = shift + i * (STEP / 8);
          const main = i % 8 === 4;
          return (
            <line
              key={i}
              x1={x}
              x2={x}
              y1={main ? 5 : 10}
              y2="14"
              stroke={main && (i - 4) / 8 <= reached ? 'var(--ink)' : 'var(--ink-soft)'}
              strokeWidth={main ? 1.4 : 0.8}
            />
          );
        })}
        <path d={`M${WIDTH / 2 - 6} 0h12l-6 8z`} fill="var(--now)" />
      </svg>
      <div className="belt" style={{ transform: `translateX(${shift}px)` }}>
        {STAGES.map((s, i) =>
          blocked && i > 0 ? (
            <span key={s} className="off" aria-disabled="true">
              {STAGE_NAMES[s]}
            </span>
          ) : (
            <NavLink
              key={s}
              to={`/visits/${visitId}/${s}`}
              className={({ isActive }) => (isActive ? 'active' : i < reached ? 'done' : '')}
            >
              {i < reached && i !== at ? '✓ ' : ''}
              {STAGE_NAMES[s]}
            </NavLink>
          ),
        )}
      </div>
    </nav>
  );
}
