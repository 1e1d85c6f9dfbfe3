import { type BreathPhase, breathPhases, type Cue, WORKING } from '../routine/index.ts';
import type { OneSide } from '../words/index.ts';
import { cueLengthMs, endsByFeel, type GuideState } from './machine.ts';

/** A moment that is sounded, spoken or shown: on the clock that the guide runs on. */
export interface Moment {
  /** Unique within a run as long as nobody presses a key. */
  id: string;
  /** On the clock of the run. */
  atMs: number;
  /** Cue it belongs to. */
  cueIndex: number;
  /** What sounds or is said. */
  kind: 'cue' | 'beat' | 'breath' | 'countdown' | 'usual' | 'side-soon' | 'done';
  /** Beat or breath number from 1, or seconds left of a countdown. */
  count: number;
  /** How many beats there are; 0 for others. */
  of: number;
  /** Phase that begins; null for others. */
  breath: BreathPhase['phase'] | null;
}

/** Cues shorter than this get no countdown: the next one is announced anyway. */
const COUNTDOWN_FROM_MS = 6000;
const COUNTDOWN_SECONDS = [3, 2, 1] as const;
/** The other side is told so long before it comes, in work that lasts longer than twice that. Our choice. */
const SIDE_SOON_MS = 5000;

/**
 * Everything that falls into the next `horizonMs`, in order, if nobody presses a key. Each moment is worked out from
 * the start of its cue, so that nothing adds up. Empty unless the guide runs.
 */
export function momentsAhead(cues: readonly Cue[], state: GuideState, horizonMs: number): Moment[] {
  if (state.status !== 'running') return [];
  const out: Moment[] = [];
  const until = state.atMs + horizonMs;
  let startMs = state.atMs - state.intoMs;
  let extraMs = state.extraMs;
  for (let i = state.cueIndex; i < cues.length && startMs <= until; i++) {
    const cue = cues[i]!;
    if (cue.kind === 'done') {
      out.push({ id: `${i}-done`, atMs: startMs, cueIndex: i, kind: 'done', count: 0, of: 0, breath: null });
      break;
    }
    const { waitsForHands } = state;
    const lengthMs = cueLengthMs(cue, { extraMs, waitsForHands });
    out.push(...momentsOf(cues, i, startMs, lengthMs, endsByFeel(cue, state)));
    startMs += lengthMs;
    extraMs = 0;
  }
  return out.filter((m) => m.atMs > state.atMs && m.atMs <= until);
}

function momentsOf(cues: readonly Cue[], index: number, startMs: number, lengthMs: number, byFeel: boolean): Moment[] {
  const cue = cues[index]!;
  const moment = (kind: Moment['kind'], atMs: number, count = 0, breath: Moment['breath'] = null, of = 0): Moment => ({
    id: `${index}-${kind}-${Math.round(atMs - startMs)}`,
    atMs,
    cueIndex: index,
    kind,
    count,
    of,
    breath,
  });
  const out = [moment('cue', startMs)];
  if (cue.beats) {
    // An extended cue goes on beating at its own tempo.
    const beats = Math.max(cue.beats.count, Math.ceil(lengthMs / cue.beats.intervalMs - 1e-9));
    for (let k = 0; k < beats; k++) out.push(moment('beat', startMs + k * cue.beats.intervalMs, k + 1, null, beats));
  }
  if (cue.breath)
    for (const phase of breathPhases(cue))
      out.push(moment('breath', startMs + phase.startMs - cue.startMs, phase.cycle, phase.phase));
  if (cue.open && cue.endMs - cue.startMs < lengthMs) out.push(moment('usual', startMs + cue.endMs - cue.startMs));
  // When that ends nobody knows: what comes after it is told when it comes.
  if (!byFeel && lengthMs > 2 * SIDE_SOON_MS && sideAfter(cues, index) !== null)
    out.push(moment('side-soon', startMs + lengthMs - SIDE_SOON_MS));
  if (!cue.beats && !cue.breath && !byFeel && lengthMs >= COUNTDOWN_FROM_MS)
    for (const s of COUNTDOWN_SECONDS) out.push(moment('countdown', startMs + lengthMs - s * 1000, s));
  return out.sort((a, b) => a.atMs - b.atMs);
}

/** The other side, where work on one side is followed by work on the other; else null. */
export function sideAfter(cues: readonly Cue[], index: number): OneSide | null {
  const now = cues[index]!;
  const next = cues.find((c) => c.index > index && (WORKING.has(c.kind) || c.kind === 'done'));
  if (!next || next.kind === 'done' || now.side === next.side) return null;
  const one = (now.side === 'left' || now.side === 'right') && (next.side === 'left' || next.side === 'right');
  return WORKING.has(now.kind) && one ? (next.side as OneSide) : null;
}
