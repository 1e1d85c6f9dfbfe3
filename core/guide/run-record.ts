import { WORKING, type Cue } from '../routine/index.ts';
import type { OneSide, Pressure, Side } from '../words/index.ts';
import type { GuideEvent } from './events.ts';
import { type GuideState, shifted, stateAt, type Stretch } from './machine.ts';

/** Seconds and counts that one side got at one pressure. */
interface SideWork {
  /** The client’s. */
  side: Side;
  /** Null where nothing presses. */
  pressure: Pressure | null;
  /** Hands-on. */
  seconds: number;
  /** Counted repetitions that were finished. */
  counts: number;
}

/** Planned against done for one step. */
export interface StepRecord {
  /** In the routine of the run. */
  stepId: string;
  /** With finding the place and changes. */
  plannedSeconds: number;
  /** With finding the place and changes. */
  doneSeconds: number;
  /** Hands-on seconds of the client’s left. */
  left: { plannedSeconds: number; doneSeconds: number };
  /** Hands-on seconds of the client’s right. */
  right: { plannedSeconds: number; doneSeconds: number };
  /** Seconds in which hands were on the client, both sides at once counted once. */
  hands: { plannedSeconds: number; doneSeconds: number };
  /** Counted repetitions, each side’s own. */
  counts: { planned: number; done: number };
  /** Done only where everything of it was worked to its end; skipped where nothing was worked at all. */
  outcome: 'done' | 'part' | 'skipped';
  /** On the first way; null where nothing presses. */
  plannedPressure: Pressure | null;
  /** The pressure at which most of the time was worked; where nothing was, the one it had come to. */
  donePressure: Pressure | null;
  /** By side and pressure, in the order in which they came. */
  work: SideWork[];
}

/** What a run really was: seconds and counts per step, side and pressure. */
export function runRecord(
  cues: readonly Cue[],
  events: readonly GuideEvent[],
  nowMs: number,
): { state: GuideState; steps: StepRecord[] } {
  const state = stateAt(cues, events, nowMs);
  const steps = state.shifts.map((): StepRecord => ({
    stepId: '',
    plannedSeconds: 0,
    doneSeconds: 0,
    left: { plannedSeconds: 0, doneSeconds: 0 },
    right: { plannedSeconds: 0, doneSeconds: 0 },
    hands: { plannedSeconds: 0, doneSeconds: 0 },
    counts: { planned: 0, done: 0 },
    outcome: 'done',
    plannedPressure: null,
    donePressure: null,
    work: [],
  }));
  const finished = new Set(state.finished);
  const sidesOf = (side: Side): readonly OneSide[] =>
    side === 'both' ? ['left', 'right'] : side === 'midline' ? [] : [side];
  for (const cue of cues) {
    if (cue.kind === 'done') continue;
    const step = steps[cue.stepIndex]!;
    const seconds = (cue.endMs - cue.startMs) / 1000;
    step.stepId = cue.stepId;
    step.plannedPressure ??= cue.pressure;
    step.plannedSeconds += seconds;
    if (!WORKING.has(cue.kind)) continue;
    if (!finished.has(cue.index)) step.outcome = 'part';
    step.counts.planned += cue.beats?.count ?? 0;
    if (!cue.hands) continue;
    step.hands.plannedSeconds += seconds;
    for (const side of sidesOf(cue.side)) step[side].plannedSeconds += seconds;
  }
  for (const stretch of state.stretches) {
    const cue = cues[stretch.cueIndex]!;
    const step = steps[cue.stepIndex]!;
    const seconds = stretch.ms / 1000;
    step.doneSeconds += seconds;
    if (!WORKING.has(cue.kind)) continue;
    if (cue.hands) {
      step.hands.doneSeconds += seconds;
      for (const side of sidesOf(cue.side)) step[side].doneSeconds += seconds;
    }
    let work = step.work.find((w) => w.side === cue.side && w.pressure === stretch.pressure);
    if (!work) step.work.push((work = { side: cue.side, pressure: stretch.pressure, seconds: 0, counts: 0 }));
    work.seconds += seconds;
    const counts = countsIn(cue, stretch);
    work.counts += counts;
    step.counts.done += counts;
  }
  steps.forEach((step, i) => {
    if (!step.work.some((w) => w.seconds > 0)) step.outcome = 'skipped';
    step.donePressure = mostWorked(step) ?? shifted(step.plannedPressure, state.shifts[i] ?? 0);
  });
  return { state, steps };
}

/** Repetitions that end within a stretch. */
function countsIn(cue: Cue, { fromMs, ms }: Stretch): number {
  if (!cue.beats) return 0;
  const { intervalMs } = cue.beats;
  return Math.floor((fromMs + ms) / intervalMs + 1e-9) - Math.floor(fromMs / intervalMs + 1e-9);
}

function mostWorked({ work }: StepRecord): Pressure | null {
  const seconds = new Map<Pressure, number>();
  for (const w of work) if (w.pressure) seconds.set(w.pressure, (seconds.get(w.pressure) ?? 0) + w.seconds);
  return [...seconds].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

type Stored = Omit<StepRecord, 'work' | 'hands' | 'counts' | 'outcome'> & Partial<StepRecord>;
/** A stored record. Earlier ones did not say what was done at which pressure, by hands, in counts, or whether to its end. */
export const readStepRecords = (stored: readonly Stored[]): StepRecord[] =>
  stored.map((s) => {
    const longer = (key: 'plannedSeconds' | 'doneSeconds') => Math.max(s.left[key], s.right[key]);
    const work = s.work ?? [];
    return {
      ...s,
      work,
      hands: s.hands ?? { plannedSeconds: longer('plannedSeconds'), doneSeconds: longer('doneSeconds') },
      counts: s.counts ?? { planned: 0, done: work.reduce((sum, w) => sum + w.counts, 0) },
      outcome: s.outcome ?? (s.doneSeconds === 0 ? 'skipped' : s.doneSeconds < s.plannedSeconds ? 'part' : 'done'),
    };
  });
