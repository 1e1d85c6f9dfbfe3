import { pressesOf } from './presses.ts';
import type { Touch } from './touch.ts';

/** How a contact moved over the pad while it pressed. */
export interface PadStroke {
  lengthMm: number;
  /** Mean distance of the way from the straight line between its ends (root of the squares), mm. */
  offLineMm: number;
  /** Direction in degrees as seen on the pad: 0 to the right, 90 away from the one who presses. */
  directionDegrees: number;
}
/** How a contact went round. */
export interface Rounds {
  rounds: number;
  /** As seen from above. */
  isClockwise: boolean;
  perMinute: number;
  /** Mean distance from the middle of its way, mm. */
  radiusMm: number;
  /** How evenly round it was: SD of that distance over its mean, 0 to 1. */
  unevenness: number;
}
/** Less than this is a hand that holds and trembles. Our choice. */
const LEAST_RADIUS_MM = 2;

interface At {
  atMs: number;
  xMm: number;
  yMm: number;
}
const placed = (trace: readonly Touch[]): At[] =>
  trace.flatMap(({ atMs, xMm, yMm }) => (xMm === null || yMm === null ? [] : [{ atMs, xMm, yMm }]));

/** The strokes of a trace, one for each press. */
export function strokesOf(trace: readonly Touch[], aimKpa: number): PadStroke[] {
  return pressesOf(trace, aimKpa).flatMap(({ startMs, endMs }) => {
    const way = placed(trace.filter((t) => t.atMs >= startMs && t.atMs <= endMs));
    const first = way[0];
    const last = way.at(-1);
    if (!first || !last || way.length < 3) return [];
    const dx = last.xMm - first.xMm;
    const dy = last.yMm - first.yMm;
    const lengthMm = Math.hypot(dx, dy);
    if (lengthMm === 0) return [];
    const squares = way.reduce(
      (sum, { xMm, yMm }) => sum + (((xMm - first.xMm) * dy - (yMm - first.yMm) * dx) / lengthMm) ** 2,
      0,
    );
    return [
      {
        lengthMm,
        offLineMm: Math.sqrt(squares / way.length),
        // The pad counts rows downwards.
        directionDegrees: ((Math.atan2(-dy, dx) * 180) / Math.PI + 360) % 360,
      },
    ];
  });
}

/** The circles of a trace; null where it did not go round once. */
export function roundsOf(trace: readonly Touch[], aimKpa: number): Rounds | null {
  const spans = pressesOf(trace, aimKpa);
  const way = placed(trace.filter((t) => spans.some((p) => t.atMs >= p.startMs && t.atMs <= p.endMs)));
  if (way.length < 8) return null;
  const midX = way.reduce((sum, p) => sum + p.xMm, 0) / way.length;
  const midY = way.reduce((sum, p) => sum + p.yMm, 0) / way.length;
  let turned = 0;
  let ms = 0;
  const radii = way.map((p) => Math.hypot(p.xMm - midX, p.yMm - midY));
  for (let i = 1; i < way.length; i++) {
    const [a, b] = [way[i - 1]!, way[i]!];
    const turn = Math.atan2(b.yMm - midY, b.xMm - midX) - Math.atan2(a.yMm - midY, a.xMm - midX);
    turned += Math.atan2(Math.sin(turn), Math.cos(turn));
    // Between two presses the hand is in the air.
    if (spans.some((p) => a.atMs >= p.startMs && b.atMs <= p.endMs)) ms += b.atMs - a.atMs;
  }
  const rounds = Math.abs(turned) / (2 * Math.PI);
  const radiusMm = radii.reduce((sum, r) => sum + r, 0) / radii.length;
  if (rounds < 1 || radiusMm < LEAST_RADIUS_MM || ms === 0) return null;
  const sd = Math.sqrt(radii.reduce((sum, r) => sum + (r - radiusMm) ** 2, 0) / (radii.length - 1));
  // With rows counted downwards a growing angle goes the way of a clock.
  return { rounds, isClockwise: turned > 0, perMinute: (60_000 * rounds) / ms, radiusMm, unevenness: sd / radiusMm };
}
