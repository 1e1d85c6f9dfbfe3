import { BOOKING_STEP_MINUTES } from '../../../../core/record';
import type { Lane, DaySpan } from '../../../../core/schedule';

const STEP_MS = BOOKING_STEP_MINUTES * 60_000;
export const snapped = (ms: number): number => Math.round(ms / STEP_MS) * STEP_MS;
/** Where a moment lies on the axis, in percent. */
export const percentOf = (ms: number, { fromMs, toMs }: DaySpan): number => ((ms - fromMs) / (toMs - fromMs)) * 100;
/** Left and width of a stretch on the axis, as a style. */
export const placed = (s: DaySpan, axis: DaySpan) => ({
  left: `${percentOf(s.fromMs, axis)}%`,
  width: `${percentOf(s.toMs, axis) - percentOf(s.fromMs, axis)}%`,
});
/** "1:42": hours and minutes of a stretch. */
export const hoursWords = ({ fromMs, toMs }: DaySpan): string => {
  const minutes = Math.round((toMs - fromMs) / 60_000);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
};

/** Where in free time a touch begins a visit: at the touch, no earlier than the gap, in steps of five minutes; null outside. */
export function startIn(lane: Lane, ms: number): number | null {
  const gap = lane.gaps.find((g) => g.fromMs <= ms && ms < g.toMs);
  if (!gap) return null;
  const earliest = Math.ceil(gap.fromMs / STEP_MS) * STEP_MS;
  return Math.max(earliest, Math.floor(ms / STEP_MS) * STEP_MS);
}

/** The visit of a lane that comes next after a moment, and how long it is until then. */
export function nextIn(lane: Lane | undefined, afterMs: number, except: string | null) {
  const next = lane?.visits.find((v) => v.booked.fromMs >= afterMs && v.booking.visitId !== except);
  return next ? { name: next.booking.clientName, free: { fromMs: afterMs, toMs: next.booked.fromMs } } : null;
}
