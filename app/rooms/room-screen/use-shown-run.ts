import { advance, type GuideState, initialState, stateAt } from '../../../core/guide';
import { type Cue, expandRoutine } from '../../../core/routine';
import { useEffect, useMemo, useRef, useState } from 'react';
import { nowMs } from '../../parts/player/clock';
import type { OpenRun } from '../../parts/player/port';

/** Drawn so often. */
const REDRAW_MS = 100;

export interface ShownRun {
  run: OpenRun;
  /** The server's clock when it was asked, and how far the clock of the device that drives the run is ahead of it. */
  serverNowMs: number;
  aheadMs: number;
}

/** Where a run is that another device drives, by that device's clock. */
export function useShownRun({ run, serverNowMs, aheadMs }: ShownRun): { cues: readonly Cue[]; state: GuideState } {
  const cues = useMemo(() => expandRoutine(run.routine), [run.routine]);
  const base = useMemo(
    () => (run.events.length ? stateAt(cues, run.events, run.events.at(-1)!.atMs) : initialState(cues)),
    [cues, run.events],
  );
  const [state, setState] = useState<GuideState>(base);
  /** How far the server's clock is ahead of ours: what an answer took on its way makes it look less, never more. */
  const offsetMs = useRef(-Infinity);
  useEffect(() => {
    offsetMs.current = Math.max(offsetMs.current, serverNowMs - nowMs());
    const draw = () => setState(advance(cues, base, Math.max(nowMs() + offsetMs.current + aheadMs, base.atMs)));
    const timer = setInterval(draw, base.status === 'running' ? REDRAW_MS : 500);
    return () => clearInterval(timer);
  }, [cues, base, serverNowMs, aheadMs]);
  return { cues, state };
}
