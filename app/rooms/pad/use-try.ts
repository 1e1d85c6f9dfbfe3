import { tryMs, type Pace, type Touch } from '../../../core/touch';
import { useCallback, useEffect, useRef, useState } from 'react';

/** From the start until the first press is wanted. */
export const LEAD_MS = 2000;

export interface TryNow {
  status: 'idle' | 'running' | 'over';
  /** Readings since the first press was wanted, ms from then; those of the lead are before 0. */
  trace: Touch[];
  /** How far it has come, ms from when the first press was wanted. */
  ms: number;
}

/**
 * A try on the pad: begins two seconds before its first press, ends by itself after its last. It goes by the clock of the
 * pad, so that what is late on the way is not late in the score. Its readings are one list that grows.
 */
export function useTry(pace: Pace, onOver: (trace: Touch[]) => void) {
  const now = useRef<TryNow>({ status: 'idle', trace: [], ms: 0 });
  const zeroMs = useRef<number | null>(null);
  const [status, setStatus] = useState<TryNow['status']>('idle');
  const over = useRef(onOver);
  const lengthMs = tryMs(pace);
  useEffect(() => {
    over.current = onOver;
  });

  const start = useCallback(() => {
    zeroMs.current = null;
    now.current = { status: 'running', trace: [], ms: -LEAD_MS };
    setStatus('running');
  }, []);
  const stop = useCallback(() => {
    now.current = { ...now.current, status: 'idle' };
    setStatus('idle');
  }, []);
  const hear = useCallback(
    (touch: Touch) => {
      const own = now.current;
      if (own.status !== 'running') return;
      zeroMs.current ??= touch.atMs + LEAD_MS;
      const atMs = touch.atMs - zeroMs.current;
      own.trace.push({ ...touch, atMs });
      own.ms = atMs;
      if (atMs < lengthMs) return;
      own.status = 'over';
      setStatus('over');
      over.current(own.trace);
    },
    [lengthMs],
  );
  return { now, status, start, stop, hear };
}
