import { type BreathPhase, breathPhases, type Cue } from '../routine/index.ts';
import { cueLengthMs, type GuideState } from './machine.ts';

/** A moment that is sounded, spoken or shown: on the clock that the guide runs on. */
export interface Moment {
  /** Unique within a run as long as nobody presses a key. */
  id: string;
  /** On the clock of the run. */
  atMs: number;
  /** Cue it belongs to. */
  cueIndex: number;
  /** What sounds or is said. */
  kind: 'cue' | 'beat' | 'breath' | 'countdown' | 'done';
  /** Beat number from 1, or seconds left of a countdown. */
  count: number;
  /** Phase that begins; null for others. */
  breath: BreathPhase['phase'] | null;
}

/** Cues shorter than this get no countdown: the next one is announced anyway. */
const COUNTDOWN_FROM_MS = 6000;
const COUNTDOWN_SECONDS = [3, 2, 1] as const;

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
      out.push({ id: `${i}-done`, atMs: startMs, cueIndex: i, kind: 'done', count: 0, breath: null });
      break;
    }
    const lengthMs = cueLengthMs(cue, { extraMs });
    out.push(...momentsOf(cue, i, startMs, lengthMs));
    startMs += lengthMs;
    extraMs = 0;
  }
  return out.filter((m) => m.atMs > state.atMs && m.atMs <= until);
}

function momentsOf(cue: Cue, index: number, startMs: number, lengthMs: number): Moment[] {
  const moment = (kind: Moment['kind'], atMs: number, count = 0, breath: Moment['breath'] = null): Moment => ({
    id: `${index}-${kind}-${Math.round(atMs - startMs)}`,
    atMs,
    cueIndex: index,
    kind,
    count,
    breath,
  });
  const out = [moment('cue', startMs)];
  if (cue.beats) {
    // An extended cue goes on beating at its own tempo.
    const beats = Math.max(cue.beats.count, Math.ceil(lengthMs / cue.beats.intervalMs - 1e-9));
    for (let k = 0; k < beats; k++) out.push(moment('beat', startMs + k * cue.beats.intervalMs, k + 1));
  }
  if (cue.breath)
    for (const phase of breathPhases(cue))
      out.push(moment('breath', startMs + phase.startMs - cue.startMs, phase.cycle, phase.phase));
  if (!cue.beats && !cue.breath && lengthMs >= COUNTDOWN_FROM_MS)
    for (const s of COUNTDOWN_SECONDS) out.push(moment('countdown', startMs + lengthMs - s * 1000, s));
  return out.sort((a, b) => a.atMs - b.atMs);
}
