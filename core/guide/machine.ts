import { BOUNDS, type Cue } from '../routine/index.ts';
import { PRESSURES, pressureRank, type Pressure, type Side } from '../words/index.ts';
import type { GuideEvent } from './events.ts';
import type { SideCompare } from './side-compare.ts';

/**
 * The player as a pure state machine: (cue list, events with timestamps) → state now. Replaying the same log always
 * gives the same run. Time comes from the clock handed in, never from counting ticks, so nothing drifts.
 */
export interface GuideState {
  /** Where the run stands. */
  status: 'ready' | 'running' | 'paused' | 'stopped' | 'done';
  /** The present cue. */
  cueIndex: number;
  /** Milliseconds into the present cue. */
  intoMs: number;
  /** Milliseconds added to the present cue by extending. */
  extraMs: number;
  /** Pressure now, after lighter and firmer; null where nothing presses. */
  pressure: Pressure | null;
  /** By step, how many words firmer (or lighter, below 0) than planned it is worked. */
  shifts: readonly number[];
  /** Clock of the last look. */
  atMs: number;
  /** Null before the start. */
  startedAtMs: number | null;
  /** Null while it goes on. */
  endedAtMs: number | null;
  /** Empty unless it was stopped. */
  stopReason: string;
  /** What was done, stretch by stretch: a cue, or the part of one worked at one pressure. */
  stretches: readonly Stretch[];
  /** Typed on the way. */
  notes: readonly { atMs: number; stepIndex: number; text: string }[];
  /** Looks from side to side, made while the run stood still or went on. */
  compares: readonly (SideCompare & { atMs: number; stepIndex: number })[];
  /** Readings that tests asked for. */
  readings: readonly { atMs: number; stepIndex: number; measure: string; place: string; side: Side; value: number }[];
  /** Cues that were worked to their end, or left because what was waited for had come. */
  finished: readonly number[];
  /** Finding a place and changing hands or sides take as long as they take. */
  waitsForHands: boolean;
  /** How long each cue took that ends by feel, in the order in which they ended. */
  felt: readonly { cueIndex: number; ms: number }[];
}

/** Time spent in one cue at one pressure, pauses of the run left out. */
export interface Stretch {
  cueIndex: number;
  pressure: Pressure | null;
  /** How far into the cue it began. */
  fromMs: number;
  ms: number;
}

export const EXTEND_MS = 10_000;
/** Hands that are waited for get this long; then the work begins by itself. Our choice. */
const HANDS_MOST_MS = 60_000;
/** What hands do between the work: it takes as long as it takes, and can be waited for. */
const HANDS_MOVE = ['find-place', 'next-place', 'change-side', 'swap'] as const satisfies readonly Cue['kind'][];
export type HandsMove = (typeof HANDS_MOVE)[number];
export const handsMove = (cue: Cue): HandsMove | null => HANDS_MOVE.find((k) => k === cue.kind) ?? null;

/** Whether nobody knows when the cue ends: what is waited for comes, or the hands are there. */
export const endsByFeel = (cue: Cue, { waitsForHands }: Pick<GuideState, 'waitsForHands'>): boolean =>
  cue.open !== null || (waitsForHands && handsMove(cue) !== null);
/** "Back" within this from the beginning of a step goes to the step before. */
const JUST_BEGUN_MS = 2000;

/** A pressure so many words firmer, within the five. */
export const shifted = (pressure: Pressure | null, by: number): Pressure | null =>
  pressure && PRESSURES[Math.min(PRESSURES.length - 1, Math.max(0, pressureRank(pressure) - 1 + by))]!;

export function initialState(cues: readonly Cue[]): GuideState {
  const steps = cues.reduce((most, c) => Math.max(most, c.stepIndex + 1), 0);
  return {
    status: 'ready',
    cueIndex: 0,
    intoMs: 0,
    extraMs: 0,
    pressure: cues[0]?.pressure ?? null,
    shifts: new Array<number>(steps).fill(0),
    atMs: 0,
    startedAtMs: null,
    endedAtMs: null,
    stopReason: '',
    stretches: [],
    notes: [],
    compares: [],
    readings: [],
    finished: [],
    waitsForHands: false,
    felt: [],
  };
}

/** Length at which the present cue ends by itself, with what was added to it: what ends by feel goes on up to its most. */
export const cueLengthMs = (cue: Cue, state: Pick<GuideState, 'extraMs' | 'waitsForHands'>): number =>
  (endsByFeel(cue, state) ? (cue.open ? cue.mostMs : HANDS_MOST_MS) : cue.endMs - cue.startMs) + state.extraMs;

/** What is still to go, by the planned lengths; what ends by feel and is past its usual length counts no more. */
export function timeLeftMs(cues: readonly Cue[], state: GuideState): number {
  const cue = cues[state.cueIndex];
  if (!cue || state.status === 'done') return 0;
  const rest = cue.endMs - cue.startMs + state.extraMs - state.intoMs;
  return Math.max(0, rest) + (cues[cues.length - 1]!.endMs - cue.endMs);
}

/** Replay a log up to `nowMs`. Events must be in order of time; one that comes too early is taken at the time before it. */
export function stateAt(cues: readonly Cue[], events: readonly GuideEvent[], nowMs: number): GuideState {
  const run = new Run(cues, initialState(cues));
  for (const event of events) {
    if (event.atMs > nowMs) break;
    run.advance(Math.max(event.atMs, run.state.atMs));
    run.apply(event);
  }
  run.advance(Math.max(nowMs, run.state.atMs));
  return run.state;
}

/** Let time pass. Pure: the state handed in stays as it was. */
export function advance(cues: readonly Cue[], before: GuideState, nowMs: number): GuideState {
  const run = new Run(cues, before);
  run.advance(nowMs);
  return run.state;
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer V)[] ? V[] : T[K] };

/** A run while it is replayed: one copy of the state at the beginning, changed in place from there. */
class Run {
  readonly state: Mutable<GuideState>;
  private readonly cues: readonly Cue[];

  constructor(cues: readonly Cue[], before: GuideState) {
    this.cues = cues;
    this.state = {
      ...before,
      shifts: [...before.shifts],
      stretches: [...before.stretches],
      notes: [...before.notes],
      compares: [...before.compares],
      readings: [...before.readings],
      finished: [...before.finished],
      felt: [...before.felt],
    };
  }

  private get cue(): Cue | undefined {
    return this.cues[this.state.cueIndex];
  }

  advance(nowMs: number): void {
    const { state } = this;
    let left = nowMs - state.atMs;
    state.atMs = nowMs;
    if (state.status !== 'running') return;
    while (left > 0) {
      const cue = this.cue!;
      const step = Math.min(left, cueLengthMs(cue, state) - state.intoMs);
      this.credit(step);
      state.intoMs += step;
      left -= step;
      if (state.intoMs < cueLengthMs(cue, state)) break;
      this.finish(nowMs - left);
      if (this.cue!.kind === 'done') break;
    }
  }

  /** Time goes to the stretch that is open, or opens the next one. */
  private credit(ms: number): void {
    const { stretches, cueIndex, pressure, intoMs } = this.state;
    const last = stretches[stretches.length - 1];
    if (last && last.cueIndex === cueIndex && last.pressure === pressure && last.fromMs + last.ms === intoMs)
      stretches[stretches.length - 1] = { ...last, ms: last.ms + ms };
    else if (ms > 0) stretches.push({ cueIndex, pressure, fromMs: intoMs, ms });
  }

  /** The present cue is worked through: on to the next one, or to the end. */
  private finish(atMs: number): void {
    const { state } = this;
    if (!state.finished.includes(state.cueIndex)) state.finished.push(state.cueIndex);
    if (endsByFeel(this.cue!, state)) state.felt.push({ cueIndex: state.cueIndex, ms: state.intoMs });
    this.enter(state.cueIndex + 1);
    this.endAt(atMs);
  }
  private endAt(atMs: number): void {
    if (this.cue!.kind !== 'done') return;
    this.state.status = 'done';
    this.state.endedAtMs = atMs;
  }

  private enter(index: number): void {
    const { state, cues } = this;
    state.cueIndex = Math.min(Math.max(index, 0), cues.length - 1);
    state.intoMs = 0;
    state.extraMs = 0;
    this.press();
  }

  private press(): void {
    const cue = this.cue!;
    this.state.pressure = shifted(cue.pressure, this.state.shifts[cue.stepIndex] ?? 0);
  }

  /** Index of the first cue of a step; in a block a step is met once for each side, and the present stretch counts. */
  private firstOf(index: number): number {
    let at = index;
    while (at > 0 && this.cues[at - 1]!.stepIndex === this.cues[index]!.stepIndex) at--;
    return at;
  }

  apply(event: GuideEvent): void {
    const { state, cue } = this;
    const live = state.status === 'running' || state.status === 'paused';
    if (!cue) return;
    const { atMs } = state;
    const { stepIndex } = cue;
    switch (event.kind) {
      case 'start':
        if (state.status !== 'ready') break;
        state.status = cue.kind === 'done' ? 'done' : 'running';
        state.startedAtMs = atMs;
        break;
      case 'pause':
        if (state.status === 'running') state.status = 'paused';
        break;
      case 'resume':
        if (state.status === 'paused') state.status = 'running';
        break;
      case 'go-on':
        if (live && endsByFeel(cue, state)) this.finish(atMs);
        break;
      case 'wait-for-hands':
        state.waitsForHands = event.on;
        break;
      case 'go-to': {
        const first = this.cues.findIndex((c) => c.stepIndex === event.step && c.kind !== 'done');
        if ((live || state.status === 'ready') && first >= 0) this.enter(first);
        break;
      }
      case 'take-up':
        if (state.status !== 'stopped') break;
        state.status = 'running';
        state.endedAtMs = null;
        state.stopReason = '';
        break;
      case 'next':
        if (live) this.next(cue);
        break;
      case 'back':
        if (live) this.back(cue);
        break;
      case 'repeat':
        if (live) this.enter(this.firstOf(cue.index));
        break;
      case 'extend':
        if (live && state.extraMs + EXTEND_MS <= BOUNDS.holdSeconds[1] * 1000) state.extraMs += EXTEND_MS;
        break;
      case 'lighter':
      case 'firmer': {
        if (!live || !state.pressure) break;
        const by = event.kind === 'firmer' ? 1 : -1;
        // At the end of the five words there is nothing left to shift.
        if (shifted(state.pressure, by) === state.pressure) break;
        state.shifts[stepIndex]! += by;
        this.press();
        break;
      }
      case 'stop':
        if (!live) break;
        state.status = 'stopped';
        state.endedAtMs = atMs;
        state.stopReason = event.reason;
        break;
      case 'note':
        state.notes.push({ atMs, stepIndex, text: event.words });
        break;
      case 'compare':
        state.compares.push({ atMs, stepIndex, ...event.compare });
        break;
      case 'reading': {
        const { measure, place, side, value } = event;
        state.readings.push({ atMs, stepIndex, measure, place, side, value });
        break;
      }
    }
  }

  private next(cue: Cue): void {
    let to = cue.index + 1;
    while (this.cues[to] && this.cues[to]!.kind !== 'done' && this.cues[to]!.stepIndex === cue.stepIndex) to++;
    this.enter(to);
    this.endAt(this.state.atMs);
  }

  private back(cue: Cue): void {
    const first = this.firstOf(cue.index);
    const justBegun = cue.index === first || (cue.index === first + 1 && this.state.intoMs < JUST_BEGUN_MS);
    this.enter(justBegun && first > 0 ? this.firstOf(first - 1) : first);
  }
}
