import { useEffect, useEffectEvent } from 'react';

/** How far a visit is, as the server tells it. */
export interface Pulse {
  version: number;
  runs: number;
  events: number;
  /** Of what stands beside it: another number, another state. */
  beside: number;
}

/** Whoever was told no asks again after so long. */
const AGAIN_MS = 5_000;

/**
 * Hears how far a visit is, each time that it changes on whatever screen. Only while the page is seen: browsers keep few
 * ways open to one place, and a page in the back should not take one from the page in front.
 */
export function usePulse(visitId: string, hear: (pulse: Pulse) => void): void {
  const onPulse = useEffectEvent(hear);
  useEffect(() => {
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      source?.close();
      source = null;
    };
    const follow = () => {
      if (document.visibilityState === 'hidden') return close();
      if (source) return;
      source = new EventSource(`/visits/${visitId}/live`);
      source.onmessage = ({ data }) => onPulse(JSON.parse(String(data)) as Pulse);
      // Broken off, it comes back by itself; where it was told no, it is asked again.
      source.onerror = () => {
        if (source?.readyState !== EventSource.CLOSED) return;
        close();
        clearTimeout(again);
        again = setTimeout(follow, AGAIN_MS);
      };
    };
    follow();
    document.addEventListener('visibilitychange', follow);
    window.addEventListener('online', follow);
    return () => {
      document.removeEventListener('visibilitychange', follow);
      window.removeEventListener('online', follow);
      clearTimeout(again);
      close();
    };
  }, [visitId]);
}
