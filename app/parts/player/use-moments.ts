import type { Cue } from '../../../core/routine';
import { advance, beginsStep, type GuideState, type Moment, momentsAhead } from '../../../core/guide';
import { useEffect, useRef } from 'react';
import { nowMs } from './clock';
import { type Sound, toneOf } from './sound';

const LOOK_AHEAD_MS = 400;
const EVERY_MS = 120;
/** Entries of the browser's own timing record that are kept for looking at. */
const KEPT_MEASURES = 4000;

/**
 * Plans tones a little ahead on the audio clock and calls `onMoment` at each moment. How late each call came is left in
 * the browser's timing record under "cue-onset", and under "key-onset" how long after a key the cue that it opens was told.
 */
export function useMoments(
  cues: readonly Cue[],
  base: React.RefObject<GuideState | null>,
  turn: number,
  running: boolean,
  sound: Sound | null,
  onMoment: (moment: Moment) => void,
): void {
  const call = useRef(onMoment);
  useEffect(() => {
    call.current = onMoment;
  });
  /** When the cue began that was announced last, on the clock of the run. */
  const announced = useRef(-1);
  useEffect(() => {
    if (!running || !base.current) return;
    const planned = new Set<string>();
    const timers = new Set<ReturnType<typeof setTimeout>>();
    let measured = 0;
    const fire = (moment: Moment, name: 'cue-onset' | 'key-onset' = 'cue-onset') => {
      const end = performance.now();
      performance.measure(name, { start: Math.min(moment.atMs - performance.timeOrigin, end), end });
      if (++measured > KEPT_MEASURES) {
        performance.clearMeasures('cue-onset');
        measured = 0;
      }
      if (moment.kind === 'cue') announced.current = moment.atMs;
      call.current(moment);
    };
    const plan = (moment: Moment, now: number) => {
      const { kind } = cues[moment.cueIndex]!;
      sound?.plan(toneOf(moment, kind, beginsStep(cues, moment.cueIndex)), moment.atMs - now, moment.breath);
    };
    const look = () => {
      const now = nowMs();
      const state = advance(cues, base.current!, Math.max(now, base.current!.atMs));
      for (const moment of momentsAhead(cues, state, LOOK_AHEAD_MS)) {
        // The end is told by whoever sees it come: a key brings it as well as the clock.
        if (planned.has(moment.id) || moment.kind === 'done') continue;
        planned.add(moment.id);
        plan(moment, now);
        const timer = setTimeout(() => (timers.delete(timer), fire(moment)), moment.atMs - now);
        timers.add(timer);
      }
    };
    // A cue that a key has just opened was not foreseen by anybody: it is announced at once, the first one too.
    const { cueIndex, intoMs, atMs } = base.current;
    if (intoMs === 0 && announced.current !== atMs && cues[cueIndex]) {
      const opened: Moment = { id: `${cueIndex}-opened`, atMs, cueIndex, kind: 'cue', count: 0, of: 0, breath: null };
      plan(opened, nowMs());
      fire(opened, 'key-onset');
    }
    look();
    const every = setInterval(look, EVERY_MS);
    return () => {
      clearInterval(every);
      for (const timer of timers) clearTimeout(timer);
      sound?.cancel();
    };
  }, [cues, base, turn, running, sound]);
}
