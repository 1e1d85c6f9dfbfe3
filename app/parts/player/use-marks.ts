import { useEffect, useRef } from 'react';
import type { Cue } from '../../../core/routine/cues';
import { advance, type GuideState } from '../../../core/guide/machine';
import { marksAhead, type Mark } from '../../../core/guide/marks';
import { nowMs } from './clock';
import type { Sound } from './sound';

const LOOK_AHEAD_MS = 400;
const EVERY_MS = 120;
/** Entries of the browser's own timing record that are kept for looking at. */
const KEPT_MEASURES = 4000;

/**
 * Plans tones a little ahead on the audio clock and calls `onMark` at each moment. How late each call came is left in
 * the browser's timing record under "cue-onset".
 */
export function useMarks(
  cues: readonly Cue[],
  base: React.RefObject<GuideState | null>,
  turn: number,
  running: boolean,
  sound: Sound | null,
  onMark: (mark: Mark) => void,
): void {
  const call = useRef(onMark);
  useEffect(() => {
    call.current = onMark;
  });
  useEffect(() => {
    if (!running || !base.current) return;
    const planned = new Set<string>();
    const timers = new Set<ReturnType<typeof setTimeout>>();
    let measured = 0;
    const fire = (mark: Mark) => {
      const end = performance.now();
      performance.measure('cue-onset', { start: Math.min(mark.atMs - performance.timeOrigin, end), end });
      if (++measured > KEPT_MEASURES) {
        performance.clearMeasures('cue-onset');
        measured = 0;
      }
      call.current(mark);
    };
    const look = () => {
      const now = nowMs();
      const state = advance(cues, base.current!, Math.max(now, base.current!.atMs));
      for (const mark of marksAhead(cues, state, LOOK_AHEAD_MS)) {
        if (planned.has(mark.id)) continue;
        planned.add(mark.id);
        sound?.plan(mark, now);
        const timer = setTimeout(() => (timers.delete(timer), fire(mark)), mark.atMs - now);
        timers.add(timer);
      }
    };
    look();
    const every = setInterval(look, EVERY_MS);
    return () => {
      clearInterval(every);
      for (const timer of timers) clearTimeout(timer);
      sound?.cancel();
    };
  }, [cues, base, turn, running, sound]);
}
