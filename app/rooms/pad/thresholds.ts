import type { Reading } from '../../../core/measures';
import type { OneSide } from '../../../core/words';

/** Where pressure becomes pain on a client, by muscle and side, with the day it was taken. */
export interface ThresholdTaken {
  muscle: string;
  side: OneSide;
  kpa: number;
  /** ISO 8601. */
  at: string;
}

/** The latest of each muscle and side. @param readings oldest first */
export function latestThresholds(readings: readonly Reading[]): ThresholdTaken[] {
  const latest = new Map<string, ThresholdTaken>();
  for (const { measure, place, side, value, takenAt } of readings)
    if (measure === 'pressure-threshold' && (side === 'left' || side === 'right'))
      latest.set(`${place} ${side}`, { muscle: place, side, kpa: value, at: takenAt });
  return [...latest.values()];
}
