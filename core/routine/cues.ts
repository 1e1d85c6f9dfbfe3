import { InputError, type OneSide, type Pressure, type Side } from '../words/index.ts';
import { BOUNDS, type BreathPattern, type DosePart, type Routine, type Step } from './model.ts';

/**
 * The cue list: what happens from when to when. It is the one truth behind the total, the ribbon, the player and the
 * run record. Times in milliseconds from the start of the routine, exact (not rounded), each cue beginning where the
 * one before ended.
 */
export type CueKind =
  | 'move'
  | 'hold'
  | 'beats'
  | 'breath'
  | 'open'
  | 'check'
  | 'change-side'
  | 'change-direction'
  | 'next-spot'
  | 'swap-hands'
  | 'rest'
  | 'done';

export interface Cue {
  index: number;
  kind: CueKind;
  stepIndex: number;
  stepId: string;
  startMs: number;
  endMs: number;
  side: Side;
  set: number;
  sets: number;
  spot: number;
  spots: number;
  /** 1 or 2 where a motion goes both ways, else 0. */
  direction: 0 | 1 | 2;
  pressure: Pressure | null;
  beats: { count: number; intervalMs: number; unit: string } | null;
  breath: { cycles: number; pattern: BreathPattern } | null;
  open: { until: string; leastMs: number; mostMs: number } | null;
  /** What to re-test or compare. */
  check: string | null;
}

/** Cues in which hands work; the others are changes and pauses. */
export const WORKING: ReadonlySet<CueKind> = new Set<CueKind>(['hold', 'beats', 'breath', 'open', 'check']);

interface Round {
  side: Side;
  set: number;
  sets: number;
}

/** The rounds of one step in the order they are done. */
export function roundsOf(step: Step): Round[] {
  const { mode, first, sets, extra, sequence } = step.sides;
  if (mode === 'together' || mode === 'midline') {
    const side: Side = mode === 'together' ? 'both' : 'midline';
    return Array.from({ length: sets }, (_, i) => ({ side, set: i + 1, sets }));
  }
  if (mode === 'left' || mode === 'right') {
    const own = sets + (extra?.side === mode ? extra.sets : 0);
    return Array.from({ length: own }, (_, i) => ({ side: mode, set: i + 1, sets: own }));
  }
  const second: OneSide = first === 'left' ? 'right' : 'left';
  const setsOn = (side: OneSide) => sets + (extra?.side === side ? extra.sets : 0);
  const roundsOn = (side: OneSide): Round[] =>
    Array.from({ length: setsOn(side) }, (_, i) => ({ side, set: i + 1, sets: setsOn(side) }));
  if (sequence === 'side-complete') return [...roundsOn(first), ...roundsOn(second)];
  const out: Round[] = [];
  for (let set = 1; set <= Math.max(setsOn(first), setsOn(second)); set++)
    for (const side of [first, second]) if (set <= setsOn(side)) out.push({ side, set, sets: setsOn(side) });
  return out;
}

/** Milliseconds of one pass of a part: one direction, at one spot. */
function partMs(part: DosePart): number {
  switch (part.kind) {
    case 'hold':
    case 'check':
      return part.seconds * 1000;
    case 'beats':
      return part.count * (60_000 / part.perMinute);
    case 'breath':
      return part.cycles * breathCycleSeconds(part.pattern) * 1000;
    case 'open':
      return part.estimateSeconds * 1000;
  }
}

const breathCycleSeconds = (p: BreathPattern): number =>
  p.inSeconds + p.holdInSeconds + p.outSeconds + p.holdOutSeconds;

/** Breaths per minute of a pattern. */
export const breathsPerMinute = (p: BreathPattern): number => 60 / breathCycleSeconds(p);

/** Full cycles that fit into a time, so that it ends on a complete breath out. */
export const breathCyclesIn = (seconds: number, p: BreathPattern): number =>
  Math.floor(seconds / breathCycleSeconds(p) + 1e-9);

/**
 * Expand a routine into its cue list.
 * @throws InputError when the whole runs longer than 120 minutes.
 */
export function expandRoutine(routine: Pick<Routine, 'steps'>): Cue[] {
  const cues: Cue[] = [];
  let clockMs = 0;
  routine.steps.forEach((step, stepIndex) => {
    const { parts, spots, pauses } = step.dose;
    // Written out in full: this runs for every keystroke, and spreading objects here costs thirty times as much.
    const push = (
      kind: CueKind,
      ms: number,
      round: Round,
      spot: number,
      direction: Cue['direction'] = 0,
      part: DosePart | null = null,
      pressure: Pressure | null = step.pressure,
    ): void => {
      if (ms <= 0) return;
      cues.push({
        index: cues.length,
        kind,
        stepIndex,
        stepId: step.id,
        startMs: clockMs,
        endMs: clockMs + ms,
        side: round.side,
        set: round.set,
        sets: round.sets,
        spot,
        spots,
        direction,
        pressure,
        beats:
          part?.kind === 'beats' ? { count: part.count, intervalMs: 60_000 / part.perMinute, unit: part.unit } : null,
        breath: part?.kind === 'breath' ? { cycles: part.cycles, pattern: part.pattern } : null,
        open:
          part?.kind === 'open'
            ? { until: part.until, leastMs: part.leastSeconds * 1000, mostMs: part.mostSeconds * 1000 }
            : null,
        check: part?.kind === 'check' ? part.what : null,
      });
      clockMs += ms;
    };
    const rounds = roundsOf(step);
    rounds.forEach((round, r) => {
      const before = rounds[r - 1];
      if (!before) push('move', pauses.leadInSeconds * 1000, round, 1);
      else if (before.side !== round.side) push('change-side', pauses.sideChangeSeconds * 1000, round, 1);
      else push(step.swapHands ? 'swap-hands' : 'rest', pauses.restSeconds * 1000, round, 1);
      for (let spot = 1; spot <= spots; spot++) {
        if (spot > 1) push('next-spot', pauses.nextSpotSeconds * 1000, round, spot);
        for (const part of parts) {
          if (part.kind === 'beats' && part.per === 'pass' && spot < spots) continue;
          const directions = part.kind === 'beats' ? part.directions : 1;
          for (let d = 1; d <= directions; d++) {
            const direction = (directions === 2 ? d : 0) as Cue['direction'];
            if (d === 2) push('change-direction', pauses.directionChangeSeconds * 1000, round, spot, direction);
            push(
              part.kind,
              partMs(part),
              round,
              spot,
              direction,
              part,
              d === 2 ? (step.returnPressure ?? step.pressure) : step.pressure,
            );
          }
        }
      }
    });
  });
  if (clockMs > BOUNDS.routineMinutes * 60_000)
    throw new InputError(
      'steps',
      `the routine runs ${Math.ceil(clockMs / 60_000)} min; at most ${BOUNDS.routineMinutes} min are accepted`,
    );
  const last = cues[cues.length - 1];
  if (last)
    cues.push({
      ...last,
      index: cues.length,
      kind: 'done',
      startMs: clockMs,
      endMs: clockMs,
      beats: null,
      breath: null,
      open: null,
      check: null,
      direction: 0,
    });
  return cues;
}

/** Onset of beat `k` (0-based), scheduled from the start of its cue and never by adding rounded intervals. */
export const beatOnsetMs = (cue: Cue, k: number): number => cue.startMs + k * (cue.beats?.intervalMs ?? 0);

export interface BreathPhase {
  phase: 'in' | 'hold-in' | 'out' | 'hold-out';
  startMs: number;
  endMs: number;
  cycle: number;
}

/** The phases of a breath cue, in order, zero-length ones left out. */
export function breathPhases(cue: Cue): BreathPhase[] {
  if (!cue.breath) return [];
  const { cycles, pattern } = cue.breath;
  const lengths = [
    ['in', pattern.inSeconds],
    ['hold-in', pattern.holdInSeconds],
    ['out', pattern.outSeconds],
    ['hold-out', pattern.holdOutSeconds],
  ] as const;
  const out: BreathPhase[] = [];
  let at = cue.startMs;
  for (let cycle = 1; cycle <= cycles; cycle++)
    for (const [phase, seconds] of lengths) {
      if (seconds <= 0) continue;
      out.push({ phase, startMs: at, endMs: at + seconds * 1000, cycle });
      at += seconds * 1000;
    }
  return out;
}
