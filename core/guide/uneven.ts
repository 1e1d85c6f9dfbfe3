import { type OneSide, otherSide } from '../words/index.ts';
import type { StepRecord } from './run-record.ts';

/** A step in which one side got less than was planned for it, and the other did not lack as much. */
export interface UnevenStep {
  /** In the routine of the run. */
  stepId: string;
  /** The client's, that lacks something. */
  side: OneSide;
  /** Hands-on, that it lacks more than the other does. */
  seconds: number;
}

/** Less than this is a moment, not a lack: at least so long, and this share of what was planned. Our choice. */
const LEAST_SECONDS = 5;
const LEAST_SHARE = 0.1;

/** Steps planned for both sides in which one of them came off worse. */
export function unevenSteps(steps: readonly StepRecord[]): UnevenStep[] {
  return steps.flatMap((s): UnevenStep[] => {
    if (!s.left.plannedSeconds || !s.right.plannedSeconds) return [];
    const lacks = (side: OneSide) => Math.max(0, s[side].plannedSeconds - s[side].doneSeconds);
    const side: OneSide = lacks('left') > lacks('right') ? 'left' : 'right';
    const seconds = lacks(side) - lacks(otherSide(side));
    return seconds >= Math.max(LEAST_SECONDS, LEAST_SHARE * s[side].plannedSeconds)
      ? [{ stepId: s.stepId, side, seconds }]
      : [];
  });
}

/** Finished repetitions that reached each side; one on both sides counts for both. */
export function countsBySide(steps: readonly StepRecord[]): Record<OneSide, number> {
  const counts = { left: 0, right: 0 };
  for (const { side, counts: n } of steps.flatMap((s) => s.work)) {
    if (side === 'both' || side === 'left') counts.left += n;
    if (side === 'both' || side === 'right') counts.right += n;
  }
  return counts;
}
