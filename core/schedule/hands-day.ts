import type { StepRecord } from '../guide/index.ts';
import { HAND_PARTS, handWorkOf, type HandPart, type HandStrength, type HandWork } from '../proposal/index.ts';
import { mapSteps, type Routine } from '../routine/index.ts';

/** The hands of one visit of a day. */
export interface VisitHands {
  visitId: string;
  /** When the hands begin: ms since 1970. */
  handsFromMs: number;
  work: readonly HandWork[];
}

/**
 * What a run really asked of the hands: the planned work of each step by the seconds in which hands were on the client
 * and the pressure at which most of it was done.
 */
export function handWorkDone(
  routine: Pick<Routine, 'items'>,
  records: readonly StepRecord[],
  strength: HandStrength,
): HandWork[] {
  const done = new Map(records.map((r) => [r.stepId, r]));
  const asDone = mapSteps(routine as Routine, (step) => {
    const there = done.get(step.id)?.donePressure;
    return there && step.pressure ? { ...step, pressure: { ...step.pressure, there } } : step;
  });
  return handWorkOf(asDone, strength).flatMap((work) => {
    const hands = done.get(work.stepId)?.hands;
    const part = hands && hands.plannedSeconds > 0 ? hands.doneSeconds / hands.plannedSeconds : 0;
    return part > 0 ? [{ ...work, pressSeconds: work.pressSeconds * part, used: work.used * part }] : [];
  });
}

/** A point of a line: until this moment a part has used up this share of what it can do in a day. */
interface HandPoint {
  ms: number;
  share: number;
}
export interface HandLine {
  part: HandPart;
  points: HandPoint[];
  /** At the end of the day. */
  total: number;
  /** When and in which visit the whole is passed; null where it is not. */
  passed: { ms: number; visitId: string } | null;
}

/**
 * What a day asks of each part of the hand, adding up: shares of what it can hold without rest (Rohmert 1960). That
 * nothing comes back between visits is our choice: it errs on the side of the hands.
 * @param fromMs where the lines begin, and until where they go
 */
export function handLines(visits: readonly VisitHands[], fromMs: number, untilMs: number): HandLine[] {
  const pieces = visits
    .flatMap((v) =>
      v.work.map((w) => ({ ...w, visitId: v.visitId, from: v.handsFromMs + w.startMs, to: v.handsFromMs + w.endMs })),
    )
    .sort((a, b) => a.from - b.from);
  return HAND_PARTS.map((part) => {
    let share = 0;
    let passed: HandLine['passed'] = null;
    const points: HandPoint[] = [{ ms: fromMs, share: 0 }];
    for (const piece of pieces) {
      if (piece.part !== part || piece.used === 0) continue;
      points.push({ ms: piece.from, share });
      const next = share + piece.used;
      if (!passed && next > 1)
        passed = { ms: piece.from + ((1 - share) / piece.used) * (piece.to - piece.from), visitId: piece.visitId };
      share = next;
      points.push({ ms: piece.to, share });
    }
    points.push({ ms: Math.max(untilMs, points.at(-1)!.ms), share });
    return { part, points, total: share, passed };
  });
}
