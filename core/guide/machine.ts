import { BOUNDS, type Cue, WORKING } from '../routine/index.ts';
import { InputError, oneFirmer, oneLighter, type Pressure } from '../words/index.ts';
import { readSideCompare, type SideCompare } from './side-compare.ts';

/**
 * The player as a pure state machine: (cue list, events with timestamps) → state now. Replaying the same log always
 * gives the same run. Time comes from the clock handed in, never from counting ticks, so nothing drifts.
 */
export type GuideEventKind =
  | 'start'
  | 'pause'
  | 'resume'
  | 'next'
  | 'back'
  | 'repeat'
  | 'extend'
  | 'lighten'
  | 'harden'
  | 'stop'
  | 'note'
  | 'compare';

export interface GuideEvent {
  /** Made on the device; the server takes each id once. */
  id: string;
  kind: GuideEventKind;
  /** Milliseconds of the clock that is also handed to `stateAt`. */
  atMs: number;
  /** Reason of a stop, text of a note, a comparison of sides. */
  text?: string;
}

export const EXTEND_MS = 10_000;

export interface GuideState {
  status: 'ready' | 'running' | 'paused' | 'stopped' | 'done';
  cueIndex: number;
  /** Milliseconds into the present cue. */
  intoMs: number;
  /** Milliseconds added to the present cue by extending. */
  extraMs: number;
  /** Pressure now, after lightening and firming; null where nothing presses. */
  pressure: Pressure | null;
  atMs: number;
  startedAtMs: number | null;
  endedAtMs: number | null;
  stopReason: string;
  /** Milliseconds worked per step and side, pauses left out. */
  worked: WorkedMs[];
  pressures: (Pressure | null)[];
  notes: { atMs: number; stepIndex: number; text: string }[];
  /** Looks from side to side, made while the run stood still or went on. */
  compares: (SideCompare & { atMs: number; stepIndex: number })[];
}

interface WorkedMs {
  left: number;
  right: number;
  midline: number;
  /** Everything, with lead-ins and changes. */
  all: number;
}

export function initialState(cues: readonly Cue[], stepPressures: readonly (Pressure | null)[]): GuideState {
  return {
    status: 'ready',
    cueIndex: 0,
    intoMs: 0,
    extraMs: 0,
    pressure: cues[0]?.pressure ?? null,
    atMs: 0,
    startedAtMs: null,
    endedAtMs: null,
    stopReason: '',
    worked: stepPressures.map(() => ({ left: 0, right: 0, midline: 0, all: 0 })),
    pressures: [...stepPressures],
    notes: [],
    compares: [],
  };
}

/** Length of the present cue with what was added to it. */
export const cueLengthMs = (cue: Cue, state: Pick<GuideState, 'extraMs'>): number =>
  cue.endMs - cue.startMs + state.extraMs;

/** Replay a log up to `nowMs`. Events must be in order of time; one that comes too early is taken at the time before it. */
export function stateAt(
  cues: readonly Cue[],
  stepPressures: readonly (Pressure | null)[],
  events: readonly GuideEvent[],
  nowMs: number,
): GuideState {
  let state = initialState(cues, stepPressures);
  for (const event of events) {
    if (event.atMs > nowMs) break;
    state = apply(cues, advance(cues, state, Math.max(event.atMs, state.atMs)), event);
  }
  return advance(cues, state, Math.max(nowMs, state.atMs));
}

/** Let time pass. Pure. */
export function advance(cues: readonly Cue[], before: GuideState, nowMs: number): GuideState {
  const state: GuideState = { ...before, worked: before.worked.map((w) => ({ ...w })) };
  let left = nowMs - before.atMs;
  state.atMs = nowMs;
  if (state.status !== 'running') return state;
  while (left > 0) {
    const cue = cues[state.cueIndex]!;
    const step = Math.min(left, cueLengthMs(cue, state) - state.intoMs);
    credit(state.worked[cue.stepIndex]!, cue, step);
    state.intoMs += step;
    left -= step;
    if (state.intoMs < cueLengthMs(cue, state)) break;
    enter(cues, state, state.cueIndex + 1);
    if (cues[state.cueIndex]!.kind === 'done') {
      state.status = 'done';
      state.endedAtMs = nowMs - left;
      break;
    }
  }
  return state;
}

function credit(worked: WorkedMs, cue: Cue, ms: number): void {
  worked.all += ms;
  if (!WORKING.has(cue.kind)) return;
  if (cue.side === 'both') {
    worked.left += ms;
    worked.right += ms;
  } else worked[cue.side] += ms;
}

function enter(cues: readonly Cue[], state: GuideState, index: number): void {
  state.cueIndex = Math.min(Math.max(index, 0), cues.length - 1);
  state.intoMs = 0;
  state.extraMs = 0;
  const cue = cues[state.cueIndex]!;
  state.pressure = cue.pressure === null ? null : (state.pressures[cue.stepIndex] ?? cue.pressure);
}

function apply(cues: readonly Cue[], before: GuideState, event: GuideEvent): GuideState {
  const state: GuideState = {
    ...before,
    pressures: [...before.pressures],
    notes: [...before.notes],
    compares: [...before.compares],
  };
  const cue = cues[state.cueIndex];
  const live = state.status === 'running' || state.status === 'paused';
  if (!cue) return state;
  switch (event.kind) {
    case 'start':
      if (state.status !== 'ready') break;
      state.status = cue.kind === 'done' ? 'done' : 'running';
      state.startedAtMs = state.atMs;
      break;
    case 'pause':
      if (state.status === 'running') state.status = 'paused';
      break;
    case 'resume':
      if (state.status === 'paused') state.status = 'running';
      break;
    case 'next': {
      if (!live) break;
      const next = cues.findIndex((c) => c.index > cue.index && (c.stepIndex > cue.stepIndex || c.kind === 'done'));
      enter(cues, state, next);
      if (cues[state.cueIndex]!.kind === 'done') {
        state.status = 'done';
        state.endedAtMs = state.atMs;
      }
      break;
    }
    case 'back': {
      if (!live) break;
      const first = cues.find((c) => c.stepIndex === cue.stepIndex)!;
      const justBegun = cue.index === first.index || (state.cueIndex === first.index + 1 && state.intoMs < 2000);
      const target = justBegun ? cues.find((c) => c.stepIndex === Math.max(0, cue.stepIndex - 1))! : first;
      enter(cues, state, target.index);
      break;
    }
    case 'repeat':
      if (live) enter(cues, state, cues.find((c) => c.stepIndex === cue.stepIndex)!.index);
      break;
    case 'extend':
      if (live && state.extraMs + EXTEND_MS <= BOUNDS.holdSeconds[1] * 1000) state.extraMs += EXTEND_MS;
      break;
    case 'lighten':
    case 'harden': {
      if (!live || !state.pressure) break;
      const changed = event.kind === 'lighten' ? oneLighter(state.pressure) : oneFirmer(state.pressure);
      state.pressure = changed;
      state.pressures[cue.stepIndex] = changed;
      break;
    }
    case 'stop':
      if (!live) break;
      state.status = 'stopped';
      state.endedAtMs = state.atMs;
      state.stopReason = event.text ?? '';
      break;
    case 'note':
      state.notes.push({ atMs: state.atMs, stepIndex: cue.stepIndex, text: event.text ?? '' });
      break;
    case 'compare':
      state.compares.push({ atMs: state.atMs, stepIndex: cue.stepIndex, ...readSideCompare(event.text) });
      break;
  }
  return state;
}

/** Planned against done for one step, in seconds. */
export interface StepRecord {
  stepId: string;
  plannedSeconds: number;
  doneSeconds: number;
  left: { plannedSeconds: number; doneSeconds: number };
  right: { plannedSeconds: number; doneSeconds: number };
  plannedPressure: Pressure | null;
  donePressure: Pressure | null;
}

/** What a run really was. */
export function runRecord(
  cues: readonly Cue[],
  stepPressures: readonly (Pressure | null)[],
  events: readonly GuideEvent[],
  nowMs: number,
): { state: GuideState; steps: StepRecord[] } {
  const state = stateAt(cues, stepPressures, events, nowMs);
  const planned = stepPressures.map(() => ({ left: 0, right: 0, midline: 0, all: 0 }));
  const ids = new Map<number, string>();
  for (const cue of cues) {
    ids.set(cue.stepIndex, cue.stepId);
    credit(planned[cue.stepIndex]!, cue, cue.endMs - cue.startMs);
  }
  const steps = stepPressures.map((pressure, i) => ({
    stepId: ids.get(i) ?? '',
    plannedSeconds: planned[i]!.all / 1000,
    doneSeconds: state.worked[i]!.all / 1000,
    left: { plannedSeconds: planned[i]!.left / 1000, doneSeconds: state.worked[i]!.left / 1000 },
    right: { plannedSeconds: planned[i]!.right / 1000, doneSeconds: state.worked[i]!.right / 1000 },
    plannedPressure: pressure,
    donePressure: state.pressures[i] ?? null,
  }));
  return { state, steps };
}

const KINDS: readonly GuideEventKind[] = [
  'start',
  'pause',
  'resume',
  'next',
  'back',
  'repeat',
  'extend',
  'lighten',
  'harden',
  'stop',
  'note',
  'compare',
];

/** @throws InputError when a value handed in is not an event. */
export function parseGuideEvent(value: unknown): GuideEvent {
  const v = value as Partial<GuideEvent> | null;
  if (!v || typeof v !== 'object') throw new InputError('event', 'must be an object');
  if (typeof v.id !== 'string' || !/^[A-Za-z0-9-]{8,64}$/.test(v.id))
    throw new InputError('event.id', 'must be 8 to 64 letters, digits or dashes');
  if (!KINDS.includes(v.kind as GuideEventKind))
    throw new InputError('event.kind', `must be one of ${KINDS.join(', ')}`);
  if (typeof v.atMs !== 'number' || !Number.isFinite(v.atMs) || v.atMs < 0)
    throw new InputError('event.atMs', 'must be milliseconds, 0 or more');
  if (v.text !== undefined && (typeof v.text !== 'string' || v.text.length > 500))
    throw new InputError('event.text', 'must be text of at most 500 characters');
  if (v.kind === 'compare') readSideCompare(v.text);
  return { id: v.id, kind: v.kind as GuideEventKind, atMs: v.atMs, ...(v.text !== undefined ? { text: v.text } : {}) };
}
