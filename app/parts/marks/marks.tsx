import type { SidePlan } from '../../../core/routine';
import type { Pressure, Side } from '../../../core/words';

/** Client's right = solid, left = ring, both = ring with dot, midline = bar; the same everywhere. */
export function SideMark({ side, size = 12 }: { side: Side; size?: number }) {
  const r = 5;
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden="true" className="flex-shrink-0">
      {side === 'midline' ? (
        <rect x="4.8" y="0.5" width="2.4" height="11" fill="currentColor" />
      ) : (
        <>
          <circle
            cx="6"
            cy="6"
            r={r}
            fill={side === 'right' ? 'currentColor' : 'none'}
            stroke="currentColor"
            strokeWidth="1.5"
          />
          {side === 'both' && <circle cx="6" cy="6" r="2.4" fill="currentColor" />}
        </>
      )}
    </svg>
  );
}

export const sideOfPlan = (mode: SidePlan['mode']): Side => (mode === 'together' || mode === 'each' ? 'both' : mode);
export const SIDE_PLAN_NAMES: Record<SidePlan['mode'], string> = {
  together: 'both',
  each: 'each side',
  left: 'left',
  right: 'right',
  midline: 'midline',
};
export const sideName = (side: Side): string =>
  side === 'both' ? 'both sides' : side === 'midline' ? 'midline' : `client’s ${side}`;

/** One ramp for pressure and nothing else. */
export function PressureDot({ pressure, size = 12 }: { pressure: Pressure; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden="true" className="flex-shrink-0">
      <circle cx="6" cy="6" r="5.5" fill={`var(--pressure-${pressure})`} stroke="var(--ink-soft)" strokeWidth="0.5" />
    </svg>
  );
}
